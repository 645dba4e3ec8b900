import { z } from 'zod';
import { BEGINNER_PAN_SIGMA, isTimeZone } from '@/core';
import { GROUND_TEMPLATES } from '@/presets/grounds';
import { SUBJECTS } from '@/presets/subjects';
import { briefSchema, MOST_PROMISED, ownSubjectSchema, personSchema, shotSchema } from './brief';
import {
  airSchema,
  daySchema,
  eventSchema,
  MOST_EVENTS,
  natureTimeSchema,
  watchSchema,
} from './day';
import { featureSchema, point } from './feature';
import { forecastSchema } from './forecast';
import { GUESSES } from './guesses';
import { floorsSchema, heldSchema, kitSchema } from './kit';
import { logSchema } from './log';
import { MOST_READINGS, readingSchema } from './reading';
import { bearing, id, localMinute, presetId, text } from './shape';
import { MOST_SHOOTERS, refuseShooters, shooterSchema } from './shooter';
import { endsAfterStart, MOST_DAYS } from './times';
import { underlaySchema } from './underlay';

export { featureSchema, hideWindow, MOST_POINTS, MOST_WINDOWS } from './feature';
export { presetId, REACH_M } from './shape';

/**
 * A shoot: one job at one place, from its first minute to its last. Ground coordinates are metres
 * east (x) and north (y) of the site's origin; times are the place's own wall clock.
 * @example
 * const shoot = shootSchema.parse(JSON.parse(text));
 */

/** Most points that all things on one ground have together: light is traced past each of them. */
export const MOST_SITE_POINTS = 6000;
/** Most entries of one kind of list. */
export const MOST_ENTRIES = 400;

export const placeSchema = z.strictObject({
  /** What people call it: "Larkmoor, North Shire". */
  name: text(120).optional(),
  latitudeDeg: z.number().min(-90, 'must be from -90 to 90').max(90, 'must be from -90 to 90'),
  longitudeDeg: z
    .number()
    .min(-180, 'must be from -180 to 180')
    .max(180, 'must be from -180 to 180'),
  timeZone: z
    .string()
    .refine(isTimeZone, { error: 'must be a zone such as Europe/London', abort: true }),
});

export const markSchema = z.strictObject({
  id,
  name: text(60),
  ...point.shape,
  /** The way the subject moves, and the way its face looks. */
  headingDeg: bearing,
  facingDeg: bearing,
  /** A preset's, or that of a subject of one's own in this shoot. */
  subjectId: id,
  /** Height of its feet above the ground: on a perch, a wall, a block. On the ground if absent. */
  feetM: z.number().min(0).max(100).optional(),
  /** Whether it wears a brim; as its kind does when absent. */
  brim: z.boolean().optional(),
  /** The perch it sits on, and goes with. */
  carriedBy: id.optional(),
});

export const positionSchema = z.strictObject({
  id,
  name: text(60),
  ...point.shape,
  cameraHeightM: z.number().min(0.05).max(60),
  /** Why one would stand there. */
  why: text(300).optional(),
  /** The hide it is in, and goes with. */
  carriedBy: id.optional(),
});

const LISTS_OF_ITEMS = [
  'marks',
  'positions',
  'features',
  'shots',
  'people',
  'subjects',
  'readings',
  'events',
  'nature',
  'watches',
  'shooters',
] as const;

const list = <T extends z.ZodType>(entry: T, atLeast: number) =>
  z.array(entry).min(atLeast).max(MOST_ENTRIES, `must be at most ${MOST_ENTRIES}`);

/** Relative rate error of someone who has practised a little. Common practice, no source. */
export const FIRST_PAN_SIGMA = BEGINNER_PAN_SIGMA;

export const SHOOT_VERSION = 19;

