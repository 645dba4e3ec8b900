import ICAL from 'ical.js';
import { DateTime, IANAZone } from 'luxon';
import { startOf } from '@/records/edit-events';
import { FIRST_EVENT, MOST_EVENTS, type DayEventRecord } from '@/records/day';
import type { Shoot } from '@/records/shoot';
import { localMinuteOf, msOf } from '@/records/times';
import type { OrderedEvent } from './order-csv';
import { windowFrom, windowWritten } from './written-window';

/** Running orders as iCalendar (RFC 5545): read from any calendar, written so that any can read them. */

export const LARGEST_CALENDAR_BYTES = 5_000_000;
const MINUTE_MS = 60_000;
/**
 * Repeats that are looked at in one calendar: some thirty years of twenty things a day. A rule that never
 * gives a day at all is ended by whoever reads in a worker (files-client).
 */
const MOST_REPEATS = 250_000;
/** Longer than any occurrence is moved from where its rule has it. */
const NEAR_MS = 7 * 86_400_000;
const UID_HOST = '@bright-perch';
/** A property of our own, as RFC 5545 3.8.8.2 allows: visits to what goes on. */
const VISITS = 'x-bright-perch-visits';

export interface CalendarEvent extends OrderedEvent {
  /** The event of this shoot that it was written from, if it was. */
  readonly id?: string;
}

export type CalendarRead =
  | {
      readonly ok: true;
      readonly events: readonly CalendarEvent[];
      /** Entries of other days, and entries without a time. */
      readonly elsewhere: number;
      readonly allDay: number;
    }
  | { readonly ok: false; readonly reason: string };

const refuse = (reason: string): CalendarRead => ({ ok: false, reason });

/** The moment of a calendar's time: in its own zone, or the shoot's where it names none. */
function momentOf(time: ICAL.Time, tzid: string | undefined, timeZone: string): number {
  const { year, month, day, hour, minute, second } = time;
  const zone = time.zone as ICAL.Timezone | null;
  const known = tzid !== undefined && IANAZone.isValidZone(tzid);
  const described = zone && zone !== ICAL.Timezone.localTimezone;
  if (zone === ICAL.Timezone.utcTimezone || (described && !known)) {
    return time.toUnixTime() * 1000;
  }
  return DateTime.fromObject(
    { year, month, day, hour, minute, second },
    { zone: known ? tzid : timeZone },
  ).toMillis();
}

const tzidOf = (component: ICAL.Component): string | undefined => {
  const value = component.getFirstProperty('dtstart')?.getParameter('tzid');
  return typeof value === 'string' ? value : undefined;
};

const textOf = (component: ICAL.Component, name: string): string => {
  const value = component.getFirstPropertyValue(name);
  return typeof value === 'string' ? value.replace(/\s+/g, ' ').trim() : '';
};

/** Changed occurrences by the entry they belong to. */
function exceptionsOf(
  components: readonly ICAL.Component[],
): ReadonlyMap<string, ICAL.Component[]> {
  const found = new Map<string, ICAL.Component[]>();
  for (const component of components) {
    if (!component.hasProperty('recurrence-id')) continue;
    const uid = textOf(component, 'uid');
    found.set(uid, [...(found.get(uid) ?? []), component]);
  }
  return found;
}

interface Occurrence {
  readonly component: ICAL.Component;
  readonly start: ICAL.Time;
  readonly seconds: number;
}

/**
 * An entry's occurrences from about a moment on, in order, as long as there are repeats left to look at.
 * Those long before are only counted.
 */
function* occurrencesOf(
  event: ICAL.Event,
  left: { repeats: number },
  fromMs: number,
): Generator<Occurrence> {
  const first = {
    component: event.component,
    start: event.startDate,
    seconds: event.duration.toSeconds(),
  };
  if (!event.isRecurring()) {
    yield first;
    return;
  }
  const repeats = event.iterator();
  for (; left.repeats > 0; left.repeats -= 1) {
    const next = repeats.next() as ICAL.Time | null;
    if (!next) return;
    if (next.toUnixTime() * 1000 < fromMs - NEAR_MS) continue;
    const { item, startDate, endDate } = event.getOccurrenceDetails(next);
    yield {
      component: item.component,
      start: startDate,
      seconds: endDate.subtractDate(startDate).toSeconds(),
    };
  }
}

function eventOf({ component, seconds }: Occurrence, startLocal: string): CalendarEvent {
  const uid = textOf(component, 'uid');
  const own = uid.endsWith(UID_HOST);
  const window = windowFrom(textOf(component, VISITS));
  return {
    name: (textOf(component, 'summary') || 'Without a name').slice(0, 120),
    startLocal,
    durationMin: seconds > 0 ? Math.min(1440, seconds / 60) : FIRST_EVENT.durationMin,
    entries: [],
    worth: FIRST_EVENT.worth,
    ...(own && { id: uid.slice(0, -UID_HOST.length) }),
    ...(window && { window }),
  };
}

/**
 * Events of a calendar that fall on the shoot's days; repeats are followed. Refused whole when it is
 * damaged.
 */
