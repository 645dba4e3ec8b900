import { z } from 'zod';
import { bearing, id, localMinute, metres, text } from './shape';

/**
 * A Reading: a measured light value, from a meter or from a test frame that was judged by eye, at a
 * point of the ground. Part of a shoot.
 * @example
 * readingSchema.parse({ id: 'r1', name: 'Circle', x: 0, y: 30, upM: 1.5, faceDeg: 180,
 *   atLocal: '2027-04-16T18:50', by: 'meter', ev: 13.2, simulated: false });
 */

const where = {
  id,
  name: text(80),
  x: metres,
  y: metres,
  /** Height of the lit point above the ground. */
  upM: z.number().min(0).max(100),
  /** The way the measured face looked. */
  faceDeg: bearing,
  atLocal: localMinute,
  /** Whether it came from the stand-in that ships with the app. */
  simulated: z.boolean(),
};

export const frameSchema = z.strictObject({
  shutterS: z.number().gt(0).max(60),
  aperture: z.number().min(0.7).max(64),
  iso: z.number().min(25).max(1_000_000),
  looksDarkStops: z.number().min(-5).max(5),
  /** Light that a filter or the extension of a close-up took from it; none when absent. */
  lostStops: z.number().min(0).max(20).optional(),
});

export const readingSchema = z.discriminatedUnion('by', [
  z.strictObject({ ...where, by: z.literal('meter'), ev: z.number().min(-10).max(20) }),
  z.strictObject({ ...where, by: z.literal('frame'), frame: frameSchema }),
]);
export type Reading = z.infer<typeof readingSchema>;

/** Most readings of one shoot. */
export const MOST_READINGS = 300;
