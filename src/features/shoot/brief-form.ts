import { DateTime } from 'luxon';
import tzLookup from '@photostructure/tz-lookup';
import { z } from 'zod';
import { GROUND_TEMPLATES } from '@/presets/grounds';
import type { Shoot } from '@/records/shoot';
import type { ShootBrief } from '@/records/new-shoot';
import { dayOf } from '@/records/day-said';
import { MOST_DAYS, msOf } from '@/records/times';
import { numberWritten } from '@/ui/numbers';

const numberBetween = (low: number, high: number, what: string) =>
  z.string().refine((text) => {
    const value = numberWritten(text);
    return value >= low && value <= high;
  }, `${what} must be a number from ${low} to ${high}`);

/** What the form holds: text as typed. */
export const briefFormSchema = z
  .object({
    template: z
      .string()
      .refine((id) => GROUND_TEMPLATES.some((entry) => entry.id === id), 'choose a ground'),
    title: z
      .string()
      .trim()
      .min(1, 'the title is empty; give the shoot a name')
      .max(120, 'the title is over 120 letters; make it shorter'),
    latitude: numberBetween(-90, 90, 'latitude'),
    longitude: numberBetween(-180, 180, 'longitude'),
    bearing: numberBetween(0, 359.99, 'bearing'),
    date: z
      .string()
      .regex(/^\d{4}-\d{2}-\d{2}$/, {
        error: 'write the date as year-month-day, such as 2027-04-16',
        abort: true,
      })
      .refine((date) => DateTime.fromISO(date).isValid, 'there is no such day'),
    start: z.string(),
    end: z.string(),
    /** Whole days that it goes on beyond its first night: nothing types it, it is kept. */
    moreDays: z.number().int().min(0).max(MOST_DAYS),
  })
  .superRefine((form, context) => {
    const clock = /^([01]\d|2[0-3]):[0-5]\d$/;
    for (const field of ['start', 'end'] as const) {
      if (!clock.test(form[field])) {
        context.addIssue({
          code: 'custom',
          path: [field],
          message: 'write the time as hours and minutes, such as 18:30',
        });
      }
    }
    if (!clock.test(form.start) || !clock.test(form.end)) return;
    if (form.end === form.start && form.moreDays === 0) {
      context.addIssue({
        code: 'custom',
        path: ['end'],
        message: `the end is the start, ${form.start}; make it later. Before it counts as the next day`,
      });
    }
    const zone = zoneWritten(form.latitude, form.longitude);
    if (zone && DateTime.fromISO(form.date).isValid && !endsLater(form, zone)) {
      context.addIssue({
        code: 'custom',
        path: ['end'],
        message: `clocks change that night, so that ${form.end} comes before ${form.start}; make it later`,
      });
    }
  });

export type BriefForm = z.infer<typeof briefFormSchema>;

type Hours = Pick<BriefForm, 'date' | 'start' | 'end' | 'moreDays'>;

/** First and last minute: an end that is not after the start is on the next day. */
function hoursWritten({ date, start, end, moreDays }: Hours) {
  const days = moreDays + (end <= start ? 1 : 0);
  const last = DateTime.fromISO(date).plus({ days }).toISODate() ?? date;
  return { startLocal: `${date}T${start}`, endLocal: `${last}T${end}`, days };
}

function endsLater(hours: Hours, zone: string): boolean {
  const { startLocal, endLocal } = hoursWritten(hours);
  return msOf(endLocal, zone) > msOf(startLocal, zone);
}

/** "Ends on Saturday 17 April 2027", where it is not the day it starts on. */
export function lastDayInWords(hours: Hours): string | undefined {
  const clock = /^\d\d:\d\d$/;
  if (!clock.test(hours.start) || !clock.test(hours.end)) return undefined;
  if (!DateTime.fromISO(hours.date).isValid) return undefined;
  const { days, endLocal } = hoursWritten(hours);
  return days > 0 ? `Ends on ${dayOf(endLocal)}.` : undefined;
}

/** A form for a shoot tomorrow afternoon, its place yet to be said. */
export const newForm = (known: Pick<BriefForm, 'template' | 'title'>): BriefForm => ({
  ...known,
  latitude: '',
  longitude: '',
  bearing: '0',
  date: DateTime.now().plus({ days: 1 }).toISODate(),
  start: '14:00',
  end: '16:00',
  moreDays: 0,
});

/** The zone whose clocks hold at a place, from coordinates alone. */
export const zoneAt = (latitudeDeg: number, longitudeDeg: number): string =>
  tzLookup(latitudeDeg, longitudeDeg);

/** The zone for coordinates as typed, if they are on the globe. */
export function zoneWritten(latitude: string, longitude: string): string | undefined {
  const [lat, lon] = [numberWritten(latitude), numberWritten(longitude)];
  return Math.abs(lat) <= 90 && Math.abs(lon) <= 180 ? zoneAt(lat, lon) : undefined;
}

/** A checked form as what a shoot begins with. */
export function briefOf(form: BriefForm): ShootBrief {
  const latitudeDeg = numberWritten(form.latitude);
  const longitudeDeg = numberWritten(form.longitude);
  return {
    title: form.title.trim(),
    template: form.template,
    latitudeDeg,
    longitudeDeg,
    timeZone: zoneAt(latitudeDeg, longitudeDeg),
    bearingDeg: numberWritten(form.bearing),
    startLocal: hoursWritten(form).startLocal,
    endLocal: hoursWritten(form).endLocal,
  };
}

/** Days between first and last beyond the night that the clocks themselves tell of. */
function moreDaysOf({ startLocal, endLocal }: Shoot): number {
  const day = (local: string) => DateTime.fromISO(local.slice(0, 10));
  const days = day(endLocal).diff(day(startLocal), 'days').days;
  return Math.round(days) - (endLocal.slice(11) <= startLocal.slice(11) ? 1 : 0);
}

export function formOf(shoot: Shoot): BriefForm {
  return {
    template: shoot.ground.template,
    title: shoot.title,
    latitude: String(shoot.place.latitudeDeg),
    longitude: String(shoot.place.longitudeDeg),
    bearing: String(Number(shoot.ground.bearingDeg.toFixed(2))),
    date: shoot.startLocal.slice(0, 10),
    start: shoot.startLocal.slice(11),
    end: shoot.endLocal.slice(11),
    moreDays: moreDaysOf(shoot),
  };
}
