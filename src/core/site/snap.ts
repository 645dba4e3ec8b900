import { above } from '../check';
import type { Point2 } from './vector';

/** A straight piece of something drawn. */
export type Segment = readonly [Point2, Point2];

/** What a point came to lie on. */
export type SnapTarget = 'corner' | 'line' | 'grid' | 'nothing';

export interface Snapped {
  readonly point: Point2;
  readonly to: SnapTarget;
  /** The piece it lies on, where it is one. */
  readonly segment?: Segment;
}

const apart = (a: Point2, b: Point2): number => Math.hypot(a.x - b.x, a.y - b.y);

/** The nearest point of a piece to a point; its end where that is nearest. */
export function nearestOnSegment(point: Point2, [a, b]: Segment): Point2 {
  const along = { x: b.x - a.x, y: b.y - a.y };
  const square = along.x ** 2 + along.y ** 2;
  if (square === 0) return a;
  const share = ((point.x - a.x) * along.x + (point.y - a.y) * along.y) / square;
  const kept = Math.min(1, Math.max(0, share));
  return { x: a.x + kept * along.x, y: a.y + kept * along.y };
}

/** Distance in metres from a point to a line through points; Infinity for no points. */
export function distanceToLine(point: Point2, line: readonly Point2[]): number {
  const [first] = line;
  if (!first) return Infinity;
  return line
    .slice(1)
    .reduce(
      (least, b, i) =>
        Math.min(least, apart(point, nearestOnSegment(point, [line[i] as Point2, b]))),
      apart(point, first),
    );
}

/** Corners of pieces, each at its place; lines and closed areas alike. */
export const segmentsOf = (points: readonly Point2[], closed: boolean): readonly Segment[] =>
  points.flatMap((a, i): readonly Segment[] => {
    const b = points[i + 1] ?? (closed ? points[0] : undefined);
    return b && b !== a ? [[a, b]] : [];
  });

/**
 * Draws a point on to what lies within reach: first a corner, then a line, then the grid.
 * @param reachM how far it may be drawn
 * @param gridM spacing of the grid, its lines through the origin
 * @throws RangeError for a reach or a spacing not above 0
 */
export function snapPoint(
  point: Point2,
  segments: readonly Segment[],
  { reachM, gridM }: { readonly reachM: number; readonly gridM: number },
): Snapped {
  above('reachM', reachM, 0);
  above('gridM', gridM, 0);
  let corner: Snapped | undefined;
  let line: Snapped | undefined;
  let [cornerM, lineM] = [reachM, reachM];
  for (const segment of segments) {
    for (const end of segment) {
      const away = apart(point, end);
      if (away > cornerM) continue;
      cornerM = away;
      corner = { point: end, to: 'corner', segment };
    }
    const foot = nearestOnSegment(point, segment);
    const away = apart(point, foot);
    if (away > lineM) continue;
    lineM = away;
    line = { point: foot, to: 'line', segment };
  }
  if (corner) return corner;
  if (line) return line;
  const round = (value: number) => Math.round(value / gridM) * gridM + 0;
  const onGrid = { x: round(point.x), y: round(point.y) };
  return apart(point, onGrid) <= reachM ? { point: onGrid, to: 'grid' } : { point, to: 'nothing' };
}
