import { polygonArea } from 'd3-polygon';
import { above, atLeast } from '../check';
import { toDegrees } from '../quantity/angles';
import type { Obstacle, Opening } from './obstacle';
import { bearingDeg, type Point2, type Point3 } from './vector';

/** Hides, tents, cars and rooms: what one sits in and looks out of. */

/** What stands in a window: nothing, one pane or two of glass, or a net or a curtain with a slit for the lens. */
export const WINDOW_PANES = ['open', 'net', 'glass', 'doubleGlass'] as const;
export type WindowPane = (typeof WINDOW_PANES)[number];

/** A window of a hide, in one of its walls: the one from corner `wall` to the next. */
export interface HideWindow {
  readonly wall: number;
  /** Its middle, from the wall's own, to the right as one looks out. */
  readonly asideM: number;
  readonly widthM: number;
  /** Of its lower edge, above the ground outside. */
  readonly sillM: number;
  readonly heightM: number;
  readonly pane: WindowPane;
  /** A curtain before it is drawn to a gap in its middle so wide, which hides who is behind; none when absent. */
  readonly curtainM?: number | undefined;
}

/** A wall as one looks out of it: from its left end to its right, and the true bearing it looks along. */
export interface HideWall {
  readonly left: Point2;
  readonly right: Point2;
  readonly lengthM: number;
  readonly looksDeg: number;
}

/** The walls of a footprint, in the order of its corners. */
export function wallsOf(footprint: readonly Point2[]): readonly HideWall[] {
  // Corners that run clockwise, seen from above, have their inside on the right hand. The package counts y downwards.
  const clockwise = polygonArea(footprint.map(({ x, y }) => [x, y])) > 0;
  return footprint.map((corner, i) => {
    const next = footprint[(i + 1) % footprint.length] as Point2;
    const [left, right] = clockwise ? [corner, next] : [next, corner];
    return {
      left,
      right,
      lengthM: Math.hypot(right.x - left.x, right.y - left.y),
      looksDeg: (bearingDeg(left, right) + 270) % 360,
    };
  });
}

/**
 * The openings that windows make; one that lies beyond the end of its wall is cut off there, and one of no wall is none.
 * @throws RangeError for a width or height not above 0, or a sill below the ground
 */
export function openingsOf(
  footprint: readonly Point2[],
  windows: readonly HideWindow[],
): readonly Opening[] {
  const walls = wallsOf(footprint);
  return windows.flatMap(({ wall: index, asideM, widthM, sillM, heightM, pane, curtainM }) => {
    above('window.widthM', widthM, 0);
    above('window.heightM', heightM, 0);
    atLeast('window.sillM', sillM, 0);
    const wall = walls[index];
    if (!wall || wall.lengthM === 0) return [];
    const { left, right, lengthM } = wall;
    const held = (alongM: number) => Math.min(lengthM, Math.max(0, alongM));
    const middleM = lengthM / 2 + asideM;
    const openM = Math.min(widthM, above('window.curtainM', curtainM ?? widthM, 0));
    const [fromM, toM] = [held(middleM - openM / 2), held(middleM + openM / 2)];
    if (toM <= fromM) return [];
    const at = (alongM: number): Point2 => ({
      x: left.x + ((right.x - left.x) * alongM) / lengthM,
      y: left.y + ((right.y - left.y) * alongM) / lengthM,
    });
    return [{ left: at(fromM), right: at(toM), sillM, headM: sillM + heightM, pane }];
  });
}

/** An upright piece of a wall, with no hole in it. */
export interface WallPiece {
  readonly from: Point2;
  readonly to: Point2;
  readonly lowM: number;
  readonly highM: number;
}

/** What is left of the walls of a footprint round their windows. @throws RangeError as {@link openingsOf} */
export function wallPieces(
  footprint: readonly Point2[],
  heightM: number,
  windows: readonly HideWindow[],
): readonly WallPiece[] {
  return wallsOf(footprint).flatMap(({ left, right, lengthM }, index) => {
    if (lengthM === 0) return [];
    const holes = openingsOf(
      footprint,
      windows.filter(({ wall }) => wall === index),
    ).map((hole) => ({
      fromM: Math.hypot(hole.left.x - left.x, hole.left.y - left.y),
      toM: Math.hypot(hole.right.x - left.x, hole.right.y - left.y),
      lowM: hole.sillM,
      highM: Math.min(heightM, hole.headM),
    }));
    const cuts = [0, lengthM, ...holes.flatMap(({ fromM, toM }) => [fromM, toM])].sort(
      (a, b) => a - b,
    );
    const at = (alongM: number): Point2 => ({
      x: left.x + ((right.x - left.x) * alongM) / lengthM,
      y: left.y + ((right.y - left.y) * alongM) / lengthM,
    });
    return cuts.slice(1).flatMap((toM, i): readonly WallPiece[] => {
      const fromM = cuts[i] as number;
      if (toM - fromM < 1e-9) return [];
      const middleM = (fromM + toM) / 2;
      const over = holes
        .filter((hole) => hole.fromM < middleM && middleM < hole.toM)
        .sort((a, b) => a.lowM - b.lowM);
      const [from, to] = [at(fromM), at(toM)];
      const pieces: WallPiece[] = [];
      let lowM = 0;
      for (const hole of over) {
        if (hole.lowM > lowM) pieces.push({ from, to, lowM, highM: hole.lowM });
        lowM = Math.max(lowM, hole.highM);
      }
      return heightM > lowM ? [...pieces, { from, to, lowM, highM: heightM }] : pieces;
    });
  });
}

/** What a seat sees through a window: between two bearings, clockwise, and two elevations at its middle. */
export interface WindowSwing {
  readonly opening: Opening;
  readonly fromDeg: number;
  readonly turnDeg: number;
  readonly lowestDeg: number;
  readonly highestDeg: number;
}

/**
 * How far a lens can swing in each opening of what a seat is in; none where it has no openings.
 * @param seat the lens's own place, within the walls
 */
export function swingsOf(seat: Point3, { openings = [] }: Obstacle): readonly WindowSwing[] {
  return openings.map((opening) => {
    const { left, right, sillM, headM } = opening;
    const fromDeg = bearingDeg(seat, left);
    const turnDeg = (bearingDeg(seat, right) - fromDeg + 360) % 360;
    const middle = { x: (left.x + right.x) / 2, y: (left.y + right.y) / 2 };
    const awayM = Math.hypot(middle.x - seat.x, middle.y - seat.y);
    const up = (heightM: number) => toDegrees(Math.atan2(heightM - seat.z, awayM));
    return { opening, fromDeg, turnDeg, lowestDeg: up(sillM), highestDeg: up(headM) };
  });
}

/** Angle between a line of sight and the square through an opening's plane, 0 to 90. */
export function offSquareDeg(sightDeg: number, { left, right }: Opening): number {
  const off = Math.abs(((sightDeg - bearingDeg(left, right) + 270 + 540) % 360) - 180);
  return Math.min(off, 180 - off);
}
