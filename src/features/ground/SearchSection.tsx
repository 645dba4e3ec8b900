import { refusalInWords, refusalsInWords, scoreWhyInWords } from '@/features/shoot/score-words';
import { useEffect, useRef, type ReactNode } from 'react';
import { View } from 'react-native';
import { bearingDeg, type SearchResult } from '@/core';
import { useOpenShoot, useSearch, useShown } from '@/features/shoot/open-shoot';
import { PerchPart } from '@/features/shoot/PerchPart';
import { bearingInWords, metres } from '@/features/shoot/words';
import { Button } from '@/ui/Button';
import { Choice, type Option } from '@/ui/Choice';
import { Progress } from '@/ui/Progress';
import { Text } from '@/ui/Text';
import { standingAt } from '@/answers/pictured';
import { WANTED_FILL } from '@/answers/wanted';
import {
  bestPlaces,
  placeAt,
  sameQuestion,
  searchRequestOf,
  weakest,
  type AskedSearch,
  type Place,
  type Scope,
  type ShotThere,
} from '@/answers/search';
import { PlacePicture } from './PlacePicture';
import { outOfHundred } from './score-words';

const MARKS: readonly Option<Scope['marks']>[] = [
  { value: 'chosen', label: 'This mark' },
  { value: 'all', label: 'All marks' },
];
const HOURS: readonly Option<Scope['hours']>[] = [
  { value: 'now', label: 'This minute' },
  { value: 'shoot', label: 'The whole shoot' },
];
const LENS_CHOICES: readonly Option<Scope['lenses']>[] = [
  { value: 'fitted', label: 'As fitted' },
  { value: 'converters', label: 'Converters' },
  { value: 'all', label: 'Any lens' },
];

/** What the search is for. */
function ScopeFields() {
  const { scope } = useSearch('scope');
  const { setScope } = useOpenShoot().search;
  const set = (next: Partial<Scope>) => setScope({ ...scope, ...next });
  return (
    <>
      <Choice
        label="Searched for"
        value={scope.marks}
        options={MARKS}
        onChange={(marks) => set({ marks })}
      />
      <Choice
        label="Hours searched"
        value={scope.hours}
        options={HOURS}
        onChange={(hours) => set({ hours })}
      />
      <Choice
        label="Lenses tried"
        value={scope.lenses}
        options={LENS_CHOICES}
        onChange={(lenses) => set({ lenses })}
      />
    </>
  );
}

/** Where else to stand: asked of the whole ground, answered by the worker. */
export function SearchSection({
  onDone,
}: {
  /** Puts the panel away; none where it stays. */ readonly onDone?: () => void;
}) {
  const { shown, edits, search: tool } = useOpenShoot();
  const { setup, seen, atMs, hours, clock } = useShown('setup', 'seen', 'atMs', 'hours', 'clock');
  const { wish, scope, search: asked } = useSearch('wish', 'scope', 'search');
  const { start, stop, clear } = tool;
  const search = () => {
    const now = shown.get();
    if (!now.seen.ok) return;
    start(searchRequestOf(now.setup, now.seen.view, wish, now.atMs, { scope, hours: now.hours }));
  };
  if (!seen.ok) return null;
  const { result, request, running, trouble } = asked ?? {};
  const asksNow =
    request &&
    searchRequestOf(setup, seen.view, wish, request.timesMs[0] ?? atMs, { scope, hours });
  const standAt = ({ x, y }: Place) => edits.update((current) => standingAt(current, { x, y }));
  return (
    <View role="region" aria-label="Where else to stand" className="gap-3">
      <PerchPart />
      <ScopeFields />
      {running ? (
        <>
          <Progress
            label="Searching the ground"
            share={result ? result.done / (result.columns * result.rows) : 0}
          />
          <Button label="Stop searching" onPress={stop} />
        </>
      ) : (
        <Button label="Search the ground" onPress={search} />
      )}
      {trouble ? <Text role="alert">The search failed: {trouble}.</Text> : null}
      {request && result && !running ? (
        <>
          <Text kind="small" ink="quiet">
            {`${askedInWords(request, clock)} Heavier lines on the plan ring better places, the heaviest the best; outside the thinnest it is poor, or one may not stand there. Tap the plan to ask about a place.`}
          </Text>
          {asksNow && !sameQuestion(request, asksNow) ? (
            <Text kind="strong">
              Mark, kit, light or wish have changed since: search again for the new answer.
            </Text>
          ) : null}
          <Found result={result} request={request} onStand={standAt} />
          <Button
            kind="quiet"
            label="Take the search off the plan"
            onPress={() => {
              clear();
              onDone?.();
            }}
          />
        </>
      ) : null}
    </View>
  );
}

