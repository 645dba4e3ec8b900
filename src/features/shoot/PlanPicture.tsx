import { memo, startTransition, useCallback, useMemo, useState, type ReactNode } from 'react';
import { View } from 'react-native';
import { planExtent, planLines } from '@/answers/extent';
import { withPlace } from '@/answers/choose-shot';
import { marksInSun, ownShadow } from '@/answers/sun-on-ground';
import { chosenMark, chosenPosition } from '@/answers/view';
import type { Point2 } from '@/core';
import { GroundPlan } from '@/figures/GroundPlan';
import type { BoxPx } from '@/figures/labels';
import { namedBoxes } from '@/figures/Names';
import { scaleOf } from '@/figures/plan-scale';
import type { PlanScores, PlanStation } from '@/figures/plan-types';
import { moveItem, sameItem, type ItemRef } from '@/records/edit-site';
import { written } from '@/ui/units';
import { useSteady } from '@/ui/use-steady';
import { Cross } from './Cross';
import { closeExtent, planLight, planSight } from './drawing';
import { nearestTo } from './lengths';
import { OneOf, together, type Sign } from './OneOf';
import { PlanButtons } from './PlanButtons';
import { PlanGestures } from './PlanGestures';
import { People } from './PlanHandles';
import type { PlanSheet, UsePlanUse } from './plan-use';
import { useEdits, useLooked } from './open-shoot';
import type { Look } from './use-plan';
import { usePlainPlan } from './use-plain-plan';
import { useUnderlay } from './use-underlay';
import { usePlanView, type Framing } from './use-plan-view';
import { bearingInWords, metres } from './words';

/** The minute's light on the plan: each part the same while what it rests on has not changed. */
function useShownLight({ setup, light, atMs }: Pick<Look, 'setup' | 'light' | 'atMs'>) {
  const { features, marks, subjects, positions, choice } = setup;
  const { sun } = light;
  const shown = useMemo(
    () => planLight({ sky: light.sky, features, atMs }, light),
    [light, features, atMs],
  );
  const inSun = useMemo(
    () => marksInSun({ marks, subjects }, features, sun, atMs),
    [marks, subjects, features, sun, atMs],
  );
  const { x, y } = chosenPosition({ positions, choice });
  const shining = shown.sunStrength > 0;
  const own = useMemo(
    () => (shining ? ownShadow({ x, y }, features, sun) : undefined),
    [x, y, features, sun, shining],
  );
  return { light: shown, inSun, ownShadow: own };
}

const NONE: readonly Point2[] = [];
const NOWHERE: readonly BoxPx[] = [];

/**
 * The ground plan: looked at, chosen from, and changed by finger, mouse or keys. A step says what it lays over it,
 * what a finger does on it, and what it shows besides.
 */
