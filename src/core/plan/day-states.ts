import { group } from 'd3-array';
import type { DayEvent, Debt, Quota } from './day';
import { bestOf, lastBeginMs, type Visit } from './day-visits';

/**
 * What a route through a day must remember besides where and when it stands: how far each quota is filled, how often each
 * window was visited, whom one has pictures of already. A thing is remembered until it can matter no more. States that are
 * reached are numbered as they are met; 0 is that in which nothing is had yet.
 */

/** One thing remembered: a count up to `most`, until it can matter no more. */
export type Digit = {
  /** Of what: alike from one plan of a day to the next. */
  readonly key: string;
  readonly most: number;
  readonly untilMs: number;
} & (
  | { readonly kind: 'debt'; readonly promises: number }
  /** What each visit brings at the best place; the first also keeps promises. */
  | { readonly kind: 'window'; readonly brings: readonly number[]; readonly promises: number }
  /** What each event of the group brings more, at the most, before the quota is full. */
  | { readonly kind: 'quota'; readonly extra: number; readonly quota: Quota }
  /** Of several shooters one at the most has it; what it is worth to them at the best place. */
  | { readonly kind: 'once'; readonly brings: number; readonly promises: number }
);

/** What an event does to what is remembered. */
export interface Counted {
  readonly window?: number;
  readonly quota?: number;
  readonly once?: number;
  readonly debts: readonly number[];
  /** Promises that this event alone keeps. */
  readonly alone: number;
}

/** Debts that the same events meet are one; each with how many they are. */
function alike(debts: readonly Debt[], visits: ReadonlyMap<string, Visit>) {
  const met = debts.map(({ events }) => [...new Set(events)].filter((id) => visits.has(id)).sort());
  return [...group(met, (events) => JSON.stringify(events)).values()].flatMap((same) => {
    const [events = []] = same;
    return events.length > 0 ? [{ events, count: same.length }] : [];
  });
}

/**
 * What is to be remembered of a day, and what each event does to it.
 * @param shared whether several shooters share the events: then a heat taken by one is closed to the others. It is last of
 *   all, and no state needs it: shooters choose in the order in which things begin.
 */
export function remembered(
  visits: readonly Visit[],
  quotas: readonly Quota[],
  debts: readonly Debt[],
  shared = false,
): { readonly digits: readonly Digit[]; readonly counted: ReadonlyMap<string, Counted> } {
  const digits: Digit[] = [];
  const add = (digit: Digit): number => digits.push(digit) - 1;
  const byId = new Map(visits.map((visit) => [visit.event.id, visit]));
  const alone = new Map(visits.map(({ event }) => [event.id, event.mustHave ? 1 : 0]));
  const owed = new Map<string, number[]>();
  for (const { events, count } of alike(debts, byId)) {
    const [only, ...more] = events;
    if (only !== undefined && more.length === 0) alone.set(only, (alone.get(only) ?? 0) + count);
    else {
      const untilMs = Math.max(...events.map((id) => lastBeginMs(byId.get(id) as Visit)));
      const digit = add({
        key: `debt ${events.join(' ')}`,
        kind: 'debt',
        most: 1,
        untilMs,
        promises: count,
      });
      events.forEach((id) => owed.set(id, [...(owed.get(id) ?? []), digit]));
    }
  }
  const quotaOf = new Map<string, number>();
  for (const quota of quotas) {
    const giving = visits.filter(({ event }) => event.group === quota.group);
    if (giving.length === 0) continue;
    const untilMs = Math.max(...giving.map(lastBeginMs));
    const extra = (1 - quota.beyondShare) * Math.max(...giving.map(bestOf));
    const key = `quota ${quota.group}`;
    quotaOf.set(quota.group, add({ key, kind: 'quota', most: quota.need, untilMs, extra, quota }));
  }
  const counted = new Map<string, Counted>();
  for (const visit of visits) {
    const { id, window, group: named } = visit.event;
    const promises = alone.get(id) ?? 0;
    const quota = named === undefined ? undefined : quotaOf.get(named);
    counted.set(id, {
      debts: owed.get(id) ?? [],
      alone: promises,
      ...(quota !== undefined && { quota }),
      ...(window && {
        window: add({
          ...{ key: `window ${id}`, kind: 'window', most: window.most },
          ...{ untilMs: lastBeginMs(visit), promises },
          brings: Array.from(
            { length: window.most },
            (_, i) => bestOf(visit) * window.againShare ** i,
          ),
        }),
      }),
    });
  }
  if (shared) {
    for (const visit of visits) {
      const { id, window } = visit.event;
      const known = counted.get(id) as Counted;
      if (window) continue;
      const once = add({
        ...{ key: `once ${id}`, kind: 'once', most: 1, untilMs: visit.event.startMs },
        ...{ brings: bestOf(visit), promises: known.alone },
      });
      counted.set(id, { ...known, once });
    }
  }
  return { digits, counted };
}

