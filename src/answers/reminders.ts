import type { Shoot } from '@/records/shoot';
import { hoursOf, msOf } from '@/records/times';
import { expectedBack } from './approach';
import { arrivalOf } from './nature';
import { foodInFrame } from './perch';
import { floodedAt } from './tide';
import type { View } from './view';

/** What is easily forgotten in the field, at the minute when it can still be done. Common practice, no source. */

export type Reminder =
  | { readonly kind: 'cutEnds'; readonly perch: string; readonly food: string | undefined }
  | { readonly kind: 'hullInBill' }
  /** It has stayed away about as long as it does. */
  | { readonly kind: 'atTheEye'; readonly mark: string }
  /** The tide comes to where one stands. */
  | { readonly kind: 'water'; readonly position: string }
  /** The last quarter gives fewer keepers. */
  | { readonly kind: 'rest' };

export interface TimedReminder {
  readonly atMs: number;
  /** Until when it still holds once it has come up; gone at once without it. */
  readonly untilMs?: number;
  readonly reminder: Reminder;
}

/**
 * Cut ends, and food that is in the frame, before one settles: afterwards nobody walks there. Hulls in the bill at each
 * feeding time, or at the start where none is known; none of these where nothing sits on a perch. The camera at the eye
 * a minute before what was seen three times on the day may be back; off the shore half an hour before the water is there.
 */
export const remindersOf = (shoot: Shoot, view: View | undefined): readonly TimedReminder[] => [
  ...beforeTiring(shoot),
  ...backAgain(shoot, view),
  ...beforeWater(shoot, view),
  ...atPerch(shoot, view),
];

/** The lesson that one tires: what it changes is this reminder. */
export const TIRED_LESSON = 'tired';
/** A rest before the last quarter. Common practice, no source. */
const REST_MS = 10 * 60_000;
const LAST_SHARE = 0.25;

function beforeTiring(shoot: Shoot): readonly TimedReminder[] {
  if (!shoot.log.lessons.some(({ id, use }) => id === TIRED_LESSON && use)) return [];
  const { startMs, endMs } = hoursOf(shoot);
  const lastMs = endMs - LAST_SHARE * (endMs - startMs);
  return [{ atMs: lastMs - REST_MS, untilMs: lastMs, reminder: { kind: 'rest' } }];
}

/** Off the shore so long before the water is there. Common practice, no source. */
const OFF_SHORE_MS = 30 * 60_000;

function beforeWater(shoot: Shoot, view: View | undefined): readonly TimedReminder[] {
  if (!view) return [];
  const { name: position } = view.position;
  return (floodedAt(shoot, view) ?? [])
    .filter(({ name }) => name === position)
    .map(({ fromMs, toMs }) => ({
      ...{ atMs: fromMs - OFF_SHORE_MS, untilMs: toMs },
      reminder: { kind: 'water', position },
    }));
}

/** The camera is to be at the eye so long before it may be back. */
const AT_THE_EYE_MS = 60_000;

function backAgain({ log, place }: Shoot, view: View | undefined): readonly TimedReminder[] {
  const back = view && expectedBack({ log }, view.mark.id);
  if (!back) return [];
  const lastMs = msOf(back.lastLocal, place.timeZone);
  return [
    {
      atMs: lastMs + Math.max(0, back.fromLastMs - AT_THE_EYE_MS),
      reminder: { kind: 'atTheEye', mark: view.mark.name },
    },
  ];
}

function atPerch(shoot: Shoot, view: View | undefined): readonly TimedReminder[] {
  const perch = shoot.features.find(
    ({ kind, id }) => kind === 'perch' && shoot.marks.some(({ carriedBy }) => carriedBy === id),
  );
  if (!perch) return [];
  const feeds = shoot.features.some(({ kind }) => kind === 'food');
  const [inFrame] = view ? foodInFrame(view, shoot) : [];
  const feeding = shoot.nature.filter(({ kind }) => kind === 'feeding');
  const { timeZone } = shoot.place;
  const hulls = feeding.length > 0 ? feeding.map(({ atLocal }) => atLocal) : [shoot.startLocal];
  return [
    {
      atMs: arrivalOf(shoot).inPlaceMs,
      reminder: { kind: 'cutEnds', perch: perch.name, food: inFrame?.name },
    },
    ...(feeds
      ? hulls.map((atLocal): TimedReminder => ({
          atMs: msOf(atLocal, timeZone),
          reminder: { kind: 'hullInBill' },
        }))
      : []),
  ];
}