/** "At 18:50, filling 60 % of the frame." */
function askedInWords({ timesMs, markNames }: AskedSearch, clock: (ms: number) => string): string {
  const [first = 0] = timesMs;
  const hours =
    timesMs.length === 1
      ? `At ${clock(first)}`
      : `Each at its best hour from ${clock(first)} to ${clock(timesMs.at(-1) ?? first)}`;
  const marks = markNames.length > 1 ? `, the mean of ${markNames.length} marks` : '';
  return `${hours}, filling ${WANTED_FILL * 100} % of the frame${marks}.`;
}

/** What the search found: here, where was tapped, and the best places. */
function Found({
  result,
  request,
  onStand,
}: {
  readonly result: SearchResult;
  readonly request: AskedSearch;
  readonly onStand: (place: Place) => void;
}) {
  const { seen } = useShown('seen');
  const { probed } = useSearch('probed');
  if (!seen.ok) return null;
  const { position } = seen.view;
  const here = placeAt(result, request, { x: position.x, y: position.y });
  const places = bestPlaces(result, request);
  return (
    <>
      <Text>{`Where you stand now: ${here.refusals[0] ? refusalInWords(here.refusals[0]) : outOfHundred(here.total)}.`}</Text>
      {probed ? (
        <Tapped key={`${probed.x} ${probed.y}`}>
          <PlaceWords
            title="There:"
            place={placeAt(result, request, probed)}
            request={request}
            action="Stand there"
            onStand={onStand}
          />
        </Tapped>
      ) : null}
      {places.length === 0 ? (
        <Text>
          No place on this ground gives the picture. A longer lens, another face or another hour
          would.
        </Text>
      ) : (
        <View role="list" aria-label="Best places">
          {places.map((place, i) => (
            <View key={i} role="listitem" className="gap-1 border-b border-line py-2">
              <PlaceWords
                title={`${i + 1}.`}
                place={place}
                request={request}
                action={`Stand at place ${i + 1}`}
                onStand={onStand}
              />
            </View>
          ))}
        </View>
      )}
    </>
  );
}

/** What is said of the place tapped, brought into view beside the plan. */
function Tapped({ children }: { readonly children: ReactNode }) {
  const region = useRef<View>(null);
  useEffect(() => {
    (region.current as unknown as HTMLElement | null)?.scrollIntoView({ block: 'nearest' });
  }, []);
  return (
    <View
      ref={region}
      role="region"
      aria-label="The place you tapped"
      aria-live="polite"
      className="gap-1 border-2 border-line p-3"
    >
      <Text kind="label" ink="quiet">
        The place you tapped
      </Text>
      {children}
    </View>
  );
}

/** A place's score, what it gives up, or why one may not stand there. */
function PlaceWords({
  title,
  place,
  request,
  action,
  onStand,
}: {
  readonly title: string;
  readonly place: Place;
  readonly request: AskedSearch;
  readonly action: string;
  readonly onStand: (place: Place) => void;
}) {
  const { clock, setup } = useShown('clock', 'setup');
  if (place.refusals.length > 0) {
    return <Text>{`Off limits: ${refusalsInWords(place.refusals)}.`}</Text>;
  }
  return (
    <>
      <View className="flex-row items-center justify-between gap-3">
        <Text kind="figure" className="shrink">{`${title} ${outOfHundred(place.total)}`}</Text>
        <Button label={action} onPress={() => onStand(place)} />
      </View>
      <PlacePicture
        positionId={setup.choice.positionId}
        x={place.x}
        y={place.y}
        atMs={place.shots[0]?.timeMs ?? 0}
        name={title}
      />
      {place.shots.map((there, i) => (
        <Text key={i} kind="small">
          {shotInWords(there, place, request, i, clock)}
        </Text>
      ))}
    </>
  );
}

function shotInWords(
  { markName, kitName, timeMs, score }: ShotThere,
  place: Place,
  { shots, timesMs, kits }: AskedSearch,
  i: number,
  clock: (ms: number) => string,
): string {
  const mark = shots[i]?.mark ?? place;
  const name = shots.length > 1 ? `${markName}, ${outOfHundred(score.total)}: ` : '';
  if (score.refusals.length > 0) return `${name}${refusalsInWords(score.refusals)}.`;
  const when = timesMs.length > 1 ? ` at ${clock(timeMs)}` : '';
  const lens = kits.length > 1 ? ` with the ${kitName}` : '';
  const away = `${metres(Math.hypot(mark.x - place.x, mark.y - place.y))}, looking ${bearingInWords(bearingDeg(place, mark))}`;
  const lacks = weakest(score)
    .map(({ why }) => scoreWhyInWords(why))
    .join('; ');
  return `${name}${away}${when}${lens}. Weakest: ${lacks}.`;
}
