import { useMemo, useState, type ReactNode } from 'react';
import { View } from 'react-native';
import { burstFrom, happening, sceneThen, type Happening } from '@/answers/moments';
import {
  burstOdds,
  FEWEST_TRIES,
  momentPractised,
  momentsFor,
  momentTries,
} from '@/answers/practised';
import type { View as Shown } from '@/answers/view';
import type { Scene } from '@/core';
import { FrameRoom } from '@/features/shoot/ThroughLens';
import { sizeOf } from '@/figures/frame/size';
import { SmallFrame } from '@/figures/frame/SmallFrame';
import type { MomentKind } from '@/records/practice';
import { Button } from '@/ui/Button';
import { Choice } from '@/ui/Choice';
import { Picker } from '@/ui/Picker';
import { Text } from '@/ui/Text';
import { BeatPad } from './BeatPad';
import type { DrillProps } from './drill-frame';
import {
  burstInWords,
  burstOddsInWords,
  lateHandInWords,
  lateInWords,
  MOMENT_CUES,
  MOMENT_NAMES,
} from './moment-words';
import { MomentPad, type Pressed } from './MomentPad';
import { useMomentAtHome, usePractice } from './rehearsal';
import { SoFar } from './SoFar';

const SAMPLES = 48;
const MOST_LATE_S = 0.3;
/** So many of the last are drawn. */
const RECENT = 30;
/** A burst that is looked at. */
const BURST_S = 0.5;
const PRE_CAPTURE_S = 0.5;
const SHOWN = 4;
/** More moments than this are chosen from a list. */
const MOST_SIDE_BY_SIDE = 3;
/** Four of them stand side by side on a phone. */
const FRAME_PX = 82;

interface Result {
  readonly what: Happening;
  /** With the device's own delay taken off; nothing when it was let pass. */
  readonly pressS?: number;
}

/** Press when it happens; see the frame, what a burst would have had, and how late a hand is. */
export function MomentDrill({
  rehearsal,
  Frame,
  above,
}: DrillProps & { readonly above: ReactNode }) {
  const { practice, change, note } = usePractice();
  const kinds = momentsFor(rehearsal.shootId === undefined ? undefined : rehearsal.picture.view);
  const [kind, setKind] = useState<MomentKind>(kinds[0] as MomentKind);
  const atHome = useMomentAtHome(kind);
  const { picture } = rehearsal.shootId === undefined && atHome ? atHome : rehearsal;
  const [result, setResult] = useState<Result>();
  const [setting, setSetting] = useState(false);
  const [told, setTold] = useState<string>();
  if (!practice) return <Frame title="Moment">{null}</Frame>;
  const deviceS = practice.deviceLateS ?? 0;
  const { view, scene } = picture;
  const { framesPerS: fps } = view.body;

  const choosing = {
    label: 'Moment',
    value: kind,
    options: kinds.map((value) => ({ value, label: MOMENT_NAMES[value] })),
    onChange: (next: MomentKind) => {
      setKind(next);
      setResult(undefined);
    },
  };
  const finish = ({ what, pressS }: Pressed) => {
    if (pressS === undefined) {
      setResult({ what });
      return;
    }
    const lateS = pressS - deviceS;
    setResult({ what, pressS: lateS });
    note({ kind: 'moment', moment: kind, lateS: Math.min(10, Math.max(-10, lateS)) }, rehearsal);
  };
  const beat = (lateS: number | undefined) => {
    setSetting(false);
    setTold(
      lateS === undefined
        ? 'Too few presses to tell: press once a bounce.'
        : `This device is ${Math.round(lateS * 1000)} ms late; that is taken off from now on.`,
    );
    if (lateS !== undefined) change((now) => ({ ...now, deviceLateS: lateS }));
  };
  return (
    <Frame
      title="Moment"
      picture={
        <FrameRoom orientation={view.orientation}>
          {(size) =>
            setting ? (
              <BeatPad size={size} onDone={beat} />
            ) : result?.pressS !== undefined ? (
              <SmallFrame
                scene={sceneThen(scene, result.what, result.pressS)}
                label={`The frame of that press: ${lateInWords(result.pressS, result.what)}`}
                samples={SAMPLES}
                first
                {...size}
              />
            ) : (
              <MomentPad
                key={kind}
                {...{ kind, view, scene, size }}
                label={`${MOMENT_NAMES[kind]}: press to begin, then press when it happens`}
                onDone={finish}
              />
            )
          }
        </FrameRoom>
      }
    >
      {above}
      {kinds.length > MOST_SIDE_BY_SIDE ? (
        <Picker {...choosing} />
      ) : kinds.length > 1 ? (
        <Choice {...choosing} />
      ) : null}
      {result ? (
        <Verdict result={result} scene={scene} fps={fps} onAgain={() => setResult(undefined)} />
      ) : (
        <>
          <Text>
            {setting
              ? 'Tap to begin; then tap each time the mark meets the line.'
              : `${MOMENT_CUES[kind]} Tap to begin, then tap, click or press Space when it happens.`}
          </Text>
          {told ? <Text role="status">{told}</Text> : null}
        </>
      )}
      <Skill {...{ kind, view }} />
      <Button
        kind="quiet"
        label={
          setting
            ? 'Back to the moment'
            : practice.deviceLateS === undefined
              ? 'Measure this device’s own delay'
              : `Device delay ${Math.round(deviceS * 1000)} ms: measure again`
        }
        onPress={() => {
          setResult(undefined);
          setSetting(!setting);
        }}
      />
    </Frame>
  );
}

