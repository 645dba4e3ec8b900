import { DateTime } from 'luxon';
import tzLookup from '@photostructure/tz-lookup';
import { z } from 'zod';
import {
  clockInFigures,
  clockRead,
  clockWritten,
  dayInFigures,
  dayRead,
} from '@/formats/when-written';
import { GROUND_TEMPLATES } from '@/presets/grounds';
import type { Shoot } from '@/records/shoot';
import type { ShootBrief } from '@/records/new-shoot';
import { dayOf } from '@/records/day-said';
import { minutesOfDay, MOST_DAYS, msOf } from '@/records/times';
import { numberWritten } from '@/ui/numbers';

const numberBetween = (low: number, high: number, what: string) =>
  z.string().refine((text) => {
    const value = numberWritten(text);
    return value >= low && value <= high;
  }, `${what} must be a number from ${low} to ${high}`);

const todayIso = (): string => DateTime.now().toISODate();

const clockField = (what: 'start' | 'end') =>
  z.string().superRefine((text, context) => {
    const read = clockRead(text, what);
    if ('problem' in read) context.addIssue({ code: 'custom', message: read.problem });
  });

/**
 * Day and hours as typed, as records write them; nothing where one of them can't be read.
 * @param today the day it is there
 */
export function hoursRead(
  { date, start, end }: Pick<BriefForm, 'date' | 'start' | 'end'>,
  today = todayIso(),
) {
  const day = dayRead(date, today);
  const [from, to] = [clockRead(start, 'start'), clockRead(end, 'end')];
  if ('problem' in day || 'problem' in from || 'problem' in to) return undefined;
  return { date: day.value, start: clockWritten(from.value), end: clockWritten(to.value) };
}

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
    /** What people call the place; empty where nobody said. */
    placeName: z.string().max(120),
    latitude: numberBetween(-90, 90, 'latitude'),
    longitude: numberBetween(-180, 180, 'longitude'),
    bearing: numberBetween(0, 359.99, 'bearing'),
    date: z.string().superRefine((text, context) => {
      const read = dayRead(text, todayIso());
      if ('problem' in read) context.addIssue({ code: 'custom', message: read.problem });
    }),
    start: clockField('start'),
    end: clockField('end'),
    /** Whole days that it goes on beyond its first night: nothing types it, it is kept. */
    moreDays: z.number().int().min(0).max(MOST_DAYS),
  })
  .superRefine((form, context) => {
    const hours = hoursRead(form);
    if (!hours) return;
    const refuse = (message: string) =>
      context.addIssue({ code: 'custom', path: ['end'], message });
    if (hours.end === hours.start && form.moreDays === 0) {
      refuse(
        `the end is the start, ${hours.start}; make it later. Before it counts as the next day`,
      );
    }
    const zone = zoneWritten(form.latitude, form.longitude);
    if (zone && !endsLater({ ...hours, moreDays: form.moreDays }, zone)) {
      refuse(
        `clocks change that night, so that ${hours.end} comes before ${hours.start}; make it later`,
      );
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
export function lastDayInWords(typed: Hours): string | undefined {
  const hours = hoursRead(typed);
  if (!hours) return undefined;
  const { days, endLocal } = hoursWritten({ ...hours, moreDays: typed.moreDays });
  return days > 0 ? `Ends on ${dayOf(endLocal)}.` : undefined;
}

/** A form for a shoot tomorrow afternoon, its place yet to be said. */
export const newForm = (known: Pick<BriefForm, 'template' | 'title'>): BriefForm => ({
  ...known,
  placeName: '',
  latitude: '',
  longitude: '',
  bearing: '0',
  date: dayInFigures(DateTime.now().plus({ days: 1 }).toISODate()),
  start: clockInFigures(14 * 60),
  end: clockInFigures(16 * 60),
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

/**
 * A checked form as what a shoot begins with.
 * @throws RangeError for one that was not checked
 */
export function briefOf(form: BriefForm): ShootBrief {
  const hours = hoursRead(form);
  if (!hours) throw new RangeError(`${form.date} ${form.start}: must be a day and hours`);
  const { startLocal, endLocal } = hoursWritten({ ...hours, moreDays: form.moreDays });
  const latitudeDeg = numberWritten(form.latitude);
  const longitudeDeg = numberWritten(form.longitude);
  return {
    title: form.title.trim(),
    template: form.template,
    latitudeDeg,
    longitudeDeg,
    timeZone: zoneAt(latitudeDeg, longitudeDeg),
    bearingDeg: numberWritten(form.bearing),
    startLocal,
    endLocal,
    ...(form.placeName && { placeName: form.placeName }),
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
    placeName: shoot.place.name ?? '',
    latitude: String(shoot.place.latitudeDeg),
    longitude: String(shoot.place.longitudeDeg),
    bearing: String(Number(shoot.ground.bearingDeg.toFixed(2))),
    date: dayInFigures(shoot.startLocal.slice(0, 10)),
    start: clockInFigures(minutesOfDay(shoot.startLocal)),
    end: clockInFigures(minutesOfDay(shoot.endLocal)),
    moreDays: moreDaysOf(shoot),
  };
}
