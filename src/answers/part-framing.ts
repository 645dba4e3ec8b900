import {
  BACKDROP_DETAIL_M,
  backdropVerdict,
  distanceForFill,
  focalForFill,
  focalRange,
  withConverter,
  type BackdropLook,
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
  readonly fill: number;
  /** Focal length that frames it from here. */
  readonly focalMm: number;
  /** How what is behind looks through that. */
  readonly look: BackdropLook;
  /** What of the lens in hand gives it; nothing where none does. */
  readonly by: { readonly converter: Converter; readonly focalMm: number } | undefined;
  /** From how far the longest that the lens gives frames it, where from here it does not. */
  readonly fromM: number | undefined;
}

const isLarge = ({ subject }: View): boolean =>
  subject.heightM >= LARGE_M && (subject.cautions?.includes('wildlife') ?? false);

/** A focal length so near to the one wanted frames as well. No source. */
const NEAR = 0.05;

/** The converter with which the lens in hand gives a focal length: that which is on it before others. */
function givenBy(kit: Kit, focalMm: number): PartFraming['by'] {
  const preset = lensOf(kit);
  const factors = [kit.converter, ...CONVERTERS.filter((factor) => factor !== kit.converter)];
  const converter = factors.find((factor) => {
    if (factor !== 1 && !preset.takesConverter) return false;
    const { shortestMm, longestMm } = focalRange(withConverter(preset, factor));
    return focalMm >= shortestMm * (1 - NEAR) && focalMm <= longestMm * (1 + NEAR);
  });
  if (converter === undefined) return undefined;
  const { shortestMm, longestMm } = focalRange(preset);
  const turnedMm = Math.min(longestMm, Math.max(shortestMm, focalMm / converter));
  return { converter, focalMm: Math.round(turnedMm) };
}

/**
 * Whole, three quarters and head of a large animal from here: the lens each takes, and how what is behind then looks;
 * nothing for what is small, for people, and where nothing stands behind.
 */
export function partFramings(
  view: View,
  kit: Kit,
  back: AlongSight['back'],
  aperture: number,
): readonly PartFraming[] | undefined {
  if (!isLarge(view) || !back) return undefined;
  const { subject, sight, body, orientation, camera, aim } = view;
  const fill = Math.min(1, wantedFill(view));
  const levelM = Math.hypot(aim.x - camera.x, aim.y - camera.y);
  const subjectM = sight.distanceM;
  const backgroundM = Math.max(subjectM, (back.distanceM * subjectM) / levelM);
  const { longestMm } = focalRange(withConverter(lensOf(kit), kit.converter));
  return PARTS.map(({ part, share }): PartFraming => {
    const framing = { sizeM: subject.heightM * share, sensor: body.sensor, orientation, fill };
    const focalMm = focalForFill({ ...framing, distanceM: subjectM });
    const by = givenBy(kit, focalMm);
    return {
      ...{ part, fill, focalMm, by },
      look: backdropVerdict({
        ...{ focalMm, aperture, subjectM, backgroundM },
        detailM: BACKDROP_DETAIL_M[back.obstacle.detail],
      }).look,
      fromM: by ? undefined : distanceForFill({ ...framing, focalMm: longestMm }),
    };
  });
}
