import type { Shoot } from '@/records/shoot';
import { msOf } from '@/records/times';
import { arrivalOf } from './nature';
import { foodInFrame } from './perch';
import type { View } from './view';

/** What is easily forgotten at a perch, at the minute when it can still be done. Common practice, no source. */

export type Reminder =
  | { readonly kind: 'cutEnds'; readonly perch: string; readonly food: string | undefined }
  | { readonly kind: 'hullInBill' };

export interface TimedReminder {
  readonly atMs: number;
  readonly reminder: Reminder;
}

/**
 * Cut ends, and food that is in the frame, before one settles: afterwards nobody walks there. Hulls in the bill at each
 * feeding time, or at the start where none is known. None where nothing sits on a perch.
 */
export function remindersOf(shoot: Shoot, view: View | undefined): readonly TimedReminder[] {
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
