import { memo } from 'react';
import { Circle, G, Path, Svg } from 'react-native-svg';
import { alongBearing, type Point2 } from '@/core';
import { useInks } from '@/ui/theme';
import { Clicks } from './Clicks';
import { HaloText } from './HaloText';
import type { PlanScale } from './plan-scale';
import type { Canvas, PlanClicks, PlanLeg, PlanRing, PlanStation, PlanSwing } from './plan-types';
import { overlap, type BoxPx } from './labels';
import { Plate, plateBox } from './Plate';
import { Route } from './Route';

/** The depth of field on the ground: what lies in it is sharp. */
const FocusZone = memo(function FocusZone({
  zone,
  canvas: { scale, inks },
}: {
  readonly zone: readonly Point2[];
  readonly canvas: Canvas;
}) {
  const d = zone
    .map((point, i) => {
      const { x, y } = scale.toPx(point);
      return `${i ? 'L' : 'M'}${x.toFixed(1)} ${y.toFixed(1)}`;
    })
    .join('');
  return <Path d={`${d}Z`} fill={inks.signal} fillOpacity={0.22} stroke={inks.signal} />;
});

const RADIUS_PX = 54;
const STEP_DEG = 4;

/** The swing of a pan round the photographer, from where it is picked up to the follow-through. */
const Swing = memo(function Swing({
  swing: { at, fromDeg, turnDeg },
  canvas: { scale, inks },
}: {
  readonly swing: PlanSwing;
  readonly canvas: Canvas;
}) {
  const middle = scale.toPx(at);
  // Bearings turn with the sheet: a point a metre off gives the way on it.
  const towards = (bearing: number, radius: number) => {
    const rad = (bearing * Math.PI) / 180;
    const off = scale.toPx({ x: at.x + Math.sin(rad), y: at.y + Math.cos(rad) });
    const length = Math.hypot(off.x - middle.x, off.y - middle.y) || 1;
    return {
      x: middle.x + ((off.x - middle.x) / length) * radius,
      y: middle.y + ((off.y - middle.y) / length) * radius,
    };
  };
  const steps = Math.max(2, Math.ceil(Math.abs(turnDeg) / STEP_DEG));
  const arc = Array.from({ length: steps + 1 }, (_, i) =>
    towards(fromDeg + (turnDeg * i) / steps, RADIUS_PX),
  );
  const tip = fromDeg + turnDeg;
  const back = tip - Math.sign(turnDeg) * 9;
  const head = [
    towards(back, RADIUS_PX - 7),
    towards(tip, RADIUS_PX),
    towards(back, RADIUS_PX + 7),
  ];
  const path = (points: readonly Point2[]) =>
    points.map(({ x, y }, i) => `${i ? 'L' : 'M'}${x.toFixed(1)} ${y.toFixed(1)}`).join('');
  return (
    <G>
      <Path
        d={`${path([middle, ...arc])}Z`}
        fill={inks.ink}
        fillOpacity={0.06}
        stroke={inks.ink}
        strokeWidth={0.75}
        strokeDasharray="3 3"
      />
      <Path d={path(arc)} fill="none" stroke={inks.ink} strokeWidth={2.5} />
      <Path d={path(head)} fill="none" stroke={inks.ink} strokeWidth={2.5} />
    </G>
  );
});

/** Where round a ring its words may stand, as seen from the line of sight, nearest first. */
const ROUND_DEG = [0, 20, -20, 40, -40, 65, -65, 95, -95, 130, -130, 180] as const;

/** Each ring with its words where they meet neither names, nor each other, nor the edge. */
function wordedRings(
  rings: readonly PlanRing[],
  { scale, widthPx, heightPx }: Canvas,
  named: readonly BoxPx[],
) {
  const taken = [...named];
  return rings.map((ring) => {
    const { at, radiusM, towardsDeg, text } = ring;
    const places = ROUND_DEG.map((offDeg) => {
      const { x, y } = alongBearing(towardsDeg + offDeg);
      const word = scale.toPx({ x: at.x + x * radiusM, y: at.y + y * radiusM });
      return { word, box: plateBox(word, text, widthPx) };
    });
    const free = places.find(
      ({ word, box }) =>
        word.x > 0 &&
        word.x < widthPx &&
        box.top > 0 &&
        box.bottom < heightPx &&
        !taken.some((other) => overlap(box, other)),
    );
    const { word, box } = free ?? (places[0] as (typeof places)[number]);
    taken.push(box);
    return { ring, word };
  });
}

/** Distances round a position, each written on its ring, in the line of sight if there is room. */
const Rings = memo(function Rings({
  rings,
  named,
  canvas,
}: {
  readonly rings: readonly PlanRing[];
  readonly named: readonly BoxPx[];
  readonly canvas: Canvas;
}) {
  const { scale, inks, widthPx } = canvas;
  return (
    <G>
      {wordedRings(rings, canvas, named).map(({ ring: { at, radiusM, text, heavy }, word }) => {
        const middle = scale.toPx(at);
        return (
          <G key={text}>
            <Circle
              cx={middle.x}
              cy={middle.y}
              r={radiusM * scale.pxPerM}
              fill="none"
              stroke={heavy ? inks.signal : inks.ink}
              strokeWidth={heavy ? 2.5 : 1}
              strokeDasharray={heavy ? '' : '6 4'}
            />
            <Plate x={word.x} y={word.y} text={text} inks={inks} withinPx={widthPx} />
          </G>
        );
      })}
    </G>
  );
});

/** Under the plan's own two lines of legend. */
const LEGEND = { x: 12, y: 55 } as const;

/** What a step lays over the plan, on a sheet of its own. */
export function Instruments({
  clicks,
  zone,
  swing,
  rings,
  route,
  named,
  scale,
  widthPx,
  heightPx,
}: {
  readonly clicks?: readonly PlanClicks[] | undefined;
  readonly zone?: readonly Point2[] | undefined;
  readonly swing?: PlanSwing | undefined;
  readonly rings?: readonly PlanRing[] | undefined;
  readonly route?:
    { readonly ways: readonly PlanLeg[]; readonly stations: readonly PlanStation[] } | undefined;
  /** Where the plan has names of its own. */
  readonly named: readonly BoxPx[];
  readonly scale: PlanScale;
  readonly widthPx: number;
  readonly heightPx: number;
}) {
  const inks = useInks();
  const canvas = { scale, widthPx, heightPx, inks };
  return (
    <Svg width={widthPx} height={heightPx}>
      {swing ? <Swing swing={swing} canvas={canvas} /> : null}
      {zone ? <FocusZone zone={zone} canvas={canvas} /> : null}
      {route ? <Route {...route} canvas={canvas} /> : null}
      {rings ? <Rings rings={rings} named={named} canvas={canvas} /> : null}
      {clicks ? <Clicks clicks={clicks} canvas={canvas} /> : null}
      {swing ? (
        <HaloText {...LEGEND} text={swing.text} inks={inks} anchor="start" withinPx={widthPx} />
      ) : null}
    </Svg>
  );
}
