import { cosDeg, sinDeg } from '../quantity/angles';
import { GRADE_LIMIT_CIRCLES } from '../motion/smear';
import type { GradeDemand } from '../motion/freeze';
import type { ScoredMark } from './types';

/** The line from camera to mark: level distance, its unit vector, its rise. */
interface Line {
  readonly levelM: number;
  readonly unitX: number;
  readonly unitY: number;
  readonly risePerM: number;
}

const PHASES = 24;
const PHASE_SINES = Array.from({ length: PHASES }, (_, i) => Math.sin((2 * Math.PI * i) / PHASES));
const PHASE_COSINES = Array.from({ length: PHASES }, (_, i) =>
  Math.cos((2 * Math.PI * i) / PHASES),
);

/**
 * How fast the image of the fastest part moves, in radians a second for each circle its grade
 * allows: the exact derivative of the central projection at the middle of the exposure, a swing in
 * its worst phase. The longest time that holds the subject is circle/(image distance × this). For
 * the short times that freeze it, that is within 1 % of the streak of `freezeShutter`
 * (checks/search-and-single.test.ts).
 */
export function angularRates(
  { headingDeg, climbDeg = 0, subject }: ScoredMark,
  grade: GradeDemand,
  { levelM, unitX, unitY, risePerM }: Line,
  aimZ: number,
): number {
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
  let worst = 0;
  for (const part of subject.parts) {
    const left = part.leftM;
    // Offset of the part from the aim.
    const ox = ax * part.aheadM - ay * left;
    const oy = ay * part.aheadM + ax * left;
    const oz = part.upM - aimZ;
    const depth = distanceM + ox * fx + oy * fy + oz * fz;
    if (depth <= 0.05) return Infinity;
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
    // Squares are compared: V8's hypot costs more than all the rest of this loop.
    let fastest = bodyRight * bodyRight + bodyUp * bodyUp;
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
    const perCircle = Math.sqrt(fastest) / GRADE_LIMIT_CIRCLES[grade[part.role]];
    if (perCircle > worst) worst = perCircle;
  }
  return worst;
}
