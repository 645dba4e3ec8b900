import { silhouetteEv } from '../exposure/technique';
import { illuminanceFromEv } from '../quantity/ev';
import { toDegrees } from '../quantity/angles';
import { exposureLog, lightDesirability, SUN_IN_FRAME } from './desirability';
import { weighed, type CellView, type LensView, type PreparedMark } from './kernel';
import type { Moment } from './mark-light';

// Bound once: each call of an import goes through a getter in most bundles, which costs more than
// these functions do in the innermost loop.
const lightOf = lightDesirability;
const logOfExposure = exposureLog;
const weighedOf = weighed;
const DEGREES_PER_RADIAN = toDegrees(1);
const LUX_AT_EV_0 = illuminanceFromEv(0);

/** Light at a cell, an entry a moment. Reused from cell to cell. */
export interface TimesView {
  /** On the face that looks at the cell. */
  readonly ev: Float64Array;
  /** 0 front light to 180 back light. */
  readonly phaseDeg: Float64Array;
  /** Weighted logarithm of how the light falls, the sun in the frame left aside. */
  readonly lightLog: Float64Array;
}

export const emptyTimes = (count: number): TimesView => ({
  ev: new Float64Array(count),
  phaseDeg: new Float64Array(count),
  lightLog: new Float64Array(count),
});

/** Fills `out` for all moments at a cell. */
export function viewTimes(
  { site, shot, moments, weights, picture }: PreparedMark,
  cell: CellView,
  out: TimesView,
): void {
  const { unitX, unitY, risePerM, skyView } = cell;
  const levelShare = cell.levelM / cell.distanceM;
  const groundShare = site.groundReflectance * 0.5;
  const beforeSky = picture.technique === 'silhouette' && !site.indoors;
  for (let t = 0; t < moments.length; t += 1) {
    const {
      sunX,
      sunY,
      sunZ,
      daylight: day,
      lampLux,
      sunlit,
      sunShare,
      offsetStops,
    } = moments[t] as Moment;
    const along = sunX * unitX + sunY * unitY;
    const direct = along < 0 ? -along * day.directNormalLux * sunShare : 0;
    const lux =
      direct + day.diffuseHorizontalLux * skyView + groundShare * day.globalHorizontalLux + lampLux;
    const cosView = (along + sunZ * risePerM) * levelShare;
    const phaseDeg =
      180 - Math.acos(cosView > 1 ? 1 : cosView < -1 ? -1 : cosView) * DEGREES_PER_RADIAN;
    const faceEv = Math.log2(lux / LUX_AT_EV_0) + offsetStops;
    out.ev[t] = beforeSky ? silhouetteEv(day, faceEv) : faceEv;
    out.phaseDeg[t] = phaseDeg;
    out.lightLog[t] = weighedOf(weights.light, lightOf(phaseDeg, sunlit, shot.light));
  }
}

/** Whether the sun shines into the lens at a moment, and nobody asked for it. */
const glaresAt = (
  { shot }: PreparedMark,
  { sunlit, sunZ }: Moment,
  phaseDeg: number,
  lens: LensView,
): boolean => sunlit && sunZ > 0 && 180 - phaseDeg < lens.sunNearDeg && shot.light !== 'back';

/** Desirability of the light at a moment through a lens. */
export const lightPart = (
  prepared: PreparedMark,
  moment: Moment,
  phaseDeg: number,
  lens: LensView,
): number =>
  lightOf(phaseDeg, moment.sunlit, prepared.shot.light) *
  (glaresAt(prepared, moment, phaseDeg, lens) ? SUN_IN_FRAME : 1);

/** The best moment for a lens at a cell, and the weighted logarithm of its whole score. */
export interface BestMoment {
  time: number;
  log: number;
}

/** Fills `out` with the best of all moments; time −1 when the lens is of no use there. */
export function bestMoment(
  prepared: PreparedMark,
  lens: LensView,
  { ev, phaseDeg, lightLog }: TimesView,
  out: BestMoment,
): void {
  out.time = -1;
  out.log = -Infinity;
  if (lens.logSum === -Infinity) return;
  const { moments, weights } = prepared;
  const glareLog = weighed(weights.light, SUN_IN_FRAME);
  for (let t = 0; t < moments.length; t += 1) {
    const glares = glaresAt(prepared, moments[t] as Moment, phaseDeg[t] as number, lens);
    const light = (lightLog[t] as number) + (glares ? glareLog : 0);
    // The exposure can only take away: what is behind already need not be worked out.
    if (lens.logSum + light <= out.log) continue;
    const spareStops = (ev[t] as number) - lens.evNeeded;
    const log = lens.logSum + light + weights.exposure * logOfExposure(spareStops);
    if (log > out.log) {
      out.log = log;
      out.time = t;
    }
  }
}
