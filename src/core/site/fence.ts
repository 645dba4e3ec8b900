import { bearingDeg, type Point2, type Point3 } from './vector';
import { sightBlocks } from './clearance';
import type { FeatureOf } from './feature';
import type { Obstacle } from './obstacle';
import { postShadeWidth, wallObstacles } from './shade';

type Fence = FeatureOf<'fence'>;

/** Wire has no thickness to speak of; what is looked for is where the line meets it. */
const WIRE_LINE_M = 0.01;

const wires = new WeakMap<Fence, readonly (Obstacle & { readonly fence: Fence })[]>();

/** A fence's wire as obstacles that know their fence; the same for the same fence. */
function wireOf(fence: Fence) {
  const known = wires.get(fence);
  if (known) return known;
  const made = wallObstacles(fence.points, WIRE_LINE_M, fence.heightM).map((obstacle) => ({
    ...obstacle,
    fence,
  }));
  wires.set(fence, made);
  return made;
}

/** The first fence that a line of sight passes through, and how far from the camera, level. */
export interface FenceInSight {
  readonly fence: Fence;
  readonly distanceM: number;
}

/**
 * The nearest fence whose wire stands between camera and subject; none when the line passes over
 * all of them or meets none.
 * @throws RangeError for a subject straight above or at the camera
 */
export function fenceInSight(
  camera: Point3,
  subject: Point3,
  fences: readonly Fence[],
): FenceInSight | undefined {
  const [first] = sightBlocks(camera, subject, fences.flatMap(wireOf));
  return first && { fence: first.obstacle.fence, distanceM: first.distanceM };
}

/** A strip of shade along a fence's face, from one end to the other. */
export interface PostStrip {
  readonly from: Point2;
  readonly to: Point2;
  readonly widthM: number;
}

/** Nearer than this to the sun's own bearing a stretch of fence is lit edge-on: its strips merge. */
const EDGE_ON_DEG = 1;

const edgeOn = (fenceDeg: number, sunDeg: number): boolean => {
  const off = Math.abs(fenceDeg - sunDeg) % 180;
  return Math.min(off, 180 - off) < EDGE_ON_DEG;
};

/**
 * The strips of shade that a fence's posts throw on its own wire, about each post: w/cos φ wide
 * (see {@link postShadeWidth}). A post stands at each spacing from the beginning of each stretch.
 * One after the other, since a long fence has many.
 * @returns none while the sun is down, nor for a stretch lit edge-on
 */
export function* eachPostStrip(
  { points, postSpacingM, postWidthMm }: Fence,
  sun: { readonly azimuthDeg: number; readonly altitudeDeg: number },
): Generator<PostStrip, void> {
  if (sun.altitudeDeg <= 0) return;
  for (const [i, end] of points.slice(1).entries()) {
    const start = points[i] as Point2;
    const lengthM = Math.hypot(end.x - start.x, end.y - start.y);
    const fenceBearingDeg = bearingDeg(start, end);
    if (lengthM === 0 || edgeOn(fenceBearingDeg, sun.azimuthDeg)) continue;
    const widthM = postShadeWidth({
      widthM: postWidthMm / 1000,
      fenceBearingDeg,
      sunAzimuthDeg: sun.azimuthDeg,
    });
    const along = (m: number): Point2 => ({
      x: start.x + ((end.x - start.x) * m) / lengthM,
      y: start.y + ((end.y - start.y) * m) / lengthM,
    });
    const posts = Math.floor(lengthM / postSpacingM + 1e-9) + 1;
    for (let post = 0; post < posts; post += 1) {
      yield {
        from: along(post * postSpacingM - widthM / 2),
        to: along(post * postSpacingM + widthM / 2),
        widthM,
      };
    }
  }
}

/** All strips of {@link eachPostStrip}. */
export const postStrips = (...asked: Parameters<typeof eachPostStrip>): readonly PostStrip[] => [
  ...eachPostStrip(...asked),
];
