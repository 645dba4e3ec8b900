import { memo } from 'react';
import { View } from 'react-native';
import {
  asRectangle,
  BACKDROP_DETAIL_M,
  BROAD_COLOURS,
  colourOf,
  FEATURE_SHAPE,
  FEWEST_POINTS,
  rectangleCorners,
  type BackdropDetail,
  type Rectangle,
} from '@/core';
import { useEdits } from '@/features/shoot/open-shoot';
import { COLOUR_WORDS, sentence } from '@/features/shoot/words';
import { seatedOn } from '@/records/carried';
import { changeItem, withoutPoint, withPointAdded, withPointMoved } from '@/records/edit-site';
import { MOST_POINTS, type Feature } from '@/records/shoot';
import { Button, IconButton } from '@/ui/Button';
import { NumberField } from '@/ui/NumberField';
import { Picker } from '@/ui/Picker';
import { Text } from '@/ui/Text';
import { useInks } from '@/ui/theme';
import ChevronLeft from 'lucide-react-native/icons/chevron-left';
import ChevronRight from 'lucide-react-native/icons/chevron-right';
import { BearingField } from './BearingField';
import { BranchLeaves } from './BranchLeaves';
import { HideWindows } from './HideWindows';
import { KIND_NUMBERS, type NumberSpec } from './kinds';
import { PerchStick } from './PerchStick';
import { PlaceFields } from './PlaceFields';
import { useDrawTool } from './use-draw';

const DETAIL_WORDS: Readonly<Record<BackdropDetail, string>> = {
  leaf: 'Leaves and twigs',
  face: 'Faces in a crowd',
  lettering: 'Lettering, boards, bars',
  trunk: 'Trunks and posts',
};
const DETAILS = (Object.keys(BACKDROP_DETAIL_M) as BackdropDetail[]).map((value) => ({
  value,
  label: DETAIL_WORDS[value],
}));

const COLOURS = BROAD_COLOURS.map((value) => ({
  value,
  // A label is no sentence: without its full stop.
  label: sentence(COLOUR_WORDS[value]).slice(0, -1),
}));

type Change = (how: (feature: Feature) => Feature) => void;

/** A feature's own figures: its sides or its corners, and what its kind has. */
export function FeatureFields({ feature }: { readonly feature: Feature }) {
  const { update } = useEdits();
  const { id } = feature;
  const change: Change = (how) => update((current) => changeItem(current, 'features', id, how));
  const rectangle = FEATURE_SHAPE[feature.kind] === 'area' && asRectangle(feature.points);
  const figures: Readonly<Record<string, unknown>> = feature;
  return (
    <View className="gap-3">
      <View className="flex-row flex-wrap justify-between gap-y-3">
        {(KIND_NUMBERS[feature.kind] ?? []).map((spec) => (
          <FigureField
            key={spec.key}
            id={id}
            spec={spec}
            value={Number(figures[spec.key] ?? 0)}
            least={spec.key === 'meshPitchMm' ? Number(figures.wireMm) * THICKEST : spec.min}
            most={spec.key === 'wireMm' ? Number(figures.meshPitchMm) / THICKEST : spec.max}
          />
        ))}
      </View>
      {feature.kind === 'backdrop' ? (
        <Picker
          label="Finest detail"
          value={feature.detail}
          options={DETAILS}
          onChange={(detail) => change((entry) => ({ ...entry, detail }) as Feature)}
        />
      ) : null}
      {feature.kind === 'backdrop' || feature.kind === 'wall' ? (
        <Picker
          label="Its colour"
          value={colourOf(feature)}
          options={COLOURS}
          onChange={(colour) => change((entry) => ({ ...entry, colour }) as Feature)}
        />
      ) : null}
      {feature.kind === 'perch' ? <PerchStick perch={feature} /> : null}
      {feature.kind === 'branch' ? <BranchLeaves branch={feature} /> : null}
      {feature.kind === 'hide' ? <HideWindows hide={feature} /> : null}
      {rectangle ? <RectangleFields rectangle={rectangle} change={change} /> : null}
      {!rectangle && feature.points.length > 1 ? (
        <CornerFields feature={feature} change={change} />
      ) : null}
    </View>
  );
}

/** A mesh is at least this many times as wide as its wire: the wire must leave a gap. */
const THICKEST = 1.05;

