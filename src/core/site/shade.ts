import { above, nonEmpty, within } from '../check';
import { cosDeg, halfCircle } from '../quantity/angles';
import { spansWhere, type Span } from '../sun/horizon';
import { sunPosition, type Place } from '../sun/position';
import { shadowLength, sunBlocked, type Obstacle } from './obstacle';
import { alongBearing, type Point2, type Point3 } from './vector';

/** Shade is found in steps of this, its ends to ten seconds. */
const SHADE_STEP_MS = 60_000;
const SHADE_TOLERANCE_MS = 10_000;

/**
 * When obstacles keep the sun off a point: spans within the given time, the sun being up. Their
 * ends are found to ten seconds; shade that comes and goes within a minute may be missed.
 * @throws RangeError for an end not after the start, or an obstacle or place that is none
 */
export function shadeTimes({
  point,
  obstacles,
  place,
  fromMs,
  toMs,
}: Span & {
  readonly point: Point3;
  readonly obstacles: readonly Obstacle[];
  readonly place: Place;
}): readonly Span[] {
  above('toMs', toMs, fromMs);
  return spansWhere(
    (time) => {
      const sun = sunPosition({ time, ...place });
      return sun.altitudeDeg > 0 && sunBlocked(point, sun, obstacles);
    },
    { fromMs, toMs },
    { stepMs: SHADE_STEP_MS, toleranceMs: SHADE_TOLERANCE_MS },
  );
}

/** Widest angle off a fence's face at which its post still throws a strip along it. */
const STEEPEST_DEG = 89;

/**
 * Width of the strip of shade that a post throws on to its own fence: w/cos φ, φ between the sun's
 * bearing and the fence's face.
 * @param fenceBearingDeg true bearing the fence runs along
 * @throws RangeError for a width not above 0, or a sun within 1° of the fence's own line
 */
export function postShadeWidth({
  widthM,
  fenceBearingDeg,
  sunAzimuthDeg,
}: {
  readonly widthM: number;
  readonly fenceBearingDeg: number;
  readonly sunAzimuthDeg: number;
}): number {
  above('widthM', widthM, 0);
  const offFace = Math.abs(halfCircle(sunAzimuthDeg - fenceBearingDeg - 90));
  const phi = Math.min(offFace, 180 - offFace);
  within('angle of the sun off the fence\u2019s face', phi, 0, STEEPEST_DEG);
  return widthM / cosDeg(phi);
}

const CROWN_CORNERS = 16;

/**
 * Footprints of things that are not drawn as polygons, so that shadows and sight treat all alike.
 * A tree is its crown, solid from the ground: what matters here is what it hides.
 */
export function treeObstacle(centre: Point2, crownM: number, heightM: number): Obstacle {
  above('crownM', crownM, 0);
  above('heightM', heightM, 0);
  // Corners on a circle whose polygon has the crown's own area.
  const step = (2 * Math.PI) / CROWN_CORNERS;
  const radiusM = (crownM / 2) * Math.sqrt(step / Math.sin(step));
  return {
    heightM,
    footprint: Array.from({ length: CROWN_CORNERS }, (_, i) => ({
      x: centre.x + radiusM * Math.cos(i * step),
      y: centre.y + radiusM * Math.sin(i * step),
    })),
  };
}

/** A wall, fence or post line of some thickness along points. @throws RangeError under two points */
export function wallObstacles(
  line: readonly Point2[],
  thicknessM: number,
  heightM: number,
): readonly Obstacle[] {
  nonEmpty('line', line, 2);
  above('thicknessM', thicknessM, 0);
  above('heightM', heightM, 0);
  return line.slice(1).flatMap((to, i) => {
    const from = line[i] as Point2;
    const lengthM = Math.hypot(to.x - from.x, to.y - from.y);
    if (lengthM === 0) return [];
    const half = thicknessM / 2 / lengthM;
    const side = { x: -(to.y - from.y) * half, y: (to.x - from.x) * half };
    return [
      {
        heightM,
        footprint: [
          { x: from.x + side.x, y: from.y + side.y },
          { x: from.x - side.x, y: from.y - side.y },
          { x: to.x - side.x, y: to.y - side.y },
          { x: to.x + side.x, y: to.y + side.y },
        ],
      },
    ];
  });
}

/**
 * A person as an obstacle: for the photographer's own shadow. 0.5 m wide and 1.75 m high unless
 * said. Common practice.
 */
export function personObstacle(at: Point2, heightM = 1.75, widthM = 0.5): Obstacle {
  return treeObstacle(at, widthM, heightM);
}

/** Tip of the shadow of an upright at a point, on level ground; none when the sun is down. */
export function shadowTip(
  foot: Point2,
  heightM: number,
  sun: { readonly azimuthDeg: number; readonly altitudeDeg: number },
): Point2 | undefined {
  if (sun.altitudeDeg <= 0) return undefined;
  const reachM = shadowLength(heightM, sun.altitudeDeg);
  const away = alongBearing(sun.azimuthDeg + 180);
  return { x: foot.x + away.x * reachM, y: foot.y + away.y * reachM };
}
