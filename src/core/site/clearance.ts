import { above, atLeast } from '../check';
import { crossings, openingAt, requireObstacle, type Obstacle, type Opening } from './obstacle';
import { subtract, type Point3 } from './vector';

/** Something in the way of a line of sight. */
export interface Block<T extends Obstacle = Obstacle> {
  readonly obstacle: T;
  /** Level distance from the camera at which the line meets it. */
  readonly distanceM: number;
  /** Height of the line there, and how much the obstacle stands above it at its worst. */
  readonly lineHeightM: number;
  readonly overM: number;
  /** It is the wall of what the camera sits in. */
  readonly fromWithin?: true;
}

interface Ray {
  readonly camera: Point3;
  readonly unit: { readonly x: number; readonly y: number };
  readonly levelM: number;
  readonly riseM: number;
}

function rayTo(camera: Point3, subject: Point3): Ray {
  const reach = subtract(subject, camera);
  const levelM = Math.hypot(reach.x, reach.y);
  above('level distance from camera to subject', levelM, 0);
  return { camera, unit: { x: reach.x / levelM, y: reach.y / levelM }, levelM, riseM: reach.z };
}

const heightAt = ({ camera, levelM, riseM }: Ray, distanceM: number): number =>
  camera.z + (riseM * distanceM) / levelM;

/** Level spans of a ray that lie over an obstacle, from the camera on: one that sits in something hollow is past it once out. */
function spansOver(ray: Ray, { footprint, openings }: Obstacle): (readonly [number, number])[] {
  const cuts = crossings(ray.camera, ray.unit, footprint);
  if (cuts.length === 0) return [];
  if (openings && cuts.length % 2 === 1) cuts.shift();
  const all = cuts.length % 2 === 1 ? [0, ...cuts] : cuts;
  return all.flatMap((from, i) => (i % 2 === 0 ? [[from, all[i + 1] as number] as const] : []));
}

/** Where a line comes to the wall of something hollow with windows that its camera sits in, before its subject. */
function leaves(
  ray: Ray,
  { openings, footprint, heightM }: Obstacle,
): { readonly distanceM: number; readonly lineHeightM: number; readonly by?: Opening } | undefined {
  if (!openings || openings.length === 0) return undefined;
  const cuts = crossings(ray.camera, ray.unit, footprint);
  const [distanceM] = cuts;
  if (cuts.length % 2 === 0 || distanceM === undefined || distanceM >= ray.levelM) return undefined;
  const lineHeightM = heightAt(ray, distanceM);
  if (lineHeightM >= heightM) return undefined;
  const by = openingAt(openings, {
    x: ray.camera.x + ray.unit.x * distanceM,
    y: ray.camera.y + ray.unit.y * distanceM,
    z: lineHeightM,
  });
  return { distanceM, lineHeightM, ...(by && { by }) };
}

/**
 * The window that a line goes out by of what its camera sits in; nothing where it meets the wall, or sits in nothing
 * with windows.
 * @throws RangeError for a subject straight above or at the camera
 */
export const sightLeaves = (
  camera: Point3,
  subject: Point3,
  obstacle: Obstacle,
): Opening | undefined => leaves(rayTo(camera, subject), obstacle)?.by;

/** The wall that a line meets of what its camera sits in; nothing where it goes out by a window. */
function wallMet<T extends Obstacle>(ray: Ray, obstacle: T): Block<T> | undefined {
  const met = leaves(ray, obstacle);
  if (!met || met.by) return undefined;
  const { distanceM, lineHeightM } = met;
  return {
    ...{ obstacle, distanceM, lineHeightM },
    overM: obstacle.heightM - lineHeightM,
    fromWithin: true,
  };
}

/**
 * Obstacles that stand in the line of sight between camera and subject, nearest first: those whose
 * top is above the line anywhere over their footprint. A fence is given its own footprint.
 * @throws RangeError for a subject straight above or at the camera, or an obstacle that is none
 */
