import { useMemo } from 'react';
import { View } from 'react-native';
import {
  endsInFocus,
  foodInFrame,
  lastStopFor,
  likelyEnd,
  perchUnder,
  rivalsOf,
  twigNear,
  wayTo,
} from '@/answers/perch';
import { landsAt, type LandsAt } from '@/core';
import { shotAt } from '@/answers/search';
import type { View as Seen } from '@/answers/view';
import { landedOn, withStick } from '@/records/carried';
import { moveItem, removeItem } from '@/records/edit-site';
import { Button } from '@/ui/Button';
import { Choice } from '@/ui/Choice';
import { Heading, Text } from '@/ui/Text';
import { BEFORE_CUTTING } from './hide-words';
import { useEdits, useSearch, useShown } from './open-shoot';
import {
  costs,
  endChoices,
  endInWords,
  focusInWords,
  lastStopInWords,
  otherEndInWords,
  rivalInWords,
} from './perch-words';
import { useSettled } from './use-light-series';
import { bearingInWords, smallLength } from './words';

/** The perch of the mark in hand: where it should stand, which end is landed on, what else is landed on. */
export function PerchPart() {
  const { setup, seen } = useShown('setup', 'seen');
  if (!seen.ok) return null;
  const { view } = seen;
  const perch = perchUnder(setup, view.mark);
  if (!perch && !wayTo(setup, view.mark)) return null;
  return (
    <View role="region" aria-label="The perch" className="gap-3">
      <Heading level={2} kind="figure">
        {perch?.name ?? 'The perch'}
      </Heading>
      <Stop view={view} />
      <InFrame view={view} />
      <Ends view={view} />
      <Rivals view={view} />
    </View>
  );
}

/** The last stop before the food, by a press. */
function Stop({ view }: { readonly view: Seen }) {
  const { setup, atMs } = useShown('setup', 'atMs');
  const { wish } = useSearch('wish');
  const { update } = useEdits();
  // Some sixteen places are scored: when nothing is dragged any more.
  const still = useSettled(useMemo(() => ({ setup, view, wish, atMs }), [setup, view, wish, atMs]));
  const stop = useMemo(
    () =>
      lastStopFor(
        still.setup,
        still.view,
        shotAt(still.setup, still.view.mark.id, still.wish),
        still.atMs,
      ),
    [still],
  );
  if (!stop) {
    return wayTo(setup, view.mark) ? null : (
      <Text kind="small" ink="quiet">
        Draw where birds come from (Cover) and what they come for (Food): the last stop between the
        two is tried out as the place for it.
      </Text>
    );
  }
  const { markAt, total } = stop;
  const moved = perchUnder(setup, view.mark);
  const ref = moved
    ? ({ list: 'features', id: moved.id } as const)
    : ({ list: 'marks', id: view.mark.id } as const);
  return (
    <View className="gap-2">
      <Text>{lastStopInWords(stop)}</Text>
      <Button
        kind={costs(stop) ? 'plain' : 'primary'}
        label={`Put ${moved ? 'the perch' : view.mark.name} there${costs(stop) ? ' all the same' : ''}: ${Math.round(total * 100)}`}
        onPress={() =>
          update((current) => {
            const mark = current.marks.find(({ id }) => id === view.mark.id);
            return mark ? moveItem(current, ref, markAt.x - mark.x, markAt.y - mark.y) : current;
          })
        }
      />
    </View>
  );
}

function InFrame({ view }: { readonly view: Seen }) {
  const { setup } = useShown('setup');
  const [food] = foodInFrame(view, setup);
  return food ? <Text>{`${food.name} is in the frame.`}</Text> : null;
}

/** Which end it lands on, and what is sharp of the stick then. */
function Ends({ view }: { readonly view: Seen }) {
  const { setup, seen } = useShown('setup', 'seen');
  const { update } = useEdits();
  const perch = perchUnder(setup, view.mark);
  if (!perch?.stick || !seen.ok) return null;
  const { stick } = perch;
  const at = landsAt(perch, view.mark);
  const likely = likelyEnd(perch, setup);
  const ends = endsInFocus(view, setup, seen.answer.exposure.settings.aperture);
  const { squareDeg } = ends ?? {};
  return (
    <View className="gap-2">
      <Choice
        label="It lands on"
        value={String(at)}
        options={endChoices(perch)}
        onChange={(value) =>
          update((current) => landedOn(current, view.mark.id, Number(value) as LandsAt))
        }
      />
      {likely === undefined || likely === at ? null : (
        <Text kind="small">{`Likely ${endInWords(perch, likely)}, towards the cover it comes from.`}</Text>
      )}
      {ends ? (
        <>
          <Text kind="small">{focusInWords(ends)}</Text>
          <Text kind="small">{otherEndInWords(ends)}</Text>
        </>
      ) : null}
      {ends && !ends.sharp && squareDeg !== undefined ? (
        <Button
          label={`Turn it to ${bearingInWords(squareDeg)}: both ends sharp`}
          onPress={() =>
            update((current) =>
              withStick(current, perch.id, { ...stick, towardDeg: squareDeg % 360 }),
            )
          }
        />
      ) : null}
    </View>
  );
}

/** What else it could land on, each taken away by a press. */
function Rivals({ view }: { readonly view: Seen }) {
  const { setup } = useShown('setup');
  const { update } = useEdits();
  const rivals = rivalsOf(view, setup);
  const twig = twigNear(view, rivals);
  if (rivals.length === 0) {
    return (
      <Text kind="small" ink="quiet">
        Nothing else to land on within a hop: one landing place.
      </Text>
    );
  }
  return (
    <View className="gap-2">
      <Text kind="strong">Else it may land on</Text>
      {twig ? (
        <Text kind="small">{`${twig.name} is ${smallLength(twig.awayM)} from it: a bird wants ${smallLength(twig.clearM)} clear.`}</Text>
      ) : null}
      <View role="list" aria-label="Rival perches" className="gap-2">
        {rivals.map((rival) => (
          <View
            key={rival.id}
            role="listitem"
            className="flex-row items-center justify-between gap-3"
          >
            <Text kind="small" className="min-w-0 flex-1">
              {rivalInWords(rival)}
            </Text>
            <Button
              label={`${rival.kind === 'branch' ? 'Cut' : 'Take away'} ${rival.name}`}
              onPress={() =>
                update((current) => removeItem(current, { list: 'features', id: rival.id }))
              }
            />
          </View>
        ))}
      </View>
      {rivals.some(({ kind }) => kind === 'branch') ? (
        <Text kind="small">{BEFORE_CUTTING}</Text>
      ) : null}
    </View>
  );
}
