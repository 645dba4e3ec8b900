import { above, within } from '../check';
import { lightSide, sunAngleFrom, type LightSide } from '../sun/angle';
import { sunPosition } from '../sun/position';
import { SUNLIT_SHARE } from '../site/bough';
import type { Span } from '../sun/horizon';
import { sunShareOn, type LitScene } from './subject';

/** How the sun stands to a face that looks at the camera, whatever the clouds. */
export type SunOnFace = LightSide | 'shade' | 'twilight' | 'dark';

/** Civil twilight ends here. */
const DARK_BELOW_DEG = -6;

/** A face among obstacles, and the camera that looks at it. */
export interface FacedScene extends Pick<
  LitScene,
  'place' | 'obstacles' | 'boughs' | 'target' | 'faceAzimuthDeg'
> {
  /** Elevation of the line from camera to subject. */
  readonly viewAltitudeDeg: number;
}

/** How the sun stands to the face at one moment. @throws RangeError as the functions it stands on */
export function sunOnFace(scene: FacedScene, timeMs: number): SunOnFace {
  const { place, faceAzimuthDeg, viewAltitudeDeg } = scene;
  const sun = sunPosition({ time: timeMs, ...place });
  if (sun.altitudeDeg <= 0) return sun.altitudeDeg < DARK_BELOW_DEG ? 'dark' : 'twilight';
  if (sunShareOn(scene, sun, timeMs) < SUNLIT_SHARE) return 'shade';
  const { phaseDeg } = sunAngleFrom(faceAzimuthDeg + 180, viewAltitudeDeg, sun);
  return lightSide(phaseDeg, sun.altitudeDeg);
}

/** A stretch of time in which the sun stands one way. */
export interface FaceSpan extends Span {
  readonly sun: SunOnFace;
}

/** Turns are found to ten seconds. */
const TOLERANCE_MS = 10_000;

/**
 * How the sun stands to a face through a span of time, as stretches one after the other that fill
 * it. Turns are found by steps and then halving to ten seconds; what comes and goes within a step
 * is not seen.
 * @throws RangeError for an end not after the start or a step under a second
 */
export function faceSpans(
  scene: FacedScene,
  { fromMs, toMs }: Span,
  stepMs: number,
): readonly FaceSpan[] {
  above('toMs', toMs, fromMs);
  within('stepMs', stepMs, 1000, 24 * 3.6e6);
  const spans: FaceSpan[] = [];
  let [since, sun] = [fromMs, sunOnFace(scene, fromMs)];
  for (let at = fromMs; at < toMs; at += stepMs) {
    const next = Math.min(toMs, at + stepMs);
    const then = sunOnFace(scene, next);
    if (then === sun) continue;
    let [low, high] = [at, next];
    while (high - low > TOLERANCE_MS) {
      const middle = (low + high) / 2;
      if (sunOnFace(scene, middle) === sun) low = middle;
      else high = middle;
    }
    const turn = (low + high) / 2;
    spans.push({ fromMs: since, toMs: turn, sun });
    [since, sun] = [turn, then];
  }
  return [...spans, { fromMs: since, toMs, sun }];
}
