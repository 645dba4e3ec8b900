import { openingAt, type Obstacle, type Opening } from '../site/obstacle';

/**
 * Sight and backdrop for the search: as `sightBlocks` and `firstBackdrop`, but without making
 * arrays, since they run for every cell and mark. checks/ holds the two against each other.
 */

/** A footprint's sides, flat: x0, y0, x1, y1, … */
export interface FlatObstacle {
  readonly corners: Float64Array;
  readonly heightM: number;
  /** Of what is hollow, the holes in its walls. */
  readonly openings: readonly Opening[] | undefined;
}

export const flatten = (obstacles: readonly Obstacle[]): readonly FlatObstacle[] =>
  obstacles.map(({ footprint, heightM, openings }) => ({
    heightM,
    openings,
    corners: Float64Array.from(footprint.flatMap(({ x, y }) => [x, y])),
  }));

/** What a line of sight meets. */
export interface SightFound {
  blocked: boolean;
  /** Level distance from the camera to the first thing behind the subject; Infinity if none. */
  backdropM: number;
}

/**
 * Follows the line from camera to subject and beyond, and writes what it meets into `found`.
 * Between two cuts of a footprint the line is lowest at one of them, so it suffices to look there.
 */
export function followSight(
  obstacles: readonly FlatObstacle[],
  cameraX: number,
  cameraY: number,
  cameraZ: number,
  unitX: number,
  unitY: number,
  levelM: number,
  risePerM: number,
  found: SightFound,
): void {
  found.blocked = false;
  found.backdropM = Infinity;
  for (const { corners, heightM, openings } of obstacles) {
    const count = corners.length;
    let cutsBefore = 0;
    let lowestBefore = Infinity;
    // Where one who sits in it comes out, and the lowest cut but that one.
    let firstM = Infinity;
    let lowestAfter = Infinity;
    let firstBehind = Infinity;
    let cutsBehind = 0;
    let ax = (corners[count - 2] as number) - cameraX;
    let ay = (corners[count - 1] as number) - cameraY;
    let sideA = ax * unitY - ay * unitX;
    for (let i = 0; i < count; i += 2) {
      const bx = (corners[i] as number) - cameraX;
      const by = (corners[i + 1] as number) - cameraY;
      const sideB = bx * unitY - by * unitX;
      if (sideA > 0 !== sideB > 0) {
        const share = sideA / (sideA - sideB);
        const along = (ax + (bx - ax) * share) * unitX + (ay + (by - ay) * share) * unitY;
        if (along >= 0 && along < levelM) {
          cutsBefore += 1;
          const height = cameraZ + risePerM * along;
          if (height < lowestBefore) lowestBefore = height;
          if (along < firstM) {
            if (firstM < Infinity) lowestAfter = Math.min(lowestAfter, cameraZ + risePerM * firstM);
            firstM = along;
          } else if (height < lowestAfter) lowestAfter = height;
        } else if (along >= levelM) {
          cutsBehind += 1;
          if (along < firstBehind) firstBehind = along;
        }
      }
      ax = bx;
      ay = by;
      sideA = sideB;
    }
    const total = cutsBefore + cutsBehind;
    // An odd number of cuts: the camera stands inside this footprint.
    const inside = total % 2 === 1;
    if (inside && openings) {
      if (firstM === Infinity) continue;
      const z = cameraZ + risePerM * firstM;
      const at = { x: cameraX + unitX * firstM, y: cameraY + unitY * firstM, z };
      const isOut = openings.length === 0 || z >= heightM || openingAt(openings, at) !== undefined;
      if (!isOut || lowestAfter < heightM) found.blocked = true;
      continue;
    }
    if (inside && cameraZ < lowestBefore) lowestBefore = cameraZ;
    // An odd number beyond the subject: the subject stands inside; the line is over it there too.
    if (cutsBehind % 2 === 1) {
      const atSubject = cameraZ + risePerM * levelM;
      if (atSubject < lowestBefore) lowestBefore = atSubject;
      if (atSubject <= heightM) firstBehind = levelM;
    }
    if (lowestBefore < heightM) found.blocked = true;
    if (firstBehind < found.backdropM) {
      const height = cameraZ + risePerM * firstBehind;
      if (height <= heightM && height >= 0) found.backdropM = firstBehind;
    }
  }
  if (risePerM < 0) {
    const groundM = cameraZ / -risePerM;
    if (groundM < found.backdropM && groundM >= levelM) found.backdropM = groundM;
  }
}
