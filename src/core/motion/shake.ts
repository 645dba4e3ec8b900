import { above, atLeast, oneOf } from '../check';

export type Support = 'hand' | 'monopod' | 'beanBag' | 'tripod';

/** Stops that a support gives over hand-holding. Common practice, no source. */
export const SUPPORT_STOPS: Readonly<Record<Support, number>> = {
  hand: 0,
  monopod: 2,
  beanBag: 3,
  tripod: 6,
};

/**
 * Longest time at which the photographer's own movement stays unseen: 1/(focal × crop) hand-held,
 * longer with stabilisation and support. Common practice, no source.
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
  above('focalMm', focalMm, 0);
  above('crop', crop, 0);
  atLeast('stabilisationStops', stabilisationStops, 0);
  oneOf('support', support, ['hand', 'monopod', 'beanBag', 'tripod']);
  return 2 ** (stabilisationStops + SUPPORT_STOPS[support]) / (focalMm * crop);
}
