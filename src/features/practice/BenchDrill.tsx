import { useMemo, useState, type ReactNode } from 'react';
import { View } from 'react-native';
import {
  BENCH_S,
  benchOff,
  benchScene,
  gradeAt,
  loupeOn,
  questionOf,
  type Question,
} from '@/answers/blur-bench';
import { benchTries, withinAStop } from '@/answers/practised';
import { formatShutter, DELIVERED_LONG_SIDE_PX, type Scene } from '@/core';
import { FrameRoom } from '@/features/shoot/ThroughLens';
import { metres } from '@/features/shoot/words';
import type { FrameSize } from '@/figures/frame/size';
import { SmallFrame } from '@/figures/frame/SmallFrame';
import { TwoFrames } from '@/figures/frame/TwoFrames';
import { Button } from '@/ui/Button';
import { Choice } from '@/ui/Choice';
import { Text } from '@/ui/Text';
import type { DrillProps } from './drill-frame';
import {
  askedInWords,
  benchInWords,
  gradesInWords,
  leaningInWords,
  paceInWords,
} from './bench-words';
import { FanDrill } from './FanDrill';
import { chancesNow, useBenchAtHome, usePractice, type Rehearsal } from './rehearsal';
import { SoFar } from './SoFar';

const SAMPLES = 64;
/** Further off is drawn at the chart's edge. */
const MOST_STOPS = 4;
const TASKS = [
  { value: 'name', label: 'Name the time' },
  { value: 'hold', label: 'Slowest that holds' },
  { value: 'fan', label: 'Your own fan' },
] as const;
type Task = (typeof TASKS)[number]['value'];

/** What smears how far at which time: named from its picture, or chosen so that it just holds. */
export function BenchDrill({ rehearsal, Frame }: DrillProps) {
  const [round, setRound] = useState(0);
  const [task, setTask] = useState<Task>('name');
  const [chances, setChances] = useState(chancesNow);
  const atHome = useBenchAtHome(round);
  const on = rehearsal.shootId === undefined && atHome ? atHome : rehearsal;
  const question = useMemo(
    () => (task === 'fan' ? undefined : questionOf(on.picture, task, chances)),
    [on, task, chances],
  );
  const next = () => {
    setRound(round + 1);
    setChances(chancesNow());
  };
  const above = <Choice label="Task" value={task} options={TASKS} onChange={setTask} />;
  if (task === 'fan') return <FanDrill {...{ rehearsal, Frame, above }} />;
  if (!question) {
    return (
      <Frame title="Blur">
        {above}
        <Text>
          {`Nothing of ${on.picture.view.subject.name.toLowerCase()} smears enough from here to be told apart.`}
        </Text>
        <Button label="Something else" kind="primary" onPress={next} />
      </Frame>
    );
  }
  return <Asked key={`${round} ${task}`} {...{ on, question, task, next, above, Frame }} />;
}

function Asked({
  on,
  question,
  task,
  above,
  next,
  Frame,
}: {
  readonly on: Rehearsal;
  readonly question: Question;
  readonly task: Question['task'];
  readonly above: ReactNode;
  readonly next: () => void;
  readonly Frame: DrillProps['Frame'];
}) {
  const { note } = usePractice();
  const { picture } = on;
  const { view } = picture;
  const [answerS, setAnswerS] = useState<number>();
  const scenes = useMemo(
    () => ({
      truth: benchScene(picture, question.shutterS),
      answered: benchScene(picture, answerS ?? question.shutterS),
    }),
    [picture, question, answerS],
  );
  const times = BENCH_S.filter((shutterS) => shutterS >= view.body.fastestShutterS);
  const answer = (shutterS: number) => {
    setAnswerS(shutterS);
    note(
      {
        kind: 'bench',
        task,
        subject: view.subject.name,
        shutterS: question.shutterS,
        offStops: benchOff(question, shutterS),
      },
      on,
    );
  };
  // The picture of what is asked for would be the answer.
  const shows = task === 'name' || answerS !== undefined;
  return (
    <Frame
      title="Blur"
      picture={
        <FrameRoom orientation={view.orientation}>
          {(size) =>
            answerS !== undefined && answerS !== question.shutterS ? (
              <TwoFrames
                left={named(
                  near(scenes.answered, question, size),
                  `Yours, ${formatShutter(answerS)}`,
                )}
                right={named(
                  near(scenes.truth, question, size),
                  `Right, ${formatShutter(question.shutterS)}`,
                )}
                {...size}
              />
            ) : (
              <SmallFrame
                scene={near(
                  shows ? scenes.truth : benchScene(picture, times.at(-1) ?? 0),
                  question,
                  size,
                )}
                label={`${view.subject.name}, the ${question.part} in the middle${answerS === undefined ? '' : `, at ${formatShutter(question.shutterS)}`}`}
                samples={SAMPLES}
                first
                {...size}
              />
            )
          }
        </FrameRoom>
      }
    >
      {above}
      <Text kind="strong">{askedInWords(question)}</Text>
      <Text kind="small" ink="quiet">
        {`${view.subject.name}, ${metres(view.sight.distanceM)} off at ${Math.round(view.focalMm)} mm, ${paceInWords(view, question.part)}; the camera on a tripod. Shown as delivered, pixel for pixel.`}
      </Text>
      {answerS === undefined ? (
        <View role="list" aria-label="Times" className="flex-row flex-wrap gap-2">
          {times.map((shutterS) => (
            <View key={shutterS} role="listitem" className="min-w-[72px] grow">
              <Button label={formatShutter(shutterS)} onPress={() => answer(shutterS)} />
            </View>
          ))}
        </View>
      ) : (
        <View className="gap-2">
          <Text kind="strong" aria-live="polite">
            {benchInWords(question, answerS)}
          </Text>
          <Text kind="small">
            {gradesInWords(question, answerS, (shutterS) =>
              gradeAt(picture, question.part, shutterS),
            )}
          </Text>
          <Button label="Next" kind="primary" onPress={next} />
        </View>
      )}
      <YourAnswers task={task} />
    </Frame>
  );
}

const named = (scene: Scene, name: string) => ({ scene, name, label: name });

/** Round the part that is asked for, pixel for pixel of the picture as delivered. */
function near(scene: Scene, { part }: Question, size: FrameSize): Scene {
  const { widthMm, heightMm } = scene.camera.sensor;
  return loupeOn(scene, part, size, Math.max(widthMm, heightMm) / DELIVERED_LONG_SIDE_PX);
}

function YourAnswers({ task }: { readonly task: Question['task'] }) {
  const { practice } = usePractice();
  const tries = practice ? benchTries(practice, task) : [];
  const leaning = leaningInWords(tries.map(({ offStops }) => offStops));
  return (
    <SoFar
      name="Your answers"
      tries={tries.map((made) => ({ off: made.offStops, good: withinAStop(made) }))}
      counted={{ one: 'answer', many: 'answers', good: 'within a stop' }}
      ends={[-MOST_STOPS, MOST_STOPS]}
      nameOf={(off) => (off === 0 ? 'right' : off > 0 ? 'slow' : 'fast')}
    >
      {leaning === '' ? null : <Text>{leaning}</Text>}
    </SoFar>
  );
}
