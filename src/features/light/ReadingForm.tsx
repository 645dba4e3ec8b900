import { useState } from 'react';
import { View } from 'react-native';
import { ev as evOf, type Triad } from '@/core';
import { simulatedMeter } from '@/demo/simulated-meter';
import { DialStepper } from '@/features/shoot/DialStepper';
import { JudgedFrame } from '@/features/shoot/JudgedFrame';
import { lookedInWords } from '@/features/shoot/words';
import type { Measured } from '@/features/shoot/use-readings';
import { Button } from '@/ui/Button';
import { Choice } from '@/ui/Choice';
import { Simulated } from '@/ui/Simulated';
import { Stepper } from '@/ui/Stepper';
import { Text } from '@/ui/Text';

const BY = [
  { value: 'meter', label: 'Light meter' },
  { value: 'frame', label: 'Test frame' },
] as const;
const CLICKS = 3;
const LOWEST_EV = -6;
const HIGHEST_EV = 18;
const DIALS = {
  shutter: [30, 1 / 8000],
  aperture: [1.4, 22],
  iso: [50, 102_400],
} as const;

/**
 * One measured light, by a meter or by a test frame judged by eye: a few presses of one thumb, from
 * what the plan expects.
 */
export function ReadingForm({
  expectedEv,
  taken,
  at,
  venue,
  saveLabel,
  onSave,
}: {
  readonly expectedEv: number;
  /** Settings a test frame begins at. */
  readonly taken: Triad;
  readonly at: { readonly x: number; readonly y: number };
  readonly venue: string;
  readonly saveLabel: string;
  readonly onSave: (measured: Measured) => void;
}) {
  const [by, setBy] = useState<'meter' | 'frame'>('meter');
  const [evClicks, setEvClicks] = useState(Math.round(expectedEv * CLICKS));
  const [simulated, setSimulated] = useState<number>();
  const { shutterS, aperture, iso } = taken;
  const [frame, setFrame] = useState<Triad>({ shutterS, aperture, iso });
  const [dark, setDark] = useState(0);
  const ev = simulated ?? evClicks / CLICKS;
  const frameEv = evOf(frame) - dark;
  const change = (next: Partial<Triad>) => setFrame((now) => ({ ...now, ...next }));
  return (
    <View className="gap-3">
      <Choice label="Measured with" value={by} options={BY} onChange={setBy} />
      {by === 'meter' ? (
        <>
          <Stepper
            label="EV at ISO 100"
            value={simulated === undefined ? evClicks : Math.round(simulated * CLICKS)}
            min={LOWEST_EV * CLICKS}
            max={HIGHEST_EV * CLICKS}
            valueText={ev.toFixed(1)}
            note={`expected ${expectedEv.toFixed(1)}`}
            onStep={(clicks) => {
              setEvClicks(Math.round(ev * CLICKS) + clicks);
              setSimulated(undefined);
            }}
          />
          <Text kind="small" ink="quiet">
            Hold the meter at the face, towards the camera.
          </Text>
          <Simulated what="meter">
            <Text kind="small" ink="quiet">
              Without one, a figure made up to try things with.
            </Text>
            <Button
              label="Ask the simulated meter"
              onPress={() => setSimulated(simulatedMeter({ ev: expectedEv, at, venue }))}
            />
          </Simulated>
        </>
      ) : (
        <>
          <DialStepper
            kind="shutter"
            value={frame.shutterS}
            least={DIALS.shutter[0]}
            most={DIALS.shutter[1]}
            onChange={(time) => change({ shutterS: time })}
          />
          <DialStepper
            kind="aperture"
            value={frame.aperture}
            least={DIALS.aperture[0]}
            most={DIALS.aperture[1]}
            onChange={(number) => change({ aperture: number })}
          />
          <DialStepper
            kind="iso"
            value={frame.iso}
            least={DIALS.iso[0]}
            most={DIALS.iso[1]}
            onChange={(sensitivity) => change({ iso: sensitivity })}
          />
          <Text kind="small" ink="quiet">
            Take it without a filter.
          </Text>
          <JudgedFrame value={dark} onPress={setDark} />
          <Text kind="small" ink="quiet" aria-live="polite">
            {`${lookedInWords(dark)[0]?.toUpperCase()}${lookedInWords(dark).slice(1)}: the light is EV ${frameEv.toFixed(1)}`}
          </Text>
        </>
      )}
      <Button
        label={saveLabel}
        kind="primary"
        onPress={() =>
          onSave(
            by === 'meter'
              ? { by, ev, simulated: simulated !== undefined }
              : { by, frame: { ...frame, looksDarkStops: dark }, simulated: false },
          )
        }
      />
    </View>
  );
}
