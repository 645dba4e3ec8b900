import { fullCircle, turned } from '@/core';
import { nanoid } from 'nanoid';
import { groundById } from '@/presets/grounds';
import { SHOOT_VERSION, type Shoot } from './shoot';

/** What a person says to begin a shoot. */
export interface ShootBrief {
  readonly title: string;
  /** Id of a ground template. */
  readonly template: string;
  readonly latitudeDeg: number;
  readonly longitudeDeg: number;
  readonly timeZone: string;
  readonly bearingDeg: number;
  readonly startLocal: string;
  readonly endLocal: string;
}

export const newId = (): string => nanoid(12);

/**
 * A shoot on a template's ground that already answers: its marks, places to stand with their
 * reasons, and a lens that suits the first of each.
 * @throws RangeError for a template there is none of
 */
export function newShoot(brief: ShootBrief, id: string, now: string): Shoot {
  const template = groundById(brief.template);
  const {
    marks,
    positions,
    obstacles = [],
    features = [],
    indoorLux = 0,
    lensId,
    focalMm,
  } = template;
  const upright: Shoot = {
    version: SHOOT_VERSION,
    id,
    title: brief.title,
    createdAt: now,
    updatedAt: now,
    place: {
      latitudeDeg: brief.latitudeDeg,
      longitudeDeg: brief.longitudeDeg,
      timeZone: brief.timeZone,
    },
    startLocal: brief.startLocal,
    endLocal: brief.endLocal,
    atLocal: brief.startLocal,
    ground: { template: template.id, bearingDeg: 0, surface: template.surface },
    obstacles: obstacles.map((entry) => ({ ...entry, footprint: [...entry.footprint] })),
    features: features.map((entry) => ({ ...entry, line: [...entry.line] })),
    marks: [...marks],
    positions: [...positions],
    light: { sky: 'clear', indoors: indoorLux > 0, lampLux: indoorLux },
    kit: { bodyId: 'full-frame-24', lensId, focalMm, converter: 1, support: 'hand' },
    choice: {
      markId: marks[0].id,
      positionId: positions[0].id,
      orientation: 'level',
      school: 'balanced',
      liftStops: 1,
    },
  };
  return turnGround(upright, brief.bearingDeg);
}

/** The same shoot with a new name and pace of its own. */
export function duplicateShoot(shoot: Shoot, id: string, now: string): Shoot {
  return {
    ...shoot,
    id,
    title: `${shoot.title} (copy)`.slice(0, 120),
    createdAt: now,
    updatedAt: now,
  };
}

/** The shoot with its whole ground turned about the origin to another true bearing. */
export function turnGround(shoot: Shoot, bearingDeg: number): Shoot {
  const by = bearingDeg - shoot.ground.bearingDeg;
  const turnAll = <P extends { x: number; y: number }>(points: readonly P[]) =>
    points.map((point) => turned(point, by));
  return {
    ...shoot,
    ground: { ...shoot.ground, bearingDeg: fullCircle(bearingDeg) },
    obstacles: shoot.obstacles.map((o) => ({ ...o, footprint: turnAll(o.footprint) })),
    features: shoot.features.map((f) => ({ ...f, line: turnAll(f.line) })),
    marks: turnAll(shoot.marks).map((mark) => ({
      ...mark,
      headingDeg: fullCircle(mark.headingDeg + by),
      facingDeg: fullCircle(mark.facingDeg + by),
    })),
    positions: turnAll(shoot.positions),
  };
}