function Verdict({
  result: { what, pressS },
  scene,
  fps,
  onAgain,
}: {
  readonly result: Result;
  readonly scene: Scene;
  readonly fps: number;
  readonly onAgain: () => void;
}) {
  const frames = useMemo(
    () =>
      pressS === undefined
        ? []
        : burstFrom(what, { pressS, fps, burstS: BURST_S, preCaptureS: PRE_CAPTURE_S }),
    [what, pressS, fps],
  );
  const middleS = (what.goodFromS + what.goodToS) / 2;
  const near = [...frames]
    .sort((a, b) => Math.abs(a.timeS - middleS) - Math.abs(b.timeS - middleS))
    .slice(0, SHOWN)
    .sort((a, b) => a.timeS - b.timeS);
  const size = sizeOf(scene.camera.orientation, FRAME_PX);
  return (
    <View className="gap-2">
      <Text kind="strong" aria-live="polite">
        {pressS === undefined ? 'Let pass: nothing was pressed.' : `${lateInWords(pressS, what)}.`}
      </Text>
      {pressS === undefined ? null : (
        <>
          <Text kind="small">{burstInWords(frames, pressS, fps)}</Text>
          <View
            role="list"
            aria-label="Frames about the moment"
            className="flex-row flex-wrap gap-2"
          >
            {near.map(({ timeS, good }) => (
              <View
                key={timeS}
                role="listitem"
                style={{ width: size.widthPx }}
                className={`border-t-4 pt-1 ${good ? 'border-signal' : 'border-transparent'}`}
              >
                <SmallFrame scene={sceneThen(scene, what, timeS)} {...size} samples={12} />
                <Text kind="small">
                  {`${timeS < 0 ? '−' : '+'}${Math.abs(Math.round(timeS * 1000))} ms${good ? ', it' : ''}`}
                </Text>
              </View>
            ))}
          </View>
        </>
      )}
      <Button label="Again" kind="primary" onPress={onAgain} />
    </View>
  );
}

/** How late the hand is, and what burst makes up for it. */
function Skill({ kind, view }: { readonly kind: MomentKind; readonly view: Shown }) {
  const fps = view.body.framesPerS;
  const { practice } = usePractice();
  const tries = practice ? momentTries(practice, kind).slice(-RECENT) : [];
  const hand = practice && momentPractised(practice, kind);
  return (
    <SoFar
      name="Your presses"
      tries={tries.map(({ lateS, good }) => ({ off: lateS, good }))}
      counted={{ one: 'press', many: 'presses', good: 'on the moment' }}
      ends={[-MOST_LATE_S, MOST_LATE_S]}
      nameOf={(off) => (off === 0 ? 'on it' : off > 0 ? 'late' : 'early')}
      lies={hand?.bias}
      ofHand
    >
      {hand ? (
        <>
          <Text>{lateHandInWords(hand)}</Text>
          {burstOdds(happening(kind, view, 0), hand, fps).map((odds) => (
            <Text key={odds.how} kind="small">
              {burstOddsInWords(odds, fps)}
            </Text>
          ))}
        </>
      ) : (
        <Text kind="small" ink="quiet">
          {`${tries.length} of ${FEWEST_TRIES} presses before your hand can be told.`}
        </Text>
      )}
    </SoFar>
  );
}
