import { above, atLeast, finite } from '../check';
import { cosDeg, sinDeg } from '../quantity/angles';
import { add, alongBearing, point3, scale, UP, type Point3 } from '../site/vector';

export type PartRole = 'body' | 'limb';

/**
 * A part of the subject that can be sharp or smeared on its own. Offsets are from the point on the
 * ground under the body: ahead, to its left and up.
 */
export interface MovingPart {
  readonly name: string;
  readonly role: PartRole;
  readonly aheadM: number;
  readonly leftM: number;
  readonly upM: number;
  /** Its greatest speed along the body's path, as a multiple of the body's: 2 for a running foot. */
  readonly bodyShare: number;
  /**
   * Speed of its own in no fixed direction, as a multiple of the body's: a chest that bobs, an arm
   * thrown up, a throat that trembles. Its streak adds to the others as independent lengths do.
   */
  readonly ownShare?: number;
  /** The tip of a bat, stick, racket or paddle, or a struck ball: rules no dial unless a shot names it. */
  readonly rulesOnlyIfNamed?: boolean;
  /** A circular swing on top of that: a stick, a bat, an arm. */
  readonly swing?: Swing;
}

export interface Swing {
  readonly speedMs: number;
  readonly radiusM: number;
  /** Tilt of the swing's plane out of the upright plane along the path: 0 upright, 90 level. */
  readonly planeTiltDeg: number;
  /** Where in its round it is at the middle of the exposure; anywhere, so the worst, when absent. */
  readonly phaseRad?: number;
}

export interface MovingSubject {
  readonly heightM: number;
  readonly speedMs: number;
}

/** Speed that a part has in no fixed direction, metres a second. */
export const ownSpeedMs = (
  { speedMs }: Pick<MovingSubject, 'speedMs'>,
  { ownShare = 0 }: Pick<MovingPart, 'ownShare'>,
): number => speedMs * ownShare;

export interface Path {
  /** The point on the ground under the body at the middle of the exposure. */
  readonly position: Point3;
  readonly headingDeg: number;
  /** Upwards positive. */
  readonly climbDeg?: number;
}

/** Where a part is `timeS` after the middle of the exposure, in one phase of its swing. */
export type PartTrack = (timeS: number, phaseRad: number) => Point3;

/**
 * The track of a part. Without a swing the phase makes no difference; with one, phase 0 swings up
 * and a quarter turn later backwards, and the part is at its offset at time 0 in every phase.
 * @throws RangeError for a subject without height, a negative speed or a swing without radius
 */
export function partTrack(
  subject: MovingSubject,
  part: MovingPart,
  { position, headingDeg, climbDeg = 0 }: Path,
): PartTrack {
  above('heightM', subject.heightM, 0);
  atLeast('speedMs', subject.speedMs, 0);
  finite('headingDeg', headingDeg);
  const ahead = alongBearing(headingDeg);
  const left = alongBearing(headingDeg - 90);
  const start = point3(
    position.x + ahead.x * part.aheadM + left.x * part.leftM,
    position.y + ahead.y * part.aheadM + left.y * part.leftM,
    position.z + part.upM,
  );
  const velocity = scale(alongBearing(headingDeg, climbDeg), subject.speedMs * part.bodyShare);
  if (!part.swing) return (timeS) => add(start, scale(velocity, timeS));

  const { speedMs, radiusM, planeTiltDeg } = part.swing;
  atLeast('swing.speedMs', speedMs, 0);
  above('swing.radiusM', radiusM, 0);
  const rise = add(scale(UP, cosDeg(planeTiltDeg)), scale(left, sinDeg(planeTiltDeg)));
  const turnRate = speedMs / radiusM;
  return (timeS, phaseRad) => {
    const angle = phaseRad + turnRate * timeS;
    const forth = radiusM * (Math.cos(angle) - Math.cos(phaseRad));
    const upward = radiusM * (Math.sin(angle) - Math.sin(phaseRad));
    return point3(
      start.x + velocity.x * timeS + ahead.x * forth + rise.x * upward,
      start.y + velocity.y * timeS + ahead.y * forth + rise.y * upward,
      start.z + velocity.z * timeS + ahead.z * forth + rise.z * upward,
    );
  };
}
