import { useState } from 'react';
import { View } from 'react-native';
import { evidenceDrawn, type ClockFound } from '@/answers/camera-clock';
import type { MatchedFrame } from '@/answers/matched';
import { useEdits, useShown } from '@/features/shoot/open-shoot';
import { ClockTicks } from '@/figures/ClockTicks';
import { withClock } from '@/records/edit-log';
import { clockOf } from '@/records/times';
import { Button } from '@/ui/Button';
import { Heading, Text } from '@/ui/Text';
import { useWidth } from '@/ui/use-width';
import { ClockSheet } from './ClockSheet';
import { clockInWords, foundInWords, howFoundInWords, isAsFound } from './clock-words';
import { useClocks } from './use-clocks';

/** Cameras' clocks against the place's: lined up with what was tapped and done, or set by hand. */
export function ClockSection({ frames }: { readonly frames: readonly MatchedFrame[] }) {
  const { shoot } = useShown('shoot');
  const { data: found, error } = useClocks(shoot);
  const cameras = [...new Set(frames.map(({ frame }) => frame.camera))];
  return (
    <View role="region" aria-label="Clocks" className="gap-4">
      {cameras.map((camera) => (
        <CameraClock
          key={camera}
          frames={frames.filter(({ frame }) => frame.camera === camera)}
          found={found?.find((one) => one.camera === camera)}
          isLooking={!found && !error}
        />
      ))}
      {error ? (
        <Text role="alert">{`The clocks could not be lined up: ${error.message}`}</Text>
      ) : null}
    </View>
  );
}

function CameraClock({
  frames,
  found,
  isLooking,
}: {
  /** Of this camera. */
  readonly frames: readonly MatchedFrame[];
  readonly found: ClockFound | undefined;
  readonly isLooking: boolean;
}) {
  const { shoot } = useShown('shoot');
  const { update } = useEdits();
  const [byHand, setByHand] = useState(false);
  const camera = frames[0]?.frame.camera ?? '';
  const pieces = shoot.log.clocks.filter(({ name }) => name === camera);
  const agrees = found !== undefined && isAsFound(pieces, found.pieces);
  return (
    <View className="gap-2">
      <Heading level={2} kind="figure">
        {`Clock of ${camera || 'the camera'}: ${clockInWords(pieces, agrees ? found : undefined)}`}
      </Heading>
      {isLooking ? (
        <Text kind="small" ink="quiet">
          Lining it up with what was tapped and done…
        </Text>
      ) : null}
      {found ? (
        <View className={agrees ? 'gap-2' : 'gap-2 border-2 border-signal p-3'}>
          {agrees ? null : <Text kind="strong">{foundInWords(found)}</Text>}
          <Text kind="small" {...(agrees && { ink: 'quiet' as const })}>
            {howFoundInWords(found)}
          </Text>
          {agrees ? null : (
            <>
              <Evidence found={found} />
              <Button
                label="Set it right"
                kind="primary"
                onPress={() => update((current) => withClock(current, camera, found.pieces))}
              />
            </>
          )}
        </View>
      ) : null}
      <Button label="Set the clock by hand" onPress={() => setByHand(true)} />
      {byHand ? <ClockSheet frames={frames} onClose={() => setByHand(false)} /> : null}
    </View>
  );
}

/** Taps between the pictures as they stand and as they would: the lower rows fall in step. */
function Evidence({ found }: { readonly found: ClockFound }) {
  const { shoot } = useShown('shoot');
  const { widthPx, onLayout } = useWidth('clock', 320);
  const drawn = evidenceDrawn(shoot, found);
  if (!drawn) return null;
  const { fromMs, toMs, tapsMs, standMs, rightMs } = drawn;
  const said = [fromMs, toMs].map((ms) => clockOf(ms, 'UTC')).join(' to ');
  return (
    <View onLayout={onLayout}>
      <ClockTicks
        label={`Keepers tapped and pictures from ${said}: put right, the pictures stand under the taps`}
        {...{ fromMs, toMs, widthPx }}
        rows={[
          { name: `Pictures as they stand, ${said}`, atMs: standMs, quiet: true },
          { name: 'Keepers tapped', atMs: tapsMs },
          { name: 'Pictures put right', atMs: rightMs },
        ]}
      />
    </View>
  );
}
