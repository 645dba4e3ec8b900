import { useState } from 'react';
import { View } from 'react-native';
import { clockOffset } from '@/core';
import { useEdits, useShown } from '@/features/shoot/open-shoot';
import { withClock } from '@/records/edit-log';
import { MOST_OFF_S } from '@/records/log';
import type { Shoot } from '@/records/shoot';
import { localSecondOf } from '@/records/times';
import { Button } from '@/ui/Button';
import { Field } from '@/ui/Field';
import { Sheet } from '@/ui/Sheet';
import { Stepper } from '@/ui/Stepper';
import { Heading, Text } from '@/ui/Text';
import { offsetBy, offsetInWords } from './log-rows';
import { countedEntries, offsetOf, type MatchedFrame } from '@/answers/matched';

const MINUTE_S = 60;
const HOUR_S = 3600;
const DAY_S = 86_400;
const MOST_DAYS = Math.floor(MOST_OFF_S / DAY_S);

/** The offset that the keepers tapped in the field speak for, camera by camera. */
function foundOffset(
  shoot: Pick<Shoot, 'log' | 'place'>,
  frames: readonly MatchedFrame[],
  camera: string,
) {
  const own = frames
    .flatMap(({ frame }) => (frame.camera === camera ? [frame.cameraMs] : []))
    .sort((a, b) => a - b);
  const taps = countedEntries(shoot).flatMap(({ entry }) =>
    entry.kind === 'keeper' ? [Date.parse(`${entry.atLocal}Z`)] : [],
  );
  return clockOffset(own, taps);
}

/** Cameras' clocks against the place's: found from what was tapped, or set by hand. */
export function ClockSection({ frames }: { readonly frames: readonly MatchedFrame[] }) {
  const plan = useShown('shoot');
  const cameras = [...new Set(frames.map(({ frame }) => frame.camera))];
  return (
    <View role="region" aria-label="Clocks" className="gap-3">
      {cameras.map((camera) => (
        <CameraClock key={camera} camera={camera} shoot={plan.shoot} frames={frames} />
      ))}
    </View>
  );
}

function CameraClock({
  camera,
  shoot,
  frames,
}: {
  readonly camera: string;
  readonly shoot: Shoot;
  readonly frames: readonly MatchedFrame[];
}) {
  const { update } = useEdits();
  const offsetS = offsetOf(shoot, camera);
  const found = foundOffset(shoot, frames, camera);
  const set = (next: number) =>
    update((current) => withClock(current, camera, next), `clock ${camera}`);
  const [byHand, setByHand] = useState(false);
  const first = frames.find(({ frame }) => frame.camera === camera);
  const firstMs = first?.atMs ?? 0;
  const sign = offsetS < 0 ? -1 : 1;
  const [days, hours, minutes, seconds] = [
    sign * Math.floor(Math.abs(offsetS) / DAY_S),
    sign * Math.floor((Math.abs(offsetS) % DAY_S) / HOUR_S),
    sign * Math.floor((Math.abs(offsetS) % HOUR_S) / MINUTE_S),
    sign * (Math.abs(offsetS) % MINUTE_S),
  ];
  const part = (label: string, value: number, each: number, most: number) => (
    <Stepper
      label={label}
      value={value}
      min={-most}
      max={most}
      valueText={String(value)}
      onStep={(clicks) => set(Math.max(-MOST_OFF_S, Math.min(MOST_OFF_S, offsetS + clicks * each)))}
    />
  );
  // What nobody set and no tap speaks for is not right for that.
  const isChecked = Boolean(found) || shoot.log.clocks.some(({ name }) => name === camera);
  const differs = found && Math.abs(found.offsetS - offsetS) > 5;
  return (
    <View className="gap-2">
      <Heading level={2} kind="figure">
        {`Clock of ${camera || 'the camera'}: ${isChecked ? offsetInWords(offsetS) : 'not checked'}`}
      </Heading>
      {found && differs ? (
        <View className="gap-2 border-2 border-signal p-3">
          <Text kind="strong">{`It looks ${offsetInWords(found.offsetS)}.`}</Text>
          <Text kind="small">
            {`${found.matched} of ${found.of} keepers tapped in the field then follow a picture by some seconds.`}
          </Text>
          <Button label="Set it right" kind="primary" onPress={() => set(found.offsetS)} />
        </View>
      ) : null}
      {found && !differs ? (
        <Text kind="small" ink="quiet">
          {`${found.matched} of ${found.of} keepers tapped in the field follow a picture by some seconds.`}
        </Text>
      ) : null}
      <Button label="Set the clock by hand" onPress={() => setByHand(true)} />
      <Sheet title="Add to the camera’s time" open={byHand} onClose={() => setByHand(false)}>
        <Text>{`The first picture is then of ${localSecondOf(firstMs, shoot.place.timeZone).replace('T', ', ')}.`}</Text>
        <FirstTaken firstCameraMs={first?.frame.cameraMs ?? 0} onSet={set} />
        <Text kind="label">Or add to its time</Text>
        {part('Days', days, DAY_S, MOST_DAYS)}
        {part('Hours', hours, HOUR_S, 23)}
        {part('Minutes', minutes, MINUTE_S, 59)}
        {part('Seconds', seconds, 1, 59)}
        <Text kind="small" ink="quiet">
          Photograph the time that Field shows and set these until the picture says the same; or tap
          Keeper in Field after frames, and it is found by itself.
        </Text>
      </Sheet>
    </View>
  );
}

/** When the first picture was taken, typed: for a camera whose date is wrong. */
function FirstTaken({
  firstCameraMs,
  onSet,
}: {
  readonly firstCameraMs: number;
  readonly onSet: (offsetS: number) => void;
}) {
  const [typed, setTyped] = useState('');
  const [wrong, setWrong] = useState(false);
  const take = () => {
    const offsetS = offsetBy(typed, firstCameraMs);
    setWrong(offsetS === undefined);
    if (offsetS !== undefined) onSet(offsetS);
  };
  return (
    <View className="gap-2">
      <Field
        label="The first picture was taken at"
        hint="Date and time, such as 2027-04-16 19:02:11"
        error={wrong ? 'write date and time, such as 2027-04-16 19:02:11' : undefined}
        value={typed}
        onChangeText={setTyped}
        onSubmitEditing={take}
      />
      <Button label="Set the clock by it" disabled={typed.trim() === ''} onPress={take} />
    </View>
  );
}