/** One figure of a feature. Not drawn again while the feature is only moved. */
const FigureField = memo(function FigureField({
  id,
  spec,
  value,
  least,
  most,
}: {
  readonly id: string;
  readonly spec: NumberSpec;
  readonly value: number;
  readonly least: number;
  readonly most: number;
}) {
  const { update } = useEdits();
  const { key, label, unit, min, max } = spec;
  return (
    <View className="w-[48%]">
      <NumberField
        label={label}
        unit={unit}
        value={value}
        min={Math.max(min, Number(least.toFixed(2)))}
        max={Math.min(max, Number(most.toFixed(2)))}
        onChange={(next) =>
          update((current) =>
            seatedOn(
              changeItem(current, 'features', id, (entry) => ({ ...entry, [key]: next })),
              id,
            ),
          )
        }
      />
    </View>
  );
});

const LONGEST_SIDE_M = 2000;

/** Width, depth and bearing of a rectangle, about its middle. */
function RectangleFields({
  rectangle,
  change,
}: {
  readonly rectangle: Rectangle;
  readonly change: Change;
}) {
  const reshape = (next: Partial<Rectangle>) =>
    change((entry) => {
      const now = asRectangle(entry.points);
      return now ? { ...entry, points: rectangleCorners({ ...now, ...next }) } : entry;
    });
  return (
    <View className="gap-3">
      <View className="flex-row justify-between">
        {(
          [
            ['Width', 'widthM'],
            ['Depth', 'depthM'],
          ] as const
        ).map(([label, side]) => (
          <View key={side} className="w-[48%]">
            <NumberField
              label={label}
              unit="m"
              value={rectangle[side]}
              min={0.1}
              max={LONGEST_SIDE_M}
              onChange={(value) => reshape({ [side]: value })}
            />
          </View>
        ))}
      </View>
      <BearingField
        label="Depth runs towards"
        trueDeg={rectangle.bearingDeg}
        onChange={(bearingDeg) => reshape({ bearingDeg })}
      />
    </View>
  );
}

/** One corner at a time: where it is, one more after it, or without it. */
function CornerFields({ feature, change }: { readonly feature: Feature; readonly change: Change }) {
  const inks = useInks();
  const { state, act } = useDrawTool();
  const { points, kind } = feature;
  const index = Math.min(state.corner ?? 0, points.length - 1);
  const corner = points[index];
  if (!corner) return null;
  const go = (by: number) =>
    act({ do: 'corner', index: (index + by + points.length) % points.length });
  const next = points[(index + 1) % points.length] ?? corner;
  const closes = FEATURE_SHAPE[kind] === 'area';
  const canAdd = points.length < MOST_POINTS && (closes || index < points.length - 1);
  return (
    <View className="gap-2">
      <View className="flex-row items-center justify-between">
        <IconButton label="The corner before" onPress={() => go(-1)}>
          <ChevronLeft color={inks.ink} size={24} />
        </IconButton>
        <Text kind="strong" aria-live="polite">{`Corner ${index + 1} of ${points.length}`}</Text>
        <IconButton label="The corner after" onPress={() => go(1)}>
          <ChevronRight color={inks.ink} size={24} />
        </IconButton>
      </View>
      <PlaceFields
        key={index}
        east="Corner east"
        north="Corner north"
        at={corner}
        onChange={(to) => change((entry) => withPointMoved(entry, index, to))}
      />
      {feature.kind === 'slope' ? (
        <NumberField
          key={`height ${index}`}
          label="Ground here"
          unit="m"
          value={feature.heightsM[index] ?? 0}
          min={-200}
          max={200}
          onChange={(heightM) =>
            change((entry) =>
              entry.kind === 'slope'
                ? { ...entry, heightsM: entry.heightsM.with(index, heightM) }
                : entry,
            )
          }
        />
      ) : null}
      <View className="flex-row gap-2">
        <View className="flex-1">
          <Button
            label="Add after it"
            disabled={!canAdd}
            onPress={() => {
              const middle = { x: (corner.x + next.x) / 2, y: (corner.y + next.y) / 2 };
              change((entry) => withPointAdded(entry, index, middle));
              act({ do: 'corner', index: index + 1 });
            }}
          />
        </View>
        <View className="flex-1">
          <Button
            label="Without it"
            disabled={points.length <= FEWEST_POINTS[FEATURE_SHAPE[kind]]}
            onPress={() => change((entry) => withoutPoint(entry, index))}
          />
        </View>
      </View>
    </View>
  );
}
