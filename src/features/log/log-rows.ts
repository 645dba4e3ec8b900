import { isPictureTime } from '@/core';
import { evSaid } from '@/answers/heard';
import { eventTitle, inALine } from '@/records/day-said';
import { engraved, lookedInWords, stops } from '@/features/shoot/words';
import type { LogRow } from '@/formats/log-table';
import type { LogEntry } from '@/records/log';
import { localSecond } from '@/records/shape';
import type { Shoot } from '@/records/shoot';
import { localSecondOf } from '@/records/times';
import type { AgainstPlan } from '@/answers/against-plan';
import { evOfFrame, standInWords, type MatchedFrame } from '@/answers/matched';

/** A log in rows: as it is listed, and as it is written out. */

export const KIND_NAMES: Readonly<Record<LogEntry['kind'], string>> = {
  stand: 'Stand',
  keeper: 'Keeper',
  sighting: 'Came',
  athlete: 'Who',
  behaviour: 'What it did',
  note: 'Note',
};

/** What an entry says beyond its kind. */
export function entryInWords(shoot: Shoot, entry: LogEntry): string {
  const { shot, position } = standInWords(shoot, entry);
  switch (entry.kind) {
    case 'stand':
      return `${shot}, from ${position}`;
    case 'keeper': {
      const who = shoot.people.filter(({ id }) => entry.personIds?.includes(id));
      return who.length > 0 ? `${shot}: ${inALine(who.map(({ name }) => name))}` : shot;
    }
    case 'note':
      return entry.text;
    default:
      return entry.name;
  }
}

const entryRow = (shoot: Shoot, entry: LogEntry): LogRow => ({
  atLocal: entry.atLocal,
  kind: KIND_NAMES[entry.kind],
  what: entryInWords(shoot, entry),
  ...standInWords(shoot, entry),
  ...(entry.rehearsed && { rehearsed: true }),
});

function readingRow(reading: Shoot['readings'][number]): LogRow {
  const row = {
    atLocal: `${reading.atLocal}:00`,
    kind: 'Reading',
    mark: reading.name,
    ev: Math.round(evSaid(reading) * 100) / 100,
  };
  if (reading.by === 'meter') {
    return { ...row, what: reading.simulated ? 'simulated meter' : 'meter' };
  }
  const { looksDarkStops, ...triad } = reading.frame;
  return { ...row, what: `looked ${lookedInWords(looksDarkStops)}`, ...triad };
}

const frameRow = (shoot: Shoot, matched: MatchedFrame): LogRow => {
  const { frame, atMs, event, stand, kept } = matched;
  const { rating, cameraMs: _cameraMs, upright: _upright, kept: _kept, name, ...figures } = frame;
  const ev = evOfFrame(frame);
  return {
    atLocal: localSecondOf(atMs, shoot.place.timeZone),
    kind: 'Picture',
    what: name,
    ...standInWords(shoot, stand),
    ...(event && { event: eventTitle(event) }),
    file: name,
    ...figures,
    ...(ev !== undefined && { ev: Math.round(ev * 100) / 100 }),
    ...(rating !== undefined && { stars: rating }),
    kept,
  };
};

/** All of it, in order of time. */
export const logRows = (shoot: Shoot, frames: readonly MatchedFrame[]): readonly LogRow[] =>
  [
    ...shoot.log.entries.map((entry) => entryRow(shoot, entry)),
    ...shoot.readings.map(readingRow),
    ...frames.map((frame) => frameRow(shoot, frame)),
  ].sort((a, b) => (a.atLocal < b.atLocal ? -1 : a.atLocal > b.atLocal ? 1 : 0));

/** "1/2500 f/2.8 ISO 320, 184 mm", as far as a frame says so. */
export function figuresInWords({ frame }: MatchedFrame): string {
  const { shutterS, aperture, iso, focalMm } = frame;
  const marks =
    shutterS !== undefined && aperture !== undefined && iso !== undefined
      ? Object.values(engraved({ shutterS, aperture, iso, liftStops: 0 })).join(' ')
      : 'settings not said';
  return focalMm === undefined ? marks : `${marks}, ${Math.round(focalMm)} mm`;
}

const MINUTE_S = 60;
const HOUR_S = 3600;
const DAY_S = 86_400;
/** So long before its start a shoot may have begun. */
const EARLY_MS = 6 * HOUR_S * 1000;

/** "1 h 0 min 47 s slow". */
export function offsetInWords(offsetS: number): string {
  if (offsetS === 0) return 'right';
  const all = Math.abs(offsetS);
  const days = Math.floor(all / DAY_S);
  const hours = Math.floor((all % DAY_S) / HOUR_S);
  const minutes = Math.floor((all % HOUR_S) / MINUTE_S);
  const parts = [
    days > 0 ? `${days} ${days === 1 ? 'day' : 'days'}` : '',
    hours > 0 ? `${hours} h` : '',
    hours > 0 || minutes > 0 ? `${minutes} min` : '',
    `${all % MINUTE_S} s`,
  ];
  return `${parts.filter(Boolean).join(' ')} ${offsetS > 0 ? 'slow' : 'fast'}`;
}

/**
 * What to add to a camera's time so that a picture was taken when a person says, in seconds; nothing when that is no
 * time. A time alone is of the shoot: of its first day, or of the night that follows.
 */
export function offsetBy(
  written: string,
  cameraMs: number,
  shootStartLocal: string,
): number | undefined {
  const parts = /^\s*(?:(\d{4}-\d\d-\d\d)[ T])?(\d\d:\d\d)(?::(\d\d))?\s*$/.exec(written);
  const date = parts?.[1] ?? shootStartLocal.slice(0, 10);
  const second = parts && `${date}T${parts[2]}:${parts[3] ?? '00'}`;
  if (!second || !localSecond.safeParse(second).success) return undefined;
  const saidMs = Date.parse(`${second}Z`);
  // Some hours before the start one may be there already; before that it is the next day's.
  const isNext = parts[1] === undefined && saidMs < Date.parse(`${shootStartLocal}Z`) - EARLY_MS;
  const takenMs = saidMs + (isNext ? DAY_S * 1000 : 0);
  return isPictureTime(takenMs) ? Math.round((takenMs - cameraMs) / 1000) : undefined;
}

/** "0.4 stop darker than planned, 0.7 stop slower". */
export function againstInWords({ underStops, slowerStops }: AgainstPlan): string {
  const light =
    Math.abs(underStops) < 0.2
      ? 'exposed as planned'
      : `${stops(Math.abs(underStops))} ${underStops > 0 ? 'darker' : 'brighter'} than planned`;
  const time =
    Math.abs(slowerStops) < 0.2
      ? ''
      : `, ${stops(Math.abs(slowerStops))} ${slowerStops > 0 ? 'slower' : 'faster'}`;
  return light + time;
}