export const PlanPicture = memo(function PlanPicture({
  overlay,
  usePlan = usePlainPlan,
  alsoFit = NONE,
  northUp = false,
  onlyInHand = false,
  onTap,
  scores,
  pins,
  probed,
  stations,
}: {
  readonly overlay?: (sheet: PlanSheet) => ReactNode;
  /** The same for as long as this plan stands. */
  readonly usePlan?: UsePlanUse;
  /** Points that must be on the picture besides the ground. */
  readonly alsoFit?: readonly Point2[] | undefined;
  /** Whether only what is in hand is named: the overlay has words of its own. */
  readonly onlyInHand?: boolean;
  /** Where figures east and north are typed, nothing is turned unasked. */
  readonly northUp?: boolean;
  /** What a tap on the open ground asks, in place of what the hand does. */
  readonly onTap?: ((at: Point2) => void) | undefined;
  /** How good it is to stand where, once searched; the best places; a point that is asked about. */
  readonly scores?: PlanScores | undefined;
  readonly pins?: readonly Point2[] | undefined;
  readonly probed?: Point2 | undefined;
  /** Turns of a route that the overlay writes: no name stands under them. */
  readonly stations?: readonly PlanStation[] | undefined;
}) {
  const { update, hold: holdEdits } = useEdits();
  const { shoot, setup, viewed, along, light, atMs } = useLooked(
    'shoot',
    'setup',
    'viewed',
    'along',
    'light',
    'atMs',
  );
  const { ground: site, features, marks, positions, choice } = setup;
  const [size, setSize] = useState({ width: 0, height: 0, tallest: 0 });
  const [crowd, setCrowd] = useState<readonly Sign[]>();
  const [dragged, setDragged] = useState<ItemRef>();
  const lines = useMemo(() => planLines(site), [site]);
  const ground = useMemo(() => ({ lines, features }), [lines, features]);
  const view = viewed.ok ? viewed.view : undefined;
  const extentOf = useCallback(
    (framing: Framing) =>
      framing === 'close' && view
        ? closeExtent(view)
        : [...planExtent(ground, { marks, positions }), ...alsoFit],
    [ground, marks, positions, alsoFit, view],
  );
  const alongDeg = northUp ? undefined : site.bearingDeg;
  const look = usePlanView(extentOf, alongDeg, size);
  const scale = useMemo(
    () => scaleOf(look.view, size.width, size.height),
    [look.view, size.width, size.height],
  );
  const use = usePlan(scale);
  const sight = useMemo(() => view && along && planSight(view, along), [view, along]);
  const shownLight = useShownLight({ setup, light, atMs });
  const underlay = useUnderlay(shoot.underlay);
  const position = chosenPosition(setup);
  const mark = chosenMark(setup);

  const pick = (item: ItemRef) => {
    const chosen = item.list === 'marks' ? { markId: item.id } : { positionId: item.id };
    update((current) => withPlace(current, chosen));
    use.picked(item);
  };
  /** A finger that covers several signs is asked which it meant. */
  const pickUnder = (item: ItemRef) => {
    const under = together({ marks, positions, choice }, item, scale);
    const chosen = item.id === choice.markId || item.id === choice.positionId;
    if (under.length > (chosen ? 0 : 1)) setCrowd(under);
    else if (!chosen) pick(item);
  };
  const hold = (held: boolean) => {
    if (!held) setDragged(undefined);
    holdEdits(held);
    look.hold(held);
  };
  const shift = (item: ItemRef, eastM: number, northM: number) =>
    update((current) => moveItem(current, item, eastM, northM), `keys ${item.id}`);
  const hands = useSteady({
    onPick: pick,
    onPickUnder: pickUnder,
    onHold: hold,
    onPlace: (item: ItemRef, to: Point2) => {
      if (!sameItem(dragged, item)) setDragged(item);
      use.place(item, to);
    },
    onShift: shift,
  });
  const canvas = { scale, widthPx: size.width, heightPx: size.height };
  const named = overlay
    ? namedBoxes({ ground, marks, positions, choice, sight, canvas, wordless: onlyInHand })
    : NOWHERE;
  const sheet = { ...canvas, named };
  return (
    <View
      className="flex-1 overflow-hidden bg-paper"
      onLayout={({ nativeEvent: { layout } }) => {
        const { width, height } = layout;
        const sized = () =>
          setSize((was) => ({
            width,
            height,
            // A panel that opens under the plan makes it lower, and must not turn it.
            tallest: was.width === width ? Math.max(was.tallest, height) : height,
          }));
        // The first drawing is the long one: in slices.
        if (size.width === 0) startTransition(sized);
        else sized();
      }}
    >
      {size.width > 0 ? (
        <>
          <PlanGestures
            view={look.view}
            widthPx={size.width}
            heightPx={size.height}
            label={use.label}
            onView={look.setOwn}
            onTap={(px) => (onTap ?? use.tap)(scale.toMetres(px))}
            grab={(px) => use.grab(scale.toMetres(px), hold)}
          >
            <GroundPlan
              underlay={underlay}
              ground={ground}
              marks={marks}
              positions={positions}
              choice={choice}
              moving={look.held}
              onlyInHand={onlyInHand}
              {...shownLight}
              sight={sight}
              scores={scores}
              pins={pins}
              probed={probed}
              stations={stations}
              draft={use.draft ?? (dragged && nearestTo(setup, dragged))}
              label={`Ground plan of ${shoot.title}`}
              {...canvas}
            />
            {overlay?.(sheet)}
            {use.picking ? (
              <>
                <People
                  list="marks"
                  people={marks}
                  chosenId={mark.id}
                  chosenLabel={`Mark ${mark.name}: ${written(mark.x, 'm', 0)} east, ${written(mark.y, 'm', 0)} north of the middle`}
                  {...{ scale, ...hands }}
                />
                <People
                  list="positions"
                  people={positions}
                  chosenId={position.id}
                  chosenLabel={`Position ${position.name}: ${
                    view
                      ? `${metres(view.sight.distanceM)} from ${view.mark.name}, looking ${bearingInWords(view.sight.bearingDeg)}`
                      : 'no answer from here'
                  }`}
                  {...{ scale, ...hands }}
                />
              </>
            ) : null}
            {use.handles?.(sheet, hold)}
          </PlanGestures>
          {use.crossed ? <Cross widthPx={size.width} heightPx={size.height} /> : null}
          <PlanButtons
            look={look}
            alongDeg={site.bearingDeg}
            sightDeg={view?.sight.bearingDeg}
            turns={!northUp}
            widthPx={size.width}
            heightPx={size.height}
          />
        </>
      ) : null}
      {crowd ? <OneOf signs={crowd} onPick={pick} onClose={() => setCrowd(undefined)} /> : null}
    </View>
  );
});
