import { DateTime } from 'luxon';
import { focalRange, sunEvents, type SunEvents } from '@/core';
import { USUAL_BODY_ID } from '@/presets/bodies';
import { groundById } from '@/presets/grounds';
import { kindOf, type UsualHours } from '@/presets/grounds/board';
import { FLOODLIGHTS, type Floodlights } from '@/presets/lamps';
import type { Guess } from '@/records/guesses';
import { EMPTY_BAG, lensOf } from '@/records/kit';
import type { ShootBrief } from '@/records/new-shoot';
import type { Shoot } from '@/records/shoot';
import { localMinuteOf, minutesOfDay } from '@/records/times';
import { briefFormSchema, briefOf, zoneAt, type BriefForm } from '@/features/shoot/brief-form';
import {
  clockInFigures,
  clockRead,
  clockWritten,
  dayInFigures,
  dayRead,
} from '@/formats/when-written';

/** A shoot as it is being said: what was picked, and texts as typed. */
export interface Draft {
  readonly groundId?: string | undefined;
  readonly place?: PickedPlace | undefined;
  readonly day: string;
  readonly start: string;
  readonly end: string;
  /** Once, or so many weeks on the same day of the week. */
  readonly weeks: number;
  readonly floodlights?: Floodlights['id'] | undefined;
  /** A body and a lens, where they were said. */
  readonly bodyId?: string | undefined;
  readonly lensId?: string | undefined;
  readonly bearingDeg?: number | undefined;
  /** An earlier shoot at the same place, whose ground this one has. */
  readonly venue?: Shoot | undefined;
  readonly title: string;
}

export interface PickedPlace {
  readonly name: string;
  readonly latitudeDeg: number;
  readonly longitudeDeg: number;
}

export const EMPTY_DRAFT: Draft = { day: '', start: '', end: '', weeks: 1, title: '' };

const DAY_MIN = 24 * 60;
const STEP_MIN = 5;
/** Which way a ground is taken to lie until somebody says: most are laid north to south. */
export const GUESSED_BEARING_DEG = 0;
export const GUESSED_FLOODLIGHTS: Floodlights['id'] = 'school';

const zoneOf = (place: PickedPlace | undefined): string =>
  place ? zoneAt(place.latitudeDeg, place.longitudeDeg) : DateTime.local().zoneName;

/** The day and minute it is at the place, or here until there is one. */
export function nowAt(place: PickedPlace | undefined, nowMs: number) {
  const local = localMinuteOf(nowMs, zoneOf(place));
  return {
    date: local.slice(0, 10),
    minutes: minutesOfDay(local),
  };
}

const roundedTo = (minutes: number, step: number): number =>
  (Math.round(minutes / step) * step + DAY_MIN) % DAY_MIN;

/** The moments of sun that day that can be taken for a time, in their order; none in the polar night. */
export interface SunTime {
  readonly name: string;
  readonly minutes: number;
}

const SUN_NAMES = [
  ['First light', 'civilDawn'],
  ['Sunrise', 'rise'],
  ['Noon', 'culmination'],
  ['Sunset', 'set'],
  ['Last light', 'civilDusk'],
] as const satisfies readonly (readonly [string, keyof SunEvents])[];

export function sunTimes(place: PickedPlace, date: string): readonly SunTime[] {
  const { latitudeDeg, longitudeDeg } = place;
  const timeZone = zoneOf(place);
  const events = sunEvents({ latitudeDeg, longitudeDeg, date, timeZone });
  return SUN_NAMES.flatMap(([name, key]) => {
    const when = events[key];
    if (!when) return [];
    return [{ name, minutes: minutesOfDay(localMinuteOf(when.getTime(), timeZone)) }];
  });
}

/** A day that one press takes. */
export interface DayChoice {
  readonly id: 'now' | 'tonight' | 'tomorrow' | 'saturday';
  readonly name: string;
}

export function dayChoices(
  place: PickedPlace | undefined,
  nowMs: number,
  locale?: string,
): readonly DayChoice[] {
  const saturday = dayRead('saturday', nowAt(place, nowMs).date);
  const named =
    'value' in saturday
      ? DateTime.fromISO(saturday.value).toLocaleString(
          { weekday: 'long' },
          locale ? { locale } : {},
        )
      : 'Saturday';
  return [
    { id: 'now', name: 'Now' },
    { id: 'tonight', name: 'Tonight' },
    { id: 'tomorrow', name: 'Tomorrow' },
    { id: 'saturday', name: named },
  ];
}

