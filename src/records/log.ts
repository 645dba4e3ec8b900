import { z } from 'zod';
import { PICTURE_SPAN_MS } from '@/core';
import { frameChunkSchema, MOST_CHUNKS, MOST_FRAMES } from './frames';
import { LONGEST_NAME } from './picture-name';
import { id, localSecond, text } from './shape';

/**
 * The Log: what was done while shooting, in order of time, and what the pictures themselves say.
 * Part of a shoot. An entry keeps the ids of what it was about even when that is deleted later.
 * @example
 * const entry = logEntrySchema.parse({ id: 'a', kind: 'keeper', atLocal: '2027-04-16T19:02:11', markId: 'circle' });
 */

/** Most entries of one shoot. */
export const MOST_LOGGED = 5000;

const about = {
  id,
  atLocal: localSecond,
  /** Made while the day was only rehearsed: it teaches nothing. */
  rehearsed: z.literal(true).optional(),
  markId: id,
  positionId: id,
  shotId: id.optional(),
};

export const logEntrySchema = z.discriminatedUnion('kind', [
  /** What is worked on from here on, and from where. */
  z.strictObject({ ...about, kind: z.literal('stand') }),
  /** A frame judged to be worth keeping. */
  z.strictObject({
    ...about,
    kind: z.literal('keeper'),
    /** The event it was taken at, and whom of the brief it shows. */
    eventId: id.optional(),
    personIds: z.array(id).min(1).max(40).optional(),
  }),
  /** Something came: a bird to the perch, a deer to the edge. */
  z.strictObject({ ...about, kind: z.literal('sighting'), name: text(80) }),
  z.strictObject({
    ...about,
    kind: z.literal('athlete'),
    name: text(80),
    personId: id.optional(),
  }),
  z.strictObject({ ...about, kind: z.literal('behaviour'), name: text(80) }),
  z.strictObject({ ...about, kind: z.literal('note'), text: text(500) }),
]);
export type LogEntry = z.infer<typeof logEntrySchema>;
export type LogKind = LogEntry['kind'];

/** A camera whose date was never set may stand this far off: from any moment of a picture to any other. */
export const MOST_OFF_S = PICTURE_SPAN_MS / 1000;

/** No camera's clock runs off by more in a day. */
const MOST_DRIFT_S = 600;

/** How far a camera's clock stands from the place's own. */
export const cameraClockSchema = z.strictObject({
  /** As its pictures name it; none where they don't. */
  name: z.string().max(80),
  /** Add this to the camera's time. */
  offsetS: z.number().int().min(-MOST_OFF_S).max(MOST_OFF_S),
  /** From this picture on, in the order of the files; from the first where none is named. */
  fromFile: z.string().max(LONGEST_NAME).optional(),
  /** By how much the offset grows in a day, and the camera's time (as if of UTC) that `offsetS` is of. */
  drift: z
    .strictObject({
      perDayS: z.number().min(-MOST_DRIFT_S).max(MOST_DRIFT_S),
      atMs: z.number().int().min(0).max(PICTURE_SPAN_MS),
    })
    .optional(),
  /** Lined up with what was tapped, by a picture of a clock; set by hand where neither is said. */
  by: z.enum(['taps', 'picture']).optional(),
  /** It is this close, 95 times in 100, where it was lined up. */
  withinS: z.number().min(0).max(3600).optional(),
});
export type CameraClock = z.infer<typeof cameraClockSchema>;

export const logSchema = z.strictObject({
  entries: z.array(logEntrySchema).max(MOST_LOGGED),
  clocks: z.array(cameraClockSchema).max(200),
  /** Pictures' own figures, packed: `src/records/frames.ts`. */
  frames: z.array(frameChunkSchema).max(MOST_CHUNKS, `must be at most ${MOST_FRAMES} pictures`),
  /** Lessons of earlier shoots, and whether this plan uses them. */
  lessons: z
    .array(
      z.strictObject({
        id: text(120),
        use: z.boolean(),
        /** What the plan said before, so that it can say so again. */
        before: z.union([z.number(), text(120)]).optional(),
      }),
    )
    .max(100),
});
export type Log = z.infer<typeof logSchema>;

export const EMPTY_LOG: Log = { entries: [], clocks: [], frames: [], lessons: [] };
