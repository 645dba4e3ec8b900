import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { ballOf } from '@/answers/answer';
import {
  EYE_TASKS,
  eyeOff,
  eyeQuestion,
  placedTowards,
  type EyeQuestion,
} from '@/answers/eye-drill';
import { pictured, type Pictured } from '@/answers/pictured';
import { eyeTries, readRight } from '@/answers/practised';
import { FrameRoom } from '@/features/shoot/ThroughLens';
import { lightInWords } from '@/features/shoot/words';
import { SmallFrame } from '@/figures/frame/SmallFrame';
import { TwoFrames } from '@/figures/frame/TwoFrames';
import { GroundSides } from '@/figures/GroundSides';
import { LitBall } from '@/figures/LitBall';
import { sketchOf } from '@/records/summary';
import { Button } from '@/ui/Button';
import { Text } from '@/ui/Text';
import type { DrillProps } from './drill-frame';
import { eyeAsks, eyeChoices, eyeInWords, sideNames } from './eye-words';
import { usePractice, type Rehearsal } from './rehearsal';
import { SoFar } from './SoFar';

const SAMPLES = 32;
/** Further off is drawn at the chart's edge. */
const MOST_STEPS = 3;
/** Hours about the minute that is looked at, either way. */
const ABOUT_MS = 6 * 3_600_000;

/** Read the light off a picture, or find the side it comes from. */
export function EyeDrill({ rehearsal, Frame }: DrillProps) {
  const [round, setRound] = useState(0);
  const question = useQuestion(rehearsal, round);
  const next = () => setRound(round + 1);
  if (!question) {
    return (
      <Frame title="Eye">
        <Text>Nothing to read in the light about this hour: move the time nearer to noon.</Text>
        <Button label="Try again" kind="primary" onPress={next} />
      </Frame>
    );
  }
  return <Asked key={round} {...{ rehearsal, question, next, Frame }} />;
}

/** Even chances from a seed (Park & Miller’s minimal standard, 1988): the same question while it is looked at. */
function chancesFrom(seed: number): () => number {
  let state = (seed % 2147483646) + 1;
  return () => {
    state = (state * 16807) % 2147483647;
    return state / 2147483647;
  };
}

/** A question of each kind in turn, begun at any; of what there is none, the next kind's. */
function useQuestion({ setup, picture, atMs }: Rehearsal, round: number): EyeQuestion | undefined {
  const [first] = useState(() => ({ setup, picture, atMs }));
  const [seed] = useState(() => Math.floor(Math.random() * 2 ** 31));
  return useMemo(() => {
    const chance = chancesFrom(seed + round * 7919);
    const hours = { fromMs: first.atMs - ABOUT_MS, toMs: first.atMs + ABOUT_MS };
    const from = seed + round;
    return EYE_TASKS.map((_, i) => EYE_TASKS[(from + i) % EYE_TASKS.length]).reduce<
      EyeQuestion | undefined
    >(
      (found, task) =>
        found ?? (task && eyeQuestion(first.setup, first.picture, hours, task, chance)),
      undefined,
    );
  }, [first, round, seed]);
}

function Asked({
  rehearsal,
  question,
  next,
  Frame,
}: {
  readonly rehearsal: Rehearsal;
  readonly question: EyeQuestion;
  readonly next: () => void;
  readonly Frame: DrillProps['Frame'];
}) {
  const { note } = usePractice();
  const [answer, setAnswer] = useState<number>();
  const { picture, task } = question;
  const choices = eyeChoices(question);
  const take = (choice: number) => {
    setAnswer(choice);
    note({ kind: 'eye', task, offSteps: eyeOff(question, choice) }, rehearsal);
  };
  return (
    <Frame
      title="Eye"
      picture={
        task === 'ground' ? (
          <Sides {...{ question, answer }} />
        ) : (
          <FrameRoom orientation={picture.view.orientation}>
            {(size) => (
              <SmallFrame
                scene={picture.scene}
                label={
                  answer === undefined
                    ? `${picture.view.subject.name} in some light`
                    : litInWords(picture)
                }
                samples={SAMPLES}
                first
                {...size}
              />
            )}
          </FrameRoom>
        )
      }
    >
      <Text kind="strong">{eyeAsks(question)}</Text>
      {answer === undefined ? (
        <View role="list" aria-label="Answers" className="flex-row flex-wrap gap-2">
          {choices.map((choice, i) => (
            <View
              key={choice}
              role="listitem"
              className={`grow ${choices.length > 4 ? 'min-w-[96px]' : 'basis-[40%]'}`}
            >
              <Button label={choice} onPress={() => take(i)} />
            </View>
          ))}
        </View>
      ) : (
        <View className="gap-2">
          <View className="flex-row items-center gap-3">
            <LitBall
              sizePx={52}
              label={`Ball lit as the camera sees it: ${lightInWords(picture.answer).toLowerCase()}`}
              light={ballOf(picture.view, picture.answer)}
            />
            <Text kind="strong" className="shrink" aria-live="polite">
              {eyeInWords(question, answer)}
            </Text>
          </View>
          <Button label="Next" kind="primary" onPress={next} />
        </View>
      )}
      <YourEye />
    </Frame>
  );
}

const litInWords = ({ view, answer }: Pictured): string =>
  `${view.subject.name}, ${lightInWords(answer).toLowerCase()}`;

/** The sides of a ground; then what is seen from the one that was chosen, and from the right one. */
function Sides({
  question: { setup, picture, atMs, choices, right },
  answer,
}: {
  readonly question: EyeQuestion;
  readonly answer: number | undefined;
}) {
  const sides = sideNames(choices);
  const sketch = useMemo(() => sketchOf({ ...setup, positions: [] }), [setup]);
  const mine = useMemo(
    () =>
      answer === undefined || answer === right
        ? undefined
        : pictured(placedTowards(setup, picture, choices[answer] as number), atMs),
    [setup, picture, choices, answer, right, atMs],
  );
  if (answer === undefined) {
    return (
      <View className="flex-1 items-center justify-center bg-paper">
        <GroundSides
          {...{ sketch, sides }}
          label={`The ground, north up: ${sides.map(({ name }) => name).join('; ')}`}
        />
      </View>
    );
  }
  return (
    <FrameRoom orientation={picture.view.orientation}>
      {(size) =>
        mine ? (
          <TwoFrames
            left={{
              scene: mine.scene,
              name: `Yours, ${sides[answer]?.letter}`,
              label: litInWords(mine),
            }}
            right={{
              scene: picture.scene,
              name: `From ${sides[right]?.letter}`,
              label: litInWords(picture),
            }}
            {...size}
          />
        ) : (
          <SmallFrame
            scene={picture.scene}
            label={litInWords(picture)}
            samples={SAMPLES}
            first
            {...size}
          />
        )
      }
    </FrameRoom>
  );
}

function YourEye() {
  const { practice } = usePractice();
  const tries = practice ? eyeTries(practice) : [];
  return (
    <SoFar
      name="Your eye"
      tries={tries.map((made) => ({ off: made.offSteps, good: readRight(made) }))}
      counted={{ one: 'answer', many: 'answers', good: 'right' }}
      ends={[0, MOST_STEPS]}
      nameOf={(off) => (off === 0 ? 'right' : `${off} off`)}
    />
  );
}
