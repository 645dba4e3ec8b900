import { nonEmpty } from '../check';
import {
  deliveredCircleMm,
  GRADE_LIMIT_CIRCLES,
  ownRateMmS,
  projectionOf,
  worstStreak,
  type Motion,
} from './smear';
import { partTrack, type MovingPart, type PartRole } from './subject';

export type GradeDemand = Readonly<Record<PartRole, keyof typeof GRADE_LIMIT_CIRCLES>>;

/** What an editor takes without a second look: body crisp, limbs slight. Common practice. */
export const DEFAULT_GRADE: GradeDemand = { body: 'crisp', limb: 'slight' };

export interface PartFreeze {
  readonly part: string;
  readonly role: PartRole;
  /** Longest time that holds the part to its grade. */
  readonly shutterS: number;
}

export interface Freeze {
  /** Longest time that holds every part. */
  readonly shutterS: number;
  /** The part that asks for it. */
  readonly ruledBy: string;
  readonly parts: readonly PartFreeze[];
}

/** Longest and shortest times answered: what a camera without bulb setting can do, and less. */
export const LONGEST_SHUTTER_S = 30;
const SHORTEST_SHUTTER_S = 1e-7;
const FIRST_GUESS_S = 1 / 1000;
const CLOSE_ENOUGH = 1e-9;
const MOST_STEPS = 60;

/**
 * Longest time whose streak stays within a limit. A streak grows nearly in proportion to time, so
 * t ← t·limit/streak(t) settles within a few steps; where that leaves the bracket found so far (a
 * subject that passes the camera) or comes no nearer (one that comes straight at it, slow at first and
 * then all at once), the bracket is halved instead.
 */
function timeForStreak(limitMm: number, streakMm: (shutterS: number) => number): number {
  if (streakMm(LONGEST_SHUTTER_S) <= limitMm) return LONGEST_SHUTTER_S;
  let held = SHORTEST_SHUTTER_S;
  let tooLong = LONGEST_SHUTTER_S;
  let shutterS = FIRST_GUESS_S;
  let missed = Infinity;
  for (let step = 0; step < MOST_STEPS && tooLong / held > 1 + CLOSE_ENOUGH; step += 1) {
    const streak = streakMm(shutterS);
    if (Math.abs(streak / limitMm - 1) < CLOSE_ENOUGH) return shutterS;
    if (streak > limitMm) tooLong = shutterS;
    else held = shutterS;
    const misses = Math.abs(Math.log(streak / limitMm));
    const nearer = misses < missed / 2;
    missed = misses;
    const next = (shutterS * limitMm) / streak;
    shutterS = nearer && next > held && next < tooLong ? next : Math.sqrt(held * tooLong);
  }
  return held;
}

/**
 * Longest shutter time that holds each part of a moving subject to its grade, and the part that
 * rules. A part whose image does not move is answered with 30 s.
 * @throws RangeError as `motionSmear`
 */
export function freezeShutter({
  grade = DEFAULT_GRADE,
  ...motion
}: Motion & { readonly grade?: GradeDemand }): Freeze {
  nonEmpty('parts', motion.parts);
  const projectAt = projectionOf(motion);
  const circleMm = deliveredCircleMm(motion.camera, motion.delivery);
  const freezePart = (part: MovingPart): PartFreeze => {
    const track = partTrack(motion.subject, part, motion.path);
    const ownMmS = ownRateMmS(motion, part);
    return {
      part: part.name,
      role: part.role,
      shutterS: timeForStreak(
        GRADE_LIMIT_CIRCLES[grade[part.role]] * circleMm,
        (shutterS) => worstStreak(part, track, projectAt, shutterS, ownMmS).onSensorMm,
      ),
    };
  };
  const parts = motion.parts.map(freezePart);
  const ruling = parts.reduce((a, b) => (b.shutterS < a.shutterS ? b : a));
  return { shutterS: ruling.shutterS, ruledBy: ruling.part, parts };
}
