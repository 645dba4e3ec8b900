import { useEffect, useRef, useState, type ReactNode } from 'react';
import { View } from 'react-native';
import { meanBearing, trueFromCompass, type MeanBearing } from '@/core';
import { Button } from '@/ui/Button';
import { Choice } from '@/ui/Choice';
import { Simulated } from '@/ui/Simulated';
import { Text } from '@/ui/Text';
import { deviceCompass, simulatedCompass } from './compass';
import { declinationInWords, declinationOf } from './declination';
import { useShown } from './open-shoot';
import { bearingInWords } from './words';

const COMPASSES = [
  { value: 'device', label: 'This phone' },
  { value: 'simulated', label: 'Simulated' },
] as const;
type From = (typeof COMPASSES)[number]['value'];

/** Headings that a mean is taken over: about a second. */
const HEADINGS = 12;

type Sighting =
  | { readonly state: 'off' | 'asking' }
  | { readonly state: 'refused'; readonly why: string }
  | { readonly state: 'on'; readonly mean: MeanBearing };

/** The compass, heard while it is on. */
function useCompass(venue: string) {
  const [sighting, setSighting] = useState<Sighting>({ state: 'off' });
  const hearing = useRef<AbortController>(undefined);
  useEffect(() => () => hearing.current?.abort(), []);
  const off = () => {
    hearing.current?.abort();
    setSighting({ state: 'off' });
  };
  const begin = async (from: From) => {
    off();
    setSighting({ state: 'asking' });
    const mine = new AbortController();
    hearing.current = mine;
    const last: number[] = [];
    const hear = (deg: number) => {
      if (mine.signal.aborted) return;
      last.push(deg);
      if (last.length > HEADINGS) last.shift();
      const mean = meanBearing(last);
      if (mean) setSighting({ state: 'on', mean });
    };
    try {
      const stop = from === 'device' ? await deviceCompass(hear) : simulatedCompass(venue, hear);
      if (mine.signal.aborted) stop();
      else mine.signal.addEventListener('abort', stop);
    } catch (error) {
      if (mine.signal.aborted) return;
      const why = error instanceof Error ? error.message : String(error);
      setSighting({ state: 'refused', why });
    }
  };
  return { sighting, begin, off };
}

/** A heading with where it is from: a stand-in's stands apart. */
function Told({ from, children }: { readonly from: From; readonly children: ReactNode }) {
  return from === 'simulated' ? <Simulated what="compass">{children}</Simulated> : children;
}

/** Which way the ground lies, sighted along it with the phone. */
export function SightByPhone({ onTake }: { readonly onTake: (trueDeg: number) => void }) {
  const { shoot } = useShown('shoot');
  const [from, setFrom] = useState<From>('device');
  const { sighting, begin, off } = useCompass(shoot.id);
  const east = declinationOf(shoot);
  const trueOf = (compassDeg: number) =>
    east === undefined ? compassDeg : trueFromCompass(compassDeg, east);
  if (sighting.state === 'off') {
    return <Button label="Sight along it with the phone" onPress={() => void begin(from)} />;
  }
  return (
    <View className="gap-2 border border-ink p-3">
      <Text>
        Stand at one end. Point the phone at the end with the arrow: laid flat, or held up like a
        camera.
      </Text>
      <Choice
        label="Compass"
        value={from}
        options={COMPASSES}
        onChange={(next) => {
          setFrom(next);
          void begin(next);
        }}
      />
      <View role="status">
        {sighting.state === 'asking' ? <Text>Asking the compass…</Text> : null}
        {sighting.state === 'refused' ? (
          <Text>{`No compass: ${sighting.why}. A simulated one can stand in for it.`}</Text>
        ) : null}
      </View>
      {sighting.state === 'on' ? (
        <Told from={from}>
          <Text kind="figure">{bearingInWords(trueOf(sighting.mean.deg))}</Text>
          <Text kind="small" ink="quiet">
            {`Steady to ±${Math.max(1, Math.round(sighting.mean.spreadDeg))}°. ${
              east === undefined ? '' : declinationInWords(east)
            } Keep it away from iron, lamps and cars.`}
          </Text>
          <Button
            label="It lies this way"
            kind="primary"
            onPress={() => {
              onTake(trueOf(sighting.mean.deg));
              off();
            }}
          />
        </Told>
      ) : null}
      <Button label="Stop sighting" kind="quiet" onPress={off} />
    </View>
  );
}
