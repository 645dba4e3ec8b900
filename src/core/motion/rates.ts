import { cosDeg, sinDeg } from '../quantity/angles';
import type { Point3 } from '../site/vector';
import { ownSpeedMs, type MovingPart, type MovingSubject } from './subject';

/** The line from camera to subject: level distance, its unit vector, its rise. */
export interface SightCourse {
  readonly levelM: number;
  readonly unitX: number;
  readonly unitY: number;
  readonly risePerM: number;
}

/** @throws nothing; a camera straight above or below is taken as looking north by a hair */
export function sightCourse(camera: Point3, aim: Point3): SightCourse {
  const levelM = Math.max(1e-6, Math.hypot(aim.x - camera.x, aim.y - camera.y));
  return {
    levelM,
    unitX: (aim.x - camera.x) / levelM,
    unitY: (aim.y - camera.y) / levelM,
    risePerM: (aim.z - camera.z) / levelM,
  };
}

export interface Running {
  readonly headingDeg: number;
  readonly climbDeg?: number;
  readonly subject: MovingSubject & { readonly parts: readonly MovingPart[] };
}

/**
 * How fast a subject's image moves, in radians a second at the middle of the exposure. Reused from
 * place to place in a search.
 */
export interface ImageRates {
  distanceM: number;
  /** Fastest part of the body before a camera that stands still. */
  bodyRadS: number;
  bodyPart: string;
  /** The same, left over by a camera that follows. */
  followedRadS: number;
  followedPart: string;
  /** Fastest limb; tips and struck balls rule only where they are named. */
  limbRadS: number;
  limbPart: string;
  /** The part that was named. */
  namedRadS: number;
  /** The course of the first part alone: what a pan follows. */
  courseRadS: number;
  /** Share of the pace that crosses the line of sight, 0 straight along it to 1 square to it. */
  crossingShare: number;
}

export const emptyRates = (): ImageRates => ({
  distanceM: 0,
  bodyRadS: 0,
  bodyPart: '',
  followedRadS: 0,
  followedPart: '',
  limbRadS: 0,
  limbPart: '',
  namedRadS: 0,
  courseRadS: 0,
  crossingShare: 0,
});

const PHASES = 24;
const PHASE_SINES = Array.from({ length: PHASES }, (_, i) => Math.sin((2 * Math.PI * i) / PHASES));
const PHASE_COSINES = Array.from({ length: PHASES }, (_, i) =>
  Math.cos((2 * Math.PI * i) / PHASES),
);

/**
 * Nobody keeps a heading to the degree: it is taken as known to 22°, so that an answer turns with it
 * and never jumps. Common practice, no source.
 */
const HEADING_SPREAD = Math.tan((22 * Math.PI) / 180) ** 2;
const SPREAD_SHARE = HEADING_SPREAD / (1 + HEADING_SPREAD);
/** A camera that follows misses the subject's rate by three tenths. Common practice, no source. */
export const FOLLOWING_ERROR = 0.3;

/**
 * Fills `out` by the exact derivative of the central projection at the middle of the exposure: each
 * part along its course, a swing in its worst phase, a heading known to 22°, and what the part does of
 * itself at right angles. For the short times that freeze, course and swing are within 1 % of the
 * streak of `motionSmear` (checks/search-and-single.test.ts).
 * @param aimZ height of the aim above the subject's feet
 * @param named part that must be sharp, if any
 */
