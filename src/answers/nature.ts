import { sunEvents, visitsPerHour, type LightSeries, type Rate } from '@/core';
import type { Watch } from '@/records/day';
import type { Shoot } from '@/records/shoot';
import { localMinuteOf, msOf } from '@/records/times';

/** What a day in a hide goes by: first light, the sun on the perch, tides and feeding, visits. */

const MINUTE_MS = 60_000;
const HOUR_MS = 3_600_000;

export interface Arrival {
  /** Be in place, settled and silent. */
  readonly inPlaceMs: number;
  /** What it is counted back from. */
  readonly before: 'civilDawn' | 'rise' | 'start';
  readonly lightMs: number;
}

/** When to be in place: the time to settle before the first light, or before the start without one. */
export function arrivalOf({
  place,
  startLocal,
  endLocal,
  day,
}: Pick<Shoot, 'place' | 'startLocal' | 'endLocal' | 'day'>): Arrival {
  const startMs = msOf(startLocal, place.timeZone);
  const endMs = msOf(endLocal, place.timeZone);
  const events = sunEvents({ date: startLocal.slice(0, 10), ...place });
  const settleMs = day.settleMin * MINUTE_MS;
  for (const before of ['civilDawn', 'rise'] as const) {
    const lightMs = events[before]?.getTime();
    // A shoot of the afternoon has nothing to do with the dawn.
    if (lightMs !== undefined && lightMs < endMs && lightMs > startMs - 2 * HOUR_MS) {
      return { inPlaceMs: Math.min(lightMs - settleMs, startMs), before, lightMs };
    }
  }
  return { inPlaceMs: startMs - settleMs, before: 'start', lightMs: startMs };
}

export interface LitSpan {
  readonly fromMs: number;
  readonly toMs: number;
}

/** When the sun is on a face, in the shoot's hours. */
export function litSpans({ timeMs, sunlit }: LightSeries): readonly LitSpan[] {
  const spans: { fromMs: number; toMs: number }[] = [];
  timeMs.forEach((at, i) => {
    if (!sunlit[i]) return;
    const last = spans.at(-1);
    if (last && i > 0 && sunlit[i - 1]) last.toMs = at;
    else spans.push({ fromMs: at, toMs: at });
  });
  return spans.filter(({ fromMs, toMs }) => toMs > fromMs);
}

/** Visits to expect in an hour of the day, with what is sure of it. */
export interface HourlyVisits extends Rate {
  /** 0 to 23, by the wall clock of the place. */
  readonly hour: number;
  readonly visits: number;
  readonly watchedH: number;
}

/** Visits by the hour of the day over all the times a mark was watched. */
export function visitsByHour(watches: readonly Watch[]): readonly HourlyVisits[] {
  const watchedH = new Array<number>(24).fill(0);
  const visits = new Array<number>(24).fill(0);
  for (const { fromLocal, toLocal, visitsLocal } of watches) {
    const [from, to] = [Date.parse(`${fromLocal}Z`), Date.parse(`${toLocal}Z`)];
    for (let hour = Math.floor(from / HOUR_MS); hour * HOUR_MS < to; hour += 1) {
      const watched = Math.min(to, (hour + 1) * HOUR_MS) - Math.max(from, hour * HOUR_MS);
      const at = hour % 24;
      watchedH[at] = (watchedH[at] ?? 0) + watched / HOUR_MS;
    }
    for (const visit of visitsLocal) {
      const at = Number(visit.slice(11, 13));
      visits[at] = (visits[at] ?? 0) + 1;
    }
  }
  return watchedH.flatMap((hours, hour): readonly HourlyVisits[] => {
    if (hours <= 0) return [];
    const count = visits[hour] ?? 0;
    return [{ hour, visits: count, watchedH: hours, ...visitsPerHour({ visits: count, hours }) }];
  });
}

/** Shoots nearer to each other than this are at the same place. */
const SAME_PLACE_KM = 0.5;
const KM_PER_DEG = 111.2;

function apartKm(a: Shoot['place'], b: Shoot['place']): number {
  const east =
    (a.longitudeDeg - b.longitudeDeg) * Math.cos((a.latitudeDeg * Math.PI) / 180) * KM_PER_DEG;
  return Math.hypot(east, (a.latitudeDeg - b.latitudeDeg) * KM_PER_DEG);
}

type Watching = Pick<Shoot, 'id' | 'place' | 'marks' | 'watches' | 'log'>;

/** A shoot's hours watched, with the visits typed in and those logged in the field. */
export function watchesWithSightings({
  watches,
  log,
}: Pick<Watching, 'watches' | 'log'>): readonly Watch[] {
  // Where two watches overlap a sighting is counted once, in the first.
  let sightings = log.entries.filter(({ kind, rehearsed }) => kind === 'sighting' && !rehearsed);
  return watches.map((watch) => {
    const within = ({ markId, atLocal }: (typeof sightings)[number]) =>
      markId === watch.markId &&
      atLocal.slice(0, 16) >= watch.fromLocal &&
      atLocal.slice(0, 16) <= watch.toLocal;
    const logged = sightings.filter(within).map(({ atLocal }) => atLocal.slice(0, 16));
    sightings = sightings.filter((sighting) => !within(sighting));
    return logged.length === 0
      ? watch
      : { ...watch, visitsLocal: [...watch.visitsLocal, ...logged].sort() };
  });
}

/** Shoots at the same place as one, but for itself. */
export const othersHere = <S extends Pick<Shoot, 'id' | 'place'>>(
  shoot: Pick<Shoot, 'id' | 'place'>,
  others: readonly S[],
): readonly S[] =>
  others.filter(
    (other) => other.id !== shoot.id && apartKm(shoot.place, other.place) < SAME_PLACE_KM,
  );

/** All that was watched at a place, in this shoot and in others, with the mark it was of: each watch once, whoever copied it. */
export function watchedHere(
  shoot: Watching,
  others: readonly Watching[],
): readonly { readonly mark: Shoot['marks'][number]; readonly watch: Watch }[] {
  const counted = new Set<string>();
  return [shoot, ...othersHere(shoot, others)].flatMap((one) => {
    const marks = new Map(one.marks.map((mark) => [mark.id, mark]));
    return watchesWithSightings(one).flatMap((watch) => {
      const mark = marks.get(watch.markId);
      if (!mark || counted.has(watch.id)) return [];
      counted.add(watch.id);
      return [{ mark, watch }];
    });
  });
}

/** What was seen at a mark in this shoot, and at marks of its name in others at the same place. */
export function watchesAt(
  shoot: Watching,
  markId: string,
  others: readonly Watching[],
): readonly Watch[] {
  const own = shoot.marks.find(({ id }) => id === markId);
  return watchedHere(shoot, others)
    .filter(({ mark }) => mark === own || (!shoot.marks.includes(mark) && mark.name === own?.name))
    .map(({ watch }) => watch);
}

/** The hours of a shoot by the clock. */
export const clockHours = (
  { startMs, endMs }: { readonly startMs: number; readonly endMs: number },
  timeZone: string,
): readonly number[] => {
  const count = Math.ceil((endMs - startMs) / HOUR_MS);
  const first = Number(localMinuteOf(startMs, timeZone).slice(11, 13));
  return Array.from({ length: Math.min(24, count + 1) }, (_, i) => (first + i) % 24);
};
