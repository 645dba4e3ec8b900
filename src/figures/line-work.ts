import { polygonArea } from 'd3-polygon';
import type { Point2 } from '@/core';

/** Small strokes along lines of a drawing, in pixels, as SVG paths. */

const TICK_EVERY_PX = 11;
const TICK_PX = 5;
/** Beyond this many the edge is off the sheet for the most part. */
const MOST_TICKS = 400;

const at = (x: number, y: number) => `${x.toFixed(1)} ${y.toFixed(1)}`;

/** "M1 2L3 4" through points of a picture. */
export const polyline = (points: readonly Point2[], closed: boolean): string =>
  points.length === 0 ? '' : `M${points.map(({ x, y }) => at(x, y)).join('L')}${closed ? 'Z' : ''}`;

/** A circle as two arcs. */
export const circlePath = ({ x, y }: Point2, radius: number): string => {
  const r = radius.toFixed(1);
  return `M${at(x - radius, y)}a${r} ${r} 0 1 0 ${2 * Number(r)} 0a${r} ${r} 0 1 0 ${-2 * Number(r)} 0Z`;
};

/** Positive for corners that run anticlockwise on a picture (y downwards). */
const signedArea = (corners: readonly Point2[]): number =>
  polygonArea(corners.map(({ x, y }): [number, number] => [x, y]));

/** The same area with its corners in one sense of turning, so that areas drawn as one add up. */
export const oneWay = (corners: readonly Point2[]): readonly Point2[] =>
  signedArea(corners) < 0 ? [...corners].reverse() : corners;

/** Short ticks on the inner side of a closed line. */
export function inwardTicks(corners: readonly Point2[]): string {
  if (corners.length < 3) return '';
  const inward = Math.sign(signedArea(corners));
  const lengths = corners.map((a, i) => {
    const b = corners[(i + 1) % corners.length] as Point2;
    return Math.hypot(b.x - a.x, b.y - a.y);
  });
  const whole = lengths.reduce((sum, length) => sum + length, 0);
  const every = Math.max(TICK_EVERY_PX, whole / MOST_TICKS);
  let d = '';
  corners.forEach((a, i) => {
    const b = corners[(i + 1) % corners.length] as Point2;
    const length = lengths[i] as number;
    if (length === 0) return;
    const along = { x: (b.x - a.x) / length, y: (b.y - a.y) / length };
    const inside = { x: along.y * inward, y: -along.x * inward };
    for (let s = every / 2; s < length; s += every) {
      const foot = { x: a.x + along.x * s, y: a.y + along.y * s };
      d += `M${at(foot.x, foot.y)}L${at(foot.x + inside.x * TICK_PX, foot.y + inside.y * TICK_PX)}`;
    }
  });
  return d;
}

const BARB_PX = 8;

/** The head of an arrow at the end of a line. */
export function arrowAlong(points: readonly Point2[]): string {
  const tip = points.at(-1);
  const before = points.at(-2);
  if (!tip || !before) return '';
  const length = Math.hypot(tip.x - before.x, tip.y - before.y);
  if (length === 0) return '';
  const back = { x: (before.x - tip.x) / length, y: (before.y - tip.y) / length };
  const barb = (side: number) =>
    at(
      tip.x + (back.x * 0.87 - side * back.y * 0.5) * BARB_PX,
      tip.y + (back.y * 0.87 + side * back.x * 0.5) * BARB_PX,
    );
  return `M${barb(1)}L${at(tip.x, tip.y)}L${barb(-1)}`;
}
