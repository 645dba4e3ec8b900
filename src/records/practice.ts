import { z } from 'zod';
import { LENSES } from '@/presets/lenses';
import { SUBJECTS } from '@/presets/subjects';
import { id, presetId, text } from './shape';

/**
 * What was practised, try by try, and what it was practised on at home. One is kept.
 * @example
 * const practice = practiceSchema.parse(FIRST_PRACTICE);
 */

/** 2 knows the stride, the wings and the turned head, signs and one's own fan. */
export const PRACTICE_VERSION = 3;
/** Tries beyond this many are forgotten, the oldest first: a season of three minutes a day. */
export const MOST_TRIES = 2000;

/** How a camera was followed with: a finger or mouse, the phone itself turned, keys. */
export const HANDS = ['pointer', 'turn', 'keys'] as const;
export type HandKind = (typeof HANDS)[number];

/** Moments that are pressed for: those that can be seen coming, and the last two that are only reacted to. */
export const MOMENTS = ['jump', 'bat', 'stride', 'wings', 'leaving', 'turn'] as const;
export type MomentKind = (typeof MOMENTS)[number];

const tried = {
  id,
  at: z.iso.datetime(),
  /** The shoot it was practised for; at home when absent. */
  shootId: id.optional(),
};

/** A swing: what it followed, and how its rate stood against the subject's. */
const panTrySchema = z.strictObject({
  kind: z.literal('pan'),
  ...tried,
  by: z.enum(HANDS),
  subject: text(60),
  distanceM: z.number().gt(0).max(5000),
  speedMs: z.number().gt(0).max(200),
  focalMm: z.number().gt(0).max(5000),
  shutterS: z.number().gt(0).max(60),
  /** 0.1 is a tenth too fast. */
  rateError: z.number().min(-20).max(20),
  /** Whether the subject had left the frame, or was not followed at all. */
  lost: z.boolean(),
  /** Whether the tracked part came out sharp. */
  sharp: z.boolean(),
});

/** A press at a moment, early below 0, the device's own delay taken off. */
const momentTrySchema = z.strictObject({
  kind: z.literal('moment'),
  ...tried,
  moment: z.enum(MOMENTS),
  lateS: z.number().min(-10).max(10),
});

/** A smeared frame whose time was named, or the slowest time that still holds, so many stops off. */
const benchTrySchema = z.strictObject({
  kind: z.literal('bench'),
  ...tried,
  task: z.enum(['name', 'hold']),
  subject: text(60),
  shutterS: z.number().gt(0).max(60),
  /** Above 0 the answer was slower than right. */
  offStops: z.number().min(-20).max(20),
});

/** Dials brought right in a light that had changed. */
const stopsTrySchema = z.strictObject({
  kind: z.literal('stops'),
  ...tried,
  what: text(40),
  /** Above 0 too bright. */
  offStops: z.number().min(-30).max(30),
  right: z.boolean(),
  tookS: z.number().min(0).max(3600),
});

/** What was read from a picture's light: so many steps off. */
const eyeTrySchema = z.strictObject({
  kind: z.literal('eye'),
  ...tried,
  task: z.enum(['side', 'hour', 'height', 'ground', 'ev']),
  offSteps: z.number().int().min(0).max(10),
});

/** A place to stand that was chosen, and the best there was: their scores, 0 to 1. */
const standTrySchema = z.strictObject({
  kind: z.literal('stand'),
  ...tried,
  mark: text(60),
  score: z.number().min(0).max(1),
  best: z.number().min(0).max(1),
});

/** Signs of a game or an animal that were put in order: so many of them in their place. */
const orderTrySchema = z.strictObject({
  kind: z.literal('order'),
  ...tried,
  signs: text(80),
  inPlace: z.number().int().min(0).max(20),
  of: z.number().int().min(1).max(20),
});

/** A moment that was pressed for by its signs alone, early below 0, the device's own delay taken off. */
const signsTrySchema = z.strictObject({
  kind: z.literal('signs'),
  ...tried,
  signs: text(80),
  lateS: z.number().min(-10).max(10),
});

/** A picture of one's own fan read back: the angle its mark smeared over, and what its turns foretold. */
const fanTrySchema = z.strictObject({
  kind: z.literal('fan'),
  ...tried,
  shutterS: z.number().gt(0).max(60),
  turnsPerS: z.number().gt(0).max(200),
  predictedDeg: z.number().gt(0).max(100_000),
  measuredDeg: z.number().gt(0).max(360),
});

const trySchema = z.discriminatedUnion('kind', [
  panTrySchema,
  momentTrySchema,
  benchTrySchema,
  stopsTrySchema,
  eyeTrySchema,
  standTrySchema,
  fanTrySchema,
  orderTrySchema,
  signsTrySchema,
]);
export type Try = z.infer<typeof trySchema>;
export type PanTry = z.infer<typeof panTrySchema>;
export type MomentTry = z.infer<typeof momentTrySchema>;
export type BenchTry = z.infer<typeof benchTrySchema>;
export type EyeTry = z.infer<typeof eyeTrySchema>;
export type StandTry = z.infer<typeof standTrySchema>;
export type FanTry = z.infer<typeof fanTrySchema>;
export type OrderTry = z.infer<typeof orderTrySchema>;
export type SignsTry = z.infer<typeof signsTrySchema>;
export type StopsTry = z.infer<typeof stopsTrySchema>;

export const practiceSchema = z.strictObject({
  version: z.literal(PRACTICE_VERSION),
  tries: z.array(trySchema).max(MOST_TRIES, `must be at most ${MOST_TRIES}`),
  /** What is followed at home, how far off, and through what. */
  home: z.strictObject({
    subjectId: presetId(SUBJECTS),
    distanceM: z.number().min(1).max(500),
    lensId: presetId(LENSES),
    focalMm: z.number().min(10).max(1200),
  }),
  /** How late this device itself is, by presses on an even beat; not measured when absent. */
  deviceLateS: z.number().min(-0.2).max(0.5).optional(),
});
export type Practice = z.infer<typeof practiceSchema>;

/** What lifts a record of version n to n + 1, at index n − 1. */
export const PRACTICE_MIGRATIONS = [
  // What was practised before is as it was; there are more moments since.
  (practice: object) => ({ ...practice, version: 2 }),
  // The eye is asked for more; what it was asked is as it was.
  (practice: object) => ({ ...practice, version: 3 }),
];

export const FIRST_PRACTICE: Practice = {
  version: PRACTICE_VERSION,
  tries: [],
  home: { subjectId: 'cyclist', distanceM: 18, lensId: '70-200-2.8', focalMm: 200 },
};

/** Practice with one more try. */
export const withTry = (practice: Practice, made: Try): Practice => ({
  ...practice,
  tries: [...practice.tries, made].slice(-MOST_TRIES),
});
