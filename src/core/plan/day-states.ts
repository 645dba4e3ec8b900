import { within } from '../check';
import type { DayEvent, EventWindow, Quota } from './day';

/**
 * What a route through a day must remember besides where and when it stands: how far each quota is filled, and how often
 * each window that is still open was visited. A state is a whole number in a mixed radix.
 */

/** More are not kept: a day must be planned at once. */
export const MOST_STATES = 4096;

/** What one more visit to an event does. */
export interface OneMore {
  /** The state after it. */
  readonly after: (state: number) => number;
  /** What share of the event's value it brings; nothing where one may not come again. */
  readonly share: (state: number) => number | undefined;
  /** Whether nothing was had of the event before, as far as it is remembered. */
  readonly isFirst: (state: number) => boolean;
}

export interface States {
  readonly count: number;
  /** How often a window is visited at the most, where fewer times than asked can be kept in mind. */
  readonly mostVisits?: number;
  readonly oneMore: (event: DayEvent) => OneMore;
  /** Windows opened by a time: states are alike only within one such span. */
  readonly spanAt: (timeMs: number) => number;
  /** What each state of a span is in a later one, where other windows stand in the place of closed ones. */
  readonly carried: (fromSpan: number, toSpan: number) => Int32Array;
}

interface Digit {
  readonly place: number;
  readonly radix: number;
}

const digitAt = (state: number, { place, radix }: Digit): number =>
  Math.floor(state / place) % radix;

/** Windows that are never open together share one digit; each is told which, and the span in which it opens. */
function shareDigits(windows: readonly DayEvent[], firstPlace: number, mostVisits: number) {
  const rows: { endMs: number; most: number; readonly ids: string[] }[] = [];
  for (const { id, startMs, endMs, window } of windows) {
    const most = Math.min(mostVisits, window?.most ?? 0);
    const free = rows.find((row) => row.endMs <= startMs);
    if (free) {
      free.endMs = endMs;
      free.most = Math.max(free.most, most);
      free.ids.push(id);
    } else rows.push({ endMs, most, ids: [id] });
  }
  const digits = new Map<string, Digit>();
  let place = firstPlace;
  for (const { most, ids } of rows) {
    const digit = { place, radix: most + 1 };
    ids.forEach((id) => digits.set(id, digit));
    place *= digit.radix;
  }
  return { digits, count: place };
}

const ALWAYS: OneMore = { after: (state) => state, share: () => 1, isFirst: () => true };

/**
 * Where too many windows are open at once for three visits to each, fewer are kept in mind.
 * @throws RangeError where quotas can be filled in more than 4096 ways, or even one visit to each is too much to keep in
 *   mind: twelve windows open at once
 */
export function statesOf(events: readonly DayEvent[], quotas: readonly Quota[]): States {
  const quotaDigits: Digit[] = [];
  let filled = 1;
  for (const { need } of quotas) {
    quotaDigits.push({ place: filled, radix: need + 1 });
    filled *= need + 1;
    within('ways to fill the quotas', filled, 1, MOST_STATES);
  }
  const windows = events
    .filter(({ window }) => window)
    .sort((a, b) => a.startMs - b.startMs || a.endMs - b.endMs);
  const most = Math.max(1, ...windows.map(({ window }) => window?.most ?? 1));
  const shared = [3, 2, 1]
    .filter((visits) => visits <= most)
    .map((visits) => ({ visits, ...shareDigits(windows, filled, visits) }));
  const kept = shared.find(({ count }) => count <= MOST_STATES) ?? shared.at(-1);
  const { digits, count, visits } = kept as (typeof shared)[number];
  within('ways to visit the windows that are open at once', count, 1, MOST_STATES);
  const maps = new Map<number, Int32Array>();
  const visitTo = (digit: Digit, window: EventWindow): OneMore => ({
    after: (state) => (digitAt(state, digit) < digit.radix - 1 ? state + digit.place : state),
    share: (state) => {
      const before = digitAt(state, digit);
      return before < Math.min(visits, window.most) ? window.againShare ** before : undefined;
    },
    isFirst: (state) => digitAt(state, digit) === 0,
  });
  const countedBy = (digit: Digit, { need, beyondShare }: Quota): OneMore => ({
    after: (state) => (digitAt(state, digit) < need ? state + digit.place : state),
    share: (state) => (digitAt(state, digit) < need ? 1 : beyondShare),
    isFirst: () => true,
  });
  return {
    count,
    ...(visits < most && { mostVisits: visits }),
    oneMore: ({ id, window, group }) => {
      if (window) return visitTo(digits.get(id) as Digit, window);
      const q = quotas.findIndex((quota) => quota.group === group);
      return q < 0 ? ALWAYS : countedBy(quotaDigits[q] as Digit, quotas[q] as Quota);
    },
    spanAt: (timeMs) => {
      const later = windows.findIndex(({ startMs }) => startMs > timeMs);
      return later < 0 ? windows.length : later;
    },
    carried: (fromSpan, toSpan) => {
      const key = fromSpan * (windows.length + 1) + toSpan;
      const known = maps.get(key);
      if (known) return known;
      const begun = windows.slice(fromSpan, toSpan).map(({ id }) => digits.get(id) as Digit);
      const map = Int32Array.from({ length: count }, (_, state) =>
        begun.reduce((left, digit) => left - digitAt(left, digit) * digit.place, state),
      );
      maps.set(key, map);
      return map;
    },
  };
}