const EVENING_MIN = 19 * 60;
const LASTS_MIN = 2 * 60;
const DAWN_LASTS_MIN = 3 * 60;
const FIRST_LIGHT_MIN = 6 * 60;
const USUAL_START_MIN: Readonly<Record<UsualHours, number>> = {
  game: 14 * 60,
  daylight: 10 * 60,
  dawn: FIRST_LIGHT_MIN,
};

/** Day and hours that a choice stands for, on the kind of ground that was picked. */
export function hoursFor(
  choice: DayChoice['id'],
  { groundId, place }: Pick<Draft, 'groundId' | 'place'>,
  nowMs: number,
  locale?: string,
): Pick<Draft, 'day' | 'start' | 'end'> {
  const now = nowAt(place, nowMs);
  const hours = groundId ? kindOf(groundId).hours : 'daylight';
  const ahead = { now: 0, tonight: 0, tomorrow: 1, saturday: 0 }[choice];
  const saturday = dayRead('saturday', now.date);
  const date =
    choice === 'saturday' && 'value' in saturday
      ? saturday.value
      : (DateTime.fromISO(now.date).plus({ days: ahead }).toISODate() ?? now.date);
  const dawn = place && sunTimes(place, date).find(({ name }) => name === 'First light');
  let start = hours === 'dawn' && dawn ? dawn.minutes : USUAL_START_MIN[hours];
  let lasts = hours === 'dawn' ? DAWN_LASTS_MIN : LASTS_MIN;
  if (choice === 'now') start = Math.floor(now.minutes / STEP_MIN) * STEP_MIN;
  if (choice === 'tonight') {
    start = Math.max(EVENING_MIN, Math.floor(now.minutes / STEP_MIN) * STEP_MIN);
    lasts = LASTS_MIN;
  }
  const from = roundedTo(start, STEP_MIN);
  return {
    day: dayInFigures(date, locale),
    start: clockInFigures(from, locale),
    end: clockInFigures(roundedTo(from + lasts, STEP_MIN), locale),
  };
}

/** The start at another minute, the shoot as long as it was; two hours where that can't be told. */
export function startingAt(
  minutes: number,
  { start, end }: Pick<Draft, 'start' | 'end'>,
  locale?: string,
) {
  const [from, to] = [clockRead(start, 'start'), clockRead(end, 'end')];
  const lasts =
    'value' in from && 'value' in to
      ? (to.value - from.value + DAY_MIN) % DAY_MIN || DAY_MIN
      : LASTS_MIN;
  return {
    start: clockInFigures(minutes, locale),
    end: clockInFigures((minutes + lasts) % DAY_MIN, locale),
  };
}

export type DraftField = 'ground' | 'place' | 'day' | 'start' | 'end' | 'title';
export type DraftProblems = Partial<Readonly<Record<DraftField, string>>>;

export type ReadDraft =
  | { readonly ok: true; readonly form: BriefForm }
  | { readonly ok: false; readonly problems: DraftProblems };

/** "Field hockey, Larkmoor". */
export function titleOf({ groundId, place, title }: Draft): string {
  if (title.trim()) return title.trim();
  const short = groundId ? kindOf(groundId).short : 'Shoot';
  // Coordinates name no place.
  const named = place && !/\d/.test(place.name) ? place.name.split(',')[0] : undefined;
  return (named ? `${short}, ${named}` : short).slice(0, 120);
}

/** Reads a draft whole; everything that is wrong with it at once. */
export function readDraft(draft: Draft, nowMs: number, locale?: string): ReadDraft {
  const { groundId, place } = draft;
  const day = dayRead(draft.day, nowAt(place, nowMs).date, locale);
  const [start, end] = [
    clockRead(draft.start, 'start', locale),
    clockRead(draft.end, 'end', locale),
  ];
  const problems: Partial<Record<DraftField, string>> = {
    ...(!groundId && { ground: 'pick what you photograph' }),
    ...(!place && { place: 'the place is missing' }),
    ...('problem' in day && { day: day.problem }),
    ...('problem' in start && { start: start.problem }),
    ...('problem' in end && { end: end.problem }),
  };
  if (!groundId || !place || 'problem' in day || 'problem' in start || 'problem' in end) {
    return { ok: false, problems };
  }
  const form: BriefForm = {
    template: groundId,
    title: titleOf(draft),
    placeName: place.name.slice(0, 120),
    latitude: String(place.latitudeDeg),
    longitude: String(place.longitudeDeg),
    bearing: String(draft.bearingDeg ?? GUESSED_BEARING_DEG),
    date: day.value,
    start: clockWritten(start.value),
    end: clockWritten(end.value),
    moreDays: 0,
  };
  const checked = briefFormSchema.safeParse(form);
  if (checked.success) return { ok: true, form: checked.data };
  for (const { path, message } of checked.error.issues) {
    const field = path[0] === 'date' ? 'day' : path[0];
    if (field === 'day' || field === 'start' || field === 'end' || field === 'title')
      problems[field] = message;
    else problems.place = message;
  }
  return { ok: false, problems };
}

