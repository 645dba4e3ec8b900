import { LONGEST_SHUTTER_S } from '../motion/freeze';
import { ev as evOf, type Triad } from '../quantity/ev';
import {
  cornersOf,
  onDial,
  stepStops,
  type Corners,
  type ExposureRequest,
  type IsoLandmarks,
} from './request';

/**
 * The dials as a path. From the brightest light to the darkest the levers give in a fixed order, a
 * click at a time; a light is a place on that path. So a frame is exposed within half a click, more
 * light never raises ISO nor slows the shutter, and nothing is rounded twice.
 */

/** Dials, the lift afterwards, and what is on the lens. */
export interface Settings extends Triad {
  /** Stops to lift the frame afterwards. */
  readonly liftStops: number;
  /** Stops of neutral filter on the lens; none when absent. */
  readonly filterStops?: number;
}

/** Light that settings expose right, as EV on the subject: lift and filter counted. */
export const exposedEv = ({ liftStops, filterStops = 0, ...triad }: Settings): number =>
  evOf(triad) - liftStops + filterStops;

/** ISO as stops over 100. */
export const isoStops = (iso: number): number => Math.log2(iso / 100);

/** A frame nearer than this to right can be called right: half a third-stop click. */
export const RIGHT_WITHIN_STOPS = 1 / 6 + 1e-6;

/** A tie is no accident of floating point. */
const TIE = 1e-6;

interface Stretch {
  readonly lever: 'shutter' | 'aperture' | 'iso' | 'lift';
  /** Where the lever stands at the end of it. */
  readonly to: number;
}

/** Subjects at rest are taken at a lower ISO sooner: no more than so many times the base. */
const REST_OVER_BASE = 8;
/** Past the highest usable ISO before the shutter gives. */
const OVER_USABLE_STOPS = 2 / 3;
/** Faster than this nobody goes to spend light: the lens is closed first. */
const FASTEST_SENSIBLE_S = 2 ** -12;
/** Quality first spends light on the shutter's wish only below this many times the base. */
const QUALITY_OVER_BASE = 4;

/**
 * Order in which levers give, from bright to dark. All constants: common practice, no source.
 * Above base ISO the shutter is at its wish, then depth yields to its must, then the shutter to its
 * must; depth yields wholly before ISO passes `good`; then usable ISO, the lift, two thirds more, a
 * stop of shutter as far as hands hold it, the last ISO.
 */
function stretches(
  corners: Corners,
  iso: IsoLandmarks,
  { school, demands, held = {} }: Omit<ExposureRequest, 'ev'>,
): readonly Stretch[] {
  const { wishS, mustS, slowestS, wishAperture, mustAperture, widest } = corners;
  const shutter = (to: number): Stretch => ({ lever: 'shutter', to });
  const aperture = (to: number): Stretch => ({ lever: 'aperture', to });
  const isoTo = (to: number): Stretch => ({ lever: 'iso', to });
  const lift: Stretch = { lever: 'lift', to: demands.liftStops };
  const over = Math.min(iso.last, iso.usable * 2 ** OVER_USABLE_STOPS);
  const half = demands.atRest ? Math.min(iso.good / 2, REST_OVER_BASE * iso.base) : iso.good / 2;
  // Light over at base: the shutter goes faster as far as is sensible, then the lens closes, then faster still.
  const sensibleS = Math.min(wishS, Math.max(corners.fastestS, FASTEST_SENSIBLE_S));
  const inTheSun = [shutter(sensibleS), aperture(wishAperture), shutter(wishS)];
  const order = orderOf();
  // With a lever in the hand the others answer as far as they go.
  const answers = Object.keys(held).length > 0 && !held.shutterS && !demands.keepShutter;
  return answers ? [...order, shutter(LONGEST_SHUTTER_S)] : order;

  function orderOf(): readonly Stretch[] {
    switch (school) {
      case 'motion':
        return [
          ...inTheSun,
          isoTo(half),
          aperture(mustAperture),
          isoTo(iso.good),
          aperture(widest),
          isoTo(iso.usable),
          shutter(mustS),
          isoTo(over),
          lift,
          isoTo(iso.last),
          shutter(slowestS),
        ];
      case 'quality': {
        const low = Math.min(half, QUALITY_OVER_BASE * iso.base);
        return [
          ...inTheSun,
          isoTo(low / 2),
          aperture(mustAperture),
          isoTo(low),
          shutter(mustS),
          isoTo(iso.good),
          aperture(widest),
          isoTo(iso.usable),
          shutter(slowestS),
          lift,
          isoTo(iso.last),
        ];
      }
      case 'balanced':
        return [
          ...inTheSun,
          isoTo(half / 2),
          aperture(mustAperture),
          isoTo(half),
          shutter(mustS),
          isoTo(iso.good),
          aperture(widest),
          isoTo(iso.usable),
          lift,
          isoTo(over),
          shutter(slowestS),
          isoTo(iso.last),
        ];
    }
  }
}

