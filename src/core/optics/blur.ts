import { above, within } from '../check';
import { toDegrees } from '../quantity/angles';
import { imageDistanceMm } from './image';
import { FULL_FRAME_WIDTH_MM } from './sensor';

export interface BackgroundView {
  readonly focalMm: number;
  readonly aperture: number;
  /** Distance the lens is focused at. */
  readonly subjectM: number;
  /** Distance of the background from the lens; Infinity for the sky. */
  readonly backgroundM: number;
}

function checkView({ focalMm, aperture, subjectM, backgroundM }: BackgroundView): void {
  above('focalMm', focalMm, 0);
  above('aperture', aperture, 0);
  above('subjectM', subjectM, focalMm / 1000);
  if (backgroundM !== Infinity) above('backgroundM', backgroundM, 0);
}

/**
 * Disc that a point of the background is blurred to: (f²/N)·|D − d| / (D·(d − f)).
 * Standard thin-lens form. Check: 600 mm f/4, focused at 10 m, background at 20 m: 4.787 mm.
 * @param frameWidthMm width that `shareOfFrame` is counted against; full frame, 36 mm, unless given
 * @throws RangeError for lengths not above 0 or a subject inside the focal length
 */
export function backgroundBlur(view: BackgroundView & { readonly frameWidthMm?: number }): {
  readonly discMm: number;
  readonly shareOfFrame: number;
} {
  checkView(view);
  const { focalMm, aperture, subjectM, backgroundM, frameWidthMm = FULL_FRAME_WIDTH_MM } = view;
  above('frameWidthMm', frameWidthMm, 0);
  const apart = backgroundM === Infinity ? 1 : Math.abs(backgroundM - subjectM) / backgroundM;
  const discMm = ((focalMm ** 2 / aperture) * apart) / (subjectM * 1000 - focalMm);
  return { discMm, shareOfFrame: discMm / frameWidthMm };
}

/**
 * Widest-open limit for a wanted blur: the largest aperture number whose disc is still `discMm`.
 * The inverse of {@link backgroundBlur} in the aperture.
 * @throws RangeError as there, and for a background in the plane of focus, which nothing blurs
 */
export function apertureForBlur({
  discMm,
  ...view
}: Omit<BackgroundView, 'aperture'> & { readonly discMm: number }): number {
  above('discMm', discMm, 0);
  const atOne = backgroundBlur({ ...view, aperture: 1 }).discMm;
  return above('backgroundM beyond subjectM, blur at f/1', atOne, 0) / discMm;
}

/** Size of the detail that makes a background busy, in metres. Common practice, no source. */
export const BACKDROP_DETAIL_M = { leaf: 0.05, face: 0.2, lettering: 0.3, trunk: 0.4 } as const;
export type BackdropDetail = keyof typeof BACKDROP_DETAIL_M;

export type BackdropLook = 'washed' | 'soft' | 'readable';
/** Disc over the detail's own image from which it is soft, and from which washed. No source. */
const SOFT_FROM = 0.4;
const WASHED_FROM = 2;

/**
 * Whether a background's detail can still be made out: the blur disc against the detail's own
 * image, both on the sensor. Limits: common practice, no source.
 * @throws RangeError as {@link backgroundBlur}, and for a detail not above 0
 */
export function backdropVerdict({
  detailM,
  ...view
}: BackgroundView & { readonly detailM: number }): {
  readonly look: BackdropLook;
  /** Blur disc over the image of the detail; Infinity for a background at infinity. */
  readonly ratio: number;
  readonly discMm: number;
  readonly detailMm: number;
} {
  above('detailM', detailM, 0);
  const { discMm } = backgroundBlur(view);
  const detailMm = (detailM / view.backgroundM) * imageDistanceMm(view.focalMm, view.subjectM);
  const ratio = detailMm > 0 ? discMm / detailMm : Infinity;
  const look = ratio >= WASHED_FROM ? 'washed' : ratio >= SOFT_FROM ? 'soft' : 'readable';
  return { look, ratio, discMm, detailMm };
}

/**
 * How far off parallel to the sensor a flat subject may lie and stay within the depth of field:
 * asin(depth/length). 90 when the depth takes in the whole subject.
 * @param depthM whole depth of field, near to far
 * @throws RangeError for lengths not above 0
 */
export function tiltTolerance({
  depthM,
  subjectLengthM,
}: {
  readonly depthM: number;
  readonly subjectLengthM: number;
}): number {
  above('depthM', depthM, 0);
  above('subjectLengthM', subjectLengthM, 0);
  return toDegrees(Math.asin(Math.min(1, depthM / subjectLengthM)));
}

/**
 * Contrast that haze leaves of a distant subject: exp(−3.912·d/visibility).
 * Source: Koschmieder 1924; 3.912 = −ln 0.02. Exposure does not fall with distance, contrast does.
 * @throws RangeError for a negative distance or a visibility not above 0
 */
export function hazeContrast({
  distanceM,
  visibilityM,
}: {
  readonly distanceM: number;
  readonly visibilityM: number;
}): number {
  within('distanceM', distanceM, 0, 1e7);
  above('visibilityM', visibilityM, 0);
  return Math.exp((-3.912 * distanceM) / visibilityM);
}