/** Whether it goes on past sunset under the open sky, where there may be lamps: then they are asked for. */
export function asksForLamps({ groundId, place }: Draft, form: BriefForm): boolean {
  if (!groundId || !place) return false;
  if (kindOf(groundId).hours !== 'game' || groundById(groundId).indoorLux !== undefined)
    return false;
  const { startLocal, endLocal } = briefOf(form);
  const events = sunEvents({
    latitudeDeg: place.latitudeDeg,
    longitudeDeg: place.longitudeDeg,
    date: form.date,
    timeZone: zoneOf(place),
  });
  // No sunset at all: the polar night needs lamps, the polar day none.
  if (!events.set) return events.rise === undefined && !events.civilDawn;
  const set = localMinuteOf(events.set.getTime(), zoneOf(place));
  return endLocal > set || startLocal > set;
}

/** The kit that comes along from the last shoot, with nothing packed yet; the newest come first. */
export function kitFrom(earlier: readonly Shoot[]): Pick<ShootBrief, 'kit' | 'school'> {
  const last = earlier.find(({ guessed }) => !guessed.includes('kit'));
  if (!last) return {};
  return { kit: { ...last.kit, packed: [] }, school: last.choice.school };
}

/** Whether it matters which way a ground lies: on a blank one nothing lies. */
export const isLaid = (template: string): boolean => groundById(template).lines.length > 0;

/** What is in hand: as said, else as on the last shoot, else as the ground usually asks for. */
export function kitOf(
  { bodyId, lensId }: Pick<Draft, 'bodyId' | 'lensId'>,
  earlier: readonly Shoot[],
  template: string,
): Shoot['kit'] {
  const usual = groundById(template);
  const kit: Shoot['kit'] = kitFrom(earlier).kit ?? {
    ...{ bodyId: USUAL_BODY_ID, lensId: usual.lensId, focalMm: usual.focalMm },
    ...({ converter: 1, support: 'hand', ...EMPTY_BAG } as const),
  };
  const withBody = bodyId ? { ...kit, bodyId } : kit;
  if (!lensId || lensId === kit.lensId) return withBody;
  const { longestMm } = focalRange(lensOf({ ...kit, lensId }));
  return { ...withBody, lensId, focalMm: longestMm, converter: 1 };
}

/** Checked, as what shoots begin with: one, or one a week. */
export function briefsOf(
  draft: Draft,
  form: BriefForm,
  earlier: readonly Shoot[],
): readonly ShootBrief[] {
  const mine = kitFrom(earlier);
  const said = draft.bodyId !== undefined && draft.lensId !== undefined;
  const kit = kitOf(draft, earlier, form.template);
  const lampsAsked = asksForLamps(draft, form);
  const lamps = FLOODLIGHTS.find(({ id }) => id === (draft.floodlights ?? GUESSED_FLOODLIGHTS));
  const guessed: Guess[] = [
    ...(isLaid(form.template) && draft.bearingDeg === undefined ? (['bearing'] as const) : []),
    ...(lampsAsked && lamps && lamps.lux > 0 ? (['lamps'] as const) : []),
    ...(!mine.kit && !said ? (['kit'] as const) : []),
  ];
  return Array.from({ length: draft.weeks }, (_, week) => {
    const date = DateTime.fromISO(form.date).plus({ weeks: week }).toISODate() ?? form.date;
    return {
      ...briefOf({ ...form, date }),
      ...(lampsAsked && lamps && { lampLux: lamps.lux }),
      kit,
      ...(mine.school && { school: mine.school }),
      guessed,
    };
  });
}
