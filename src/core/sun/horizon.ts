import { Body, SearchAltitude } from 'astronomy-engine';
import { nonEmpty, within } from '../check';
import { fullCircle } from '../quantity/angles';
import { localDay, RISING, SETTING } from './events';
import { observerAt, sunPosition, type Place } from './position';

/** Height of the skyline in one direction. */
export interface HorizonPoint {
  readonly azimuthDeg: number;
  readonly altitudeDeg: number;
}

/**
 * Height of a horizon profile in a direction: straight lines between its points, round the circle.
 * @throws RangeError for an empty profile
 */
export function horizonAltitude(profile: readonly HorizonPoint[], azimuthDeg: number): number {
  nonEmpty('profile', profile);
  const points = [...profile]
    .map((point) => ({ ...point, azimuthDeg: fullCircle(point.azimuthDeg) }))
    .sort((a, b) => a.azimuthDeg - b.azimuthDeg);
  const azimuth = fullCircle(azimuthDeg);
  const next = points.find((point) => point.azimuthDeg >= azimuth) ?? points[0];
  const before = points.findLast((point) => point.azimuthDeg <= azimuth) ?? points.at(-1);
  if (!next || !before || next === before) return (next ?? before)?.altitudeDeg ?? 0;
  const width = fullCircle(next.azimuthDeg - before.azimuthDeg);
  if (width === 0) return Math.max(before.altitudeDeg, next.altitudeDeg);
  const share = fullCircle(azimuth - before.azimuthDeg) / width;
  return before.altitudeDeg + share * (next.altitudeDeg - before.altitudeDeg);
}

export interface AltitudeCrossing {
  readonly rising?: Date;
  readonly setting?: Date;
}

/**
 * When the sun's centre passes a geometric altitude within one local day, upwards and downwards;
 * absent where it does not.
 * @throws RangeError for an altitude outside ±90, or as `sunEvents`
 */
export function sunCrossings({
  date,
  timeZone,
  altitudeDeg,
  ...place
}: Place & {
  readonly date: string;
  readonly timeZone: string;
  readonly altitudeDeg: number;
}): AltitudeCrossing {
  within('altitudeDeg', altitudeDeg, -90, 90);
  const observer = observerAt(place);
  const { start, lengthDays } = localDay(date, timeZone);
  const search = (direction: number) =>
    SearchAltitude(Body.Sun, observer, direction, start, lengthDays, altitudeDeg)?.date;
  const rising = search(RISING);
  const setting = search(SETTING);
  return { ...(rising && { rising }), ...(setting && { setting }) };
}

/** A span of time, ends in milliseconds since 1970 UTC. */
export interface Span {
  readonly fromMs: number;
  readonly toMs: number;
}

const SEARCH_STEP_MS = 120_000;

/**
 * Moments at which a condition turns true or false between two times, found by steps and then
 * halving to `toleranceMs`. A change and back within one step is not seen.
 * @returns spans in which the condition holds
 */
export function spansWhere(
  holds: (timeMs: number) => boolean,
  { fromMs, toMs }: Span,
  { stepMs = SEARCH_STEP_MS, toleranceMs = 1000 } = {},
): readonly Span[] {
  const turnBetween = (low: number, high: number, before: boolean): number => {
    let [a, b] = [low, high];
    while (b - a > toleranceMs) {
      const middle = (a + b) / 2;
      if (holds(middle) === before) a = middle;
      else b = middle;
    }
    return (a + b) / 2;
  };
  const spans: Span[] = [];
  let since = holds(fromMs) ? fromMs : undefined;
  for (let at = fromMs; at < toMs; at += stepMs) {
    const next = Math.min(toMs, at + stepMs);
    const was = since !== undefined;
    if (holds(next) === was) continue;
    const turn = turnBetween(at, next, was);
    if (since === undefined) since = turn;
    else {
      spans.push({ fromMs: since, toMs: turn });
      since = undefined;
    }
  }
  if (since !== undefined) spans.push({ fromMs: since, toMs });
  return spans;
}

/**
 * Spans of one local day in which the sun's centre stands above a skyline: stands, hills, trees.
 * @returns none in polar night; the whole day under the midnight sun
 * @throws RangeError for an empty profile, or as `sunEvents`
 */
export function sunClears({
  date,
  timeZone,
  profile,
  ...place
}: Place & {
  readonly date: string;
  readonly timeZone: string;
  readonly profile: readonly HorizonPoint[];
}): readonly Span[] {
  nonEmpty('profile', profile);
  const { start, end } = localDay(date, timeZone);
  return spansWhere(
    (time) => {
      const sun = sunPosition({ time, ...place });
      return sun.apparentAltitudeDeg > Math.max(0, horizonAltitude(profile, sun.azimuthDeg));
    },
    { fromMs: start.getTime(), toMs: end.getTime() },
  );
}
