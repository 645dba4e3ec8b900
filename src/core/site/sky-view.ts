import { cosDeg, tanDeg, toDegrees } from '../quantity/angles';
import { FARTHEST_M, past, type Bough } from './bough';
import { skyViewOfFace, type Obstacle } from './obstacle';
import { alongBearing, type Point3 } from './vector';

/** How much of the sky an upright face sees: between what stands, and past what hangs before it. */

const CELL_DEG = 15;

/** Parts of an even sky before an upright face that looks north, and how much each sends it of the whole. */
const CELLS: readonly {
  readonly asideDeg: number;
  readonly upDeg: number;
  readonly share: number;
}[] = (() => {
  const cells = Array.from({ length: (180 / CELL_DEG) * (90 / CELL_DEG) }, (_, i) => {
    const asideDeg = -90 + (Math.floor(i / (90 / CELL_DEG)) + 0.5) * CELL_DEG;
    const upDeg = ((i % (90 / CELL_DEG)) + 0.5) * CELL_DEG;
    // Cosine on the face times the cell's own width in the sky.
    return { asideDeg, upDeg, share: cosDeg(asideDeg) * cosDeg(upDeg) ** 2 };
  });
  const sum = cells.reduce((all, { share }) => all + share, 0);
  return cells.map((cell) => ({ ...cell, share: cell.share / sum }));
})();

/** The way to a branch's middle, and the cosine off it beyond which no part of the sky meets any of it. */
interface Seen extends Point3 {
  readonly leastCos: number;
}

function seenFrom(point: Point3, { from, to, leafRadiusM, woodM }: Bough): Seen {
  const x = (from.x + to.x) / 2 - point.x;
  const y = (from.y + to.y) / 2 - point.y;
  const z = (from.z + to.z) / 2 - point.z;
  const awayM = Math.hypot(x, y, z);
  const reachM =
    Math.hypot(to.x - from.x, to.y - from.y, to.z - from.z) / 2 + Math.max(leafRadiusM, woodM);
  if (reachM >= awayM) return { x, y, z, leastCos: -Infinity };
  // A part of the sky reaches so far round its middle.
  const halfDeg = toDegrees(Math.asin(reachM / awayM)) + CELL_DEG / Math.SQRT2;
  const leastCos = halfDeg < 180 ? cosDeg(halfDeg) : -1;
  return { x: x / awayM, y: y / awayM, z: z / awayM, leastCos };
}

/**
 * Share of an even sky before an upright face that comes to it past branches: 1 where there are none. The half of the
 * sky is taken in parts of 15°, each by the line through its middle, and wood by the share that it hides of the part.
 * @param month 1 to 12
 */
export function skyThrough(
  point: Point3,
  faceAzimuthDeg: number,
  boughs: readonly Bough[],
  month: number,
): number {
  if (boughs.length === 0) return 1;
  const half = tanDeg(CELL_DEG / 2);
  const towards = CELLS.map(({ asideDeg, upDeg }) =>
    alongBearing(faceAzimuthDeg + asideDeg, upDeg),
  );
  const left = CELLS.map(({ share }) => share);
  for (const bough of boughs) {
    const { x, y, z, leastCos } = seenFrom(point, bough);
    towards.forEach((toward, i) => {
      if (toward.x * x + toward.y * y + toward.z * z < leastCos) return;
      left[i] = (left[i] as number) * past(point, toward, FARTHEST_M, half, bough, month);
    });
  }
  return left.reduce((sum, share) => sum + share, 0);
}

/**
 * Sky view factor of an upright face: 0.5 in the open. What branches take counts as if it were spread evenly over what
 * obstacles leave.
 * @param month 1 to 12
 */
export const skySeen = (
  point: Point3,
  faceAzimuthDeg: number,
  {
    obstacles,
    boughs = [],
  }: { readonly obstacles: readonly Obstacle[]; readonly boughs?: readonly Bough[] | undefined },
  month: number,
): number =>
  skyViewOfFace(point, faceAzimuthDeg, obstacles) *
  skyThrough(point, faceAzimuthDeg, boughs, month);
