import { groundById } from '@/presets/grounds';
import { mainsHzAt } from '@/presets/mains';
import { FIRST_BRIEF } from './brief';
import { FIRST_AIR, FIRST_DAY } from './day';
import { EMPTY_BAG } from './kit';
import { EMPTY_LOG } from './log';
import { FIRST_PAN_SIGMA, SHOOT_VERSION, type Shoot } from './shoot';
import { turnGround } from './edit-ground';

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

/**
 * A shoot on a template's ground that already answers: its marks, places to stand with their
 * reasons, and a lens that suits the first of each.
 * @throws RangeError for a template there is none of
 */
export function newShoot(brief: ShootBrief, id: string, now: string): Shoot {
  const template = groundById(brief.template);
  const { marks, positions, features = [], indoorLux = 0, lensId, focalMm } = template;
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
    ground: { template: template.id, bearingDeg: 0, thrown: [], surface: template.surface },
    features: features.map((entry) => ({ ...entry, points: [...entry.points] })),
    marks: [...marks],
    positions: [...positions],
    light: {
      sky: 'clear',
      indoors: indoorLux > 0,
      lampLux: indoorLux,
      mainsHz: mainsHzAt(brief.timeZone),
      skyFrom: 'hand',
    },
    brief: FIRST_BRIEF,
    shots: [],
    people: [],
    subjects: [],
    readings: [],
    kit: { bodyId: 'full-frame-24', lensId, focalMm, converter: 1, support: 'hand', ...EMPTY_BAG },
    day: FIRST_DAY,
    events: [],
    nature: [],
    watches: [],
    air: FIRST_AIR,
    log: EMPTY_LOG,
    choice: {
      markId: marks[0].id,
      positionId: positions[0].id,
      orientation: 'level',
      school: 'balanced',
      liftStops: 1,
      held: {},
      panSigma: FIRST_PAN_SIGMA,
    },
  };
  return turnGround(upright, brief.bearingDeg);
}

/**
 * The same plan under a new name, as before its day: nothing logged, measured or watched, nothing packed,
 * everything on time. What happened stays with the day it happened on.
 */
export function duplicateShoot(shoot: Shoot, id: string, now: string): Shoot {
  const { thunderLocal: _heard, ...air } = shoot.air;
  return {
    ...shoot,
    id,
    title: `${shoot.title} (copy)`.slice(0, 120),
    createdAt: now,
    updatedAt: now,
    readings: [],
    watches: [],
    kit: { ...shoot.kit, packed: [] },
    events: shoot.events.map(({ lateMin: _late, ...event }) => event),
    air,
    log: { ...EMPTY_LOG, lessons: shoot.log.lessons },
  };
}
