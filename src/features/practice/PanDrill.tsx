import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { View } from 'react-native';
import {
  crossingOf,
  judgedPan,
  panPicture,
  rungsOf,
  swungScene,
  type Crossing,
  type PanJudged,
} from '@/answers/crossing';
import { FEWEST_TRIES, nextRungS, oddsOf, panPractised, triesAt } from '@/answers/practised';
import { formatShutter, judgeSwing, panArc, type Scene, type CameraSwing } from '@/core';
import { settingsInWords } from '@/features/shoot/exposure-words';
import { FrameRoom } from '@/features/shoot/ThroughLens';
import { metres, percent } from '@/features/shoot/words';
import { SmallFrame } from '@/figures/frame/SmallFrame';
import { TwoFrames } from '@/figures/frame/TwoFrames';
import type { FrameSize } from '@/figures/frame/size';
import { Button } from '@/ui/Button';
import { Picker } from '@/ui/Picker';
import { Text } from '@/ui/Text';
import type { DrillProps } from './drill-frame';
import { handInWords, oddsInWords, swingAdvice, swingInWords } from './pan-words';
import { usePractice, type Rehearsal } from './rehearsal';
import type { Swung } from './run';
import { SoFar } from './SoFar';
import { SwingPad } from './SwingPad';
import { hearTurning, type HeardTurn } from './turning';

/** As fine as a frame that stands alone. */
const SAMPLES = 64;
/** Beyond this a swing is drawn at the chart's edge. */
const MOST_OFF = 0.4;
/** So many of the last are drawn. */
const RECENT = 30;
const BY_LADDER = 'ladder';

interface Result {
  readonly swung: Swung;
  readonly swing: CameraSwing;
  readonly judged: PanJudged;
  readonly made: Scene;
  readonly even: Scene;
  readonly dials: string;
}

/** Follow what crosses, press in the middle, see the frame that swing made. */
export function PanDrill({ rehearsal, Frame }: DrillProps) {
  const crossing = useMemo(() => crossingOf(rehearsal.picture.view), [rehearsal.picture.view]);
  return crossing ? (
    <PanOn rehearsal={rehearsal} crossing={crossing} Frame={Frame} />
  ) : (
    <Frame title="Pan">
      <Text>
        {`${rehearsal.picture.view.subject.name}, seen from ${rehearsal.picture.view.position.name}: it stands, or comes at you, so there is nothing to pan. Choose another mark or place on Ground, or practise at home.`}
      </Text>
    </Frame>
  );
}

