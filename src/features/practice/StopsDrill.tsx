import { median } from 'd3-array';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { stopsTries } from '@/answers/practised';
import {
  HAPPENINGS,
  judgedStops,
  situationOf,
  stopsScene,
  type Situation,
  type StopsJudged,
} from '@/answers/stops-drill';
import type { Settings } from '@/core';
import { Dials } from '@/features/shoot/Dials';
import { settingsInWords } from '@/features/shoot/exposure-words';
import { FrameRoom } from '@/features/shoot/ThroughLens';
import { stops } from '@/features/shoot/words';
import { SmallFrame } from '@/figures/frame/SmallFrame';
import { TwoFrames } from '@/figures/frame/TwoFrames';
import { Button } from '@/ui/Button';
import { Text } from '@/ui/Text';
import type { DrillProps } from './drill-frame';
import { chancesNow, usePractice, type Rehearsal } from './rehearsal';
import { SoFar } from './SoFar';
import { HAPPENED, judgedInWords, wishInWords } from './stops-words';

const SAMPLES = 32;
/** Beyond this a try is drawn at the chart's edge. */
const MOST_STOPS = 2;

/** A frame comes back too dark, or too bright: find the stops, from the dials where they cost least. */
export function StopsDrill({ rehearsal, Frame }: DrillProps) {
  const [round, setRound] = useState(0);
  const [chances, setChances] = useState(chancesNow);
  const { setup, picture } = rehearsal;
  const situation = useMemo(() => {
    // From the one that chance fell on, the first that can be answered in this light.
    const from = Math.floor(chances[0] * HAPPENINGS.length);
    return HAPPENINGS.map((_, i) => HAPPENINGS[(from + i) % HAPPENINGS.length]).reduce<
      Situation | undefined
    >((found, what) => found ?? (what && situationOf(setup, picture, what, chances[1])), undefined);
  }, [setup, picture, chances]);
  if (!situation) {
    return (
      <Frame title="Stops">
        <Text>
          There is no stop to spare in this light: whatever happens, nothing on the dials answers
          it. Move the time to a lighter minute.
        </Text>
      </Frame>
    );
  }
  return (
    <Played
      key={round}
      {...{ rehearsal, situation, Frame }}
      onNext={() => {
        setRound(round + 1);
        setChances(chancesNow());
      }}
    />
  );
}

function Played({
  rehearsal,
  situation,
  Frame,
  onNext,
}: {
  readonly rehearsal: Rehearsal;
  readonly situation: Situation;
  readonly Frame: DrillProps['Frame'];
  readonly onNext: () => void;
}) {
  const { setup, picture, atMs } = rehearsal;
  const { view } = picture;
  const { note } = usePractice();
  const [settings, setSettings] = useState<Settings>(situation.start);
  const [judged, setJudged] = useState<StopsJudged>();
  const [beganMs] = useState(() => performance.now());
  const frames = useMemo(() => {
    const sceneOf = (dials: Settings) => stopsScene(setup, picture, situation, dials, atMs);
    return {
      came: sceneOf(situation.start),
      mine: sceneOf(settings),
      plan: sceneOf(situation.answer.exposure.settings),
    };
  }, [setup, picture, situation, settings, atMs]);
  const done = () => {
    const found = judgedStops(picture, situation, settings);
    setJudged(found);
    note(
      {
        kind: 'stops',
        what: situation.what,
        offStops: Math.min(30, Math.max(-30, found.offStops)),
        right: found.right,
        tookS: Math.min(3600, (performance.now() - beganMs) / 1000),
      },
      rehearsal,
    );
  };
  const turned = settings !== situation.start;
  return (
    <Frame
      title="Stops"
      picture={
        <FrameRoom orientation={view.orientation}>
          {(size) =>
            judged ? (
              <TwoFrames
                left={{ scene: frames.mine, name: 'Yours', label: settingsInWords(settings) }}
                right={{
                  scene: frames.plan,
                  name: 'The plan’s',
                  label: settingsInWords(situation.answer.exposure.settings),
                }}
                {...size}
              />
            ) : (
              <SmallFrame
                scene={frames.came}
                label={`The frame that came back, ${settingsInWords(situation.start)}`}
                samples={SAMPLES}
                first
                {...size}
              />
            )
          }
        </FrameRoom>
      }
    >
      {judged ? (
        <View className="gap-2">
          <Text kind="strong" aria-live="polite">
            {judgedInWords(judged)[0]}
          </Text>
          {judgedInWords(judged)
            .slice(1)
            .map((line) => (
              <Text key={line} kind="small">
                {line}
              </Text>
            ))}
          <Text kind="small">
            {`The plan sets ${settingsInWords(situation.answer.exposure.settings)}.`}
          </Text>
          <Button label="Next" kind="primary" onPress={onNext} />
        </View>
      ) : (
        <View className="gap-2">
          <Text kind="strong">{HAPPENED[situation.what]}</Text>
          <Text>{`${stops(Math.abs(situation.offStops))} too ${situation.offStops < 0 ? 'dark' : 'bright'}. ${wishInWords(setup.choice.school, view)}`}</Text>
          <View role="group" aria-label="Dials" className="gap-1">
            <Dials
              {...{ view, settings }}
              onTurn={(lever, value) => setSettings((now) => ({ ...now, [lever]: value }))}
            />
          </View>
          <Button label="Take it so" kind="primary" disabled={!turned} onPress={done} />
        </View>
      )}
      <YourDials />
    </Frame>
  );
}

function YourDials() {
  const { practice } = usePractice();
  const tries = practice ? stopsTries(practice) : [];
  const right = tries.filter((made) => made.right);
  const middleS = median(right, ({ tookS }) => tookS);
  return (
    <SoFar
      name="Your dials"
      tries={tries.map(({ offStops, right: good }) => ({ off: offStops, good }))}
      counted={{ one: 'try', many: 'tries', good: 'right' }}
      ends={[-MOST_STOPS, MOST_STOPS]}
      nameOf={(off) => (off === 0 ? 'right' : off > 0 ? 'bright' : 'dark')}
    >
      {middleS === undefined ? null : (
        <Text>{`The right ones took ${middleS.toFixed(0)} s, the middle one of them.`}</Text>
      )}
    </SoFar>
  );
}
