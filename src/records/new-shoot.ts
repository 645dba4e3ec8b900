import { fullCircle, turned } from '@/core';
import { nanoid } from 'nanoid';
import type { Shoot } from './shoot';

/** What a person says to begin a shoot. */
export interface ShootBrief {
  readonly title: string;
  readonly latitudeDeg: number;
  readonly longitudeDeg: number;
  readonly timeZone: string;
  readonly bearingDeg: number;
  readonly startLocal: string;
  readonly endLocal: string;
}

export const newId = (): string => nanoid(12);

/**
 * A shoot on a hockey pitch that already answers: an attack in the circle running at goal, and a
 * place behind the back line, clear of the goal.
 */
export function newHockeyShoot(brief: ShootBrief, id: string, now: string): Shoot {
  const bearingDeg = fullCircle(brief.bearingDeg);
  return {
    version: 1,
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
    ground: { template: 'field-hockey', bearingDeg, surface: 'grass' },
    obstacles: [],
    features: [],
    marks: [
      {
        id: 'attack',
        name: 'Attack in the circle',
        ...turned({ x: 4, y: 36 }, bearingDeg),
        headingDeg: fullCircle(bearingDeg - 20),
        facingDeg: fullCircle(bearingDeg - 20),
        subjectId: 'field-player',
      },
    ],
    positions: [
      {
        id: 'back-line',
        name: 'Behind the back line',
        ...turned({ x: -16, y: 49 }, bearingDeg),
        cameraHeightM: 1.2,
      },
    ],
    light: { sky: 'clear', lampLux: 0 },
    kit: {
      bodyId: 'full-frame-24',
      lensId: '70-200-2.8',
      focalMm: 200,
      converter: 1,
      support: 'hand',
    },
    choice: {
      markId: 'attack',
      positionId: 'back-line',
      orientation: 'level',
      school: 'balanced',
      liftStops: 1,
    },
  };
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
