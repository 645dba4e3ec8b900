import { above, atLeast, oneOf } from '../check';

export type Support = 'hand' | 'monopod' | 'beanBag' | 'tripod';

/** Stops that a support gives over hand-holding. Common practice, no source. */
export const SUPPORT_STOPS: Readonly<Record<Support, number>> = {
  hand: 0,
  monopod: 1,
  beanBag: 2,
  tripod: 4,
};

/**
 * Stops that a stabiliser really gives at a touchline, whatever its box says: three, and two on long
 * glass. Common practice, no source.
 */
const STABILISER_MOST_STOPS = { short: 3, long: 2 } as const;
const LONG_FROM_MM = 300;

/**
 * Longest time at which the photographer's own movement stays unseen: 1/(focal × crop) hand-held,
 * longer with stabilisation (at most three stops, two from 300 mm on) and support. Common practice, no source.
 * @throws RangeError for a focal length or crop not above 0, negative stops, an unknown support
 */
export function shakeLimit({
  focalMm,
  crop,
  stabilisationStops = 0,
  support = 'hand',
}: {
  readonly focalMm: number;
  readonly crop: number;
  readonly stabilisationStops?: number;
  readonly support?: Support;
}): number {
  return shakeBy({ crop, stabilisationStops, support })(above('focalMm', focalMm, 0));
}

/** The same by focal length, for those who ask for many. @throws RangeError as {@link shakeLimit} */
export function shakeBy({
  crop,
  stabilisationStops = 0,
  support = 'hand',
}: Omit<Parameters<typeof shakeLimit>[0], 'focalMm'>): (focalMm: number) => number {
  above('crop', crop, 0);
  atLeast('stabilisationStops', stabilisationStops, 0);
  oneOf('support', support, ['hand', 'monopod', 'beanBag', 'tripod']);
  const { short, long } = STABILISER_MOST_STOPS;
  const times = (most: number) =>
    2 ** (Math.min(stabilisationStops, most) + SUPPORT_STOPS[support]);
  const [shortTimes, longTimes] = [times(short), times(long)];
  return (focalMm) => {
    const framesLikeMm = focalMm * crop;
    return (framesLikeMm >= LONG_FROM_MM ? longTimes : shortTimes) / framesLikeMm;
  };
}

/**
 * Longest time of careful hands: half of 1/(focal × crop), longer on a support, no stabiliser trusted.
 * Common practice, no source.
 * @throws RangeError as {@link shakeLimit}
 */
export const carefulLimit = (at: Omit<Parameters<typeof shakeLimit>[0], 'stabilisationStops'>) =>
  shakeLimit(at) / 2;
