import { useRouter } from 'expo-router';
import { useEffect, useMemo, useRef, useState } from 'react';
import { View } from 'react-native';
import { pictured, standingAt } from '@/answers/pictured';
import { asGood, standTries } from '@/answers/practised';
import {
  bestPlaces,
  FIRST_WISH,
  placeAt,
  searchRequestOf,
  weakest,
  type Place,
} from '@/answers/search';
import type { Point2, SearchResult } from '@/core';
import { PlanPicture } from '@/features/shoot/PlanPicture';
import { scoreWhyInWords } from '@/features/shoot/score-words';
import { FrameRoom, pictureInWords } from '@/features/shoot/ThroughLens';
import { metres } from '@/features/shoot/words';
import { TwoFrames } from '@/figures/frame/TwoFrames';
import { clockOf } from '@/records/times';
import { requestSearch } from '@/workers/search-client';
import { Button } from '@/ui/Button';
import { Picker } from '@/ui/Picker';
import { Text } from '@/ui/Text';
import type { DrillProps } from './drill-frame';
import { usePractice, type Rehearsal } from './rehearsal';
import { SoFar } from './SoFar';
import { standInWords } from './stand-words';

/** Choose a place on the plan; see how good every other would have been. */
export function StandDrill({ rehearsal, Frame, onOpen }: DrillProps) {
  const router = useRouter();
  if (rehearsal.shootId !== undefined) return <Stood {...{ rehearsal, Frame, onOpen }} />;
  return (
    <Frame title="Stand">
      <Text>
        A place is chosen on the ground of a shoot: open one, and this drill in its Practice.
      </Text>
      <Button label="See the shoots" kind="primary" onPress={() => router.navigate('/')} />
    </Frame>
  );
}

interface Judged {
  readonly result: SearchResult;
  readonly pins: readonly Place[];
  readonly mine: Place;
  readonly best: Place | undefined;
}

/** A place that is worse by more is drawn at the chart's edge. */
const MOST_LESS = 0.5;
const HAND = 'hand';

function Stood({ rehearsal, Frame }: DrillProps) {
  const { setup, picture, atMs } = rehearsal;
  const { view } = picture;
  const { note } = usePractice();
  const [at, setAt] = useState<Point2>();
  const [judged, setJudged] = useState<Judged>();
  const [asking, setAsking] = useState(false);
  const [trouble, setTrouble] = useState<string>();
  const running = useRef<AbortController>(undefined);
  useEffect(() => () => running.current?.abort(), []);
  const taken = setup.positions.find(({ x, y }) => x === at?.x && y === at.y)?.id;

  const judge = async (place: Point2) => {
    const mine = new AbortController();
    running.current = mine;
    setAsking(true);
    setTrouble(undefined);
    const request = searchRequestOf(setup, view, FIRST_WISH, atMs);
    try {
      const result = await requestSearch(request, () => undefined, mine.signal);
      const pins = bestPlaces(result, request);
      const found = { result, pins, mine: placeAt(result, request, place), best: pins[0] };
      setJudged(found);
      const score = found.mine.refusals.length > 0 ? 0 : found.mine.total;
      note(
        {
          ...{ kind: 'stand', mark: view.mark.name, score },
          best: Math.max(score, found.best?.total ?? 0),
        },
        rehearsal,
      );
    } catch (error) {
      if (!mine.signal.aborted) setTrouble(error instanceof Error ? error.message : String(error));
    }
    setAsking(false);
  };
  const again = () => {
    setAt(undefined);
    setJudged(undefined);
  };
  return (
    <Frame
      title="Stand"
      picture={
        <PlanPicture
          onlyInHand
          {...(judged
            ? { scores: judged.result, pins: judged.pins, alsoFit: judged.pins }
            : { onTap: setAt })}
          probed={at}
        />
      }
    >
      {judged ? (
        <Verdict judged={judged} rehearsal={rehearsal} onAgain={again} />
      ) : (
        <>
          <Text kind="strong">
            {`${view.mark.name} at ${clockOf(atMs, setup.place.timeZone)}, through ${Math.round(view.focalMm)} mm: the face seen, and lit from the front. Where would you stand?`}
          </Text>
          <Picker
            label="Tap the plan, or take a position of it"
            value={taken ?? HAND}
            options={[
              {
                value: HAND,
                label: at
                  ? `${metres(Math.hypot(at.x - view.mark.x, at.y - view.mark.y))} from ${view.mark.name}`
                  : 'Nowhere yet',
              },
              ...setup.positions.map(({ id, name }) => ({ value: id, label: name })),
            ]}
            onChange={(id) => {
              const position = setup.positions.find((one) => one.id === id);
              if (position) setAt({ x: position.x, y: position.y });
            }}
          />
          {trouble ? (
            <Text role="alert" kind="small">
              {`The places could not be looked through: ${trouble}`}
            </Text>
          ) : null}
          <Button
            label={asking ? 'Looking at every other place …' : 'Stand here'}
            kind="primary"
            disabled={!at || asking}
            onPress={() => (at ? void judge(at) : undefined)}
          />
        </>
      )}
      <YourPlaces />
    </Frame>
  );
}

function Verdict({
  judged: { mine, best },
  rehearsal: { setup, atMs },
  onAgain,
}: {
  readonly judged: Judged;
  readonly rehearsal: Rehearsal;
  readonly onAgain: () => void;
}) {
  const there = useMemo(
    () => [mine, best].map((place) => place && pictured(standingAt(setup, place), atMs)),
    [mine, best, setup, atMs],
  );
  const [mineSeen, bestSeen] = there;
  const [worst] = mine.shots[0] ? weakest(mine.shots[0].score) : [];
  return (
    <View className="gap-2">
      <Text kind="strong" aria-live="polite">
        {standInWords(mine, best)}
      </Text>
      {worst && mine.refusals.length === 0 ? (
        <Text kind="small">{`Weakest of yours: ${scoreWhyInWords(worst.why)}.`}</Text>
      ) : null}
      {mineSeen && bestSeen ? (
        <View className="aspect-[3/2]">
          <FrameRoom orientation={mineSeen.view.orientation}>
            {(size) => (
              <TwoFrames
                left={{ scene: mineSeen.scene, name: 'Yours', label: pictureInWords(mineSeen) }}
                right={{ scene: bestSeen.scene, name: 'The best', label: pictureInWords(bestSeen) }}
                {...size}
              />
            )}
          </FrameRoom>
        </View>
      ) : null}
      <Button label="Again" kind="primary" onPress={onAgain} />
    </View>
  );
}

function YourPlaces() {
  const { practice } = usePractice();
  const tries = practice ? standTries(practice) : [];
  return (
    <SoFar
      name="Your places"
      tries={tries.map((made) => ({ off: made.best - made.score, good: asGood(made) }))}
      counted={{ one: 'place', many: 'places', good: 'within 10 of the best' }}
      ends={[0, MOST_LESS]}
      nameOf={(off) => (off === 0 ? 'best' : `−${off * 100}`)}
    />
  );
}