export const shootSchema = z
  .strictObject({
    version: z.literal(SHOOT_VERSION),
    id,
    title: text(120),
    createdAt: z.iso.datetime(),
    updatedAt: z.iso.datetime(),
    place: placeSchema,
    startLocal: localMinute,
    endLocal: localMinute,
    /** The minute being looked at. */
    atLocal: localMinute,
    ground: z.strictObject({
      template: presetId(GROUND_TEMPLATES),
      /** True bearing of the ground's long axis. */
      bearingDeg: bearing,
      /** Switches of the template that are thrown: the left-handed batter, the other take-off leg. */
      thrown: z.array(id).max(10),
      /** Who lets one into the field of play, with a vest on; nobody when absent. */
      vest: text(120).optional(),
      surface: z.enum(['grass', 'snow', 'drySand', 'water', 'clayTrack', 'hallWood', 'ice']),
    }),
    /** A picture under the plan, to trace over. */
    underlay: underlaySchema.optional(),
    features: list(featureSchema, 0).refine(
      (things) => things.filter(({ kind }) => kind === 'slope').length <= 1,
      'must hold one slope at most: put all its heights on one line',
    ),
    marks: list(markSchema, 1),
    positions: list(positionSchema, 1),
    light: z.strictObject({
      sky: z.enum(['clear', 'partly', 'overcast']),
      /** Under a roof: no sun, and of the sky's light what windows let in. */
      indoors: z.boolean(),
      /** Share of the sky's light that windows let in; none when absent. */
      windowShare: z.number().min(0.001).max(0.3).optional(),
      /** Share of daylight that leaves over the ground let through; open sky when absent. */
      canopyShare: z.number().min(0.001).max(0.9).optional(),
      lampLux: z.number().min(0).max(20_000),
      /** When the lamps come on; from the start when absent. */
      lampsFromLocal: localMinute.optional(),
      /** Mains frequency the lamps burn on, and their swing at twice that; by lamp kind if absent. */
      mainsHz: z.literal([50, 60]),
      modulation: z.number().min(0).max(0.99).optional(),
      /**
       * What readings of earlier shoots at this place taught: how far the light stands from what is
       * computed about some minutes of the day. Negative where it is darker.
       */
      learned: z
        .array(
          z.strictObject({
            atLocal: localMinute,
            offsetStops: z.number().min(-6).max(6),
            sigmaStops: z.number().min(0.05).max(6),
          }),
        )
        .max(24)
        .optional(),
      /** The hours' weather, kept so that it is there without a network. */
      forecast: forecastSchema.optional(),
      /** Whether the sky is the one set by hand or the forecast's. */
      skyFrom: z.enum(['hand', 'forecast']),
    }),
    /** What was left at its guess when the shoot was made. */
    guessed: z.array(z.enum(GUESSES)).max(GUESSES.length),
    brief: briefSchema,
    shots: z.array(shotSchema).max(MOST_PROMISED),
    people: z.array(personSchema).max(MOST_PROMISED),
    subjects: z.array(ownSubjectSchema).max(MOST_PROMISED),
    readings: z.array(readingSchema).max(MOST_READINGS),
    kit: kitSchema,
    /** Those who shoot together, the one whose bag and settings these are among them; nobody for one alone. */
    shooters: z.array(shooterSchema).max(MOST_SHOOTERS, `must be at most ${MOST_SHOOTERS}`),
    day: daySchema,
    events: z.array(eventSchema).max(MOST_EVENTS),
    nature: z.array(natureTimeSchema).max(MOST_PROMISED),
    watches: z.array(watchSchema).max(MOST_PROMISED),
    air: airSchema,
    log: logSchema,
    choice: z.strictObject({
      markId: id,
      positionId: id,
      orientation: z.enum(['level', 'upright']),
      school: z.enum(['motion', 'balanced', 'quality']),
      liftStops: z.number().min(0).max(3),
      /** The shot being worked on; what moves is frozen when absent. */
      shotId: id.optional(),
      /** The memory slot in use in the field; the shot's own settings when absent. */
      slot: z.enum(['action', 'still', 'pan']).optional(),
      /** In the field, not where the plan has one: it is not followed. */
      elsewhere: z.literal(true).optional(),
      /** Whose bag, settings and day these are, of several who shoot together. */
      shooterId: id.optional(),
      /** How evenly the photographer pans: standard deviation of the relative rate error. */
      panSigma: z.number().min(0.01).max(0.5),
      /** Longest times by class of subject that earlier shoots taught this plan, in seconds. */
      floors: floorsSchema.optional(),
      /** Levers held by hand; the others answer. */
      held: heldSchema,
    }),
  })
  .superRefine((shoot, context) => {
    const refuse = (path: (string | number)[], message: string) =>
      context.addIssue({ code: 'custom', path, message });
    const drawn = shoot.features.reduce((sum, { points: corners }) => sum + corners.length, 0);
    if (drawn > MOST_SITE_POINTS) {
      refuse(['features'], `must have at most ${MOST_SITE_POINTS} points together, not ${drawn}`);
    }
    if (!endsAfterStart(shoot)) {
      refuse(
        ['endLocal'],
        `must be after startLocal by the clocks of the place, and within ${MOST_DAYS} days`,
      );
    }
    if (!shoot.marks.some((mark) => mark.id === shoot.choice.markId)) {
      refuse(['choice', 'markId'], 'must be the id of a mark');
    }
    if (!shoot.positions.some((position) => position.id === shoot.choice.positionId)) {
      refuse(['choice', 'positionId'], 'must be the id of a position');
    }
    const own = new Set(shoot.subjects.map((subject) => subject.id));
    shoot.marks.forEach(({ subjectId }, i) => {
      if (!own.has(subjectId) && !SUBJECTS.some((preset) => preset.id === subjectId)) {
        refuse(['marks', i, 'subjectId'], 'must be the id of a subject');
      }
    });
    shoot.shots.forEach(({ markId }, i) => {
      if (!shoot.marks.some((mark) => mark.id === markId)) {
        refuse(['shots', i, 'markId'], 'must be the id of a mark');
      }
    });
    const { shotId } = shoot.choice;
    if (shotId !== undefined && !shoot.shots.some((shot) => shot.id === shotId)) {
      refuse(['choice', 'shotId'], 'must be the id of a shot');
    }
    if (shoot.light.skyFrom === 'forecast' && !shoot.light.forecast) {
      refuse(['light', 'skyFrom'], 'must be hand: there is no forecast');
    }
    for (const kind of LISTS_OF_ITEMS) {
      const met = new Set<string>();
      const twice = shoot[kind].findIndex(({ id: entry }) => met.size === met.add(entry).size);
      if (twice >= 0) refuse([kind, twice, 'id'], 'must not stand twice');
    }
    const known = {
      markId: new Set(shoot.marks.map((entry) => entry.id)),
      shotId: new Set(shoot.shots.map((entry) => entry.id)),
      pinnedTo: new Set(shoot.positions.map((entry) => entry.id)),
      shooterId: new Set(shoot.shooters.map((entry) => entry.id)),
    };
    const KINDS = {
      ...{ markId: 'mark', shotId: 'shot', pinnedTo: 'position', shooterId: 'shooter' },
    } as const;
    refuseShooters(shoot, refuse);
    shoot.people.forEach(({ owed = [] }, i) => {
      const lost = owed.findIndex(({ shotId: of }) => of !== undefined && !known.shotId.has(of));
      if (lost >= 0) refuse(['people', i, 'owed', lost, 'shotId'], 'must be the id of a shot');
    });
    const people = new Set(shoot.people.map((entry) => entry.id));
    shoot.events.forEach((event, i) => {
      for (const key of ['markId', 'shotId', 'pinnedTo', 'shooterId'] as const) {
        const meant = event[key];
        if (meant !== undefined && !known[key].has(meant)) {
          refuse(['events', i, key], `must be the id of a ${KINDS[key]}`);
        }
      }
      const stranger = event.entries.findIndex(
        ({ personId }) => personId !== undefined && !people.has(personId),
      );
      if (stranger >= 0) {
        refuse(['events', i, 'entries', stranger, 'personId'], 'must be the id of a person');
      }
    });
    shoot.watches.forEach(({ markId }, i) => {
      if (!known.markId.has(markId)) refuse(['watches', i, 'markId'], 'must be the id of a mark');
    });
    const logged = new Set<string>();
    const again = shoot.log.entries.findIndex(
      ({ id: entry }) => logged.size === logged.add(entry).size,
    );
    if (again >= 0) refuse(['log', 'entries', again, 'id'], 'must not stand twice');
    shoot.features.forEach((entry, i) => {
      if (entry.kind === 'fence' && entry.wireMm >= entry.meshPitchMm) {
        refuse(['features', i, 'wireMm'], 'must be thinner than the mesh is wide');
      }
      if (entry.kind === 'hide') {
        const lost = entry.windows?.findIndex(({ wall }) => wall >= entry.points.length) ?? -1;
        if (lost >= 0)
          refuse(['features', i, 'windows', lost, 'wall'], 'must be a wall of the hide');
      }
    });
  });

export type Shoot = z.infer<typeof shootSchema>;
export type Mark = z.infer<typeof markSchema>;
export type Position = z.infer<typeof positionSchema>;
export type Feature = z.infer<typeof featureSchema>;