function PanOn({
  rehearsal,
  crossing,
  Frame,
}: Pick<DrillProps, 'rehearsal' | 'Frame'> & { readonly crossing: Crossing }) {
  const { setup, picture, atMs } = rehearsal;
  const { view } = picture;
  const { practice, note } = usePractice();
  const [held, setHeld] = useState<number>();
  const [result, setResult] = useState<Result>();
  const [besideEven, setBesideEven] = useState(false);
  const [unread, setUnread] = useState(false);
  const { turning, ask, away, refused } = useTurning();
  const nextS = practice ? nextRungS(practice, view) : undefined;
  const shutterS = held ?? nextS;
  const dialled = useMemo(
    () => (shutterS === undefined ? undefined : panPicture(setup, picture, atMs, shutterS)),
    [setup, picture, atMs, shutterS],
  );
  const sensor = view.body.sensor;
  const frameHighDeg =
    (Math.atan((view.orientation === 'level' ? sensor.heightMm : sensor.widthMm) / view.focalMm) *
      180) /
    Math.PI;
  if (!dialled || shutterS === undefined || !practice) return <Frame title="Pan">{null}</Frame>;

  const finish = (swung: Swung) => {
    const { track, pressS, by } = swung;
    const swing = judgeSwing({ track, subjectAt: crossing.subjectAt, pressS, shutterS });
    setUnread(!swing);
    if (!swing) return;
    const judged = judgedPan(crossing, swing, shutterS);
    const { settings } = dialled.answer.exposure;
    setResult({
      ...{ swung, swing, judged },
      made: swungScene(crossing, dialled.scene, swing),
      even: swungScene(crossing, dialled.scene, {
        rateError: 0,
        off: { turnDeg: 0, upDeg: 0 },
      }),
      dials: settingsInWords(settings),
    });
    note(
      {
        kind: 'pan',
        by,
        subject: view.subject.name,
        distanceM: view.sight.distanceM,
        speedMs: view.subject.speedMs,
        focalMm: view.focalMm,
        shutterS,
        rateError: Math.min(20, Math.max(-20, swing.rateError)),
        lost: judged.lost,
        sharp: judged.sharp,
      },
      rehearsal,
    );
  };
  const again = () => {
    setResult(undefined);
    setBesideEven(false);
  };
  return (
    <Frame
      title="Pan"
      picture={
        <FrameRoom orientation={view.orientation}>
          {(size) =>
            result ? (
              <Made result={result} beside={besideEven} size={size} />
            ) : (
              <SwingPad
                crossing={crossing}
                scene={dialled.scene}
                size={size}
                turning={turning}
                label={`${view.subject.name} through ${Math.round(view.focalMm)} mm: press to let it run, follow it, press again in the middle`}
                onDone={finish}
              />
            )
          }
        </FrameRoom>
      }
    >
      {result ? (
        <Verdict
          result={result}
          frameHighDeg={frameHighDeg}
          beside={besideEven}
          onBeside={() => setBesideEven(!besideEven)}
          onAgain={again}
        />
      ) : (
        <>
          <Text kind="strong">
            {`${formatShutter(shutterS)} at ${Math.round(view.focalMm)} mm: ${view.subject.name.toLowerCase()}, ${metres(view.sight.distanceM)} off, crosses at ${rateDegS(crossing).toFixed(0)}° a second.`}
          </Text>
          <Text>
            {turning
              ? 'Tap, turn with it, tap again as it passes the middle, and follow through.'
              : 'Set a finger down and follow it; a second finger presses in the middle. Mouse: click, follow, click. Keys: Enter, arrows to set the rate right, Space to press.'}
          </Text>
          {unread ? (
            <Text role="status">That swing could not be read: the hand had not moved by then.</Text>
          ) : null}
        </>
      )}
      <Picker
        label="Time"
        value={held === undefined ? BY_LADDER : String(held)}
        options={[
          {
            value: BY_LADDER,
            label: `As the ladder goes: ${formatShutter(nextS ?? shutterS)} next`,
          },
          ...rungsOf(view).map((rung) => ({ value: String(rung), label: formatShutter(rung) })),
        ]}
        onChange={(value) => {
          setHeld(value === BY_LADDER ? undefined : Number(value));
          again();
        }}
      />
      <Skill rehearsal={rehearsal} shutterS={shutterS} />
      <View className="gap-2">
        <Button
          label={turning ? 'Follow by finger instead' : 'Turn the phone instead'}
          onPress={() => {
            again();
            if (turning) away();
            else void ask();
          }}
        />
        {refused ? (
          <Text role="alert" kind="small">
            {`The phone can’t be turned for it: ${refused}.`}
          </Text>
        ) : null}
        <Text kind="small" ink="quiet">
          {`${arcInWords(crossing)} Look round first: nobody in the swing, eyes up, both feet down.`}
        </Text>
      </View>
    </Frame>
  );
}

const rateDegS = ({ subjectAt }: Crossing): number =>
  (subjectAt(0.05).turnDeg - subjectAt(-0.05).turnDeg) / 0.1;

function arcInWords({ view: { passing, subject }, fromS, toS }: Crossing): string {
  const { closestM, offsetM } = passing;
  const at = (timeS: number) => offsetM + subject.speedMs * timeS;
  const { totalDeg } = panArc({ closestM, fromM: at(fromS), toM: at(toS) });
  return `The swing takes ${totalDeg.toFixed(0)}° of room, margins included.`;
}

