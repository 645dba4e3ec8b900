import { above, finite, nonEmpty } from '../check';
import { pixelPitchMm, sensorDiagonalMm } from '../optics/sensor';
import { length, subtract, type Point2, type Point3 } from '../site/vector';
import { imageScale, projector, type Camera, type Project } from './projection';
import {
  ownSpeedMs,
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
  /** The phase of its swing in which it is drawn out so far. */
  readonly phaseRad: number;
  /** The part's image at start, steps between and end, mm right and up on the sensor. */
  readonly trackMm: readonly Point2[];
}

export interface Motion {
  readonly subject: MovingSubject;
  readonly parts: readonly MovingPart[];
  readonly path: Path;
  readonly camera: Camera;
  readonly delivery?: Delivery;
  /** A camera that turns with the subject; it stands still when absent. */
  readonly pan?: Following;
}

/** A pan that follows one part. */
export interface Following {
  readonly part: string;
  /** Relative error of the camera's rate: 0 follows exactly, 0.1 turns a tenth too fast. */
  readonly rateError: number;
}

const STRAIGHT_STEPS = 2;
const SWING_STEPS = 8;
const SWING_PHASES = 24;
const ALL_PHASES_RAD = Array.from(
  { length: SWING_PHASES },
  (_, i) => (2 * Math.PI * i) / SWING_PHASES,
);

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
  readonly phaseRad: number;
}

/** Phases in which a part may be caught. */
const phasesOf = ({ swing }: MovingPart): readonly number[] =>
  !swing || swing.phaseRad !== undefined ? [swing?.phaseRad ?? 0] : ALL_PHASES_RAD;

const stepsOf = (part: MovingPart): number => (part.swing ? SWING_STEPS : STRAIGHT_STEPS);

/** The projection at a time from the middle of the exposure. */
export type ProjectAt = (timeS: number) => Project;

/**
 * Projection of a camera that stands still, or that turns with the part it follows.
 * @throws RangeError if the followed part is none of the subject's
 */
export function projectionOf({ camera, pan, parts, subject, path }: Motion): ProjectAt {
  if (!pan) {
    const still = projector(camera);
    return () => still;
  }
  finite('pan.rateError', pan.rateError);
  const part = parts.find(({ name }) => name === pan.part);
  if (!part) {
    throw new RangeError(
      `pan.part ${pan.part}: must be one of ${parts.map(({ name }) => name).join(', ')}`,
    );
  }
  // A swing is not followed: the eye keeps to the part's even course.
  const { swing: _swing, ...even } = part;
  const followed = partTrack(subject, even, path);
  return (timeS) => projector({ ...camera, aim: followed(timeS * (1 + pan.rateError), 0) });
}

/** Length of a part's image track in mm; endless where it passes behind the lens. */
function imageLengthMm(
  track: PartTrack,
  projectAt: ProjectAt,
  shutterS: number,
  steps: number,
  phaseRad: number,
): number {
  let length = 0;
  let last: Point2 | undefined;
  for (let i = 0; i <= steps; i += 1) {
    const timeS = (i / steps - 0.5) * shutterS;
    const image = projectAt(timeS)(track(timeS, phaseRad));
    if (!image) return Infinity;
    if (last) length += Math.hypot(image.x - last.x, image.y - last.y);
    last = image;
  }
  return length;
}

/** What a part's own unsteadiness adds at right angles to its track, mm on the sensor for a second. */
export function ownRateMmS({ camera, subject, path }: Motion, part: MovingPart): number {
  const speedMs = ownSpeedMs(subject, part);
  return speedMs > 0 ? speedMs * imageScale(camera)(partTrack(subject, part, path)(0, 0)) : 0;
}

/**
 * The longest streak a part can draw in that time: over all phases where it swings in none of its own, and with its own
 * unsteadiness, `ownMmS` on the sensor a second.
 */
export function worstStreak(
  part: MovingPart,
  track: PartTrack,
  projectAt: ProjectAt,
  shutterS: number,
  ownMmS: number,
): Streak {
  let worst: Streak = { onSensorMm: -1, phaseRad: 0 };
  for (const phaseRad of phasesOf(part)) {
    const alongMm = imageLengthMm(track, projectAt, shutterS, stepsOf(part), phaseRad);
    const onSensorMm = Math.hypot(alongMm, ownMmS * shutterS);
    if (onSensorMm > worst.onSensorMm) worst = { onSensorMm, phaseRad };
  }
  return worst;
}

/** Times from the middle of the exposure at which a part is looked at, start to end. */
function timesAlong(part: MovingPart, shutterS: number): readonly number[] {
  const steps = stepsOf(part);
  return Array.from({ length: steps + 1 }, (_, i) => (i / steps - 0.5) * shutterS);
}

/** The drawn track, drawn out to the whole streak; upright where only its own unsteadiness moves it. */
function drawnOut(track: readonly Point2[], onSensorMm: number): readonly Point2[] {
  const [first, last] = [track[0], track.at(-1)];
  if (!first || !last || !Number.isFinite(onSensorMm)) return track;
  const alongMm = Math.hypot(last.x - first.x, last.y - first.y);
  const middle = { x: (first.x + last.x) / 2, y: (first.y + last.y) / 2 };
  if (alongMm < onSensorMm / 100) {
    return [-0.5, 0, 0.5].map((share) => ({ x: middle.x, y: middle.y + share * onSensorMm }));
  }
  return track;
}

const lengthM = (places: readonly Point3[]): number =>
  places.slice(1).reduce((sum, place, i) => sum + length(subtract(place, places[i] as Point3)), 0);

/**
 * How far each part's image moves during the exposure: points of the part projected in three
 * dimensions at start, between and end; a swinging part in its worst phase, one that is unsteady of
 * itself with that added. The camera stands
 * still, or turns with one part (`pan`): the others smear by perspective. Lengths are those of the
 * track, never a small-angle product.
 * @throws RangeError without parts, for a shutter not above 0, or a camera inside the focal length
 */
export function motionSmear(motion: Motion & { readonly shutterS: number }): readonly PartSmear[] {
  const { shutterS, parts, camera, delivery = {}, subject } = motion;
  above('shutterS', shutterS, 0);
  nonEmpty('parts', parts);
  const projectAt = projectionOf(motion);
  const circleMm = deliveredCircleMm(camera, delivery);
  const { longSidePx = DELIVERED_LONG_SIDE_PX, keptFraction = 1 } = delivery;
  const { sensor } = camera;
  const keptLongSideMm = Math.max(sensor.widthMm, sensor.heightMm) * keptFraction;
  return parts.map((part) => {
    const track = partTrack(subject, part, motion.path);
    const ownMmS = ownRateMmS(motion, part);
    const { onSensorMm, phaseRad } = worstStreak(part, track, projectAt, shutterS, ownMmS);
    const times = timesAlong(part, shutterS);
    const places = times.map((timeS) => track(timeS, phaseRad));
    const ownM = ownSpeedMs(subject, part) * shutterS;
    const onSubjectMm = 1000 * Math.hypot(lengthM(places), ownM);
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
      phaseRad,
      trackMm: drawnOut(
        times
          .map((timeS, i) => projectAt(timeS)(places[i] as Point3))
          .filter((image) => image !== undefined),
        onSensorMm,
      ),
    };
  });
}
