import { LONGEST_SHUTTER_S } from '../motion/freeze';
import { ev as evOf, type Triad } from '../quantity/ev';
import { nearestMark } from '../quantity/scales';
import { fastestAllowedS, type ExposureRequest, type HeldLevers } from './request';

type Free = 'iso' | 'shutterS' | 'aperture';

/** Which lever answers first. A hand on all three leaves none. */
const ANSWERS: readonly Free[] = ['iso', 'shutterS', 'aperture'];

const clamp = (value: number, least: number, most: number) =>
  Math.min(most, Math.max(least, value));

/**
 * The dials with some of them held by hand: ISO answers first, then the shutter, then the aperture,
 * each as far as it goes. Nothing is lifted afterwards: what is missing is said.
 * @param start what the demands ask of the levers that are not held
 */
export function settleHeld(
  request: ExposureRequest,
  held: HeldLevers,
  start: Pick<Triad, 'shutterS' | 'aperture'>,
): {
  readonly settings: Triad & { readonly liftStops: number };
  readonly stopsDark: number;
  readonly stopsBright: number;
} {
  const { ev, camera, lens } = request;
  const widest = nearestMark('aperture', lens.widestAperture).value;
  const dials = {
    shutterS: nearestMark('shutter', held.shutterS ?? start.shutterS).value,
    aperture: nearestMark('aperture', Math.max(widest, held.aperture ?? start.aperture)).value,
    iso: nearestMark('iso', held.iso ?? camera.iso.base).value,
  };
  /** How far the frame is over; below 0 under. */
  const over = () => ev.expected - evOf(dials);
  const answer: Readonly<Record<Free, () => number>> = {
    iso: () =>
      nearestMark('iso', clamp(dials.iso * 2 ** -over(), camera.iso.base, camera.iso.last)).value,
    shutterS: () =>
      nearestMark(
        'shutter',
        clamp(dials.shutterS * 2 ** -over(), fastestAllowedS(camera), LONGEST_SHUTTER_S),
      ).value,
    aperture: () =>
      nearestMark(
        'aperture',
        clamp(dials.aperture * 2 ** (over() / 2), widest, lens.smallestAperture),
      ).value,
  };
  for (const lever of ANSWERS) if (!held[lever]) dials[lever] = answer[lever]();
  const bright = over();
  return {
    settings: { ...dials, liftStops: 0 },
    stopsDark: Math.max(0, -bright),
    stopsBright: Math.max(0, bright),
  };
}
