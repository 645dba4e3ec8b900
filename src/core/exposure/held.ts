import { LONGEST_SHUTTER_S } from '../motion/freeze';
import { ev as evOf, type Triad } from '../quantity/ev';
import { nearestMark } from '../quantity/scales';
import { fastestAllowedS, onDial, type ExposureRequest, type HeldLevers } from './request';

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
    shutterS: onDial(camera, 'shutter', held.shutterS ?? start.shutterS),
    aperture: Math.max(widest, onDial(camera, 'aperture', held.aperture ?? start.aperture)),
    iso: onDial(camera, 'iso', held.iso ?? camera.iso.base),
  };
  /** How far the frame is over; below 0 under. */
  const over = () => ev.expected - evOf(dials);
  const answer: Readonly<Record<Free, () => number>> = {
    iso: () =>
      onDial(camera, 'iso', clamp(dials.iso * 2 ** -over(), camera.iso.base, camera.iso.last)),
    shutterS: () =>
      onDial(
        camera,
        'shutter',
        clamp(dials.shutterS * 2 ** -over(), fastestAllowedS(camera), LONGEST_SHUTTER_S),
      ),
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