/** The same with nothing promised: only what things are worth. */
export const unpromised = (
  digits: readonly Digit[],
  counted: ReadonlyMap<string, Counted>,
): { readonly digits: readonly Digit[]; readonly counted: ReadonlyMap<string, Counted> } => ({
  digits: digits.map((digit) => ('promises' in digit ? { ...digit, promises: 0 } : digit)),
  counted: new Map([...counted].map(([id, entry]) => [id, { ...entry, alone: 0 }])),
});

/** What one more visit to an event does. */
export interface OneMore {
  /** The state after it. */
  readonly after: (state: number) => number;
  /** What share of the event's value it brings; nothing where one may not come again. */
  readonly share: (state: number) => number | undefined;
  /** How many promises are kept by it. */
  readonly keeps: (state: number) => number;
}

/** The states of a day. */
export class States {
  private readonly known = new Map<string, number>();
  private readonly vectors: Uint8Array[] = [];
  private readonly closings: readonly number[];
  private readonly carriedTo: number[][];
  private readonly more = new Map<string, OneMore>();

  constructor(
    readonly digits: readonly Digit[],
    private readonly counted: ReadonlyMap<string, Counted>,
  ) {
    this.closings = [...new Set(digits.map(({ untilMs }) => untilMs))].sort((a, b) => a - b);
    this.carriedTo = Array.from({ length: this.closings.length + 1 }, () => []);
    this.numberOf(new Uint8Array(digits.length));
  }

  private numberOf(vector: Uint8Array): number {
    const key = String.fromCharCode(...vector);
    const known = this.known.get(key);
    if (known !== undefined) return known;
    const state = this.vectors.push(vector) - 1;
    this.known.set(key, state);
    return state;
  }

  /** How far each digit has come in a state. */
  vector(state: number): Uint8Array {
    return this.vectors[state] as Uint8Array;
  }

  oneMore(event: DayEvent): OneMore {
    const known = this.more.get(event.id);
    if (known) return known;
    const more = this.toldOf(event);
    this.more.set(event.id, more);
    return more;
  }

  private toldOf({ id, window }: DayEvent): OneMore {
    const counted = this.counted.get(id) as Counted;
    const { debts, quota: quotaDigit, window: windowDigit, alone } = counted;
    const bumped = [windowDigit, quotaDigit, ...debts].filter((digit) => digit !== undefined);
    const quota = quotaDigit === undefined ? undefined : this.digits[quotaDigit];
    const afters: number[] = [];
    const after = (state: number): number => {
      const vector = this.vector(state).slice();
      for (const digit of bumped) {
        const { most } = this.digits[digit] as Digit;
        vector[digit] = Math.min(most, (vector[digit] as number) + 1);
      }
      return this.numberOf(vector);
    };
    return {
      after: bumped.length === 0 ? (state) => state : (state) => (afters[state] ??= after(state)),
      share: (state) => {
        if (window && windowDigit !== undefined) {
          const before = this.vector(state)[windowDigit] as number;
          return before < window.most ? window.againShare ** before : undefined;
        }
        if (quota?.kind !== 'quota' || quotaDigit === undefined) return 1;
        const full = (this.vector(state)[quotaDigit] as number) >= quota.most;
        return full ? quota.quota.beyondShare : 1;
      },
      keeps: (state) => {
        const vector = this.vector(state);
        const first = windowDigit === undefined || vector[windowDigit] === 0;
        let kept = first ? alone : 0;
        for (const debt of debts) {
          const digit = this.digits[debt] as Digit;
          if (vector[debt] === 0 && digit.kind === 'debt') kept += digit.promises;
        }
        return kept;
      },
    };
  }

  /** States are alike only within one span of time: from one to the next something is forgotten. */
  spanAt(timeMs: number): number {
    const later = this.closings.findIndex((untilMs) => untilMs >= timeMs);
    return later < 0 ? this.closings.length : later;
  }

  /** What a state of an earlier span is in this one. */
  carried(state: number, span: number): number {
    const known = this.carriedTo[span] as number[];
    return (known[state] ??= this.forgotten(state, span));
  }

  private forgotten(state: number, span: number): number {
    const fromMs = this.closings[span - 1] ?? -Infinity;
    const vector = this.vector(state);
    const isOver = (i: number) => (this.digits[i] as Digit).untilMs <= fromMs;
    return vector.some((count, i) => count > 0 && isOver(i))
      ? this.numberOf(vector.map((count, i) => (isOver(i) ? 0 : count)))
      : state;
  }
}
