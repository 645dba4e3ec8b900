import {
  engravedMark,
  formatShutter,
  halfCircle,
  nearestMark,
  type Conflict,
  type ExposurePlan,
} from '@/core';
import { written } from '@/ui/units';
import type { Answer } from '@/answers/answer';
import type { View } from '@/answers/view';
import { metres, sentence, smallLength, stops } from './words';

/** What else there is to say of a frame: what contradicts, overfills, softens, dims, shades or flickers. */

const CONFLICT_WORDS: Readonly<Record<string, (c: Conflict) => string>> = {
  bodyHasNoFaster: ({ wanted, given }) =>
    `${formatShutter(wanted)} is wanted; the body goes to ${formatShutter(given)}`,
  blurNeedsWiderLens: ({ given }) =>
    `the blur wanted needs a wider lens than ${engravedMark('aperture', given).label}`,
  blurOverDepth: () => 'the blur wanted leaves less depth than asked',
  depthOverBlur: () => 'the depth wanted leaves less blur than asked',
  lensClosesNoFurther: ({ given }) =>
    `the lens closes no further than ${engravedMark('aperture', given).label}`,
};

/** What can not be had together, whatever the light. */
export const conflictsInWords = ({ conflicts }: ExposurePlan): readonly string[] =>
  conflicts.map((conflict) =>
    sentence(
      CONFLICT_WORDS[conflict.why]?.(conflict) ??
        `${conflict.why}: ${formatShutter(conflict.given)} at the fastest`,
    ),
  );

/** A disc larger than this share of the circle of confusion is diffraction that can be seen. */
const closedPastCap = (view: View, { settings }: ExposurePlan): boolean =>
  settings.aperture > view.capAperture * 1.15;

/** What closing past the cap by hand costs. */
export const diffractionInWords = (view: View, plan: ExposurePlan): string | undefined =>
  closedPastCap(view, plan)
    ? `Past ${nearestMark('aperture', view.capAperture).label} the whole picture softens by diffraction: ${stops(2 * Math.log2(plan.settings.aperture / view.capAperture))} too far closed.`
    : undefined;

/** A frame filled past its edge, said first, with the focal length that would do. */
export function overfilledInWords(view: View): string | undefined {
  if (view.fill <= 1.005) return undefined;
  const wanted = view.focalMm / view.fill;
  return `The subject overfills the frame, ${Math.round(view.fill * 100)} % of its height: ${Math.floor(wanted)} mm holds it whole.`;
}

/** Lamps that can be seen between frames. */
export function flickerInWords({ flicker }: ExposurePlan): string | undefined {
  if (!flicker || flicker.spreadStops < 0.15) return undefined;
  return `Lamps differ by ${stops(flicker.spreadStops)} between frames: anti-flicker on, or ${formatShutter(flicker.immuneShutterS)}.`;
}

/** Extra light lost to extension in a close-up. */
export const extensionInWords = ({ extensionStops }: View): string | undefined =>
  extensionStops > 0.1
    ? `Focusing so near costs ${stops(extensionStops)} of light; the settings count it.`
    : undefined;

/** Further off the square of a pane than this its two faces draw edges twice. Common practice, no source. */
const DOUBLES_FROM_DEG = 30;

/** What looking out through a pane or a net costs, and what helps. */
export function throughInWords({ through }: View): string | undefined {
  if (!through || through.opening.pane === 'open') return undefined;
  if (through.opening.pane === 'net') {
    return `Through the net of ${through.hide}: lens in its slit, or the mesh softens the picture.`;
  }
  const { lossStops, offSquareDeg } = through;
  const off = `${Math.round(offSquareDeg)}° off its square`;
  const soft =
    offSquareDeg > DOUBLES_FROM_DEG
      ? `, where edges double: open it, or sit squarer to it`
      : ': hood against it and the room dark, or it reflects';
  return `Through glass, ${off}${soft}. It costs ${stops(lossStops)}; the settings count it.`;
}

/** Depths under this are told to the centimetre, whole depths under a hand's breadth by themselves. */
const FINE_M = 1;

/** "12.4 m to 19.8 m", "7.98 to 8.03 m (5 cm)", "5.2 m to the horizon": how deep it is sharp. */
export function depthInWords({
  nearM,
  farM,
}: {
  readonly nearM: number;
  readonly farM: number;
}): string {
  if (farM === Infinity) return `${metres(nearM)} to the horizon`;
  const wholeM = farM - nearM;
  if (wholeM >= FINE_M) return `${metres(nearM)} to ${metres(farM)}`;
  const decimals = wholeM < 0.02 ? 3 : 2;
  const near = written(nearM, 'm', decimals).split(' ')[0] ?? '';
  return `${near} to ${written(farM, 'm', decimals)} (${smallLength(wholeM)})`;
}

/** What else there is to say of a frame, if anything: what contradicts, softens, dims or flickers. */
export const notesOf = (view: View, plan: ExposurePlan): readonly string[] => [
  ...conflictsInWords(plan),
  ...[
    diffractionInWords(view, plan),
    extensionInWords(view),
    throughInWords(view),
    flickerInWords(plan),
  ].filter((line) => line !== undefined),
];

/** A brim shades the eyes from this height of the sun on, where it stands before the face. No source. */
const BRIM_SHADES_FROM_DEG = 30;
const BEFORE_FACE_DEG = 100;

/** Whether the sun stands so that a brim's shade lies over the face. */
export function brimShades(view: View, { light }: Pick<Answer, 'light'>): boolean {
  const wears = view.mark.brim ?? view.subject.brim ?? false;
  const { altitudeDeg, azimuthDeg } = light.sun;
  const off = Math.abs(halfCircle(azimuthDeg - view.mark.facingDeg));
  return wears && light.sunlit && altitudeDeg > BRIM_SHADES_FROM_DEG && off < BEFORE_FACE_DEG;
}
