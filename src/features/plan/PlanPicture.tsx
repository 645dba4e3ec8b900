import { useCallback, useEffect, useMemo, useState } from 'react';
import { View } from 'react-native';
import { bestPlaces } from '@/features/ground/search';
import { useSearchTool } from '@/features/ground/use-search';
import { Cross } from '@/features/draw/Cross';
import { DrawHandles } from '@/features/draw/DrawHandles';
import { useDrawTool } from '@/features/draw/use-draw';
import { useDrawing } from '@/features/draw/use-drawing';
import { GroundPlan } from '@/figures/GroundPlan';
import { scaleOf } from '@/figures/plan-scale';
import type { PlanLight } from '@/figures/plan-types';
import { moveItem, type ItemRef } from '@/records/edit-site';
import { closeExtent, planExtent, planGround, planLight, planSight } from './drawing';
import { PlanButtons } from './PlanButtons';
import { PlanGestures } from './PlanGestures';
import { MoveHandle, PickTarget } from './PlanHandles';
import { useShootPage } from './ShootContext';
import type { Plan } from './use-plan';
import { usePlanView, type Framing } from './use-plan-view';
import { chosenMark, chosenPosition, type Setup } from './view';
import { bearingInWords, metres } from './words';

/** The minute's light on the plan: the same while neither sun, sky nor ground has changed. */
function useShownLight({ setup, seen }: Plan): PlanLight | undefined {
  const { features, light } = setup;
  const { sky } = light;
  const lit = seen.ok ? seen.answer.light : undefined;
  const azimuthDeg = lit?.sun.azimuthDeg;
  const altitudeDeg = lit?.sun.altitudeDeg;
  const { indoors = false, lampLux = 0 } = lit ?? {};
  return useMemo(
    () =>
      azimuthDeg === undefined || altitudeDeg === undefined
        ? undefined
        : planLight({ sky, features }, { sun: { azimuthDeg, altitudeDeg }, indoors, lampLux }),
    [azimuthDeg, altitudeDeg, indoors, lampLux, sky, features],
  );
}

/** The ground plan: looked at, chosen from, and changed by finger, mouse or keys. */
export function PlanPicture({ drawing = false }: { readonly drawing?: boolean }) {
  const { plan, update, endStep } = useShootPage();
  const search = useSearchTool();
  const { setup, seen } = plan;
  const { ground: site, features, marks, positions, choice } = setup;
  const [size, setSize] = useState({ width: 0, height: 0 });
  const ground = useMemo(() => planGround({ ground: site, features }), [site, features]);
  const view = seen.ok ? seen.view : undefined;
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
  const sight = useMemo(() => view && planSight(view), [view]);
  const shownLight = useShownLight(plan);
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

  const select = (item: ItemRef) => act({ do: 'select', item });
  const choose = (next: Partial<Setup['choice']>) =>
    update((current) => ({ ...current, choice: { ...current.choice, ...next } }));
  const hold = (held: boolean) => {
    endStep();
    look.hold(held);
  };
  const handleFor = (list: 'marks' | 'positions', id: string, at: { x: number; y: number }) => ({
    point: at,
    scale,
    onHold: hold,
    onPlace: (to: { x: number; y: number }) => draw.place({ list, id }, to),
    onShift: (east: number, north: number) =>
      update((current) => moveItem(current, { list, id }, east, north), `keys ${id}`),
  });

  const handles = (
    <>
      {draw.picking ? (
        <>
          {marks
            .filter(({ id }) => id !== mark.id)
            .map(({ id, name, x, y }) => (
              <PickTarget
                key={id}
                id={id}
                label={`Choose mark ${name}`}
                {...scale.toPx({ x, y })}
                onPick={(markId) => {
                  choose({ markId });
                  select({ list: 'marks', id: markId });
                }}
              />
            ))}
          {positions
            .filter(({ id }) => id !== position.id)
            .map(({ id, name, x, y }) => (
              <PickTarget
                key={id}
                id={id}
                label={`Choose position ${name}`}
                {...scale.toPx({ x, y })}
                onPick={(positionId) => {
                  choose({ positionId });
                  select({ list: 'positions', id: positionId });
                }}
              />
            ))}
          <MoveHandle
            label={`Mark ${mark.name}: ${Math.round(mark.x)} m east, ${Math.round(mark.y)} m north of the middle`}
            {...handleFor('marks', mark.id, mark)}
          />
          <MoveHandle
            label={`Position ${position.name}: ${
              view
                ? `${metres(view.sight.distanceM)} from ${view.mark.name}, looking ${bearingInWords(view.sight.bearingDeg)}`
                : 'no answer from here'
            }`}
            {...handleFor('positions', position.id, position)}
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
            onTap={(px) => draw.tap(scale.toMetres(px))}
            grab={(px) => draw.grab(scale.toMetres(px), hold)}
          >
            <GroundPlan
              ground={ground}
              marks={marks}
              positions={positions}
              choice={choice}
              moving={look.held}
              light={shownLight}
              sight={sight}
              scores={search.state?.result}
              pins={pins}
              draft={draw.draft}
              scale={scale}
              widthPx={size.width}
              heightPx={size.height}
              label={`Ground plan of ${plan.shoot.title}`}
            />
            {handles}
          </PlanGestures>
          {draw.crossed ? <Cross widthPx={size.width} heightPx={size.height} /> : null}
          <PlanButtons look={look} ups={ups} widthPx={size.width} heightPx={size.height} />
        </>
      ) : null}
    </View>
  );
}
