import { sunEvents } from '@/core';
import { USUAL_BODY_ID } from '@/presets/bodies';
import { groundById } from '@/presets/grounds';
import { mainsHzAt } from '@/presets/mains';
import { FIRST_BRIEF } from './brief';
import { withCarried } from './carried';
import { FIRST_AIR, FIRST_DAY } from './day';
import type { Guess } from './guesses';
import { EMPTY_BAG } from './kit';
import { EMPTY_LOG } from './log';
import { FIRST_PAN_SIGMA, SHOOT_VERSION, type Shoot } from './shoot';
import { turnGround } from './edit-ground';
import { localMinuteOf, msOf } from './times';

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
  /** What people call the place. */
  readonly placeName?: string;
  /** On the subject; as the ground usually has when absent. */
  readonly lampLux?: number;
  /** As on an earlier shoot; as the ground usually asks for when absent. */
  readonly kit?: Shoot['kit'];
  readonly school?: Shoot['choice']['school'];
  /** What of this nobody has said. */
  readonly guessed?: readonly Guess[];
}

const FIRST_LOOK_MS = 30 * 60_000;

/** The minute first looked at: the start, or for one that begins before sunrise a while after it, when there is a picture. */
function firstLook({
  startLocal,
  endLocal,
  latitudeDeg,
  longitudeDeg,
  timeZone,
}: ShootBrief): string {
  const date = startLocal.slice(0, 10);
  const rise = sunEvents({ date, timeZone, latitudeDeg, longitudeDeg }).rise?.getTime();
  const [startMs, endMs] = [startLocal, endLocal].map((local) => msOf(local, timeZone)) as [
    number,
    number,
  ];
  if (rise === undefined || rise <= startMs || rise + FIRST_LOOK_MS >= endMs) return startLocal;
  return localMinuteOf(rise + FIRST_LOOK_MS, timeZone);
}

/**
 * A shoot on a template's ground that already answers: its marks, places to stand with their
 * reasons, and a lens that suits the first of each.
 * @throws RangeError for a template there is none of
 */
export function newShoot(brief: ShootBrief, id: string, now: string): Shoot {
  const template = groundById(brief.template);
  const { marks, positions, features = [], indoorLux = 0, windowShare, lensId, focalMm } = template;
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
      ...(brief.placeName && { name: brief.placeName }),
    },
    startLocal: brief.startLocal,
    endLocal: brief.endLocal,
    atLocal: indoorLux > 0 ? brief.startLocal : firstLook(brief),
    ground: { template: template.id, bearingDeg: 0, thrown: [], surface: template.surface },
    features: features.map((entry) => ({ ...entry, points: [...entry.points] })),
    marks: [...marks],
    positions: [...positions],
    light: {
      sky: 'clear',
      indoors: indoorLux > 0,
      ...(windowShare !== undefined && { windowShare }),
      lampLux: brief.lampLux ?? indoorLux,
      mainsHz: mainsHzAt(brief.timeZone),
      skyFrom: 'hand',
    },
    guessed: [...(brief.guessed ?? [])],
    brief: FIRST_BRIEF,
    shots: [],
    people: [],
    subjects: [],
    readings: [],
    kit: brief.kit ?? {
      ...{ bodyId: USUAL_BODY_ID, lensId, focalMm, converter: 1, support: 'hand' },
      ...EMPTY_BAG,
    },
    day: FIRST_DAY,
    events: [],
    shooters: [],
    nature: [],
    watches: [],
    air: FIRST_AIR,
    log: EMPTY_LOG,
    choice: {
      markId: marks[0].id,
      positionId: positions[0].id,
      orientation: 'level',
      school: brief.school ?? 'balanced',
      liftStops: 1,
      held: {},
      panSigma: FIRST_PAN_SIGMA,
    },
  };
  return turnGround(withCarried(upright), brief.bearingDeg);
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
    shooters: shoot.shooters.map(({ kit, ...shooter }) => ({
      ...shooter,
      ...(kit && { kit: { ...kit, packed: [] } }),
    })),
    people: shoot.people.map(({ scratched: _out, ...person }) => person),
    events: shoot.events.map(({ lateMin: _late, cancelled: _off, ...event }) => event),
    air,
    log: { ...EMPTY_LOG, lessons: shoot.log.lessons },
  };
}

/**
 * A new shoot on the ground of an earlier one: what was drawn there, its lamps, and what its readings taught
 * of its light. What was promised and what happened stay with the earlier.
 */
export function onKnownGround(fresh: Shoot, earlier: Shoot): Shoot {
  const { ground, underlay, features, marks, positions, subjects, light, choice } = earlier;
  const { lampLux, indoors, windowShare, canopyShare, mainsHz, modulation, learned } = light;
  return {
    ...fresh,
    ground,
    ...(underlay && { underlay }),
    features,
    marks,
    positions,
    subjects,
    guessed: [
      ...fresh.guessed.filter((guess) => guess === 'kit'),
      ...earlier.guessed.filter((guess) => guess !== 'kit'),
    ],
    light: {
      ...fresh.light,
      ...{ lampLux, indoors, mainsHz },
      ...(windowShare !== undefined && { windowShare }),
      ...(canopyShare !== undefined && { canopyShare }),
      ...(modulation !== undefined && { modulation }),
      ...(learned && { learned }),
    },
    choice: { ...fresh.choice, markId: choice.markId, positionId: choice.positionId },
  };
}
