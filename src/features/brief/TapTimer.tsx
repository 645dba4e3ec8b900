import { useState } from 'react';
import { Pressable, View } from 'react-native';
import { NumberField } from '@/ui/NumberField';
import { Button } from '@/ui/Button';
import { Text } from '@/ui/Text';
import { written } from '@/ui/units';

/** Timed shorter than this is a slip of the thumb. */
const LEAST_S = 0.15;

/**
 * A pace measured where it happens: pace out a distance, press when it enters and again when it
 * leaves; or write the seconds down.
 */
export function TapTimer({ onSpeed }: { readonly onSpeed: (speedMs: number) => void }) {
  const [distanceM, setDistanceM] = useState(10);
  const [sinceMs, setSinceMs] = useState<number>();
  const [tookS, setTookS] = useState<number>();
  const press = (atMs: number) => {
    if (sinceMs === undefined) {
      setSinceMs(atMs);
      setTookS(undefined);
      return;
    }
    const s = (atMs - sinceMs) / 1000;
    setSinceMs(undefined);
    if (s >= LEAST_S) setTookS(Number(s.toFixed(2)));
  };
  const speedMs = tookS === undefined ? undefined : distanceM / tookS;
  return (
    <View role="group" aria-label="Time it" className="gap-3 border-l-2 border-line pl-3">
      <Text kind="small" ink="quiet">
        Pace out a stretch it crosses. Press as it enters, press as it leaves.
      </Text>
      <NumberField
        label="Stretch"
        unit="m"
        value={distanceM}
        min={0.5}
        max={1000}
        onChange={setDistanceM}
      />
      <Pressable
        role="button"
        aria-label={sinceMs === undefined ? 'It enters now' : 'It leaves now'}
        // Both presses count as they end, so that the thumb's own time falls out.
        onPress={() => press(performance.now())}
        className={`min-h-[96px] items-center justify-center border-2 ${sinceMs === undefined ? 'border-ink' : 'border-signal bg-ink'}`}
      >
        <Text kind="title" className={sinceMs === undefined ? '' : 'text-paper'}>
          {sinceMs === undefined ? 'It enters now' : 'It leaves now'}
        </Text>
      </Pressable>
      <NumberField
        label="It took"
        unit="s"
        value={tookS ?? 0}
        min={0}
        max={3600}
        onChange={(s) => setTookS(s > 0 ? s : undefined)}
      />
      {speedMs !== undefined && tookS !== undefined ? (
        <View aria-live="polite" className="gap-2">
          <Text kind="strong">
            {`Crossed ${written(distanceM, 'm', Number.isInteger(distanceM) ? 0 : 1)} in ${tookS.toFixed(2)} s: ${written(speedMs, 'm/s', 1)}`}
          </Text>
          <Button
            label={`Use ${written(speedMs, 'm/s', 1)}`}
            onPress={() => onSpeed(Number(speedMs.toFixed(2)))}
          />
        </View>
      ) : null}
    </View>
  );
}
