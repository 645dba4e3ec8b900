import { z } from 'zod';
import { LAMP_LEVELS_LUX, type LampLevel } from '@/core';
import { USUAL_BODY_ID } from '@/presets/bodies';
import { EYE_LIGHTS } from '@/presets/eye-lights';
import { SUBJECTS } from '@/presets/subjects';
import { heldSchema, presetKitSchema } from './kit';
import { presetId } from './shape';

/**
 * A quick answer: what is asked without any ground. One is kept, as it was left.
 * @example
 * const quick = quickSchema.parse(FIRST_QUICK);
 */

export const QUICK_VERSION = 3;
export const FURTHEST_M = 500;

export const quickSchema = z.strictObject({
  version: z.literal(QUICK_VERSION),
  subjectId: presetId(SUBJECTS),
  /** The way it moves as the camera sees it. */
  runs: z.enum(['across', 'diagonal', 'towards']),
  /** Whether the distance is given, or how the subject fills the frame's height. */
  by: z.enum(['distance', 'fill']),
  distanceM: z.number().min(0.5).max(FURTHEST_M),
  fill: z.number().min(0.05).max(1),
  orientation: z.enum(['level', 'upright']),
  /** How far behind the subject the background is. */
  behindM: z.number().min(0).max(FURTHEST_M),
  kit: presetKitSchema,
  /** Another kit, looked at beside it. */
  against: presetKitSchema.optional(),
  school: z.enum(['motion', 'balanced', 'quality']),
  /** Dials held by hand. */
  held: heldSchema,
  /** A neutral filter at hand. */
  filterStops: z.number().gt(0).max(20).optional(),
  light: z.strictObject({
    by: z.enum(['eye', 'lamps', 'ev', 'frame']),
    eye: presetId(EYE_LIGHTS),
    lamps: z.enum(Object.keys(LAMP_LEVELS_LUX) as [LampLevel, ...LampLevel[]]),
    ev: z.number().min(-6).max(18),
    /** A test frame, and how dark it looked. */
    frame: z.strictObject({
      shutterS: z.number().gt(0).max(60),
      aperture: z.number().min(0.7).max(64),
      iso: z.number().min(25).max(1_000_000),
      looksDarkStops: z.number().min(-5).max(5),
    }),
  }),
});
export type Quick = z.infer<typeof quickSchema>;

type Migration = (older: Record<string, unknown>) => unknown;

/** From version 2 on dials can be held. */
const from1To2: Migration = (older) => ({ ...older, version: 2, held: {} });

/** From version 3 on a second kit can stand beside the first. */
const from2To3: Migration = (older) => ({ ...older, version: 3 });

/** What lifts a record of version n to n + 1, at index n − 1. */
export const QUICK_MIGRATIONS: readonly Migration[] = [from1To2, from2To3];

export const FIRST_QUICK: Quick = {
  version: QUICK_VERSION,
  subjectId: 'field-player',
  runs: 'across',
  by: 'distance',
  distanceM: 30,
  fill: 0.6,
  orientation: 'level',
  behindM: 30,
  kit: {
    bodyId: USUAL_BODY_ID,
    lensId: '70-200-2.8',
    focalMm: 200,
    converter: 1,
    support: 'hand',
  },
  school: 'balanced',
  held: {},
  light: {
    by: 'eye',
    eye: 'cloud',
    lamps: 'weakFloodlights',
    ev: 12,
    frame: { shutterS: 1 / 1000, aperture: 2.8, iso: 3200, looksDarkStops: 0 },
  },
};
