import { useRouter } from 'expo-router';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { warmUpOf, type WarmUpId, type WhyWarmUp } from '@/answers/warm-up';
import { demoShoots } from '@/demo/seed';
import { untilInDays } from '@/records/day-said';
import type { Practice } from '@/records/practice';
import { useShoots } from '@/records/queries';
import type { Shoot } from '@/records/shoot';
import { localMinuteOf } from '@/records/times';
import { Button } from '@/ui/Button';
import { RowButton } from '@/ui/RowButton';
import { Heading, Text } from '@/ui/Text';
import { nameOf, type DrillProps } from './drill-frame';

const WHY: Readonly<Record<WhyWarmUp, string>> = {
  promised: 'a promised shot hangs on it',
  due: 'due again',
  weak: 'weakest lately',
  new: 'not tried yet',
};

/** The shoot that comes next by the clocks of their places, or is on. */
function nextOf(shoots: readonly Shoot[], nowMs: number): Shoot | undefined {
  return [...shoots]
    .filter(({ endLocal, place }) => endLocal >= localMinuteOf(nowMs, place.timeZone))
    .sort((a, b) => (a.startLocal < b.startLocal ? -1 : 1))[0];
}

/** Where the day of this device began. */
function dayBegan(nowMs: number): string {
  const began = new Date(nowMs);
  began.setHours(0, 0, 0, 0);
  return began.toISOString();
}

/** Three minutes for the shoot at hand, or the next one. */
export function WarmUp({
  practice,
  shootId,
  onOpen,
}: {
  readonly practice: Practice;
  readonly shootId: string | undefined;
  readonly onOpen: DrillProps['onOpen'];
}) {
  const router = useRouter();
  const all = useShoots(demoShoots).data;
  const [nowMs] = useState(() => Date.now());
  const shoot = useMemo(
    () =>
      shootId === undefined ? nextOf(all ?? [], nowMs) : all?.find(({ id }) => id === shootId),
    [all, shootId, nowMs],
  );
  const parts = useMemo(
    () =>
      warmUpOf(practice, shoot?.shots ?? [], {
        nowIso: new Date(nowMs).toISOString(),
        todayFromIso: dayBegan(nowMs),
      }),
    [practice, shoot, nowMs],
  );
  if (!all) return null;
  // A place is chosen on the ground of a shoot.
  const open = (drill: WarmUpId) =>
    drill === 'stand' && shootId === undefined && shoot
      ? router.navigate(`/shoot/${shoot.id}/practice/stand`)
      : onOpen(drill);
  const left = parts.filter(({ done, tries }) => done < tries);
  const when =
    shoot &&
    untilInDays(
      shoot.startLocal,
      shoot.endLocal,
      localMinuteOf(nowMs, shoot.place.timeZone),
    ).toLowerCase();
  return (
    <View role="region" aria-label="Warm-up" className="gap-1">
      <Heading level={3} kind="figure">
        {left.length > 0 || parts.length === 0 ? 'Warm-up: three minutes' : 'Warmed up'}
      </Heading>
      {shoot ? <Text kind="small" ink="quiet">{`For ${shoot.title}, ${when}.`}</Text> : null}
      <View role="list" aria-label="Warm-up, in order">
        {parts.map(({ drill, tries, done, why }) => (
          <RowButton
            key={drill}
            name={`${nameOf(drill)}: ${done} of ${tries}`}
            detail={done >= tries ? 'done today' : WHY[why]}
            onPress={() => open(drill)}
          />
        ))}
      </View>
      {shootId === undefined && shoot ? (
        <Button
          label={`Practise on ${shoot.title}`}
          onPress={() => router.navigate(`/shoot/${shoot.id}/practice`)}
        />
      ) : null}
    </View>
  );
}