export function readCalendar(
  text: string,
  { days, timeZone }: { readonly days: readonly [string, string]; readonly timeZone: string },
): CalendarRead {
  if (text.length > LARGEST_CALENDAR_BYTES) return refuse('the file is over 5 MB');
  let root: ICAL.Component;
  try {
    root = new ICAL.Component(ICAL.parse(text.replace(/^\uFEFF/, '').trim()) as unknown[]);
  } catch (error) {
    const why = error instanceof Error ? error.message : String(error);
    return refuse(`the file is no calendar, or it is cut off (${why.slice(0, 80)})`);
  }
  if (root.name !== 'vcalendar')
    return refuse('the file is no calendar: it must begin BEGIN:VCALENDAR');
  const components = root.getAllSubcomponents('vevent');
  if (components.length === 0) return refuse('the calendar holds no events');
  if (components.length > MOST_EVENTS) return refuse(`over ${MOST_EVENTS} events`);
  const from = msOf(`${days[0]}T00:00`, timeZone);
  const to = msOf(`${days[1]}T23:59`, timeZone);
  const events: CalendarEvent[] = [];
  let elsewhere = 0;
  let allDay = 0;
  const left = { repeats: MOST_REPEATS };
  const exceptions = exceptionsOf(components);
  try {
    for (const component of components) {
      // A changed occurrence comes with the entry it belongs to; one called off does not come.
      const off = textOf(component, 'status') === 'CANCELLED';
      if (off || component.hasProperty('recurrence-id')) continue;
      // Given them, it does not look through the whole calendar for each entry again.
      const event = new ICAL.Event(component, {
        exceptions: exceptions.get(textOf(component, 'uid')) ?? [],
      });
      const start = event.startDate as ICAL.Time | null;
      if (!start) return refuse(`“${textOf(component, 'summary') || 'an event'}” has no start`);
      if (start.isDate) {
        allDay += 1;
        continue;
      }
      const met = events.length;
      for (const occurrence of occurrencesOf(event, left, from)) {
        const at = momentOf(occurrence.start, tzidOf(occurrence.component), timeZone);
        if (at > to) break;
        if (at >= from) events.push(eventOf(occurrence, localMinuteOf(at, timeZone)));
        if (events.length > MOST_EVENTS) return refuse(`over ${MOST_EVENTS} events on these days`);
      }
      if (left.repeats === 0) return refuse('its entries repeat too often to be followed');
      if (events.length === met) elsewhere += 1;
    }
  } catch (error) {
    const why = error instanceof Error ? error.message : String(error);
    return refuse(`the calendar is damaged (${why.slice(0, 80)})`);
  }
  return { ok: true, events, elsewhere, allDay };
}

const MOST_TEXT = 2000;

/** What is said beside an event: who, and whatever the day makes of it. */
export interface EventNote {
  readonly where?: string;
  readonly lines: readonly string[];
  /** When to be told, and of what: none for what is not shot. */
  readonly alarms?: readonly { readonly atMs: number; readonly says: string }[];
}

/**
 * The order of a day as a calendar, its alarms as the day has them. Moments are UTC, so that no zone
 * has to be described.
 * @param noteOf where to stand and what to set, for an event
 * @param stampMs when it is written
 */
export function writeCalendar(
  shoot: Pick<Shoot, 'title' | 'events' | 'place'>,
  noteOf: (event: DayEventRecord) => EventNote,
  stampMs: number,
): string {
  const { timeZone } = shoot.place;
  const utc = (ms: number) => ICAL.Time.fromJSDate(new Date(ms), true);
  const calendar = new ICAL.Component('vcalendar');
  calendar.addPropertyWithValue('version', '2.0');
  calendar.addPropertyWithValue('prodid', '-//Bright Perch//Running order//EN');
  calendar.addPropertyWithValue('x-wr-calname', shoot.title);
  for (const event of shoot.events) {
    const startMs = msOf(startOf(event), timeZone);
    const { where, lines, alarms = [] } = noteOf(event);
    const component = new ICAL.Component('vevent');
    component.addPropertyWithValue('uid', `${event.id}${UID_HOST}`);
    component.addPropertyWithValue('dtstamp', utc(stampMs));
    component.addPropertyWithValue('dtstart', utc(startMs));
    component.addPropertyWithValue('dtend', utc(startMs + event.durationMin * MINUTE_MS));
    component.addPropertyWithValue(
      'summary',
      event.heat ? `${event.name}, ${event.heat}` : event.name,
    );
    if (event.window) component.addPropertyWithValue(VISITS, windowWritten(event.window));
    if (where) component.addPropertyWithValue('location', where);
    const said = lines.join('\n').slice(0, MOST_TEXT);
    if (said) component.addPropertyWithValue('description', said);
    for (const { atMs, says } of alarms) {
      const alarm = new ICAL.Component('valarm');
      alarm.addPropertyWithValue('action', 'DISPLAY');
      alarm.addPropertyWithValue('description', says);
      const afterS = Math.round((atMs - startMs) / 1000);
      alarm.addPropertyWithValue('trigger', ICAL.Duration.fromSeconds(afterS));
      component.addSubcomponent(alarm);
    }
    calendar.addSubcomponent(component);
  }
  return `${calendar.toString()}\r\n`;
}
