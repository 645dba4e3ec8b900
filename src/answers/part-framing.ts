import {
  BACKDROP_DETAIL_M,
  backdropVerdict,
  distanceForFill,
  focalForFill,
  focalRange,
  frameFill,
  widestApertureAt,
  withConverter,
  type BackdropLook,
  type Lens,
} from '@/core';
import { CONVERTERS, type Converter } from '@/presets/lenses';
import { lensOf, type Kit } from '@/records/kit';
import type { AlongSight } from './along-sight';
import type { View } from './view';
import { wantedFill } from './wanted';

/** A large animal that cannot be whole and set off from what is behind: its head, or three quarters of it. */

/** From this height on an animal is large. Common practice, no source. */
const LARGE_M = 0.7;

/** What is framed, as a share of its height. Common practice, no source. */
export const PARTS = [
  { part: 'whole', share: 1 },
  { part: 'threeQuarter', share: 0.75 },
  { part: 'head', share: 0.3 },
] as const;
export type FramedPart = (typeof PARTS)[number]['part'];

export interface PartFraming {
  readonly part: FramedPart;
  /** Share of the frame's height that the part takes. */
  readonly fill: number;
  /** Focal length that frames it so from here. */
  readonly focalMm: number;
  /** How what is behind looks then. */
  readonly look: BackdropLook;
  /** What of the lens in hand gives it from here; nothing where none does. */
  readonly by?: { readonly converter: Converter; readonly focalMm: number };
  /** From how far the longest that the lens in hand gives frames it, where from here it does not. */
  readonly fromM?: number;
}

const isLarge = ({ subject }: View): boolean =>
  subject.heightM >= LARGE_M && (subject.cautions?.includes('wildlife') ?? false);

/** A focal length so near to the one wanted frames as well. No source. */
const NEAR = 0.05;

/** What the lens in hand can be made into. */
const lensesIn = (kit: Kit): readonly { readonly converter: Converter; readonly lens: Lens }[] => {
  const preset = lensOf(kit);
  const others = CONVERTERS.filter((factor) => factor !== kit.converter);
  // That which is on it comes before others.
  return [kit.converter, ...others]
    .filter((factor) => factor === 1 || preset.takesConverter)
    .map((converter) => ({ converter, lens: withConverter(preset, converter) }));
};

/** The nearest that a lens gives to a focal length. */
function turnedTo(lens: Lens, focalMm: number): number {
  const { shortestMm, longestMm } = focalRange(lens);
  return Math.min(longestMm, Math.max(shortestMm, focalMm));
}

/**
 * Whole, three quarters and head of a large animal from here: the lens each takes, and how what is behind then looks;
 * where the lens in hand gives none, from how far it would. Nothing for what is small, for people, and where nothing
 * stands behind.
 */
export function partFramings(
  view: View,
  kit: Kit,
  back: AlongSight['back'],
  aperture: number,
): readonly PartFraming[] | undefined {
  if (!isLarge(view) || !back) return undefined;
  const { subject, sight, body, orientation, camera, aim } = view;
  const wanted = Math.min(1, wantedFill(view));
  const levelM = Math.hypot(aim.x - camera.x, aim.y - camera.y);
  const behindM = Math.max(0, (back.distanceM / levelM - 1) * sight.distanceM);
  const lenses = lensesIn(kit);
  const [inHand] = lenses as readonly [(typeof lenses)[number]];
  const lookFrom = (lens: Lens, focalMm: number, subjectM: number) =>
    backdropVerdict({
      // A converter closes the lens: wide open it is no wider than that.
      ...{ focalMm, aperture: Math.max(aperture, widestApertureAt(lens, focalMm)) },
      ...{ subjectM, backgroundM: subjectM + behindM },
      detailM: BACKDROP_DETAIL_M[back.obstacle.detail],
    }).look;
  return PARTS.map(({ part, share }): PartFraming => {
    const framing = { sizeM: subject.heightM * share, sensor: body.sensor, orientation };
    const focalMm = focalForFill({ ...framing, distanceM: sight.distanceM, fill: wanted });
    const given = lenses.find(
      ({ lens }) => Math.abs(turnedTo(lens, focalMm) / focalMm - 1) <= NEAR,
    );
    if (!given) {
      const longestMm = focalRange(inHand.lens).longestMm;
      const fromM = distanceForFill({ ...framing, focalMm: longestMm, fill: wanted });
      const look = lookFrom(inHand.lens, longestMm, fromM);
      return { part, fill: wanted, focalMm, look, fromM };
    }
    const { converter, lens } = given;
    const dialledMm = turnedTo(lens, focalMm);
    return {
      ...{ part, focalMm, look: lookFrom(lens, dialledMm, sight.distanceM) },
      fill: frameFill({ ...framing, distanceM: sight.distanceM, focalMm: dialledMm }),
      by: { converter, focalMm: Math.round(dialledMm / converter) },
    };
  });
}
