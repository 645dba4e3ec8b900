import { DateTime } from 'luxon';
import type { Shoot } from './shoot';

const MINUTE = "yyyy-MM-dd'T'HH:mm";

/** The shoot on another day, at the same times by the clock. */
export function onDay(shoot: Shoot, date: string): Shoot {
  const days = DateTime.fromISO(date).diff(
    DateTime.fromISO(shoot.startLocal.slice(0, 10)),
    'days',
  ).days;
  const moved = (minute: string) =>
    DateTime.fromISO(minute, { zone: 'utc' })
      .plus({ days: Math.round(days) })
      .toFormat(MINUTE);
  const { lampsFromLocal } = shoot.light;
  const { deadlineLocal } = shoot.brief;
  return {
    ...shoot,
    startLocal: moved(shoot.startLocal),
    endLocal: moved(shoot.endLocal),
    atLocal: moved(shoot.atLocal),
    brief: { ...shoot.brief, ...(deadlineLocal && { deadlineLocal: moved(deadlineLocal) }) },
    light: {
      ...shoot.light,
      ...(lampsFromLocal && { lampsFromLocal: moved(lampsFromLocal) }),
    },
  };
}