export function sightBlocks<T extends Obstacle>(
  camera: Point3,
  subject: Point3,
  obstacles: readonly T[],
): readonly Block<T>[] {
  obstacles.forEach(requireObstacle);
  const ray = rayTo(camera, subject);
  return obstacles
    .flatMap((obstacle): readonly Block<T>[] => {
      const wall = wallMet(ray, obstacle);
      if (wall) return [wall];
      const spans = spansOver(ray, obstacle).filter(([from]) => from < ray.levelM);
      // Over each span the line is lowest at one end.
      const ends = spans.flatMap(([from, to]) => [from, Math.min(to, ray.levelM)]);
      const hits = ends.filter((distanceM) => heightAt(ray, distanceM) < obstacle.heightM);
      if (hits.length === 0) return [];
      const lowest = Math.min(...hits.map((distanceM) => heightAt(ray, distanceM)));
      const distanceM = Math.min(...hits);
      return [
        {
          obstacle,
          distanceM,
          lineHeightM: heightAt(ray, distanceM),
          overM: obstacle.heightM - lowest,
        },
      ];
    })
    .sort((a, b) => a.distanceM - b.distanceM);
}

/** What stands first behind a subject as the camera sees it. */
export interface Backdrop<T extends Obstacle = Obstacle> {
  readonly obstacle: T;
  /** From the camera, level. */
  readonly distanceM: number;
  readonly behindSubjectM: number;
}

/**
 * The first obstacle that the line from camera through subject meets beyond the subject; none when
 * the line passes over all of them, or meets the ground first.
 * @throws RangeError as {@link sightBlocks}
 */
export function firstBackdrop<T extends Obstacle>(
  camera: Point3,
  subject: Point3,
  obstacles: readonly T[],
): Backdrop<T> | undefined {
  obstacles.forEach(requireObstacle);
  const ray = rayTo(camera, subject);
  const groundM = ray.riseM < 0 ? (camera.z * ray.levelM) / -ray.riseM : Number.POSITIVE_INFINITY;
  return obstacles
    .flatMap((obstacle) =>
      spansOver(ray, obstacle)
        .filter(([, to]) => to > ray.levelM)
        .map(([from, to]) => {
          const enterM = Math.max(from, ray.levelM);
          // A falling line may come in over the top and go down into it.
          const meetsM =
            heightAt(ray, enterM) <= obstacle.heightM
              ? enterM
              : ray.riseM < 0
                ? ((obstacle.heightM - camera.z) * ray.levelM) / ray.riseM
                : Infinity;
          return { obstacle, distanceM: meetsM <= to ? meetsM : Infinity };
        }),
    )
    .filter(({ distanceM }) => distanceM < Infinity && distanceM <= groundM)
    .map((found) => ({ ...found, behindSubjectM: found.distanceM - ray.levelM }))
    .sort((a, b) => a.distanceM - b.distanceM)[0];
}

/**
 * Highest camera that still lifts a head clear of what stands behind it ("get low"): the line from
 * camera over the head rises to the obstacle's top at (H·D/d − T)/(D/d − 1).
 * @param headM height of the head's top, @param headDistanceM its distance d
 * @param topM height T of what stands behind, @param topDistanceM its distance D
 * @returns metres above ground; negative when no camera above ground can do it
 * @throws RangeError unless the head is nearer than what stands behind it
 */
export function clearingHeight({
  headM,
  headDistanceM,
  topM,
  topDistanceM,
}: {
  readonly headM: number;
  readonly headDistanceM: number;
  readonly topM: number;
  readonly topDistanceM: number;
}): number {
  atLeast('headM', headM, 0);
  above('headDistanceM', headDistanceM, 0);
  atLeast('topM', topM, 0);
  above('topDistanceM', topDistanceM, headDistanceM);
  const times = topDistanceM / headDistanceM;
  return (headM * times - topM) / (times - 1);
}
