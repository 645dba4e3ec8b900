import { above, finite, nonEmpty } from '../check';

/** A swing of the camera as it was followed, judged where the shutter opened. */

/** Where a camera looked at an instant: turned along with the subject's way, and up, from where the middle is. */
export interface Aim {
  readonly turnDeg: number;
  readonly upDeg: number;
}
export interface AimAt extends Aim {
  readonly timeS: number;
}

export interface CameraSwing {
  /** Rate of the hand against the subject's, through the open time: 0.1 is a tenth too fast. */
  readonly rateError: number;
  readonly handDegS: number;
  readonly subjectDegS: number;
  /** Where it looked as the shutter opened, from the subject. */
  readonly off: Aim;
  /** How unsteady it was up and down about an even course while it followed. */
  readonly wobbleDeg: number;
  /** For how long it had followed by then, and went on following. */
  readonly beforeS: number;
  readonly afterS: number;
  /** By how much the rate changed as one pressed, as a share of the subject's. */
  readonly jerk: number;
}

/**
 * A hand is read some 60 to 120 times a second: rates are fitted over this at the least. What is quicker than that is
 * not seen.
 */
const LEAST_FIT_S = 0.12;
/** Within this much of the subject's rate it is followed. No source. */
const FOLLOWS_WITHIN = 0.3;
const STEP_S = 0.02;
/** A finger that presses pulls at the camera within this. No source. */
const PRESS_S = 0.1;

/** Slope of values over time, by least squares; nothing for fewer than three instants, or all at one. */
function slopeOf(times: readonly number[], values: readonly number[]): number | undefined {
  const count = times.length;
  if (count < 3) return undefined;
  const mean = (list: readonly number[]) => list.reduce((sum, value) => sum + value, 0) / count;
  const [meanTime, meanValue] = [mean(times), mean(values)];
  const square = times.reduce((sum, time) => sum + (time - meanTime) ** 2, 0);
  if (square <= 0) return undefined;
  const product = times.reduce(
    (sum, time, i) => sum + (time - meanTime) * ((values[i] as number) - meanValue),
    0,
  );
  return product / square;
}

/** Where the hand was at an instant, between the two readings about it. */
function aimAt(track: readonly AimAt[], timeS: number): Aim {
  const after = track.findIndex((point) => point.timeS >= timeS);
  const next = track[after] ?? (track.at(-1) as AimAt);
  const last = track[after - 1] ?? next;
  const span = next.timeS - last.timeS;
  const share = span > 0 ? (timeS - last.timeS) / span : 0;
  return {
    turnDeg: last.turnDeg + share * (next.turnDeg - last.turnDeg),
    upDeg: last.upDeg + share * (next.upDeg - last.upDeg),
  };
}

/**
 * How a swing went: the hand's rate against the subject's, both fitted by least squares over the same instants about
 * the press, and what came before and after.
 * @param track of the hand, in order of time
 * @param subjectAt where the subject is, in the same angles
 * @returns nothing where the hand was not read about the press
 * @throws RangeError for an open time not above 0, or readings out of order
 */
export function judgeSwing({
  track,
  subjectAt,
  pressS,
  shutterS,
}: {
  readonly track: readonly AimAt[];
  readonly subjectAt: (timeS: number) => Aim;
  readonly pressS: number;
  readonly shutterS: number;
}): CameraSwing | undefined {
  nonEmpty('track', track);
  finite('pressS', pressS);
  above('shutterS', shutterS, 0);
  track.forEach(({ timeS }, i) => {
    const before = track[i - 1]?.timeS ?? -Infinity;
    if (!(timeS >= before)) {
      throw new RangeError(`track[${i}].timeS ${timeS}: must not be before ${before}`);
    }
  });
  const fitS = Math.max(LEAST_FIT_S, shutterS);
  /** Rates about an instant: of the hand, and of the subject at the same instants. */
  const ratesAt = (middleS: number) => {
    const read = track.filter(({ timeS }) => Math.abs(timeS - middleS) <= fitS / 2);
    const times = read.map(({ timeS }) => timeS);
    const handDegS = slopeOf(
      times,
      read.map(({ turnDeg }) => turnDeg),
    );
    const subjectDegS = slopeOf(
      times,
      times.map((timeS) => subjectAt(timeS).turnDeg),
    );
    return handDegS === undefined || !subjectDegS
      ? undefined
      : { handDegS, subjectDegS, error: handDegS / subjectDegS - 1 };
  };
  const now = ratesAt(pressS);
  if (!now) return undefined;

  const followedFor = (stepS: number): number => {
    let forS = 0;
    for (;;) {
      const rates = ratesAt(pressS + Math.sign(stepS) * (forS + Math.abs(stepS)));
      if (!rates || Math.abs(rates.error) > FOLLOWS_WITHIN) return forS;
      forS += Math.abs(stepS);
    }
  };
  const beforeS = followedFor(-STEP_S);
  const afterS = followedFor(STEP_S);
  const followed = track.filter(
    ({ timeS }) => timeS >= pressS - Math.max(beforeS, fitS) && timeS <= pressS + afterS,
  );
  const ups = followed.map(({ timeS, upDeg }) => upDeg - subjectAt(timeS).upDeg);
  const times = followed.map(({ timeS }) => timeS);
  const rise = slopeOf(times, ups) ?? 0;
  const meanOf = (list: readonly number[]) =>
    list.reduce((sum, value) => sum + value, 0) / Math.max(1, list.length);
  const [meanUp, meanTime] = [meanOf(ups), meanOf(times)];
  const left = ups.map((up, i) => up - meanUp - rise * ((times[i] as number) - meanTime));
  const [earlier, later] = [ratesAt(pressS - PRESS_S), ratesAt(pressS + PRESS_S)];
  const [hand, subject] = [aimAt(track, pressS), subjectAt(pressS)];
  return {
    rateError: now.error,
    handDegS: now.handDegS,
    subjectDegS: now.subjectDegS,
    off: { turnDeg: hand.turnDeg - subject.turnDeg, upDeg: hand.upDeg - subject.upDeg },
    wobbleDeg: Math.sqrt(meanOf(left.map((up) => up ** 2))),
    beforeS,
    afterS,
    jerk: earlier && later ? Math.abs(later.error - earlier.error) : 0,
  };
}
