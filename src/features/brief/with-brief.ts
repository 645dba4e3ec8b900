import { onDay } from '@/records/edit-day';
import { turnGround } from '@/records/edit-ground';
import type { Shoot } from '@/records/shoot';
import { briefOf, type BriefForm } from '@/features/shoot/brief-form';

/** A shoot with its brief changed: the ground turns with its bearing, the minute stays inside. */
export function withBrief(shoot: Shoot, form: BriefForm): Shoot {
  const {
    title,
    latitudeDeg,
    longitudeDeg,
    timeZone,
    bearingDeg,
    startLocal,
    endLocal,
    placeName,
  } = briefOf(form);
  // What stands in its order of the day goes along to another date, and a forecast of the old one goes.
  const there = onDay(shoot, startLocal.slice(0, 10));
  const { learned, ...light } = there.light;
  // What was learned at one place says nothing of another.
  const moved =
    latitudeDeg !== shoot.place.latitudeDeg || longitudeDeg !== shoot.place.longitudeDeg;
  const unturned = Math.abs(bearingDeg - shoot.ground.bearingDeg) < 0.005;
  return {
    ...(unturned ? there : turnGround(there, bearingDeg)),
    title,
    place: {
      // A name goes with the point it was said of.
      ...(placeName && !(moved && placeName === shoot.place.name) && { name: placeName }),
      ...{ latitudeDeg, longitudeDeg, timeZone },
    },
    startLocal,
    endLocal,
    light: moved || !learned ? light : { ...light, learned },
    ...(moved && {
      log: { ...shoot.log, lessons: shoot.log.lessons.filter(({ id }) => id !== 'light') },
    }),
  };
}
