import { memo } from 'react';
import { View } from 'react-native';
import type { Support } from '@/core';
import { fittedLens } from '@/answers/view';
import { CONVERTERS, type Converter } from '@/presets/lenses';
import { bodyOf, bodyOptions, lensOptions } from '@/records/kit';
import { withLens, type Hands } from '@/records/edit-kit';
import { Choice } from '@/ui/Choice';
import { Picker } from '@/ui/Picker';
import { Slider } from '@/ui/Slider';
import { Heading, Text } from '@/ui/Text';
import { useUnits, written } from '@/ui/units';

const SUPPORTS: readonly { readonly value: Support; readonly label: string }[] = [
  { value: 'hand', label: 'Hand' },
  { value: 'monopod', label: 'Monopod' },
  { value: 'beanBag', label: 'Bean bag' },
  { value: 'tripod', label: 'Tripod' },
];

const UNITS = [
  { value: 'metric', label: 'Metres' },
  { value: 'imperial', label: 'Feet' },
] as const;

const DIALS = [
  { value: 'third', label: 'Thirds' },
  { value: 'half', label: 'Halves' },
] as const;

type ChangeHands = <K extends Hands>(kit: K) => K;

export const converterName = (factor: Converter) => (factor === 1 ? 'None' : `${factor}x`);

/** Body, lens, focal length, converter and support. */
export const KitControls = memo(function KitControls({
  kit,
  onChange,
}: {
  readonly kit: Hands;
  /** Gets a step from the newest kit to the next; those of one name are one step to undo. */
  readonly onChange: (change: ChangeHands, step?: string) => void;
}) {
  const { units, choose } = useUnits();
  const { preset, lens, focalMm } = fittedLens(kit);
  const body = bodyOf(kit);
  const change = (next: Partial<Hands>) => onChange((current) => ({ ...current, ...next }));
  const [shortest, longest] = [preset.focals[0]?.focalMm ?? 0, preset.focals.at(-1)?.focalMm ?? 0];
  return (
    <View className="gap-3">
      <Heading level={2} kind="figure">
        In your hands
      </Heading>
      <Picker
        label="Body"
        value={kit.bodyId}
        options={bodyOptions(kit)}
        onChange={(bodyId) => change({ bodyId })}
      />
      <Text kind="small" ink="quiet">
        ISO {body.iso.base} base, clean to {body.iso.good}, used to {body.iso.usable}, ends at{' '}
        {body.iso.last}
      </Text>
      <Picker
        label="Lens"
        value={kit.lensId}
        options={lensOptions(kit)}
        onChange={(lensId) => onChange((current) => withLens(current, lensId))}
      />
      {longest > shortest ? (
        <Slider
          label="Zoomed to"
          value={kit.focalMm}
          min={shortest}
          max={longest}
          step={5}
          bigStep={50}
          valueText={`${Math.round(focalMm)} mm`}
          onChange={(next) =>
            onChange((current) => ({ ...current, focalMm: next(current.focalMm) }), 'zoom')
          }
        />
      ) : null}
      {preset.takesConverter ? (
        <Choice
          label="Converter"
          value={kit.converter}
          options={CONVERTERS.map((factor) => ({ value: factor, label: converterName(factor) }))}
          onChange={(converter) => change({ converter })}
        />
      ) : (
        <Text kind="small" ink="quiet">
          The {preset.name} takes no converter.
        </Text>
      )}
      <Text kind="small" ink="quiet">
        Fitted: {Math.round(focalMm)} mm, focusing from {written(lens.nearestFocusM, 'm', 1)}
      </Text>
      <Choice
        label="Dials turn by"
        value={kit.dial ?? 'third'}
        options={DIALS}
        onChange={(dial) => change({ dial })}
      />
      <Choice label="Distances in" value={units} options={UNITS} onChange={choose} />
      <Choice
        label="Support"
        value={kit.support}
        options={SUPPORTS}
        onChange={(support) => change({ support })}
      />
    </View>
  );
});
