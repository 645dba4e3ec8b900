import { partTrack, type MovingPart } from '../motion/subject';
import { imageDistanceMm } from '../optics/image';
import { circleOfConfusionMm } from '../optics/sensor';
import { add, cross, dot, length, scale, subtract, unit, UP, type Point3 } from '../site/vector';
import type { Scene } from './types';

/** Where each sample of a frame is taken: the point of the lens, the instant, and the part of a pixel. */

export interface SampleInstant {
  /** On the lens, as shares of its radius. */
  readonly lensX: number;
  readonly lensY: number;
  /** Through the exposure, 0 to 1. */
  readonly time: number;
  /** Within a pixel, −½ to ½. */
  readonly pixelX: number;
  readonly pixelY: number;
}

/** Halton's sequence: the first samples are spread as evenly as all of them. */
function halton(index: number, base: number): number {
  let [share, value, left] = [1, 0, index];
  while (left > 0) {
    share /= base;
    value += share * (left % base);
    left = Math.floor(left / base);
  }
  return value;
}

const GOLDEN = (Math.sqrt(5) - 1) / 2;

/** The sample of a number from 0: the very first is the middle of lens, exposure and pixel. */
export function instantOf(index: number): SampleInstant {
  if (index === 0) return { lensX: 0, lensY: 0, time: 0.5, pixelX: 0, pixelY: 0 };
  const radius = Math.sqrt(halton(index, 2));
  const turn = 2 * Math.PI * halton(index, 3);
  return {
    lensX: radius * Math.cos(turn),
    lensY: radius * Math.sin(turn),
    time: (0.5 + index * GOLDEN) % 1,
    pixelX: halton(index, 5) - 0.5,
    pixelY: halton(index, 7) - 0.5,
  };
}

/** A strip that is read at one time: from and to as shares of what is drawn, and when, in seconds from the middle's. */
export interface Band {
  readonly from: number;
  readonly to: number;
  readonly laterS: number;
}
/** So many strips a frame: each sample cuts them elsewhere, so that no step is left in the mean. */
const BANDS = 12;

/**
 * The strips that a silent shutter reads one after the other: from the top of a frame held level, from the left of one
 * held upright. What is drawn of a window is what lies in it.
 * @param aside 0 to 1, how far the cuts are moved by a strip
 */
export function bandsOf(
  { readoutS, orientation, window }: Pick<Scene['camera'], 'readoutS' | 'orientation' | 'window'>,
  aside: number,
): readonly Band[] {
  if (!readoutS) return [{ from: 0, to: 1, laterS: 0 }];
  const [begins, share] = !window
    ? [0, 1]
    : orientation === 'level'
      ? [0.5 - window.up - window.heightShare / 2, window.heightShare]
      : [0.5 + window.right - window.widthShare / 2, window.widthShare];
  const drawn = (ofFrame: number) => Math.min(1, Math.max(0, (ofFrame - begins) / share));
  return Array.from({ length: BANDS + 1 }, (_, i) => {
    const [from, to] = [(i - aside) / BANDS, (i + 1 - aside) / BANDS];
    return { from: drawn(from), to: drawn(to), laterS: ((from + to) / 2 - 0.5) * readoutS };
  }).filter(({ from, to }) => to > from);
}

/** A pinhole in space with a frame before it, as one sample sees. */
export interface Seen {
  readonly position: Point3;
  /** Right, up and forward. */
  readonly axes: readonly [Point3, Point3, Point3];
  readonly left: number;
  readonly right: number;
  readonly foot: number;
  readonly top: number;
  readonly near: number;
  readonly far: number;
}

const FAR_M = 6000;
/** Nothing nearer than this share of the subject's distance is drawn; wire before the lens is nearer still. */
const NEAR_SHARE = 0.02;

/** Where the camera looks at a time: at its aim, or along with the part it follows. */
function aimAt({ camera, figure }: Scene, timeS: number): Point3 {
  const { pan, aim } = camera;
  const part = pan && figure.parts.find(({ name }) => name === pan.part);
  if (!pan || !part) return aim;
  const { swing: _swing, ...even }: MovingPart = part;
  const track = partTrack(figure.subject, even, figure.path);
  const moved = subtract(track(timeS * (1 + pan.rateError), 0), track(0, 0));
  return add(aim, moved);
}

/**
 * What one sample sees of a scene.
 * @param laterS when the strip that is drawn is read, from the middle of the frame
 */
export function seenAt(
  scene: Scene,
  instant: SampleInstant,
  widthPx: number,
  heightPx: number,
  laterS = 0,
): Seen {
  const { position, focalMm, aperture, sensor, orientation, shutterS, shakeS, aim } = scene.camera;
  const timeS = (instant.time - 0.5) * shutterS + laterS;
  const forward = unit(subtract(aimAt(scene, timeS), position));
  const level = cross(forward, UP);
  const rightward = length(level) > 1e-9 ? unit(level) : { x: 1, y: 0, z: 0 };
  const upward = cross(rightward, forward);
  const focusM = dot(subtract(aim, position), unit(subtract(aim, position)));
  const imageMm = imageDistanceMm(focalMm, focusM);
  const [widthMm, heightMm] =
    orientation === 'level' ? [sensor.widthMm, sensor.heightMm] : [sensor.heightMm, sensor.widthMm];
  const near = Math.max(0.03, Math.min(2, focusM * NEAR_SHARE));
  const perMm = near / imageMm;
  const lensM = focalMm / aperture / 2000;
  const [lensRight, lensUp] = [instant.lensX * lensM, instant.lensY * lensM];
  const { right = 0, up = 0, widthShare = 1, heightShare = 1 } = scene.camera.window ?? {};
  // The plane of focus stays where it is however the lens is moved across.
  const across = near / focusM;
  // Hands draw one circle of confusion in the time that they are steady for, aslant.
  const shakeMm = (circleOfConfusionMm(sensor) * timeS) / shakeS;
  const shiftX =
    -lensRight * across +
    (instant.pixelX / widthPx) * widthMm * widthShare * perMm +
    shakeMm * 0.8 * perMm;
  const shiftY =
    -lensUp * across +
    (instant.pixelY / heightPx) * heightMm * heightShare * perMm +
    shakeMm * 0.6 * perMm;
  return {
    position: add(position, add(scale(rightward, lensRight), scale(upward, lensUp))),
    axes: [rightward, upward, forward],
    left: (right - widthShare / 2) * widthMm * perMm + shiftX,
    right: (right + widthShare / 2) * widthMm * perMm + shiftX,
    foot: (up - heightShare / 2) * heightMm * perMm + shiftY,
    top: (up + heightShare / 2) * heightMm * perMm + shiftY,
    near,
    far: FAR_M,
  };
}