/** The landmarks on the dial; all one where ISO is held by hand. */
function landmarks({ camera, held = {} }: Omit<ExposureRequest, 'ev'>): IsoLandmarks {
  if (held.iso) {
    const iso = onDial(camera, 'iso', held.iso);
    return { base: iso, good: iso, usable: iso, last: iso };
  }
  const mark = (iso: number) => onDial(camera, 'iso', iso);
  const { base, good, usable, last } = camera.iso;
  return { base: mark(base), good: mark(good), usable: mark(usable), last: mark(last) };
}

/** The least of the filters, one or two together, that takes up what is over; the most there is if none does. */
export function filterFor(filters: readonly number[], overStops: number): number {
  const stacks = stacked(filters);
  return stacks.find((stops) => stops >= overStops - RIGHT_WITHIN_STOPS) ?? stacks.at(-1) ?? 0;
}

/** Filters one or two together, weakest first. */
const stacked = (filters: readonly number[]): readonly number[] =>
  [...filters, ...filters.flatMap((a, i) => filters.slice(i + 1).map((b) => a + b))].sort(
    (a, b) => a - b,
  );

/** With all dials in the hand nothing makes up for a filter: the one, or none, that comes nearest. */
const nearestFilter = (filters: readonly number[], overStops: number): number =>
  [0, ...stacked(filters)].reduce((best, stops) =>
    Math.abs(overStops - stops) < Math.abs(overStops - best) ? stops : best,
  );

export interface Settled {
  readonly corners: Corners;
  readonly settings: Settings;
  readonly stopsDark: number;
  readonly stopsBright: number;
}

/** Walks the path to the light. */
export function settle(request: ExposureRequest): Settled {
  const { ev, camera, lens, filters = [], held = {} } = request;
  const corners = cornersOf(request);
  const iso = landmarks(request);
  const step = stepStops(camera);
  const at = {
    shutter: corners.fastestS,
    aperture: corners.closed,
    iso: iso.base,
    lift: 0,
  };
  const isHeld = Object.keys(held).length > 0;
  if (isHeld) at.lift = held.liftStops ?? 0;
  /** Light the frame is exposed for, a lift held by hand counted. */
  const light = ev.expected - (lens.lossStops ?? 0) + at.lift;
  const over = light - evOf({ shutterS: at.shutter, aperture: at.aperture, iso: at.iso });
  const allHeld = held.shutterS && held.aperture && held.iso;
  const filterStops =
    over <= RIGHT_WITHIN_STOPS
      ? 0
      : allHeld
        ? nearestFilter(filters, over)
        : filterFor(filters, over);
  const stops = {
    shutter: (to: number) => Math.log2(to / at.shutter),
    aperture: (to: number) => 2 * Math.log2(at.aperture / to),
    iso: (to: number) => Math.log2(to / at.iso),
    lift: (to: number) => (isHeld ? 0 : to - at.lift),
  };
  const move = {
    shutter: (by: number) => (at.shutter *= 2 ** by),
    aperture: (by: number) => (at.aperture *= 2 ** (-by / 2)),
    iso: (by: number) => (at.iso *= 2 ** by),
    lift: (by: number) => (at.lift += by),
  };
  // Half way between two clicks the darker one is taken, always.
  let clicks = Math.max(0, Math.round((filterStops - over) / step - TIE));
  for (const { lever, to } of stretches(corners, iso, request)) {
    if (clicks === 0) break;
    const room = Math.max(0, Math.floor(stops[lever](to) / step + 1e-6));
    const taken = Math.min(room, clicks);
    if (taken > 0) move[lever](taken * step);
    clicks -= taken;
  }
  const settings: Settings = {
    shutterS: onDial(camera, 'shutter', at.shutter),
    aperture: Math.max(corners.widest, onDial(camera, 'aperture', at.aperture)),
    iso: onDial(camera, 'iso', at.iso),
    liftStops: at.lift,
    ...(filterStops > 0 && { filterStops }),
  };
  const missBy = ev.expected - (lens.lossStops ?? 0) - exposedEv(settings);
  const ended = clicks > 0;
  return {
    corners,
    settings,
    stopsDark: ended ? Math.max(0, -missBy) : 0,
    stopsBright: over - filterStops > RIGHT_WITHIN_STOPS ? Math.max(0, missBy) : 0,
  };
}
