/**
 * Desirabilities, 0 (useless) to 1 (all one could wish), after Derringer & Suich 1980, J. Quality
 * Technology 12, 214: each part of a score is mapped to 0–1 and the parts are joined by a weighted
 * geometric mean, so that one hopeless part can't be bought back by the others. The curves are
 * common practice, no source; none is steeper than the eye would judge.
 */

export type FaceWanted = 'front' | 'threeQuarter' | 'profile' | 'any';
export type LightWanted = 'front' | 'side' | 'back' | 'any';

/** A part that is poor but doesn't rule the picture out keeps this much. */
const POOR = 0.05;

const between = (low: number, value: number, high: number): number =>
  value < low ? low : value > high ? high : value;

/** 1 at 0°, falling as a cosine to POOR at `toDeg` and beyond. */
const falling = (offDeg: number, toDeg: number): number =>
  POOR + ((1 - POOR) * (1 + Math.cos(Math.PI * Math.min(1, offDeg / toDeg)))) / 2;

/** Share of the fill wanted at which a crop leaves too little to use. */
const TOO_SMALL = 0.2;
/** Fill of the frame from which the subject is cut, and at which only a detail is left. */
export const CUT_FROM = 0.95;
const DETAIL_ONLY = 2;

/** How well the subject fills the frame: in proportion below the fill wanted, cut above the frame. */
export function reachDesirability(fill: number, wantedFill: number): number {
  const share = fill / wantedFill;
  if (share < 1) return between(0, (share - TOO_SMALL) / (1 - TOO_SMALL), 1);
  const cutFrom = Math.max(CUT_FROM, wantedFill);
  return fill <= cutFrom ? 1 : between(0, (DETAIL_ONLY - fill) / (DETAIL_ONLY - cutFrom), 1);
}

const FACE_DEG: Readonly<Record<Exclude<FaceWanted, 'any'>, number>> = {
  front: 0,
  threeQuarter: 40,
  profile: 90,
};

/** How much of the face is seen as wanted. @param offDeg between the face and the camera, 0–180 */
export function faceDesirability(offDeg: number, wanted: FaceWanted): number {
  return wanted === 'any' ? 1 : falling(Math.abs(offDeg - FACE_DEG[wanted]), 120);
}

const PHASE_DEG: Readonly<Record<Exclude<LightWanted, 'any'>, number>> = {
  front: 20,
  side: 85,
  back: 150,
};
/** Light without a direction is nobody's wish and nobody's trouble. */
const FLAT_LIGHT = 0.6;

/**
 * How the light falls against how it is wanted.
 * @param phaseDeg 0 front light to 180 back light, @param sunlit whether the sun reaches the mark
 */
export function lightDesirability(phaseDeg: number, sunlit: boolean, wanted: LightWanted): number {
  if (wanted === 'any') return 1;
  return sunlit ? falling(Math.abs(phaseDeg - PHASE_DEG[wanted]), 110) : FLAT_LIGHT;
}

/** What is left of a wish for light with the sun near the frame, unless back light is wanted. */
export const SUN_IN_FRAME = 0.3;

/** Logarithm of the desirability of stops in hand, so that a search need not take it again. */
export const exposureLog = (spareStops: number): number =>
  -Math.log(1 + Math.exp(-1.6 * between(-8, spareStops + 0.25, 8)));

/** Stops in hand: 0.6 at none, 0.9 with a stop, 0.2 when one is missing. */
export const exposureDesirability = (spareStops: number): number =>
  Math.exp(exposureLog(spareStops));

/** Blur disc as a share of the frame that washes a background out, and that keeps layers. */
const WASHED_SHARE = 0.04;
const LAYERED_SHARE = 0.012;

/** How the background is blurred against how it is wanted. */
export function backdropDesirability(
  blurShare: number,
  wanted: 'washed' | 'layered' | 'any',
): number {
  if (wanted === 'any') return 1;
  if (wanted === 'washed') return between(POOR, blurShare / WASHED_SHARE, 1);
  const stopsOff = Math.abs(Math.log2(Math.max(1e-6, blurShare) / LAYERED_SHARE));
  return between(POOR, 1 - stopsOff / 4, 1);
}

/** Metres of walking that halve the wish. */
const HALF_AT_M = 600;
export const walkDesirability = (walkM: number): number => 2 ** (-walkM / HALF_AT_M);

/** What is left of a place for a pan to which the subject comes: so much that who insists can stand there. No source. */
const COMES_AT_YOU = 0.2;

/** How much of a picture the view leaves: nothing behind what stands in the way. */
export const viewDesirability = (blocked: boolean, comesAtYou: boolean): number =>
  blocked ? 0 : comesAtYou ? COMES_AT_YOU : 1;
