import { nearestMark } from '../quantity/scales';
import { isoStops, RIGHT_WITHIN_STOPS, type Settings, type Settled } from './path';
import {
  onDial,
  type ExposureRequest,
  type HeldLevers,
  type IsoLandmarks,
  type Lever,
} from './request';

/** Which of the body's own steps an ISO falls in. */
export function noiseLevel(
  iso: number,
  { base, good, usable, last }: IsoLandmarks,
): keyof IsoLandmarks | 'beyond' {
  // A figure stands for its mark: ISO 2500 for 2540.
  const tolerance = 1.03;
  if (iso <= base * tolerance) return 'base';
  if (iso <= good * tolerance) return 'good';
  if (iso <= usable * tolerance) return 'usable';
  return iso <= last * tolerance ? 'last' : 'beyond';
}

/** One way to mend a shortage or an overflow, counted from the settings shown. */
export interface WayOut {
  /** What it moves; two where one alone will not do. */
  readonly levers: readonly (Lever | 'filter')[];
  /** The frame it leads to: exposed right. */
  readonly settings: Settings;
  /** Dials to hold for it: what a press does. */
  readonly hold: HeldLevers;
  /** Filter to put on for it. */
  readonly filterStops?: number;
}

/** Most that a frame is ever lifted, whatever is allowed: past this it is another picture. No source. */
const LIFT_MOST_STOPS = 3;
const THIRD = 1 / 3;
/** Slower than so many times its must, nothing of a subject is left to hold. No source. */
const PAST_MUST_MOST = 4;

/** Filters that are to be had everywhere. Common practice, no source. */
const FILTERS_SOLD_STOPS = [3, 6, 10];

/**
 * Ways out of a shortage, a darkness or an overflow. Each can be held as it stands and exposes the
 * frame right: none offers what the settings contain already, what the body has not, or a time that
 * hands do not hold.
 */
export function waysOut(
  request: ExposureRequest,
  { corners, settings, stopsDark, stopsBright }: Settled,
  stopsShort: number,
): readonly WayOut[] {
  const { camera, demands, held = {} } = request;
  if (Object.keys(held).length > 0) return [];
  const ways: WayOut[] = [];
  if (stopsBright > RIGHT_WITHIN_STOPS) {
    const filterStops = FILTERS_SOLD_STOPS.find(
      (stops) => stops >= stopsBright - RIGHT_WITHIN_STOPS,
    );
    return filterStops === undefined
      ? []
      : [{ levers: ['filter'], settings: { ...settings, filterStops }, hold: {}, filterStops }];
  }
  if (stopsShort <= 0 && stopsDark <= 0) return [];
  const { shutterS, iso, liftStops } = settings;
  const { usable, last } = camera.iso;
  const slowest = demands.keepShutter
    ? shutterS
    : Math.max(
        shutterS,
        onDial(
          camera,
          'shutter',
          Math.min(demands.handsS ?? Infinity, corners.mustS * PAST_MUST_MOST),
          'down',
        ),
      );
  const slowerBy = Math.log2(slowest / shutterS);
  const pastUsable = Math.max(0, isoStops(iso) - isoStops(usable));
  const pastMust = Math.max(0, Math.log2(shutterS / corners.mustS));

  const add = (levers: WayOut['levers'], change: Partial<Settings>) => {
    const next = { ...settings, ...change };
    const on = {
      ...next,
      shutterS: onDial(camera, 'shutter', next.shutterS),
      iso: onDial(camera, 'iso', next.iso),
    };
    const { shutterS: time, iso: speed, liftStops: lift, aperture } = on;
    ways.push({
      levers,
      settings: on,
      hold: { shutterS: time, aperture, iso: speed, liftStops: lift },
    });
  };

  // A slower shutter in place of what ISO, lift and darkness cost now.
  const toWin = pastUsable + liftStops + stopsDark;
  if (toWin > RIGHT_WITHIN_STOPS && slowerBy > THIRD / 2) {
    if (slowerBy >= toWin - RIGHT_WITHIN_STOPS) {
      add(['shutter'], {
        shutterS: shutterS * 2 ** toWin,
        iso: Math.min(iso, usable),
        liftStops: 0,
      });
    } else if (isoStops(iso) + liftStops + stopsDark - slowerBy <= isoStops(last) + 1e-6) {
      add(['shutter', 'iso'], {
        shutterS: slowest,
        iso: iso * 2 ** (liftStops + stopsDark - slowerBy),
        liftStops: 0,
      });
    }
  }
  // A higher ISO in place of lift and of a shutter past its must.
  const toRaise = liftStops + pastMust;
  if (
    stopsDark <= 0 &&
    toRaise > RIGHT_WITHIN_STOPS &&
    isoStops(iso) + toRaise <= isoStops(last) + 1e-6
  ) {
    add(['iso'], {
      iso: iso * 2 ** toRaise,
      liftStops: 0,
      shutterS: Math.min(shutterS, corners.mustS),
    });
  }
  // More lift in place of ISO past usable, of a shutter past its must, of darkness.
  const toLift = pastUsable + pastMust + stopsDark;
  if (toLift > RIGHT_WITHIN_STOPS && liftStops + toLift <= LIFT_MOST_STOPS + 1e-6) {
    add(['lift'], {
      iso: stopsDark > 0 ? iso : Math.min(iso, usable),
      shutterS: stopsDark > 0 ? shutterS : Math.min(shutterS, corners.mustS),
      liftStops: liftStops + (stopsDark > 0 ? stopsDark : pastUsable + pastMust),
    });
  } else if (
    stopsDark > 0 &&
    slowerBy > THIRD / 2 &&
    slowerBy < stopsDark &&
    liftStops + stopsDark - slowerBy <= LIFT_MOST_STOPS + 1e-6
  ) {
    add(['shutter', 'lift'], { shutterS: slowest, liftStops: liftStops + stopsDark - slowerBy });
  }
  const widest = nearestMark('aperture', request.lens.widestAperture).value;
  return ways.filter(({ settings: next }) => next.aperture >= widest * 0.999);
}
