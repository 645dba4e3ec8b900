import { z } from 'zod';
import { BACKGROUNDS, TECHNIQUES } from '@/core';
import { SUBJECTS } from '@/presets/subjects';
import { id, localMinute, presetId, text } from './shape';

/**
 * What was promised, to whom and under which rules; who is to be found; subjects of one's own.
 * Parts of a shoot.
 * @example
 * const shot = shotSchema.parse({ ...FIRST_SHOT, id: 'a', name: 'Drag flick', markId: 'circle' });
 */

/** Most shots, people or subjects of one shoot. */
export const MOST_PROMISED = 200;

export const shotSchema = z.strictObject({
  id,
  name: text(80),
  markId: id,
  technique: z.enum(TECHNIQUES),
  /** The part that must be sharp; by the subject's own parts when absent. */
  sharp: text(40).optional(),
  /** Height of the subject over the height of the frame. */
  fill: z.number().min(0.02).max(1.5),
  orientation: z.enum(['level', 'upright']),
  /** Whether it needs room in the frame to move into. */
  roomToMove: z.boolean(),
  light: z.enum(['any', 'front', 'side', 'back']),
  background: z.enum(BACKGROUNDS),
  priority: z.enum(['must', 'should', 'could']),
  /** How many good ones are owed. */
  quota: z.number().int().min(1).max(500),
  /** The time chosen for a pan or for streaks, in seconds. */
  shutterS: z.number().gt(0).max(30).optional(),
});
export type Shot = z.infer<typeof shotSchema>;

/** Pictures owed of someone: so many keepers, of one promised shot or of any. */
export const debtSchema = z.strictObject({
  keepers: z.number().int().min(1).max(100),
  shotId: id.optional(),
});
export type PersonDebt = z.infer<typeof debtSchema>;
/** Most different debts to one person. */
export const MOST_DEBTS = 8;

const side = z.enum(['left', 'right', 'both']);

export const personSchema = z.strictObject({
  id,
  name: text(80),
  number: text(12).optional(),
  lane: z.number().int().min(0).max(20).optional(),
  cap: text(40).optional(),
  breathes: side.optional(),
  foot: side.optional(),
  hand: side.optional(),
  habits: text(300).optional(),
  /** The school, club or client they belong to, and whose pictures they are. */
  client: text(80).optional(),
  /** What is owed of them; only to be found when absent. */
  owed: z.array(debtSchema).min(1).max(MOST_DEBTS).optional(),
  /** They do not start: nothing is owed of them any more. */
  scratched: z.literal(true).optional(),
});
export type Person = z.infer<typeof personSchema>;

/** What a venue may forbid. */
export const FORBIDDABLE = ['flash', 'tripod', 'drone', 'remote', 'playback', 'children'] as const;

export const briefSchema = z.strictObject({
  client: text(120).optional(),
  deadlineLocal: localMinute.optional(),
  fileForm: z.enum(['raw', 'jpeg', 'both']),
  /** Who gave leave, and where one may stand. */
  access: text(1000).optional(),
  forbidden: z.array(z.enum(FORBIDDABLE)).max(FORBIDDABLE.length),
});
export type Brief = z.infer<typeof briefSchema>;

export const SEASONS = ['any', 'spring', 'summer', 'autumn', 'winter'] as const;
export const DAY_PARTS = [
  'any',
  'dawn',
  'morning',
  'midday',
  'afternoon',
  'dusk',
  'night',
] as const;

/** A subject of one's own: a preset with its own size, pace and habits. */
export const ownSubjectSchema = z.strictObject({
  id: z.string().regex(/^own-[\w-]{1,36}$/, 'must begin with own-'),
  name: text(60),
  basedOn: presetId(SUBJECTS),
  heightM: z.number().min(0.01).max(30),
  depthM: z.number().min(0.01).max(30),
  speedMs: z.number().min(0).max(150),
  /** What it does, by season and hour. */
  habits: z
    .array(z.strictObject({ season: z.enum(SEASONS), part: z.enum(DAY_PARTS), what: text(200) }))
    .max(20),
});
export type OwnSubject = z.infer<typeof ownSubjectSchema>;

export const FIRST_BRIEF: Brief = { fileForm: 'raw', forbidden: [] };

/** A shot as it begins. */
export const FIRST_SHOT = {
  technique: 'freeze',
  fill: 0.6,
  orientation: 'level',
  roomToMove: true,
  light: 'any',
  background: 'any',
  priority: 'should',
  quota: 1,
} as const satisfies Partial<Shot>;
