import { GRADE_LIMIT_CIRCLES } from './smear';
import type { ImageRates } from './rates';

/**
 * Must and wish: the time that is never knowingly exceeded, and the one that light in hand goes to
 * first. Every constant: common practice, no source.
 */

/** What pictures of a class of subject are taken at, and what it may do at the next instant. */
export interface ClassTimes {
  readonly id: string;
  /** Never knowingly slower. */
  readonly mustS: number;
  /** Where light in hand goes first. */
  readonly wishS: number;
  /** Speed across the line of sight that it may take up unforeseen, at any heading. */
  readonly unplannedMs: number;
  /** At rest nothing but the class and the hands is a must; trembling and wind are wishes. */
  readonly atRest?: boolean;
  /** Whether the must is a floor that the person set. */
  readonly own?: boolean;
}

/** What asks for a time. Parts are named by the subject. */
export type TimeRule =
  | { readonly by: 'class' | 'unplanned' | 'hands' | 'carefulHands' }
  | { readonly by: 'part'; readonly part: string }
  | { readonly by: 'named'; readonly part: string }
  | { readonly by: 'pan' | 'streak' | 'chosen' | 'ownFloor' | 'held' };

export interface Times {
  readonly mustS: number;
  readonly mustBy: TimeRule;
  readonly wishS: number;
  readonly wishBy: TimeRule;
}

/** What a lens makes of a rate: distance from lens to sensor, the circle of confusion, the frame, the hands. */
export interface TimesLens {
  readonly imageMm: number;
  readonly circleMm: number;
  readonly frameWidthMm: number;
  /** Longest time that hands and support hold, and that careful ones hold. */
  readonly shakeS: number;
  readonly carefulS: number;
}

/** The computed part raises a class's time by this much at most. */
const RAISE_MOST_STOPS = 4 / 3;
/** The wish is at most twice as fast as the class's. */
const WISH_MOST = 2;
/** A body is followed from these speeds on, or where it would cross the frame within these times. */
const FOLLOWED_MS = { from: 1, to: 3 } as const;
const CROSSES_S = { within: 0.7, beyond: 1.5 } as const;

const CLASS: TimeRule = { by: 'class' };
const OWN_FLOOR: TimeRule = { by: 'ownFloor' };
const UNPLANNED: TimeRule = { by: 'unplanned' };
const HANDS: TimeRule = { by: 'hands' };
const CAREFUL: TimeRule = { by: 'carefulHands' };

const ramp = (value: number, from: number, to: number): number =>
  Math.min(1, Math.max(0, (value - from) / (to - from)));

/** Circles that body and limbs may be drawn out to. */
export interface CirclesAllowed {
  readonly body: number;
  readonly limb: number;
}
export const CRISP: CirclesAllowed = {
  body: GRADE_LIMIT_CIRCLES.crisp,
  limb: GRADE_LIMIT_CIRCLES.slight,
};
export const STILL: CirclesAllowed = {
  body: GRADE_LIMIT_CIRCLES.still,
  limb: GRADE_LIMIT_CIRCLES.crisp,
};

/** A must, and what asks for it. Reused from place to place in a search. */
export interface MustFound {
  mustS: number;
  by: 'class' | 'part' | 'unplanned' | 'hands';
}

/** Fills `out` with the must: its arithmetic alone, so that a search can ask it for every cell. */
export function mustTime(
  { mustS, unplannedMs, atRest = false }: ClassTimes,
  { bodyRadS, followedRadS, distanceM }: ImageRates,
  { imageMm, circleMm, frameWidthMm, shakeS }: Omit<TimesLens, 'carefulS'>,
  speedMs: number,
  out: MustFound,
): MustFound {
  out.by = 'class';
  let raiseStops = 0;
  if (!atRest) {
    // Time at which a rate of 1 rad/s draws the body out to the limit of crisp.
    const crispAtOneS = (GRADE_LIMIT_CIRCLES.crisp * circleMm) / imageMm;
    const crossesS = bodyRadS > 0 ? frameWidthMm / (imageMm * bodyRadS) : Infinity;
    const follows = Math.max(
      ramp(speedMs, FOLLOWED_MS.from, FOLLOWED_MS.to),
      1 - ramp(crossesS, CROSSES_S.within, CROSSES_S.beyond),
    );
    const body = follows * Math.max(0, Math.log2((mustS * followedRadS) / crispAtOneS));
    const unplanned = Math.max(0, Math.log2((mustS * unplannedMs) / (distanceM * crispAtOneS)));
    raiseStops = Math.min(RAISE_MOST_STOPS, Math.max(body, unplanned));
    if (raiseStops > 0) out.by = body >= unplanned ? 'part' : 'unplanned';
  }
  out.mustS = mustS * 2 ** -raiseStops;
  if (shakeS < out.mustS) {
    out.mustS = shakeS;
    out.by = 'hands';
  }
  return out;
}

function ruleOf(by: MustFound['by'], { own }: ClassTimes, { followedPart }: ImageRates): TimeRule {
  switch (by) {
    case 'class':
      return own ? OWN_FLOOR : CLASS;
    case 'part':
      return { by, part: followedPart };
    case 'unplanned':
      return UNPLANNED;
    case 'hands':
      return HANDS;
  }
}

/**
 * Must and wish of a subject that is to be held sharp.
 * - must: the fastest of the class's own time; the body held crisp by a camera that follows it, where
 *   it moves or would cross the frame within a second; the unforeseen across the line of sight; and
 *   what hands hold. What is computed raises the class's time by 1⅓ stop at most.
 * - wish: the fastest of the class's wish; the body crisp without following; limbs slight; careful
 *   hands; at most twice the class's wish. A part that is named is a wish without that bound.
 * @param speedMs the subject's pace, @param named part that must be sharp
 */
export function timesFor(
  classTimes: ClassTimes,
  rates: ImageRates,
  lens: TimesLens,
  speedMs: number,
  named: string | undefined,
  circles: CirclesAllowed = CRISP,
): Times {
  const { imageMm, circleMm, carefulS } = lens;
  const within = (limitCircles: number, radS: number) =>
    radS > 0 ? (limitCircles * circleMm) / (imageMm * radS) : Infinity;
  const must = mustTime(classTimes, rates, lens, speedMs, { mustS: 0, by: 'class' });
  const { mustS } = must;
  const mustBy = ruleOf(must.by, classTimes, rates);

  let wishS = classTimes.wishS;
  let wishBy = CLASS;
  const wish = (timeS: number, by: () => TimeRule) => {
    if (timeS >= wishS) return;
    wishS = timeS;
    wishBy = by();
  };
  const least = classTimes.wishS / WISH_MOST;
  const bounded = (timeS: number) => Math.max(least, timeS);
  wish(bounded(carefulS), () => CAREFUL);
  wish(bounded(within(circles.limb, rates.limbRadS)), () => ({ by: 'part', part: rates.limbPart }));
  wish(bounded(within(circles.body, rates.bodyRadS)), () => ({ by: 'part', part: rates.bodyPart }));
  wish(mustS, () => mustBy);
  if (named !== undefined) {
    wish(within(circles.body, rates.namedRadS), () => ({ by: 'named', part: named }));
  }
  return { mustS, mustBy, wishS, wishBy };
}
