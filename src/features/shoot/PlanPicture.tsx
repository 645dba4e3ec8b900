import { useCallback, useEffect, useMemo, useState } from 'react';
import { withPlace } from '@/answers/choose-shot';
import { View } from 'react-native';
import { bestPlaces } from '@/answers/search';
import { useSearchTool } from '@/features/ground/use-search';
import { Cross } from '@/features/draw/Cross';
import { DrawHandles } from '@/features/draw/DrawHandles';
import { useDrawTool } from '@/features/draw/use-draw';
import { useDrawing } from '@/features/draw/use-drawing';
import { useWalkTool } from '@/features/light/use-walk';
import { GroundPlan } from '@/figures/GroundPlan';
import type { Point2 } from '@/core';
import { scaleOf } from '@/figures/plan-scale';
import { moveItem, type ItemRef } from '@/records/edit-site';
import { planExtent, planLines } from '@/answers/extent';
import { closeExtent, planLight, planSight } from './drawing';
import { PlanButtons } from './PlanButtons';
import { PlanGestures } from './PlanGestures';
import { People } from './PlanHandles';
import { marksInSun, ownShadow } from '@/answers/sun-on-ground';
import { PlanOverlays } from './PlanOverlays';
import { useLooked, useShootEdits } from './ShootContext';
import type { Look } from './use-plan';
import { usePlanView, type Framing } from './use-plan-view';
import { chosenMark, chosenPosition } from '@/answers/view';
import { bearingInWords, metres } from './words';
import { written } from '@/ui/units';

/** The minute's light on the plan: each part the same while what it rests on has not changed. */
function useShownLight({ setup, light }: Look) {
  const { features, marks, subjects, positions, choice } = setup;
  const { sun } = light;
  const shown = useMemo(() => planLight({ sky: light.sky, features }, light), [light, features]);
  const inSun = useMemo(
    () => marksInSun({ marks, subjects }, features, sun),
    [marks, subjects, features, sun],
  );
  const { x, y } = chosenPosition({ positions, choice });
  const shining = shown.sunStrength > 0;
  const own = useMemo(
    () => (shining ? ownShadow({ x, y }, features, sun) : undefined),
    [x, y, features, sun, shining],
  );
  return { light: shown, inSun, ownShadow: own };
}

/** The ground plan: looked at, chosen from, and changed by finger, mouse or keys. */
export function PlanPicture({ drawing = false }: { readonly drawing?: boolean }) {
  const looked = useLooked();
  const { update, hold: holdEdits } = useShootEdits();
  const search = useSearchTool();
  const { walk } = useWalkTool();
  const { setup, viewed, along } = looked;
  const { ground: site, features, marks, positions, choice } = setup;
  const [size, setSize] = useState({ width: 0, height: 0 });
  const lines = useMemo(() => planLines(site), [site]);
  const ground = useMemo(() => ({ lines, features }), [lines, features]);
  const view = viewed.ok ? viewed.view : undefined;
  const { result, request, running } = search.state ?? {};
  const pins = useMemo(
    () => (result && request && !running ? bestPlaces(result, request) : undefined),
    [result, request, running],
  );
  const extentOf = useCallback(
    (framing: Framing) =>
      framing === 'close' && view
        ? closeExtent(view)
        : [...planExtent(ground, { marks, positions }), ...(pins ?? [])],
    [ground, marks, positions, pins, view],
  );
  const look = usePlanView(extentOf, size.width, size.height);
  const scale = useMemo(
    () => scaleOf(look.view, size.width, size.height),
    [look.view, size.width, size.height],
  );
  const draw = useDrawing(scale, drawing);
  const { show, act } = useDrawTool();
  useEffect(() => show(look.view), [look.view, show]);
  const sight = useMemo(() => view && along && planSight(view, along), [view, along]);
  const shownLight = useShownLight(looked);
  const position = chosenPosition(setup);
  const mark = chosenMark(setup);
  const ups = useMemo(
    () => [
      { name: 'North up', deg: 0 },
      { name: 'Long axis up', deg: site.bearingDeg },
      ...(view ? [{ name: 'Sight line up', deg: view.sight.bearingDeg }] : []),
    ],
    [site.bearingDeg, view],
  );

  const pick = (item: ItemRef) => {
    const chosen = item.list === 'marks' ? { markId: item.id } : { positionId: item.id };
    update((current) => withPlace(current, chosen));
    act({ do: 'select', item });
  };
  const tap = (at: Point2) => (drawing || !pins ? draw.tap(at) : search.probe(at));
  const hold = (held: boolean) => {
    holdEdits(held);
    look.hold(held);
  };
  const shift = (item: ItemRef, eastM: number, northM: number) =>
    update((current) => moveItem(current, item, eastM, northM), `keys ${item.id}`);
  const hands = { scale, onPick: pick, onHold: hold, onPlace: draw.place, onShift: shift };

  const handles = (
    <>
      {draw.picking ? (
        <>
          <People
            list="marks"
            people={marks}
            chosenId={mark.id}
            chosenLabel={`Mark ${mark.name}: ${written(mark.x, 'm', 0)} east, ${written(mark.y, 'm', 0)} north of the middle`}
            {...hands}
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
            {...hands}
          />
        </>
      ) : null}
      {drawing ? <DrawHandles scale={scale} drawing={draw} onHold={hold} /> : null}
    </>
  );
  return (
    <View
      className="flex-1 overflow-hidden bg-paper"
      onLayout={({ nativeEvent: { layout } }) =>
        setSize({ width: layout.width, height: layout.height })
      }
    >
      {size.width > 0 ? (
        <>
          <PlanGestures
            view={look.view}
            widthPx={size.width}
            heightPx={size.height}
            label={draw.label}
            onView={look.setOwn}
            onTap={(px) => tap(scale.toMetres(px))}
            grab={(px) => draw.grab(scale.toMetres(px), hold)}
          >
            <GroundPlan
              ground={ground}
              marks={marks}
              positions={positions}
              choice={choice}
              moving={look.held}
              {...shownLight}
              sight={sight}
              scores={search.state?.result}
              pins={pins}
              probed={walk ? walk.points[walk.at] : pins && search.probed}
              draft={draw.draft}
              scale={scale}
              widthPx={size.width}
              heightPx={size.height}
              label={`Ground plan of ${looked.shoot.title}`}
            />
            <PlanOverlays scale={scale} widthPx={size.width} heightPx={size.height} />
            {handles}
          </PlanGestures>
          {draw.crossed ? <Cross widthPx={size.width} heightPx={size.height} /> : null}
          <PlanButtons look={look} ups={ups} widthPx={size.width} heightPx={size.height} />
        </>
      ) : null}
    </View>
  );
}
