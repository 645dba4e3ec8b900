import {
  evFromIlluminance,
  moonLux,
  moonPosition,
  moonTimes,
  sunPosition,
  type MoonPosition,
  type MoonTimes,
} from '@/core';
import type { Shoot } from '@/records/shoot';
import { localMinuteOf, msOf } from '@/records/times';

/** The moon over a shoot: when it is up, how much of it is lit, and what light it gives. */

export interface MoonOver {
  /** Within the local day; absent where it does not rise or set in it. */
  readonly riseMs?: number;
  readonly setMs?: number;
  readonly at: MoonPosition;
  /** From new to full, or from full to new. */
  readonly waxing: boolean;
  /** On open level ground through clear air; 0 while it is down. */
  readonly lux: number;
  /** EV of that light; nothing while it is down, or the sky brighter: until the sun is 6° under the horizon. */
  readonly ev?: number;
}

/** End of civil twilight, by definition. */
const DARK_DEG = -6;
const DAY_MS = 86_400_000;

const lastTimes = new WeakMap<
  Shoot['place'],
  { readonly date: string; readonly times: MoonTimes }
>();

/** Rise and set of a day; those of before while it is the same: they are long in being found. */
function timesOn(place: Shoot['place'], date: string): MoonTimes {
  const last = lastTimes.get(place);
  if (last?.date === date) return last.times;
  const times = moonTimes({ date, ...place });
  lastTimes.set(place, { date, times });
  return times;
}

/** The moon of the local day that a minute is in. */
export function moonOver({ place }: Pick<Shoot, 'place'>, atMs: number): MoonOver {
  const date = localMinuteOf(atMs, place.timeZone).slice(0, 10);
  const { rise, set } = timesOn(place, date);
  const at = moonPosition({ time: atMs, ...place });
  const later = moonPosition({ time: atMs + DAY_MS, ...place });
  const lux = moonLux(at);
  const sun = sunPosition({ time: atMs, ...place });
  return {
    ...(rise && { riseMs: rise.getTime() }),
    ...(set && { setMs: set.getTime() }),
    at,
    waxing: later.phaseDeg < at.phaseDeg,
    lux,
    ...(lux > 0 && sun.altitudeDeg < DARK_DEG && { ev: evFromIlluminance(lux) }),
  };
}

/** Steps in which dusk is looked for. */
const STEP_MS = 15 * 60_000;

/** Whether a shoot has hours without the sun, in which the moon matters. */
export function hasNight({
  place,
  startLocal,
  endLocal,
}: Pick<Shoot, 'place' | 'startLocal' | 'endLocal'>): boolean {
  const [fromMs, toMs] = [startLocal, endLocal].map((local) => msOf(local, place.timeZone)) as [
    number,
    number,
  ];
  for (let time = fromMs; time <= toMs; time += STEP_MS) {
    if (sunPosition({ time, ...place }).altitudeDeg < 0) return true;
  }
  return sunPosition({ time: toMs, ...place }).altitudeDeg < 0;
}
