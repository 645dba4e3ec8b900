import { useState } from 'react';
import { View } from 'react-native';
import { flicker, flickerFreeShutters, formatShutter, modulationFromBurst } from '@/core';
import { useEdits, useShown } from '@/features/shoot/open-shoot';
import { stops } from '@/features/shoot/words';
import { modulationOf } from '@/presets/lamps';
import type { Shoot } from '@/records/shoot';
import { Button } from '@/ui/Button';
import { Choice } from '@/ui/Choice';
import { Slider } from '@/ui/Slider';
import { Stepper } from '@/ui/Stepper';
import { Text } from '@/ui/Text';

const MAINS = [
  { value: 50, label: '50 Hz' },
  { value: 60, label: '60 Hz' },
] as const;
/** A difference between frames that can be seen. Common practice: a third of a stop. */
const SEEN_STOPS = 1 / 3;
const TENTH = 10;

/** What flickering lamps do to the frames at the shutter chosen, and what would stop it. */
export function FlickerSection() {
  const { setup, seen } = useShown('setup', 'seen');
  const { update } = useEdits();
  const { light } = setup;
  const [burst, setBurst] = useState(0);
  if (!seen.ok) return null;
  if (light.lampLux <= 0) {
    return <Text>Choose the lamps of this ground first: without any, nothing flickers.</Text>;
  }
  const { mainsHz } = light;
  const { shutterS } = seen.answer.exposure.settings;
  const modulation = modulationOf(light);
  const { spreadStops, bands } = flicker({
    mainsHz,
    modulation,
    shutterS,
    readoutS: seen.view.body.silentReadoutS,
  });
  const immune = flickerFreeShutters({ mainsHz, longestS: 1 / 20 }).map((time) =>
    formatShutter(time),
  );
  const change = (next: Partial<Shoot['light']>) =>
    update((current) => ({ ...current, light: { ...current.light, ...next } }), 'flicker');
  const told = modulationFromBurst({ mainsHz, shutterS, spreadStops: burst / TENTH });
  return (
    <View className="gap-3">
      <View>
        <Text kind="figure">
          {spreadStops < 0.05 ? 'No difference' : `${stops(spreadStops)} from frame to frame`}
        </Text>
        <Text kind="small">
          {`At ${formatShutter(shutterS)}: the lamps brighten and dim ${2 * mainsHz} times a second, and a frame catches ${spreadStops > SEEN_STOPS ? 'whatever moment it falls in. Turn anti-flicker on, and take more frames than you need.' : 'nearly all of it.'}`}
        </Text>
        {bands >= 1 && spreadStops > 0.1 ? (
          <Text kind="small">
            {`The silent shutter would draw about ${Math.round(bands)} ${Math.round(bands) === 1 ? 'band' : 'bands'} across the frame: use the mechanical one.`}
          </Text>
        ) : null}
      </View>
      <Text kind="small">
        {`Flicker-free at ${immune.join(', ')}${spreadStops > SEEN_STOPS ? ', all slower than play allows, as a rule' : ''}.`}
      </Text>
      <Choice
        label="Mains"
        value={mainsHz}
        options={MAINS}
        onChange={(hz) => change({ mainsHz: hz })}
      />
      <Slider
        label="How much the lamps swing"
        value={Math.round(modulation * 100)}
        min={0}
        max={90}
        step={1}
        bigStep={10}
        valueText={`${Math.round(modulation * 100)} %${light.modulation === undefined ? ', usual for these' : ''}`}
        onChange={(next) => change({ modulation: next(Math.round(modulation * 100)) / 100 })}
      />
      <Stepper
        label="Test burst: brightest over darkest frame"
        value={burst}
        min={0}
        max={30}
        valueText={stops(burst / TENTH)}
        note={`ten frames of one thing at ${formatShutter(shutterS)}`}
        onStep={(clicks) => setBurst((now) => now + clicks)}
      />
      {told === undefined ? (
        <Text kind="small">
          {`At ${formatShutter(shutterS)} a burst can’t tell: it takes in whole swings. Try a faster time.`}
        </Text>
      ) : (
        <Button
          label={`Take ${Math.round(told * 100)} % from this burst`}
          onPress={() => change({ modulation: Number(told.toFixed(2)) })}
        />
      )}
      <Text kind="small" ink="quiet">
        Colour flickers too: fix the white balance, and shoot raw where you can.
      </Text>
    </View>
  );
}