export function imageRates(
  { headingDeg, climbDeg = 0, subject }: Running,
  { levelM, unitX, unitY, risePerM }: SightCourse,
  aimZ: number,
  named: string | undefined,
  out: ImageRates,
): ImageRates {
  const slope = Math.sqrt(1 + risePerM * risePerM);
  // Camera axes: forward along the line, right level, up across both.
  const fx = unitX / slope;
  const fy = unitY / slope;
  const fz = risePerM / slope;
  const rx = unitY;
  const ry = -unitX;
  const ux = -fz * unitX;
  const uy = -fz * unitY;
  const uz = 1 / slope;
  const distanceM = levelM * slope;
  const ax = sinDeg(headingDeg);
  const ay = cosDeg(headingDeg);
  const cosClimb = cosDeg(climbDeg);
  const sinClimb = sinDeg(climbDeg);
  out.distanceM = distanceM;
  out.bodyRadS = 0;
  out.bodyPart = '';
  out.followedRadS = 0;
  out.followedPart = '';
  out.limbRadS = 0;
  out.limbPart = '';
  out.namedRadS = 0;
  out.courseRadS = 0;
  out.crossingShare = 0;
  let first = true;
  for (const part of subject.parts) {
    const left = part.leftM;
    // Offset of the part from the aim.
    const ox = ax * part.aheadM - ay * left;
    const oy = ay * part.aheadM + ax * left;
    const oz = part.upM - aimZ;
    const depth = Math.max(0.05, distanceM + ox * fx + oy * fy + oz * fz);
    // Image velocity is linear in the part's velocity: two rows of three.
    const acrossRight = (ox * rx + oy * ry) / depth;
    const acrossUp = (ox * ux + oy * uy + oz * uz) / depth;
    const rightX = (rx - acrossRight * fx) / depth;
    const rightY = (ry - acrossRight * fy) / depth;
    const rightZ = (-acrossRight * fz) / depth;
    const upX = (ux - acrossUp * fx) / depth;
    const upY = (uy - acrossUp * fy) / depth;
    const upZ = (uz - acrossUp * fz) / depth;
    const speed = subject.speedMs * part.bodyShare;
    const level = speed * cosClimb;
    const climb = speed * sinClimb;
    const bodyRight = rightX * ax * level + rightY * ay * level + rightZ * climb;
    const bodyUp = upX * ax * level + upY * ay * level + upZ * climb;
    const course = bodyRight * bodyRight + bodyUp * bodyUp;
    const pace = (speed / depth) * (speed / depth);
    const spread = SPREAD_SHARE * Math.max(0, pace - course);
    // Squares are compared: V8's hypot costs more than all the rest of this loop.
    let fastest = course;
    if (part.swing) {
      const { speedMs, planeTiltDeg } = part.swing;
      const riseLevel = sinDeg(planeTiltDeg);
      const riseX = -ay * riseLevel;
      const riseY = ax * riseLevel;
      const riseZ = cosDeg(planeTiltDeg);
      const aheadRight = (rightX * ax + rightY * ay) * speedMs;
      const aheadUp = (upX * ax + upY * ay) * speedMs;
      const riseRight = (rightX * riseX + rightY * riseY + rightZ * riseZ) * speedMs;
      const riseUp = (upX * riseX + upY * riseY + upZ * riseZ) * speedMs;
      for (let i = 0; i < PHASES; i += 1) {
        const sine = PHASE_SINES[i] as number;
        const cosine = PHASE_COSINES[i] as number;
        const right = bodyRight - sine * aheadRight + cosine * riseRight;
        const up = bodyUp - sine * aheadUp + cosine * riseUp;
        const rate = right * right + up * up;
        if (rate > fastest) fastest = rate;
      }
    }
    const ownRate = ownSpeedMs(subject, part) / depth;
    const own = ownRate * ownRate;
    const rate = Math.sqrt(fastest + spread + own);
    if (first) {
      first = false;
      out.courseRadS = Math.sqrt(course + spread);
      out.crossingShare = pace > 0 ? Math.min(1, Math.sqrt(course / pace)) : 1;
    }
    if (part.name === named && rate > out.namedRadS) out.namedRadS = rate;
    if (part.rulesOnlyIfNamed) continue;
    if (part.role === 'body') {
      if (rate > out.bodyRadS) {
        out.bodyRadS = rate;
        out.bodyPart = part.name;
      }
      const followed = Math.sqrt(FOLLOWING_ERROR * FOLLOWING_ERROR * (fastest + spread) + own);
      if (followed > out.followedRadS) {
        out.followedRadS = followed;
        out.followedPart = part.name;
      }
    } else if (rate > out.limbRadS) {
      out.limbRadS = rate;
      out.limbPart = part.name;
    }
  }
  return out;
}
