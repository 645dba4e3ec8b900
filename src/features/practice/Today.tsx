import { View } from 'react-native';
import {
  asGood,
  benchTries,
  eyeTries,
  FEWEST_TRIES,
  momentPractised,
  panPractised,
  readRight,
  standTries,
  stopsTries,
  withinAStop,
} from '@/answers/practised';
import type { WarmUpId } from '@/answers/warm-up';
import { MOMENTS, type Practice } from '@/records/practice';
import { LessonList } from '@/features/shoot/LessonList';
import { PAN_LESSON, PRESS_LESSON } from '@/features/shoot/lessons';
import { useLessons } from '@/features/shoot/use-lessons';
import { percent } from '@/features/shoot/words';
import { Button } from '@/ui/Button';
import { Heading, Text } from '@/ui/Text';
import { RowButton } from '@/ui/RowButton';
import { useToast } from '@/ui/Toast';
import { DRILLS, type DrillProps } from './drill-frame';
import { HomeFields } from './HomeFields';
import { lateInShort, MOMENT_NAMES } from './moment-words';
import { usePractice } from './rehearsal';
import { WarmUp } from './WarmUp';

/** What practice has come to, what of it is in the plan, and what is practised on at home. */
export function Today({ rehearsal, Frame, onOpen }: DrillProps) {
  const { practice } = usePractice();
  return (
    <Frame title="Practice">
      {practice ? <WarmUp {...{ practice, onOpen }} shootId={rehearsal.shootId} /> : null}
      {practice ? <SoFar practice={practice} onOpen={onOpen} /> : null}
      {rehearsal.shootId === undefined ? <HomeFields /> : <InPlan />}
      <Clear />
    </Frame>
  );
}

const count = (n: number, what: string): string => `${n} ${what}${n === 1 ? '' : 's'}`;

function panSoFar(practice: Practice): string {
  const practised = panPractised(practice);
  if (practised) {
    const { value, low, high } = practised.hand.sigma;
    return `Rate off by ${percent(value)} (${percent(low)} to ${percent(high)}), ${count(practised.count, 'swing')}`;
  }
  const tried = practice.tries.filter(({ kind }) => kind === 'pan').length;
  return tried === 0
    ? 'Follow what crosses; see the frame that swing made'
    : `${count(tried, 'swing')}; told from ${FEWEST_TRIES} by hand on`;
}

function momentSoFar(practice: Practice): string {
  const told = MOMENTS.flatMap((kind) => {
    const hand = momentPractised(practice, kind);
    return hand ? [`${MOMENT_NAMES[kind].toLowerCase()} ${lateInShort(hand)}`] : [];
  });
  if (told.length > 0) return told.join(' · ');
  const tried = practice.tries.filter(({ kind }) => kind === 'moment').length;
  return tried === 0
    ? 'Press when it happens; see what a burst would have had'
    : `${tried === 1 ? '1 press' : `${tried} presses`}; told from ${FEWEST_TRIES} of a kind on`;
}

/** How many of the last were good; or what there is to do. */
const lately = <T,>(
  tries: readonly T[],
  good: (made: T) => boolean,
  called: string,
  todo: string,
): string =>
  tries.length === 0 ? todo : `${tries.filter(good).length} of the last ${tries.length} ${called}`;

const SAID: Readonly<Record<WarmUpId, (practice: Practice) => string>> = {
  pan: panSoFar,
  moment: momentSoFar,
  blur: (practice) =>
    lately(
      [...benchTries(practice, 'name'), ...benchTries(practice, 'hold')],
      withinAStop,
      'within a stop',
      'Name the time of a smear; find the slowest that holds',
    ),
  stops: (practice) =>
    lately(
      stopsTries(practice),
      ({ right }) => right,
      'right',
      'A frame comes back too dark: find the stops where they cost least',
    ),
  eye: (practice) =>
    lately(
      eyeTries(practice),
      readRight,
      'right',
      'Where the sun stands, how high, which hour, how much light',
    ),
  stand: (practice) =>
    lately(
      standTries(practice),
      asGood,
      'as good as the best',
      'Choose a place on the plan; see the best there is',
    ),
};

function SoFar({
  practice,
  onOpen,
}: {
  readonly practice: Practice;
  readonly onOpen: DrillProps['onOpen'];
}) {
  return (
    <View role="list" aria-label="Drills">
      {DRILLS.map(({ id, name }) =>
        id === 'today' ? null : (
          <RowButton key={id} name={name} detail={SAID[id](practice)} onPress={() => onOpen(id)} />
        ),
      )}
    </View>
  );
}

/** What practice says to this plan: used, or left out. */
function InPlan() {
  const lessons = useLessons()?.filter(({ id }) => id === PAN_LESSON || id === PRESS_LESSON) ?? [];
  return (
    <View role="region" aria-label="In this plan" className="gap-2">
      <Heading level={3}>In this plan</Heading>
      {lessons.length > 0 ? (
        <LessonList lessons={lessons} />
      ) : (
        <Text ink="quiet">
          {`Nothing yet: after ${FEWEST_TRIES} swings by hand, or ${FEWEST_TRIES} presses at one moment, the plan can reckon with yours.`}
        </Text>
      )}
    </View>
  );
}

/** Throws away what was practised, which can be undone. */
function Clear() {
  const { practice, change } = usePractice();
  const say = useToast();
  if (!practice || practice.tries.length === 0) return null;
  const { tries } = practice;
  return (
    <Button
      kind="quiet"
      label={`Clear all ${tries.length} tries`}
      onPress={() => {
        change((now) => ({ ...now, tries: [] }));
        say({
          text: `${tries.length} tries cleared`,
          action: {
            label: 'Undo',
            onPress: () => change((now) => ({ ...now, tries: [...tries, ...now.tries] })),
          },
        });
      }}
    />
  );
}
