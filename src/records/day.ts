import { z } from 'zod';
import { id, localMinute, text } from './shape';

/**
 * The order of a day: events with their calls, what nature does by the clock, and hours in which a
 * perch was watched. Parts of a shoot.
 * @example
 * const event = eventSchema.parse({ ...FIRST_EVENT, id: 'a', name: 'Heat 1', startLocal: '2027-06-19T10:00' });
 */

/** Most events of one day. */
export const MOST_EVENTS = 5000;
/** Nothing starts more than this late. */
export const MOST_LATE_MIN = 720;

const minutesBefore = z.number().min(0).max(240);

export const callsSchema = z.strictObject({
  first: minutesBefore,
  second: minutesBefore,
  third: minutesBefore,
});
export type Calls = z.infer<typeof callsSchema>;

export const eventSchema = z.strictObject({
  id,
  name: text(120),
  /** As the programme has it. */
  startLocal: localMinute,
  durationMin: z.number().gt(0).max(1440),
  /** How much later than the programme it starts. */
  lateMin: z.number().int().min(-MOST_LATE_MIN).max(MOST_LATE_MIN).optional(),
  heat: text(40).optional(),
  entries: z
    .array(
      z.strictObject({
        /** Someone of the brief, or only a name. */
        personId: id.optional(),
        name: text(80),
        lane: z.number().int().min(0).max(40).optional(),
        /** A bib or cap, and the school or club, as the order has them. */
        number: text(12).optional(),
        team: text(80).optional(),
      }),
    )
    .max(40),
  /** Calls of its own, in minutes before the start. */
  calls: callsSchema.optional(),
  worth: z.enum(['must', 'should', 'could']),
  /** The promised shot that it gives, or else the mark where it happens. */
  shotId: id.optional(),
  markId: id.optional(),
  /** It goes on from start to end and is dropped into: for so long, so often at the most. At its start when absent. */
  window: z
    .strictObject({
      visitMin: z.number().int().min(1).max(240),
      visits: z.number().int().min(1).max(3),
    })
    .optional(),
  /** Shoot it from here and nowhere else. */
  pinnedTo: id.optional(),
  /** This one of several shoots it, or nobody. */
  shooterId: id.optional(),
  leftOut: z.boolean().optional(),
  /** It does not take place. */
  cancelled: z.literal(true).optional(),
});
export type DayEventRecord = z.infer<typeof eventSchema>;
export type Worth = DayEventRecord['worth'];

/** Tide, feeding: what comes by the clock and is typed in. */
export const NATURE_KINDS = ['highTide', 'lowTide', 'feeding', 'other'] as const;
/** No tide on any shore comes near it. */
export const MOST_WATER_M = 20;
export const natureTimeSchema = z.strictObject({
  id,
  kind: z.enum(NATURE_KINDS),
  name: text(60),
  atLocal: localMinute,
  /** Of a tide: how high its water stands over the lowest ground of the slope. */
  waterM: z.number().min(-MOST_WATER_M).max(MOST_WATER_M).optional(),
});
export type NatureTime = z.infer<typeof natureTimeSchema>;

/** Hours in which a mark was watched, and when the visitor came. */
export const watchSchema = z
  .strictObject({
    id,
    markId: id,
    fromLocal: localMinute,
    toLocal: localMinute,
    visitsLocal: z.array(localMinute).max(500),
    /** Still going on: it is known as far as `toLocal`. */
    open: z.literal(true).optional(),
  })
  .refine(({ fromLocal, toLocal }) => toLocal > fromLocal, {
    path: ['toLocal'],
    message: 'must be after fromLocal',
  })
  .refine(
    ({ fromLocal, toLocal, visitsLocal }) =>
      visitsLocal.every((visit) => visit >= fromLocal && visit <= toLocal),
    { path: ['visitsLocal'], message: 'must lie within the hours watched' },
  );
export type Watch = z.infer<typeof watchSchema>;

export const daySchema = z.strictObject({
  /** Calls of an event that has none of its own. */
  calls: callsSchema,
  walkSpeedMs: z.number().min(0.2).max(4),
  /** In place this long before the first light, for what must not see one come. */
  settleMin: z.number().int().min(0).max(240),
});
export type DayPlan = z.infer<typeof daySchema>;

/** Lead times and walking with kit. Common practice, no source. */
export const FIRST_DAY: DayPlan = {
  calls: { first: 20, second: 10, third: 3 },
  walkSpeedMs: 1.2,
  settleMin: 30,
};

/** An event as it begins. */
export const FIRST_EVENT = {
  durationMin: 5,
  entries: [],
  worth: 'should',
} as const satisfies Partial<DayEventRecord>;

/** Weather on kit and people, set by hand where no forecast is followed. */
export const airSchema = z.strictObject({
  temperatureC: z.number().min(-45).max(60),
  humidityPct: z.number().min(1).max(100),
  windMs: z.number().min(0).max(60),
  rainMmH: z.number().min(0).max(200),
  /** How far one sees, as seen; nothing where nobody looked. */
  visibilityKm: z.number().gt(0).max(300).optional(),
  /** How warm the kit is when it is brought out: the car's, the house's. */
  kitC: z.number().min(-45).max(60),
  /** When thunder was last heard. */
  thunderLocal: localMinute.optional(),
});
export type Air = z.infer<typeof airSchema>;

/** A mild, dry day. */
export const FIRST_AIR: Air = {
  temperatureC: 15,
  humidityPct: 65,
  windMs: 3,
  rainMmH: 0,
  kitC: 18,
};
