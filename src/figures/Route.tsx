import { memo } from 'react';
import { G, Path } from 'react-native-svg';
import type { Point2 } from '@/core';
import { Plate, plateBox } from './Plate';
import type { BoxPx } from './labels';
import type { Canvas, PlanLeg, PlanStation } from './plan-types';

/** Bowed to the right of the way walked, so that there and back lie side by side. */
const BOW = 0.12;
/** Begins and ends clear of the positions' own signs. */
const CLEAR_PX = 14;
const HEAD_PX = 10;
/** Over its position, so that the sign stays in sight. */
const ABOVE_PX = 24;

interface Bowed {
  readonly d: string;
  readonly head: string;
}

/** A bowed arrow between two points of the sheet; nothing where they lie too close to draw. */
function bowed(a: Point2, b: Point2): Bowed | undefined {
  const length = Math.hypot(b.x - a.x, b.y - a.y);
  if (length < 3 * CLEAR_PX) return undefined;
  const [ux, uy] = [(b.x - a.x) / length, (b.y - a.y) / length];
  const middle = {
    x: (a.x + b.x) / 2 - uy * length * BOW,
    y: (a.y + b.y) / 2 + ux * length * BOW,
  };
  const from = { x: a.x + ux * CLEAR_PX, y: a.y + uy * CLEAR_PX };
  const back = Math.hypot(b.x - middle.x, b.y - middle.y);
  const [vx, vy] = [(b.x - middle.x) / back, (b.y - middle.y) / back];
  const tip = { x: b.x - vx * CLEAR_PX, y: b.y - vy * CLEAR_PX };
  const wing = (side: number) =>
    `${(tip.x - vx * HEAD_PX - vy * side * HEAD_PX * 0.5).toFixed(1)} ${(tip.y - vy * HEAD_PX + vx * side * HEAD_PX * 0.5).toFixed(1)}`;
  const at = ({ x, y }: Point2) => `${x.toFixed(1)} ${y.toFixed(1)}`;
  return {
    d: `M${at(from)}Q${at(middle)} ${at(tip)}`,
    head: `M${wing(1)}L${at(tip)}L${wing(-1)}`,
  };
}

/** Where the plate of a station stands: over its sign, under it at the top of the sheet. */
function plateAt({ at }: PlanStation, { scale }: Pick<Canvas, 'scale'>): Point2 {
  const { x, y } = scale.toPx(at);
  return { x, y: y < 2 * ABOVE_PX ? y + ABOVE_PX : y - ABOVE_PX };
}

/** What the plates of a route take of the sheet. */
export const stationBoxes = (
  stations: readonly PlanStation[],
  canvas: Pick<Canvas, 'scale' | 'widthPx'>,
): readonly BoxPx[] =>
  stations.map((station) => plateBox(plateAt(station, canvas), station.text, canvas.widthPx));

/** The route of a day: the ways between positions, and at each position its turns. */
export const Route = memo(function Route({
  ways,
  stations,
  canvas,
}: {
  readonly ways: readonly PlanLeg[];
  readonly stations: readonly PlanStation[];
  readonly canvas: Canvas;
}) {
  const { scale, inks, widthPx } = canvas;
  return (
    <G>
      {ways.map(({ from, to, next }, i) => {
        const arrow = bowed(scale.toPx(from), scale.toPx(to));
        return arrow ? (
          <G key={i}>
            <Path d={arrow.d} fill="none" stroke={inks.paper} strokeWidth={6} />
            <Path
              d={`${arrow.d}${arrow.head}`}
              fill="none"
              stroke={next ? inks.signal : inks.ink}
              strokeWidth={next ? 3.5 : 2}
              strokeLinejoin="round"
            />
          </G>
        ) : null;
      })}
      {stations.map((station) => (
        <Plate
          key={station.text}
          {...plateAt(station, canvas)}
          text={station.text}
          inks={inks}
          withinPx={widthPx}
          strong={station.now}
        />
      ))}
    </G>
  );
});
