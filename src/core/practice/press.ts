import { above, atLeast } from '../check';

/** A burst begun by a hand that is early or late, against a moment that does not wait. */

export interface BurstAsked {
  /** The hand: how late it presses on the whole, and how that scatters, seconds. */
  readonly biasS: number;
  readonly scatterS: number;
  /** How long the moment lasts. */
  readonly windowS: number;
  readonly fps: number;
  /** How long one holds on, and how much the camera keeps from before the press. */
  readonly burstS: number;
  readonly preCaptureS?: number;
  /** How much earlier than felt one presses. */
  readonly earlyS?: number;
}

const STEPS = 600;
/** The normal distribution is followed out to so many deviations. */
const OUT_TO = 5;

/** Whether frames that begin at a time, so far apart, have one within the moment about 0. */
function hits(beginsS: number, lengthS: number, gapS: number, windowS: number): boolean {
  const half = windowS / 2 + 1e-9;
  const first = Math.max(0, Math.ceil((-half - beginsS) / gapS));
  return first * gapS <= lengthS + 1e-9 && beginsS + first * gapS <= half;
}

/**
 * The chance that a burst has a frame in the moment: frames stand a fixed time apart from the press on (and back from
 * it where the camera keeps what was before), and the press is normal about its bias.
 * @throws RangeError for a window or rate not above 0, or a scatter or length below 0
 */
export function burstChance({
  biasS,
  scatterS,
  windowS,
  fps,
  burstS,
  preCaptureS = 0,
  earlyS = 0,
}: BurstAsked): number {
  atLeast('scatterS', scatterS, 0);
  above('windowS', windowS, 0);
  above('fps', fps, 0);
  atLeast('burstS', burstS, 0);
  atLeast('preCaptureS', preCaptureS, 0);
  const gapS = 1 / fps;
  const kept = Math.floor(preCaptureS * fps + 1e-9) * gapS;
  const at = (sigmas: number) =>
    hits(biasS - earlyS + sigmas * scatterS - kept, burstS + kept, gapS, windowS);
  if (scatterS === 0) return at(0) ? 1 : 0;
  let [sum, weights] = [0, 0];
  for (let i = 0; i < STEPS; i += 1) {
    const sigmas = OUT_TO * ((2 * (i + 0.5)) / STEPS - 1);
    const weight = Math.exp(-(sigmas ** 2) / 2);
    weights += weight;
    if (at(sigmas)) sum += weight;
  }
  return sum / weights;
}

const EARLY_STEP_S = 0.02;
const EARLIEST_S = 1;

/** How much earlier than felt to press for the best chance of a frame in the moment, and that chance. */
export function pressEarly(asked: Omit<BurstAsked, 'earlyS'>): {
  readonly earlyS: number;
  readonly chance: number;
} {
  let best = { earlyS: 0, chance: burstChance(asked) };
  // A burst may be begun so early that the moment is in its middle; never later than felt.
  const most = EARLIEST_S + Math.max(0, asked.biasS) + asked.burstS;
  for (let earlyS = EARLY_STEP_S; earlyS <= most; earlyS += EARLY_STEP_S) {
    const chance = burstChance({ ...asked, earlyS });
    if (chance > best.chance + 1e-4) best = { earlyS, chance };
  }
  return best;
}
