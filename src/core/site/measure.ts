import { polygonArea } from 'd3-polygon';
import { bearingDeg, type Point2 } from './vector';

export interface Measured {
  readonly legs: readonly { readonly lengthM: number; readonly bearingDeg: number }[];
  readonly lengthM: number;
  /** Area enclosed when the last point is joined to the first; 0 under three points. */
  readonly areaM2: number;
}

/** Lengths and true bearings along points, and the area they enclose. */
export function measure(points: readonly Point2[]): Measured {
  const legs = points.slice(1).map((to, i) => {
    const from = points[i] as Point2;
    return {
      lengthM: Math.hypot(to.x - from.x, to.y - from.y),
      bearingDeg: bearingDeg(from, to),
    };
  });
  return {
    legs,
    lengthM: legs.reduce((sum, { lengthM }) => sum + lengthM, 0),
    areaM2:
      points.length < 3
        ? 0
        : Math.abs(polygonArea(points.map(({ x, y }): [number, number] => [x, y]))),
  };
}

/** A rectangle by its middle, its sides, and the true bearing its depth runs along. */
export interface Rectangle {
  readonly middle: Point2;
  readonly widthM: number;
  readonly depthM: number;
  readonly bearingDeg: number;
}

const RIGHT_ANGLE_SLACK = 1e-3;

/** Four corners as a rectangle, or nothing when they are none. */
export function asRectangle(points: readonly Point2[]): Rectangle | undefined {
  if (points.length !== 4) return undefined;
  const [a, b, c, d] = points as readonly [Point2, Point2, Point2, Point2];
  const width = { x: b.x - a.x, y: b.y - a.y };
  const depth = { x: d.x - a.x, y: d.y - a.y };
  const widthM = Math.hypot(width.x, width.y);
  const depthM = Math.hypot(depth.x, depth.y);
  if (widthM === 0 || depthM === 0) return undefined;
  const slackM = RIGHT_ANGLE_SLACK * Math.max(widthM, depthM);
  const square =
    Math.abs(width.x * depth.x + width.y * depth.y) <= slackM * Math.min(widthM, depthM);
  const closes = Math.hypot(a.x + width.x + depth.x - c.x, a.y + width.y + depth.y - c.y) <= slackM;
  if (!square || !closes) return undefined;
  return {
    middle: { x: (a.x + c.x) / 2, y: (a.y + c.y) / 2 },
    widthM,
    depthM,
    bearingDeg: bearingDeg(a, d),
  };
}

/** Corners of a rectangle: width to the right of its bearing, depth along it. */
export function rectangleCorners({
  middle,
  widthM,
  depthM,
  bearingDeg: along,
}: Rectangle): Point2[] {
  const turn = (along * Math.PI) / 180;
  const right = { x: Math.cos(turn), y: -Math.sin(turn) };
  const ahead = { x: Math.sin(turn), y: Math.cos(turn) };
  return (
    [
      [-1, -1],
      [1, -1],
      [1, 1],
      [-1, 1],
    ] as const
  ).map(([across, forth]) => ({
    x: middle.x + (across * right.x * widthM + forth * ahead.x * depthM) / 2,
    y: middle.y + (across * right.y * widthM + forth * ahead.y * depthM) / 2,
  }));
}

/**
 * A rectangle with one corner moved: the opposite corner stays, the sides keep their bearings.
 * @param points four corners that {@link asRectangle} takes for a rectangle
 */
export function withCornerMoved(
  points: readonly Point2[],
  index: number,
  to: Point2,
): Point2[] | undefined {
  const rectangle = asRectangle(points);
  const still = points[(index + 2) % 4];
  if (!rectangle || !still) return undefined;
  const turn = (rectangle.bearingDeg * Math.PI) / 180;
  const reach = { x: to.x - still.x, y: to.y - still.y };
  const across = reach.x * Math.cos(turn) - reach.y * Math.sin(turn);
  const forth = reach.x * Math.sin(turn) + reach.y * Math.cos(turn);
  const handed = (rightDot: number, least: number) =>
    Math.abs(rightDot) < least ? Math.sign(rightDot || 1) * least : rightDot;
  const wide = handed(across, SMALLEST_SIDE_M);
  const deep = handed(forth, SMALLEST_SIDE_M);
  const middle = {
    x: still.x + (wide * Math.cos(turn) + deep * Math.sin(turn)) / 2,
    y: still.y + (-wide * Math.sin(turn) + deep * Math.cos(turn)) / 2,
  };
  return rectangleCorners({
    middle,
    widthM: Math.abs(wide),
    depthM: Math.abs(deep),
    bearingDeg: rectangle.bearingDeg,
  });
}

const SMALLEST_SIDE_M = 0.1;
