import { DateTime } from 'luxon';
import tzLookup from '@photostructure/tz-lookup';
import { z } from 'zod';
import { GROUND_TEMPLATES } from '@/presets/grounds';
import type { Shoot } from '@/records/shoot';
import type { ShootBrief } from '@/records/new-shoot';
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
    if (clock.test(form.start) && clock.test(form.end) && form.end <= form.start) {
      context.addIssue({
        code: 'custom',
        path: ['end'],
        message: `the end must be after the start, ${form.start}`,
      });
    }
  });

export type BriefForm = z.infer<typeof briefFormSchema>;

/** A form for a shoot tomorrow afternoon, its place yet to be said. */
export const newForm = (known: Pick<BriefForm, 'template' | 'title'>): BriefForm => ({
  ...known,
  latitude: '',
  longitude: '',
  bearing: '0',
  date: DateTime.now().plus({ days: 1 }).toISODate(),
  start: '14:00',
  end: '16:00',
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
    startLocal: `${form.date}T${form.start}`,
    endLocal: `${form.date}T${form.end}`,
  };
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
  };
}
