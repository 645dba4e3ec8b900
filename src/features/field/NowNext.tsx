import { useMemo } from 'react';
import { View } from 'react-native';
import { remindersOf } from '@/answers/reminders';
import { useDay } from '@/features/shoot/use-day';
import { whoInWords } from '@/features/shoot/day-lines';
import { eventTitle, dayOf } from '@/records/day-said';
import { useOffline } from '@/ui/use-offline';
import { useCard } from '@/features/shoot/use-card';
import { useShown } from '@/features/shoot/open-shoot';
import { clockOf, localSecondOf } from '@/records/times';
import { Button } from '@/ui/Button';
import { Heading, Text } from '@/ui/Text';
import {
  countdown,
  nextCall,
  nextLight,
  nextReminder,
  runningLine,
  thenInWords,
  thenLines,
  type Coming,
} from './now-next';
import { useFieldTime, useNowMs } from './use-field-time';
import type { Awake } from './use-wake-lock';

/** What is on, what comes next, and how long until then. */
export function NowNext({
  awake,
  low,
  owing,
}: {
  readonly awake: Awake;
  readonly low: boolean;
  /** Whether pictures are owed of anyone: then who comes next is named. */
  readonly owing: boolean;
}) {
  const { shoot, atMs, clock, ribbon, seen, setup, hours } = useShown(
    'shoot',
    'atMs',
    'clock',
    'ribbon',
    'seen',
    'setup',
    'hours',
  );
  const { live, following, follow } = useFieldTime();
  const now = useNowMs(following) ?? atMs;
  const { lines } = useDay();
  const { card } = useCard(seen.ok ? seen.view : undefined, setup.choice, ribbon.series, hours);
  const running = runningLine(lines, now);
  const sun = ribbon.events.find(({ timeMs }) => timeMs > now);
  const view = seen.ok ? seen.view : undefined;
  // The dawn is looked for once, not each second.
  const reminders = useMemo(() => remindersOf(shoot, view), [shoot, view]);
  const reminder = nextReminder(reminders, now);
  const next: Coming | undefined =
    nextCall(lines, shoot, now) ??
    (now < hours.startMs
      ? { what: 'Start', atMs: hours.startMs }
      : sun
        ? { what: sun.name, atMs: sun.timeMs }
        : now < hours.endMs
          ? { what: 'End', atMs: hours.endMs }
          : undefined);
  // A low screen names those alone of whom pictures are owed.
  const shown = low ? { people: shoot.people.filter(({ owed }) => owed) } : shoot;
  const then = thenLines(lines, now);
  const offline = useOffline();
  const lacks = [
    ...(live && awake === 'cannot'
      ? ['The screen may go dark: this browser can’t keep it on.']
      : []),
    ...(live && offline === 'cannot'
      ? ['Stay on this page: it can’t be opened without a network.']
      : []),
  ];
  const light = nextLight(card, ribbon.series, now);
  return (
    <View role="region" aria-label="Now and next" className={`px-3 ${low ? '' : 'gap-1 pt-1'}`}>
      <View className="flex-row items-center justify-between gap-2">
        <Heading level={2} kind="title">
          {live && following
            ? localSecondOf(now, shoot.place.timeZone).slice(11)
            : clockOf(now, shoot.place.timeZone)}
        </Heading>
        <Text className="min-w-0 flex-1" kind="strong" numberOfLines={4}>
          {running
            ? [`Now: ${eventTitle(running.event)}`, ...whoInWords(running.event, shown)].join(', ')
            : ''}
        </Text>
        {live ? (
          <Button
            kind="quiet"
            label={following ? 'Look ahead' : 'Back to now'}
            onPress={() => follow(!following)}
          />
        ) : null}
      </View>
      {live ? null : (
        <Text kind="small" ink="quiet">
          {`Rehearsal of ${dayOf(shoot.startLocal)}: not counted.`}
        </Text>
      )}
      {lacks.length > 0 ? (
        <Text kind="small" ink="quiet">
          {lacks.join(' ')}
        </Text>
      ) : null}
      <ComingLine name="Next" coming={next} nowMs={now} clock={clock} />
      {then.length > 0 && owing && !low ? (
        <Text kind="small">
          {`Then ${then.map((line) => thenInWords(line, shoot, clock)).join('; ')}.`}
        </Text>
      ) : null}
      {reminder && !low ? (
        <ComingLine name="Mind" coming={reminder} nowMs={now} clock={clock} />
      ) : null}
      <ComingLine name="Light" coming={light} nowMs={now} clock={clock} />
    </View>
  );
}

/** With a capital: it begins a line. */
const begun = (words: string): string => words.slice(0, 1).toUpperCase() + words.slice(1);

function ComingLine({
  name,
  coming,
  nowMs,
  clock,
}: {
  readonly name: string;
  readonly coming: Coming | undefined;
  readonly nowMs: number;
  readonly clock: (ms: number) => string;
}) {
  return (
    <View className="flex-row items-baseline gap-2">
      <Text kind="tiny" ink="quiet" className="min-w-[38px] whitespace-nowrap">
        {name}
      </Text>
      <Text className="min-w-0 flex-1" numberOfLines={4}>
        {coming ? `${begun(coming.what)}, ${clock(coming.atMs)}` : 'Nothing more'}
      </Text>
      {coming ? (
        <Text kind="strong" role="timer" aria-label={`${name} ${countdown(coming.atMs - nowMs)}`}>
          {countdown(coming.atMs - nowMs)}
        </Text>
      ) : null}
    </View>
  );
}
