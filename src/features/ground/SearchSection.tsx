import { useEffect, useRef } from 'react';
import { View } from 'react-native';
import { bearingDeg } from '@/core';
import { useShootPage } from '@/features/plan/ShootContext';
import { bearingInWords, metres } from '@/features/plan/words';
import { Button } from '@/ui/Button';
import { Progress } from '@/ui/Progress';
import { Heading, Text } from '@/ui/Text';
import {
  bestPlaces,
  sameQuestion,
  scoreAt,
  searchRequestOf,
  WANTED_FILL,
  weakest,
  type Place,
} from './search';
import { useSearchTool } from './use-search';

export const outOfHundred = (total: number): string => `${Math.round(total * 100)} of 100`;

/** Where else to stand for the chosen mark: asked of the whole ground, answered by the worker. */
export function SearchSection() {
  const { plan, update } = useShootPage();
  const { setup, seen, atMs, clock } = plan;
  const { wish, state, start, stop, clear } = useSearchTool();
  // Read when the button is pressed, so that a drag of the time does not draw it again.
  const latest = useRef(plan);
  useEffect(() => {
    latest.current = plan;
  }, [plan]);
  const search = () => {
    const now = latest.current;
    if (now.seen.ok) start(searchRequestOf(now.setup, now.seen.view, wish, now.atMs));
  };
  if (!seen.ok) return null;
  const { view } = seen;
  const { result, request } = state ?? {};
  const places = result && request ? bestPlaces(result, request) : [];
  const here = request && scoreAt(request, view.position);
  const outdated =
    request !== undefined &&
    !sameQuestion(request, searchRequestOf(setup, view, wish, request.timesMs[0] ?? atMs));
  const standAt = ({ x, y }: Place) =>
    update((current) => ({
      ...current,
      positions: current.positions.map((entry) =>
        entry.id === current.choice.positionId ? { ...entry, x, y } : entry,
      ),
    }));
  return (
    <View role="region" aria-label="Where else to stand" className="gap-3 pt-2">
      <Heading level={2} kind="figure">
        Where else to stand
      </Heading>
      {state?.running ? (
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
      {state?.trouble ? (
        <Text role="alert">The search could not be made: {state.trouble}.</Text>
      ) : null}
      {request && here && !state?.running ? (
        <>
          <Text kind="small" ink="quiet">
            {`At ${clock(request.timesMs[0] ?? atMs)}, filling ${WANTED_FILL * 100} % of the frame. Larger dots on the plan are better places; where there is none, one may not or can not stand. Where you stand now: ${here.refusals[0] ?? outOfHundred(here.total)}.`}
          </Text>
          {outdated ? (
            <Text kind="strong">
              Mark, kit, light or wish have changed since: search again for the new answer.
            </Text>
          ) : null}
          {places.length === 0 ? (
            <Text>
              No place on this ground gives the picture. A longer lens, another face or another hour
              would.
            </Text>
          ) : (
            <PlaceList places={places} mark={view.mark} onStand={standAt} />
          )}
          <Button kind="quiet" label="Take the search off the plan" onPress={clear} />
        </>
      ) : null}
    </View>
  );
}

function PlaceList({
  places,
  mark,
  onStand,
}: {
  readonly places: readonly Place[];
  readonly mark: { readonly x: number; readonly y: number };
  readonly onStand: (place: Place) => void;
}) {
  return (
    <View role="list" aria-label="Best places">
      {places.map((place, i) => (
        <View key={i} role="listitem" className="gap-1 border-b border-line py-2">
          <View className="flex-row items-center justify-between gap-3">
            <Text kind="figure">
              {i + 1}. {outOfHundred(place.score.total)}
            </Text>
            <Button label={`Stand at place ${i + 1}`} onPress={() => onStand(place)} />
          </View>
          <Text kind="small">
            {`${metres(Math.hypot(mark.x - place.x, mark.y - place.y))}, looking ${bearingInWords(bearingDeg(place, mark))}. Gives up most: ${weakest(
              place.score,
            )
              .map(({ why }) => why)
              .join('; ')}.`}
          </Text>
        </View>
      ))}
    </View>
  );
}
