import { above, nonEmpty } from '../check';
import { pixelPitchMm, sensorDiagonalMm } from '../optics/sensor';
import { length, subtract, type Point2, type Point3 } from '../site/vector';
import { projector, type Camera, type Project } from './projection';
import {
  partTrack,
  type MovingPart,
  type MovingSubject,
  type PartTrack,
  type Path,
} from './subject';

/** Blur in the delivered picture: still ≤ 1, crisp ≤ 2, slight ≤ 5 circles, plain above. */
export type Grade = 'still' | 'crisp' | 'slight' | 'plain';

/** Greatest blur of each grade in circles of 1/1500 of the picture's diagonal. Common practice. */
export const GRADE_LIMIT_CIRCLES = { still: 1, crisp: 2, slight: 5 } as const;

/** Long side of the picture as delivered, unless the shoot says otherwise. */
export const DELIVERED_LONG_SIDE_PX = 2048;

export interface Delivery {
  readonly longSidePx?: number;
  /** Share of each side of the frame kept after cropping, 0–1. */
  readonly keptFraction?: number;
}

export interface PartSmear {
  readonly part: string;
  readonly role: MovingPart['role'];
  readonly onSubjectMm: number;
  readonly onSensorMm: number;
  readonly sensorPx: number;
  readonly deliveredPx: number;
  /** Length on the subject over the subject's height. */
  readonly shareOfSubject: number;
  /** In circles of 1/1500 of the delivered picture's diagonal. */
  readonly circles: number;
  readonly grade: Grade;
  /** The part's image at start, steps between and end, mm right and up on the sensor. */
  readonly trackMm: readonly Point2[];
}

export interface Motion {
  readonly subject: MovingSubject;
  readonly parts: readonly MovingPart[];
  readonly path: Path;
  readonly camera: Camera;
  readonly delivery?: Delivery;
}

const STRAIGHT_STEPS = 2;
const SWING_STEPS = 8;
const SWING_PHASES = 24;

export function gradeOf(circles: number): Grade {
  if (circles <= GRADE_LIMIT_CIRCLES.still) return 'still';
  if (circles <= GRADE_LIMIT_CIRCLES.crisp) return 'crisp';
  return circles <= GRADE_LIMIT_CIRCLES.slight ? 'slight' : 'plain';
}

/** One circle of 1/1500 of the delivered picture's diagonal, as mm on the sensor. */
export function deliveredCircleMm(camera: Camera, delivery: Delivery = {}): number {
  const { keptFraction = 1 } = delivery;
  above('keptFraction', keptFraction, 0);
  return (sensorDiagonalMm(camera.sensor) * keptFraction) / 1500;
}

interface Streak {
  readonly onSensorMm: number;
  readonly onSubjectMm: number;
  readonly trackMm: readonly Point2[];
}

function pathLength<P>(points: readonly P[], distance: (a: P, b: P) => number): number {
  return points.slice(1).reduce((sum, point, i) => sum + distance(points[i] as P, point), 0);
}

function streakOf(track: PartTrack, project: Project, shutterS: number, steps: number): Streak {
  const places: Point3[] = Array.from({ length: steps + 1 }, (_, i) =>
    track((i / steps - 0.5) * shutterS),
  );
  const images = places.map(project);
  const seen = images.filter((image): image is Point2 => image !== undefined);
  return {
    trackMm: seen,
    onSubjectMm: 1000 * pathLength(places, (a, b) => length(subtract(b, a))),
    onSensorMm:
      seen.length < images.length
        ? Infinity
        : pathLength(seen, (a, b) => Math.hypot(b.x - a.x, b.y - a.y)),
  };
}

/** The longest streak a part can draw in that time: over all phases where it swings. */
export function worstStreak(
  motion: Motion,
  part: MovingPart,
  project: Project,
  shutterS: number,
): Streak {
  const phases = part.swing ? SWING_PHASES : 1;
  const steps = part.swing ? SWING_STEPS : STRAIGHT_STEPS;
  let worst: Streak | undefined;
  for (let i = 0; i < phases; i += 1) {
    const track = partTrack(motion.subject, part, motion.path, (2 * Math.PI * i) / phases);
    const streak = streakOf(track, project, shutterS, steps);
    if (!worst || streak.onSensorMm > worst.onSensorMm) worst = streak;
  }
  return worst as Streak;
}

/**
 * How far each part's image moves during the exposure: points of the part projected in three
 * dimensions at start, between and end; a swinging part in its worst phase. The camera stands
 * still. Its lengths are those of the track, never a small-angle product.
 * @throws RangeError without parts, for a shutter not above 0, or a camera inside the focal length
 */
export function motionSmear(motion: Motion & { readonly shutterS: number }): readonly PartSmear[] {
  const { shutterS, parts, camera, delivery = {}, subject } = motion;
  above('shutterS', shutterS, 0);
  nonEmpty('parts', parts);
  const project = projector(camera);
  const circleMm = deliveredCircleMm(camera, delivery);
  const { longSidePx = DELIVERED_LONG_SIDE_PX, keptFraction = 1 } = delivery;
  const { sensor } = camera;
  const keptLongSideMm = Math.max(sensor.widthMm, sensor.heightMm) * keptFraction;
  return parts.map((part) => {
    const { onSensorMm, onSubjectMm, trackMm } = worstStreak(motion, part, project, shutterS);
    const circles = onSensorMm / circleMm;
    return {
      part: part.name,
      role: part.role,
      onSubjectMm,
      onSensorMm,
      sensorPx: onSensorMm / pixelPitchMm(sensor),
      deliveredPx: (onSensorMm / keptLongSideMm) * longSidePx,
      shareOfSubject: onSubjectMm / (subject.heightM * 1000),
      circles,
      grade: gradeOf(circles),
      trackMm,
    };
  });
}
