import { LONGEST_SHUTTER_S } from '../motion/freeze';
import type { PartSmear } from '../motion/smear';
import { backgroundBlur } from '../optics/blur';
import { depthOfField } from '../optics/depth';
import type { Triad } from '../quantity/ev';
import { nearestMark } from '../quantity/scales';
import { noiseLevel } from './levers';
import { isoStops } from './path';
import type { ExposureRequest, IsoLandmarks, Lever } from './request';

/** A figure of the picture as it is, and as it would be. */
export interface NowThen {
  readonly now: number;
  readonly then: number;
}

/**
 * What one more stop of light from a lever would cost in the picture. Only what that lever
 * changes is there; `possible` is false where the lever has no stop left to give.
 */
export interface Price {
  readonly possible: boolean;
  /** Shutter: longest smear of any part in the delivered picture, in px, and of which part. */
  readonly smearPx?: NowThen & { readonly part: string };
  /** Aperture: whole depth of field, and blur of what lies behind as a share of the frame. */
  readonly depthM?: NowThen;
  readonly blurShare?: NowThen;
  /** ISO: stops above the body's base, and the step it would fall in. */
  readonly stopsAboveBase?: NowThen;
  readonly level?: keyof IsoLandmarks | 'beyond';
  /** Lift: stops of lift afterwards; a lifted frame is as noisy as that much more ISO, or worse. */
  readonly liftStops?: NowThen;
}

export type SmearAt = (shutterS: number) => readonly PartSmear[] | undefined;

const most = (smear: readonly PartSmear[]): PartSmear =>
  smear.reduce((a, b) => (b.deliveredPx > a.deliveredPx ? b : a));

function shutterPrice({ shutterS }: Triad, smearAt: SmearAt): Price {
  const possible = shutterS * 2 <= LONGEST_SHUTTER_S * 1.1;
  const now = smearAt(shutterS);
  const then = smearAt(shutterS * 2);
  if (!now?.length || !then?.length) return { possible };
  const { part, deliveredPx } = most(then);
  const same = now.find((entry) => entry.part === part) ?? most(now);
  return { possible, smearPx: { part, now: same.deliveredPx, then: deliveredPx } };
}

function aperturePrice({ aperture }: Triad, { lens, focus }: ExposureRequest): Price {
  const wider = aperture / Math.SQRT2;
  const possible = wider >= nearestMark('aperture', lens.widestAperture).value * 0.999;
  if (!focus) return { possible };
  const depth = (number: number) => {
    const { nearM, farM } = depthOfField({ ...focus, aperture: number });
    return farM - nearM;
  };
  const { backgroundM } = focus;
  const blur = (number: number) =>
    backgroundBlur({
      focalMm: focus.focalMm,
      ...(focus.frameWidthMm !== undefined && { frameWidthMm: focus.frameWidthMm }),
      aperture: number,
      subjectM: focus.distanceM,
      backgroundM: backgroundM ?? Infinity,
    }).shareOfFrame;
  return {
    possible,
    depthM: { now: depth(aperture), then: depth(wider) },
    ...(backgroundM !== undefined && {
      blurShare: { now: blur(aperture), then: blur(wider) },
    }),
  };
}

/** The price of one stop more from each lever, at some settings. */
export function pricesOf(
  request: ExposureRequest,
  settings: Triad & { readonly liftStops: number },
  smearAt: SmearAt,
): Readonly<Record<Lever, Price>> {
  const { iso } = request.camera;
  const above = isoStops(settings.iso) - isoStops(iso.base);
  return {
    shutter: shutterPrice(settings, smearAt),
    aperture: aperturePrice(settings, request),
    iso: {
      possible: settings.iso * 2 <= iso.last * 1.01,
      stopsAboveBase: { now: above, then: above + 1 },
      level: noiseLevel(settings.iso * 2, iso),
    },
    lift: {
      possible: settings.liftStops + 1 <= request.demands.liftStops + 1e-9,
      liftStops: { now: settings.liftStops, then: settings.liftStops + 1 },
    },
  };
}
