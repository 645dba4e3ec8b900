import { backgroundBlur } from '../optics/blur';
import { depthOfField } from '../optics/depth';
import { arcSinDeg, fullCircle, halfCircle } from '../quantity/angles';
import type { FeatureOf } from './feature';
import {
  alongBearing,
  bearingDeg,
  dot,
  length,
  subtract,
  unit,
  type Point2,
  type Point3,
} from './vector';

/** Where a bird lands on a perch, what of it is in focus, and where between cover and food it stops last. */

type Perch = Pick<FeatureOf<'perch'>, 'points' | 'heightM' | 'stick'>;

/** A place on a stick: the end it points to, its middle, its other end. A post has its middle alone. */
export type LandsAt = 1 | 0 | -1;

/** A place on a perch, on the plan. */
export function onPerch({ points, stick }: Pick<Perch, 'points' | 'stick'>, at: LandsAt): Point2 {
  const [middle = { x: 0, y: 0 }] = points;
  if (!stick || at === 0) return { x: middle.x, y: middle.y };
  const { x, y } = alongBearing(stick.towardDeg);
  const off = (at * stick.lengthM) / 2;
  return { x: middle.x + x * off, y: middle.y + y * off };
}

/** The ends of a perch's stick, that to which it points first; of a post its top alone. */
export const perchEnds = (perch: Perch): readonly Point3[] =>
  (perch.stick ? ([1, -1] as const) : ([0] as const)).map((at) => ({
    ...onPerch(perch, at),
    z: perch.heightM,
  }));

/** Which end of its perch, or its middle, a point lies at. */
export function landsAt(perch: Pick<Perch, 'points' | 'stick'>, point: Point2): LandsAt {
  const { stick } = perch;
  if (!stick) return 0;
  const middle = onPerch(perch, 0);
  const { x, y } = alongBearing(stick.towardDeg);
  const offM = (point.x - middle.x) * x + (point.y - middle.y) * y;
  return Math.abs(offM) <= stick.lengthM / 4 ? 0 : offM > 0 ? 1 : -1;
}

/** A feeder hangs at the top of its post, so far across and so far down from there. Common practice, no source. */
export const FEEDER_M = { across: 0.2, down: 0.3 } as const;

export interface PreFocusOn {
  readonly camera: Point3;
  /** Where it lands, and the lens is focused before it comes. */
  readonly landing: Point3;
  /** Where it may land instead. */
  readonly other: Point3;
  readonly focalMm: number;
  readonly aperture: number;
  readonly cocMm: number;
}

/** What focus set before the bird comes leaves of the other end. */
export interface PreFocus {
  /** How much further off the other end is along the axis of the lens, metres; negative where it is nearer. */
  readonly offM: number;
  /** Depth before and behind the landing place, metres. */
  readonly nearM: number;
  readonly farM: number;
  /** Blur of the other end, in circles of confusion. */
  readonly blurCircles: number;
  readonly sharp: boolean;
}

/**
 * Focus on one end of a perch, and what is left of the other: depths are along the axis of the lens, since a lens is
 * sharp in a plane. Standard thin-lens forms, as `depthOfField` and `backgroundBlur`.
 * @throws RangeError as there, and for an end behind the lens
 */
export function preFocus({
  camera,
  landing,
  other,
  focalMm,
  aperture,
  cocMm,
}: PreFocusOn): PreFocus {
  const axis = subtract(landing, camera);
  const distanceM = length(axis);
  const backgroundM = dot(subtract(other, camera), unit(axis));
  const { nearM, farM } = depthOfField({ focalMm, aperture, distanceM, cocMm });
  const { discMm } = backgroundBlur({ focalMm, aperture, subjectM: distanceM, backgroundM });
  const blurCircles = discMm / cocMm;
  return {
    offM: backgroundM - distanceM,
    nearM: distanceM - nearM,
    farM: farM - distanceM,
    blurCircles,
    sharp: backgroundM >= nearM && backgroundM <= farM,
  };
}

/**
 * The bearing to turn a stick to, about its middle, so that its other end lies in the plane of focus of the end on
 * which the bird lands: the nearer of the two ways round. With the stick's half h and its middle D from the camera on
 * the plan, the stick leaves the line of sight at 90° + arcsin(h/D) towards the landing end. Nothing for a camera nearer
 * than half a stick.
 * @param landsAt 1 for the end it points to, −1 for the other
 */
export function squareToLens(perch: Perch, camera: Point2, landsAt: 1 | -1): number | undefined {
  const { points, stick } = perch;
  const [middle] = points;
  if (!middle || !stick) return undefined;
  const awayM = Math.hypot(middle.x - camera.x, middle.y - camera.y);
  const half = stick.lengthM / 2;
  if (awayM <= half) return undefined;
  const offDeg = 90 + arcSinDeg(half / awayM);
  const sightDeg = bearingDeg(camera, middle) + (landsAt === 1 ? 0 : 180);
  const [one, other] = [fullCircle(sightDeg + offDeg), fullCircle(sightDeg - offDeg)];
  const turn = (to: number) => Math.abs(halfCircle(to - stick.towardDeg));
  return turn(one) <= turn(other) ? one : other;
}

/** How far before the food a bird stops last: a hop. Common practice, no source. */
const HOP_M = { from: 0.5, to: 2, step: 0.1 } as const;

/** Places for a perch on the straight way from cover to food, the nearest to the food first; none where it is too short. */
export function lastStops(cover: Point2, food: Point2): readonly Point2[] {
  const wayM = Math.hypot(cover.x - food.x, cover.y - food.y);
  const count = Math.floor((Math.min(HOP_M.to, wayM) - HOP_M.from) / HOP_M.step + 1e-9) + 1;
  return Array.from({ length: Math.max(0, count) }, (_, i) => {
    const share = (HOP_M.from + i * HOP_M.step) / wayM;
    return { x: food.x + (cover.x - food.x) * share, y: food.y + (cover.y - food.y) * share };
  });
}
