import { View } from 'react-native';
import { useEdits, useShown } from '@/features/shoot/open-shoot';
import { minutesBetween, restShifted, startOf, startsAt, strandOf } from '@/records/edit-events';
import { localMinuteOf } from '@/records/times';
import { Button } from '@/ui/Button';
import { Stepper } from '@/ui/Stepper';
import { Heading, Text } from '@/ui/Text';
import { useToast } from '@/ui/Toast';
import { useIsWide } from '@/ui/use-shape';
import {
  comingLines,
  dayInWords,
  lateInWords,
  lostAhead,
  nextInWords,
} from '@/features/shoot/day-lines';
import { eventTitle } from '@/records/day-said';
import { withWhatLens } from '@/features/shoot/lens-words';
import { peopleOwed } from '@/answers/people-owed';
import { metAmong } from '@/features/shoot/people-owed';
import { PeopleOwed } from '@/features/shoot/PeopleOwed';
import { arrivalOf } from '@/answers/nature';
import { ARRIVE_BEFORE } from '@/features/shoot/visit-words';
import { WhoseDay } from './WhoShoots';
import { useDay, type Day } from '@/features/shoot/use-day';

const STRANDS = [
  { strand: 'timed', label: 'All at their times' },
  { strand: 'goesOn', label: 'All that goes on' },
] as const;

/** An event that was due so long ago has been and gone. */
const DUE_MIN = 30;
const MOST_DUE = 2;

/** What is next, from where, and how the meet runs against its programme. */
export function DayAnswer() {
  const { shoot, atMs, clock } = useShown('shoot', 'atMs', 'clock');
  const { lines, all, state } = useDay();
  const owed = peopleOwed(shoot);
  const wide = useIsWide();
  if (shoot.events.length === 0) {
    const { inPlaceMs, before, lightMs } = arrivalOf(shoot);
    return (
      <View role="region" aria-label="Day" className="gap-1">
        <Heading level={2} kind="title">{`Be in place by ${clock(inPlaceMs)}`}</Heading>
        <Text>
          {before === 'start'
            ? `${shoot.day.settleMin} minutes before the start.`
            : `Settled before ${ARRIVE_BEFORE[before]} at ${clock(lightMs)}.`}
        </Text>
        <Text kind="small" ink="quiet">
          No running order yet. Bring one in as a table or a calendar, or add events: then the day
          is planned, from which place to shoot which.
        </Text>
      </View>
    );
  }
  const isKnown = lines.some(({ status }) => status !== 'unknown');
  const next = nextInWords(lines, atMs, shoot, clock);
  const [coming] = comingLines(lines, atMs);
  const [where = '', ...calls] = next.lines;
  // A phone has no line to spare for it: there the route and Field name it.
  const lens = coming && wide ? withWhatLens(shoot, coming) : '';
  const said = isKnown ? [[where, lens].filter(Boolean).join(' '), ...calls] : [];
  const sum = dayInWords(lines, metAmong(owed, all), all);
  return (
    <View role="region" aria-label="Day" className="gap-1">
      {state.kind === 'trouble' ? (
        <Text role="alert">{`The day can’t be planned: ${state.says}`}</Text>
      ) : null}
      <Heading level={2} kind="title">
        {isKnown ? next.head : state.kind === 'trouble' ? 'No plan of the day' : 'Planning the day'}
      </Heading>
      {said.filter(Boolean).map((line) => (
        <Text key={line}>{line}</Text>
      ))}
      <Text kind="small" ink="quiet" aria-live="polite">
        {`${lateInWords(shoot, atMs)}. ${stateInWords(state, sum)}`}
      </Text>
      <WhoseDay />
      <PeopleOwed />
      <AboutToBeLost />
    </View>
  );
}

/** What the day brings, or that it is still planned. */
function stateInWords(state: Day['state'], sum: string): string {
  switch (state.kind) {
    case 'planning':
      return 'Planning.';
    case 'looking':
      return `${sum} Looking for a better order.`;
    case 'planned':
      return `${sum}${state.more}`;
    case 'trouble':
      return '';
  }
}

/** What was promised and is still to come, but is in no route: who is about to be lost, and why. */
function AboutToBeLost() {
  const { atMs, clock } = useShown('atMs', 'clock');
  const { lines } = useDay();
  const lost = lostAhead(lines, atMs);
  if (lost.length === 0) return null;
  return (
    <View role="list" aria-label="About to be lost" className="border-l-4 border-l-signal pl-2">
      {lost.map(({ event, startMs, why }) => (
        <Text key={event.id} kind="small" role="listitem">
          <Text kind="label">{`About to be lost: ${eventTitle(event)}, ${clock(startMs)}. `}</Text>
          {why}
        </Text>
      ))}
    </View>
  );
}

/** One tap for a meet that runs late: an event starts now, and all after it keep their distance. */
export function RunningLate() {
  const { shoot, atMs } = useShown('shoot', 'atMs');
  const { update, undo } = useEdits();
  const say = useToast();
  const at = localMinuteOf(atMs, shoot.place.timeZone);
  const due = shoot.events
    .filter((event) => {
      const since = minutesBetween(startOf(event), at);
      return since > 0 && since <= DUE_MIN;
    })
    .slice(-MOST_DUE);
  // What goes on runs late by itself: the track may be behind, and the field on time.
  const strands = STRANDS.flatMap(({ strand, label }) => {
    const next = shoot.events.find((event) => strandOf(event) === strand && startOf(event) >= at);
    return next ? [{ strand, label, next, late: next.lateMin ?? 0 }] : [];
  });
  const both = shoot.events.some(({ window }) => window);
  if (strands.length === 0 && due.length === 0) return null;
  const word = (minutes: number) =>
    minutes === 0 ? 'on time' : `${Math.abs(minutes)} min ${minutes > 0 ? 'behind' : 'ahead'}`;
  return (
    <View className="gap-2">
      {due.map((event) => (
        <Button
          key={event.id}
          label={`${eventTitle(event)}: starts now, ${minutesBetween(startOf(event), at)} min late`}
          onPress={() => {
            const by = minutesBetween(startOf(event), at);
            update((current) => startsAt(current, event.id, at));
            say({
              text: `${both ? 'This and later ones like it' : 'This and later events'} moved ${by} min`,
              action: { label: 'Undo', onPress: undo },
            });
          }}
        />
      ))}
      {strands.map(({ strand, label, next, late }) => (
        <Stepper
          key={strand}
          label={both ? `${label} from ${at.slice(11)} on` : `All from ${at.slice(11)} on`}
          value={late}
          min={-60}
          max={240}
          valueText={word(late)}
          onStep={(clicks) =>
            update(
              (current) => restShifted(current, startOf(next), clicks, strand),
              `late ${strand}`,
            )
          }
        />
      ))}
    </View>
  );
}