/** The frame that was made; beside one followed evenly. */
function Made({
  result: { made, even, swing, judged, dials },
  beside,
  size,
}: {
  readonly result: Result;
  readonly beside: boolean;
  readonly size: FrameSize;
}) {
  const label = `The frame of that swing, ${dials}. ${swingInWords(swing, judged)}`;
  return beside ? (
    <TwoFrames
      left={{ scene: made, name: 'Yours', label }}
      right={{ scene: even, name: 'Even', label: `The same followed evenly, ${dials}` }}
      {...size}
    />
  ) : (
    <SmallFrame scene={made} label={label} samples={SAMPLES} first {...size} />
  );
}

function Verdict({
  result: { swing, judged, swung },
  frameHighDeg,
  beside,
  onBeside,
  onAgain,
}: {
  readonly result: Result;
  readonly frameHighDeg: number;
  readonly beside: boolean;
  readonly onBeside: () => void;
  readonly onAgain: () => void;
}) {
  const advice = swingAdvice(swing, frameHighDeg, swung.pressed);
  return (
    <View className="gap-2">
      <Text kind="strong" aria-live="polite">
        {`${swingInWords(swing, judged)}.`}
      </Text>
      {advice.map((line) => (
        <Text key={line} kind="small">
          {line}
        </Text>
      ))}
      <View className="flex-row gap-2">
        <View className="flex-1">
          <Button label="Again" kind="primary" onPress={onAgain} />
        </View>
        <View className="flex-1">
          <Button label={beside ? 'Mine alone' : 'Beside an even one'} onPress={onBeside} />
        </View>
      </View>
    </View>
  );
}

/** What the swings so far say of the hand, and what to dial tomorrow. */
function Skill({
  rehearsal: {
    picture: { view },
  },
  shutterS,
}: {
  readonly rehearsal: Rehearsal;
  readonly shutterS: number;
}) {
  const { practice } = usePractice();
  const tries = practice ? triesAt(practice, view).slice(-RECENT) : [];
  const practised = practice ? panPractised(practice) : undefined;
  return (
    <SoFar
      name="Your swings"
      tries={tries.map(({ rateError, sharp }) => ({ off: rateError, good: sharp }))}
      counted={{ one: 'swing at this', many: 'swings at this', good: 'sharp' }}
      ends={[-MOST_OFF, MOST_OFF]}
      nameOf={(off) => (off === 0 ? 'even' : `${off > 0 ? '+' : '−'}${percent(Math.abs(off))}`)}
      lies={practised?.hand.bias}
      ofHand
    >
      {practised ? (
        <>
          <Text>{handInWords(practised)}</Text>
          <View role="list" aria-label="Times for tomorrow">
            {oddsOf(practised, view).map((rung) => (
              <View
                key={rung.shutterS}
                role="listitem"
                className={`py-1 ${rung.shutterS === shutterS ? 'border-l-4 border-signal pl-2' : 'pl-3'}`}
              >
                <Text kind="small">{oddsInWords(rung)}</Text>
              </View>
            ))}
          </View>
        </>
      ) : (
        <Text kind="small" ink="quiet">
          {`${tries.length} of ${FEWEST_TRIES} swings before your hand can be told. What keys steered is not counted.`}
        </Text>
      )}
    </SoFar>
  );
}

/** The phone's motion, once it may be heard. */
function useTurning() {
  const [on, setOn] = useState(false);
  const [refused, setRefused] = useState<string>();
  const hearing = useRef<HeardTurn>(undefined);
  const stop = useRef<() => void>(undefined);
  useEffect(() => () => stop.current?.(), []);
  const turning = useCallback((hear: HeardTurn) => {
    hearing.current = hear;
    return () => {
      hearing.current = undefined;
    };
  }, []);
  const away = () => {
    stop.current?.();
    setOn(false);
  };
  const ask = async () => {
    try {
      stop.current = await hearTurning((nowMs, by) => hearing.current?.(nowMs, by));
      setRefused(undefined);
      setOn(true);
    } catch (error) {
      setRefused(error instanceof Error ? error.message : String(error));
    }
  };
  return { turning: on ? turning : undefined, ask, away, refused };
}
