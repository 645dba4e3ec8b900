import type { DayEvent } from './day';

/** Events as they may be taken: when, and from which places. */

/** An event that may be taken, when one must be in place, and the places it may be had from. */
export interface Visit {
  readonly event: DayEvent;
  readonly readyByMs: number;
  /** When one who is there already must be free: the same, or the start itself. */
  readonly stayByMs: number;
  readonly places: readonly Stand[];
}

/** A place an event may be had from, and how well. */
export interface Stand {
  readonly place: number;
  readonly quality: number;
  /** One can't be there any sooner; when absent, one is wherever one will before the day begins. */
  readonly openMs?: number;
  /** One begins there, and need not walk. */
  readonly here?: boolean;
}

/** A visit from one place, from when until when. */
export interface Stay {
  readonly visit: Visit;
  readonly place: number;
  readonly fromMs: number;
  readonly untilMs: number;
}

export interface Chosen extends Stay {
  readonly value: number;
}

/** When one must be in place for a stay: for a window when one comes, for a moment by its call. */
export const readyFor = ({ visit, fromMs }: Stay, stays: boolean): number =>
  visit.event.window ? fromMs : stays ? visit.stayByMs : visit.readyByMs;

/** Time from the end of one stay to when one must be in place for another; negative if too late. */
export const gapAfter = (before: Stay, after: Stay): number =>
  readyFor(after, before.place === after.place) - before.untilMs;

/** Visits to windows begin on whole minutes. */
export const MINUTE_MS = 60_000;

/** Each time that a visit may begin: its own, or any whole minute of its window that leaves room for one. */
export function beginningsOf({ startMs, endMs, window }: DayEvent): readonly number[] {
  if (!window) return [startMs];
  const firstMs = Math.ceil(startMs / MINUTE_MS) * MINUTE_MS;
  const count = Math.floor((endMs - window.visitMs - firstMs) / MINUTE_MS) + 1;
  return Array.from({ length: Math.max(0, count) }, (_, i) => firstMs + i * MINUTE_MS);
}

/** Until when a visit that begins then lasts. */
export const untilOf = ({ endMs, window }: DayEvent, fromMs: number): number =>
  window ? fromMs + window.visitMs : endMs;

/** When one can begin an event for the last time. */
export const lastBeginMs = ({ event }: Visit): number => beginningsOf(event).at(-1) ?? -Infinity;

/** Whether the day can begin with it: one is there in time. Who has shot something before is there already. */
export const canBegin = (visit: Visit, { place, openMs, here = false }: Stand, fromMs: number) =>
  openMs === undefined ||
  readyFor({ visit, place, fromMs, untilMs: untilOf(visit.event, fromMs) }, here) >= openMs;

/** What an event brings from the best of its places. */
export const bestOf = ({ event, places }: Visit): number =>
  event.value * Math.max(0, ...places.map(({ quality }) => quality));
