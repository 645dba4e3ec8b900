import { z } from 'zod';

/**
 * How captions are written, and what goes into every picture of one's own. One is kept.
 * @example
 * const captions = captionsSchema.parse(FIRST_CAPTIONS);
 */

export const CAPTIONS_VERSION = 1;
export const LONGEST_PATTERN = 500;

export const captionsSchema = z.strictObject({
  version: z.literal(CAPTIONS_VERSION),
  /** Words with fields in braces, and parts in brackets that go where a field is empty: `answers/caption-pattern`. */
  pattern: z.string().max(LONGEST_PATTERN),
  photographer: z.string().max(120),
  rights: z.string().max(200),
});
export type Captions = z.infer<typeof captionsSchema>;

/** What lifts a record of version n to n + 1, at index n − 1. */
export const CAPTIONS_MIGRATIONS = [];

export const FIRST_CAPTIONS: Captions = {
  version: CAPTIONS_VERSION,
  pattern: '[{who} {does} in {event}, |{who} {does}, |{event}, ]{place}, {date}.',
  photographer: '',
  rights: '',
};

/** All that goes with one picture. */
export interface Caption {
  readonly file: string;
  readonly camera: string;
  readonly text: string;
  readonly names: readonly string[];
  readonly numbers: readonly string[];
  readonly teams: readonly string[];
  readonly event?: string;
  readonly place: string;
  /** By the place's clock, with its distance from UTC: "2027-06-19T10:02:11+01:00". */
  readonly takenAt: string;
  readonly stars?: number;
  /** How far off level the camera was, clockwise, where it says so. */
  readonly rollDeg?: number;
  readonly photographer: string;
  readonly rights: string;
}
