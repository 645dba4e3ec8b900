import { above } from '../check';
import type { Bough } from './bough';
import { clearingHeight } from './clearance';
import { crossings, type Obstacle } from './obstacle';
import type { Point2, Point3 } from './vector';

/** What a line of sight passes through, over or before, seen from the side. */
export interface SectionPiece<T extends Obstacle = Obstacle> {
  readonly obstacle: T;
  /** Level distances from the camera. */
  readonly fromM: number;
  readonly toM: number;
}

/** Level unit vector from a camera towards a subject. */
function levelToward(camera: Point2, subject: Point2): Point2 {
  const toward = { x: subject.x - camera.x, y: subject.y - camera.y };
  const levelM = Math.hypot(toward.x, toward.y);
  above('level distance from camera to subject', levelM, 0);
  return { x: toward.x / levelM, y: toward.y / levelM };
}

/**
 * Everything that a level ray from camera through subject meets, nearest first.
 * @param reachM how far along it is followed
 * @throws RangeError for a subject straight above or at the camera, or a reach not above 0
 */
export function sectionAlong<T extends Obstacle>(
  camera: Point2,
  subject: Point2,
  obstacles: readonly T[],
  reachM: number,
): readonly SectionPiece<T>[] {
  above('reachM', reachM, 0);
  const unit = levelToward(camera, subject);
  return obstacles
    .flatMap((obstacle) => {
      const cuts = crossings(camera, unit, obstacle.footprint);
      const all = cuts.length % 2 === 1 ? [0, ...cuts] : cuts;
      return all.flatMap((fromM, i) =>
        i % 2 === 0 && fromM < reachM
          ? [{ obstacle, fromM, toM: Math.min(reachM, all[i + 1] as number) }]
          : [],
      );
    })
    .sort((a, b) => a.fromM - b.fromM);
}

/** What rises behind a head, and how low the camera must be to lift the head over it. */
export interface HeadClearance<T extends Obstacle = Obstacle> {
  readonly obstacle: T;
  readonly distanceM: number;
  /** How far the obstacle's top stands over the line from camera over the head; negative: under. */
  readonly overHeadM: number;
  /** Highest camera that has the head clear of it; not above ground when none has. */
  readonly cameraM: number;
}

/**
 * The thing behind a subject that stands highest against its head, by angle; none when nothing is
 * behind.
 * @param headM height of the head's top
 * @throws RangeError as {@link sectionAlong}
 */
export function behindHead<T extends Obstacle>(
  camera: Point3,
  subject: Point2,
  headM: number,
  obstacles: readonly T[],
  reachM: number,
): HeadClearance<T> | undefined {
  const levelM = Math.hypot(subject.x - camera.x, subject.y - camera.y);
  const slope = (headM - camera.z) / levelM;
  const steepness = (topM: number, distanceM: number) => (topM - camera.z) / distanceM;
  const [highest] = sectionAlong(camera, subject, obstacles, reachM)
    .filter(({ toM }) => toM > levelM)
    .map(({ obstacle, fromM }) => ({ obstacle, distanceM: Math.max(fromM, levelM * 1.001) }))
    .sort(
      (a, b) =>
        steepness(b.obstacle.heightM, b.distanceM) - steepness(a.obstacle.heightM, a.distanceM),
    );
  if (!highest) return undefined;
  const { obstacle, distanceM } = highest;
  return {
    obstacle,
    distanceM,
    overHeadM: obstacle.heightM - (camera.z + slope * distanceM),
    cameraM: clearingHeight({
      headM,
      headDistanceM: levelM,
      topM: obstacle.heightM,
      topDistanceM: distanceM,
    }),
  };
}

/** Where a level ray passes over or under a branch, from the side. */
export interface BoughSection {
  readonly bough: Bough;
  /** Level distance from the camera, and the height of the branch there. */
  readonly atM: number;
  readonly heightM: number;
  /** How long the ray is among its leaves, measured level through their middle. */
  readonly acrossM: number;
}

/** A ray nearer to a branch's own line than this runs along it: it is as long as it is. */
const LEAST_SINE = 0.05;

/**
 * The branches that a level ray from camera through subject crosses, nearest first.
 * @throws RangeError as {@link sectionAlong}
 */
export function boughsAcross(
  camera: Point2,
  subject: Point2,
  boughs: readonly Bough[],
  reachM: number,
): readonly BoughSection[] {
  above('reachM', reachM, 0);
  const unit = levelToward(camera, subject);
  return boughs
    .flatMap((bough): readonly BoughSection[] => {
      const { from, to, leafRadiusM, woodM } = bough;
      const aside = ({ x, y }: Point2) => (x - camera.x) * unit.y - (y - camera.y) * unit.x;
      const [start, end] = [aside(from), aside(to)];
      if (start > 0 === end > 0) return [];
      const share = start / (start - end);
      const at = { x: from.x + (to.x - from.x) * share, y: from.y + (to.y - from.y) * share };
      const atM = (at.x - camera.x) * unit.x + (at.y - camera.y) * unit.y;
      if (atM < 0 || atM > reachM) return [];
      const sine = Math.abs(end - start) / Math.hypot(to.x - from.x, to.y - from.y);
      const acrossM = Math.max(2 * leafRadiusM, woodM) / Math.max(LEAST_SINE, sine);
      return [{ bough, atM, heightM: from.z + (to.z - from.z) * share, acrossM }];
    })
    .sort((a, b) => a.atM - b.atM);
}
