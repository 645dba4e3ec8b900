import { useState } from 'react';
import { Image } from 'react-native';
import { offsetMs } from '@/answers/camera-clock';
import type { MatchedFrame } from '@/answers/matched';
import { useEdits, useShown } from '@/features/shoot/open-shoot';
import { withClock } from '@/records/edit-log';
import { MOST_OFF_S } from '@/records/log';
import { localSecondOf } from '@/records/times';
import { Button } from '@/ui/Button';
import { Field } from '@/ui/Field';
import { Sheet } from '@/ui/Sheet';
import { Stepper } from '@/ui/Stepper';
import { Text } from '@/ui/Text';
import { offsetBy } from './log-rows';
import { useThumbnails } from './thumbnails';

const MINUTE_S = 60;
const HOUR_S = 3600;
const DAY_S = 86_400;
const MOST_DAYS = Math.floor(MOST_OFF_S / DAY_S);
const PX = 160;

/** A camera's clock by a picture of a clock, or by what is added to it. @param frames of one camera */
export function ClockSheet({
  frames,
  onClose,
}: {
  readonly frames: readonly MatchedFrame[];
  readonly onClose: () => void;
}) {
  const { shoot } = useShown('shoot');
  const { update } = useEdits();
  const thumbnailOf = useThumbnails(shoot.id);
  const [at, setAt] = useState(0);
  const [typed, setTyped] = useState('');
  const [wrong, setWrong] = useState(false);
  const shown = frames[Math.min(at, frames.length - 1)];
  const first = frames[0];
  if (!shown || !first) return null;
  const { camera, cameraMs, name } = shown.frame;
  const offsetS = Math.round(offsetMs(shoot, first.frame) / 1000);
  const set = (next: number, by?: 'picture') =>
    update(
      (current) => withClock(current, camera, [{ offsetS: next, ...(by && { by }) }]),
      `clock ${camera}`,
    );
  const take = () => {
    const next = offsetBy(typed, cameraMs, shoot.startLocal);
    setWrong(next === undefined);
    if (next !== undefined) set(next, 'picture');
  };
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
  const thumbnail = thumbnailOf(shown.key);
  return (
    <Sheet title="Add to the camera’s time" open onClose={onClose}>
      <Text>{`${name} is then of ${localSecondOf(shown.atMs, shoot.place.timeZone).replace('T', ', ')}.`}</Text>
      <Text kind="label">By a picture of a clock, or of the time that Field shows</Text>
      {thumbnail ? (
        <Image
          source={{ uri: thumbnail }}
          resizeMode="contain"
          aria-label={name}
          style={{ width: PX, height: PX }}
        />
      ) : null}
      <Stepper
        label="Picture"
        value={at + 1}
        min={1}
        max={frames.length}
        valueText={`${at + 1} of ${frames.length}`}
        onStep={(clicks) => setAt(Math.max(0, Math.min(frames.length - 1, at + clicks)))}
      />
      <Field
        label="This picture was taken at"
        hint="As the clock in it says, such as 19:02:11; with a date where the camera’s is wrong, 2027-04-16 19:02:11"
        error={wrong ? 'write a time with seconds, such as 19:02:11' : undefined}
        value={typed}
        onChangeText={setTyped}
        onSubmitEditing={take}
      />
      <Button label="Set the clock by it" disabled={typed.trim() === ''} onPress={take} />
      <Text kind="label">Or add to its time</Text>
      {part('Days', days, DAY_S, MOST_DAYS)}
      {part('Hours', hours, HOUR_S, 23)}
      {part('Minutes', minutes, MINUTE_S, 59)}
      {part('Seconds', seconds, 1, 59)}
    </Sheet>
  );
}
