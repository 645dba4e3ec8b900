import { useCallback } from 'react';
import { View } from 'react-native';
import { LAMP_LEVELS_LUX, type LampLevel } from '@/core';
import { KitControls } from '@/features/kit/KitControls';
import { JudgedFrame } from '@/features/shoot/JudgedFrame';
import { EYE_LIGHTS } from '@/presets/eye-lights';
import { LAMPS, lampLabel } from '@/presets/lamps';
import { SUBJECTS } from '@/presets/subjects';
import { FURTHEST_M, type Quick } from '@/records/quick';
import { Choice } from '@/ui/Choice';
import { NumberField } from '@/ui/NumberField';
import { Picker } from '@/ui/Picker';
import { Slider } from '@/ui/Slider';
import { Heading, Text } from '@/ui/Text';
import { ShutterField } from './ShutterField';

const RUNS = [
  { value: 'across', label: 'Across' },
  { value: 'diagonal', label: 'Slantwise' },
  { value: 'towards', label: 'Towards you' },
] as const;
const BY = [
  { value: 'distance', label: 'Distance' },
  { value: 'fill', label: 'Frame fill' },
] as const;
const HELD = [
  { value: 'level', label: 'Level' },
  { value: 'upright', label: 'Upright' },
] as const;
const TOLD_BY = [
  { value: 'eye', label: 'By eye' },
  { value: 'lamps', label: 'Lamps' },
  { value: 'ev', label: 'Meter' },
  { value: 'frame', label: 'Test frame' },
] as const;
const SCHOOLS = [
  { value: 'motion', label: 'Motion' },
  { value: 'balanced', label: 'Balanced' },
  { value: 'quality', label: 'Quality' },
] as const;
const LIT = LAMPS.filter(({ id }) => LAMP_LEVELS_LUX[id] > 0);

interface FieldsProps {
  readonly quick: Quick;
  readonly onChange: (how: (quick: Quick) => Quick) => void;
}

/** What a quick answer needs to know. */
export function QuickFields({ quick, onChange }: FieldsProps) {
  const set = (next: Partial<Quick>) => onChange((now) => ({ ...now, ...next }));
  const changeKit = useCallback(
    (how: (kit: Quick['kit']) => Quick['kit']) =>
      onChange((now) => ({ ...now, kit: how(now.kit) })),
    [onChange],
  );
  return (
    <View role="form" aria-label="What the answer is for" className="gap-3">
      <Picker
        label="Subject"
        value={quick.subjectId}
        options={SUBJECTS.map(({ id, name }) => ({ value: id, label: name }))}
        onChange={(subjectId) => set({ subjectId })}
      />
      <Choice
        label="It moves"
        value={quick.runs}
        options={RUNS}
        onChange={(runs) => set({ runs })}
      />
      <Choice label="Given by" value={quick.by} options={BY} onChange={(by) => set({ by })} />
      {quick.by === 'distance' ? (
        <NumberField
          label="Distance"
          unit="m"
          value={quick.distanceM}
          min={0.5}
          max={FURTHEST_M}
          onChange={(distanceM) => set({ distanceM })}
        />
      ) : (
        <Slider
          label="Frame fill"
          value={Math.round(quick.fill * 100)}
          min={5}
          max={100}
          step={5}
          bigStep={20}
          valueText={`${Math.round(quick.fill * 100)} % of the height`}
          onChange={(next) =>
            onChange((now) => ({ ...now, fill: next(Math.round(now.fill * 100)) / 100 }))
          }
        />
      )}
      <NumberField
        label="Background behind the subject"
        unit="m"
        value={quick.behindM}
        min={0}
        max={FURTHEST_M}
        onChange={(behindM) => set({ behindM })}
      />
      <LightFields quick={quick} onChange={onChange} />
      <KitControls kit={quick.kit} onChange={changeKit} />
      <Choice
        label="Camera held"
        value={quick.orientation}
        options={HELD}
        onChange={(orientation) => set({ orientation })}
      />
      <Choice
        label="What gives way last"
        value={quick.school}
        options={SCHOOLS}
        onChange={(school) => set({ school })}
      />
    </View>
  );
}

/** How the light on the face is known. */
function LightFields({ quick: { light }, onChange }: FieldsProps) {
  const set = (next: Partial<Quick['light']>) =>
    onChange((now) => ({ ...now, light: { ...now.light, ...next } }));
  const setFrame = (next: Partial<Quick['light']['frame']>) =>
    onChange((now) => ({
      ...now,
      light: { ...now.light, frame: { ...now.light.frame, ...next } },
    }));
  const { frame } = light;
  return (
    <View className="gap-3">
      <Heading level={2} kind="figure">
        Light on the face
      </Heading>
      <Choice label="Known by" value={light.by} options={TOLD_BY} onChange={(by) => set({ by })} />
      {light.by === 'eye' ? (
        <Picker
          label="It looks like"
          value={light.eye}
          options={EYE_LIGHTS.map(({ id, name }) => ({ value: id as string, label: name }))}
          onChange={(eye) => set({ eye })}
        />
      ) : null}
      {light.by === 'lamps' ? (
        <Picker
          label="Lamps"
          value={light.lamps}
          options={LIT.map((lamp): { value: LampLevel; label: string } => ({
            value: lamp.id,
            label: lampLabel(lamp),
          }))}
          onChange={(lamps) => set({ lamps })}
        />
      ) : null}
      {light.by === 'ev' ? (
        <NumberField
          label="Measured"
          unit="EV at ISO 100"
          value={light.ev}
          min={-6}
          max={18}
          onChange={(ev) => set({ ev })}
        />
      ) : null}
      {light.by === 'frame' ? (
        <>
          <Text kind="small" ink="quiet">
            Take one frame of something like the subject, and say what it was taken at and how it
            looked.
          </Text>
          <View className="flex-row gap-3">
            <View className="flex-1">
              <ShutterField
                shutterS={frame.shutterS}
                onChange={(shutterS) => setFrame({ shutterS })}
              />
            </View>
            <View className="flex-1">
              <NumberField
                label="Aperture"
                unit="f/"
                value={frame.aperture}
                min={0.7}
                max={64}
                onChange={(aperture) => setFrame({ aperture })}
              />
            </View>
            <View className="flex-1">
              <NumberField
                label="Sensitivity"
                unit="ISO"
                value={frame.iso}
                min={25}
                max={1_000_000}
                places={0}
                onChange={(iso) => setFrame({ iso })}
              />
            </View>
          </View>
          <JudgedFrame
            value={frame.looksDarkStops}
            onPress={(looksDarkStops) => setFrame({ looksDarkStops })}
          />
        </>
      ) : null}
    </View>
  );
}
