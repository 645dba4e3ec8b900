import { minutesOn } from './edit-events';
import type { Shoot } from './shoot';

const MINUTES_A_DAY = 24 * 60;
const DAY_MS = 86_400_000;

/** The shoot on another day, at the same times by the clock. */
export function onDay(shoot: Shoot, date: string): Shoot {
  const days = (Date.parse(date) - Date.parse(shoot.startLocal.slice(0, 10))) / DAY_MS;
  const moved = (minute: string) => minutesOn(minute, days * MINUTES_A_DAY);
  if (days === 0) return shoot;
  // A forecast is of its own day.
  const { lampsFromLocal, forecast: _forecast, learned, ...light } = shoot.light;
  const { deadlineLocal } = shoot.brief;
  return {
    ...shoot,
    startLocal: moved(shoot.startLocal),
    endLocal: moved(shoot.endLocal),
    atLocal: moved(shoot.atLocal),
    brief: { ...shoot.brief, ...(deadlineLocal && { deadlineLocal: moved(deadlineLocal) }) },
    shooters: shoot.shooters.map((shooter) => ({
      ...shooter,
      ...(shooter.fromLocal && { fromLocal: moved(shooter.fromLocal) }),
    })),
    events: shoot.events.map((event) => ({ ...event, startLocal: moved(event.startLocal) })),
    nature: shoot.nature.map((time) => ({ ...time, atLocal: moved(time.atLocal) })),
    light: {
      ...light,
      skyFrom: 'hand',
      ...(lampsFromLocal && { lampsFromLocal: moved(lampsFromLocal) }),
      ...(learned && {
        learned: learned.map((offset) => ({ ...offset, atLocal: moved(offset.atLocal) })),
      }),
    },
  };
}
