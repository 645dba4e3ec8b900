import type { Counted, Digit } from './day-states';
import { beginningsOf, bestOf, untilOf, type Visit } from './day-visits';

/**
 * What a day can still bring from a place and a time on, at the most. All that limits how often a thing counts is lifted,
 * and paid for by a price instead (a Lagrangian relaxation: M. L. Fisher, Management Science 27, 1981, from memory): then
 * nothing needs to be remembered, and a sweep backward through the day is quick. Prices are bettered step by step, so that
 * the bound comes down.
 */

const NONE = -1;

/** What can be begun at a place by those in time for it: latest first. */
class Beginnings {
  private readonly byMs: number[] = [];
  /** The best of each and all later ones, and its node. */
  readonly best: number[] = [];
  readonly node: number[] = [];

  add(byMs: number, node: number, value: number): void {
    let at = this.byMs.length;
    while (at > 0 && (this.byMs[at - 1] as number) < byMs) at -= 1;
    this.byMs.splice(at, 0, byMs);
    this.best.splice(at, 0, value);
    this.node.splice(at, 0, node);
    for (let i = Math.max(1, at); i < this.byMs.length; i += 1) {
      const later = this.best[i - 1] as number;
      if (later >= (this.best[i] as number)) {
        this.best[i] = later;
        this.node[i] = this.node[i - 1] as number;
      } else if (i > at) break;
    }
  }

  /** Where the last stands that is begun at a time or later; −1 for none. @param near where to look first */
  last(timeMs: number, near: number): number {
    let at = Math.min(near, this.byMs.length - 1);
    while (at + 1 < this.byMs.length && (this.byMs[at + 1] as number) >= timeMs) at += 1;
    while (at >= 0 && (this.byMs[at] as number) < timeMs) at -= 1;
    return at;
  }
}

/** An event from one place. */
interface Stand {
  readonly visit: Visit;
  readonly place: number;
  readonly quality: number;
}

/** All times at which anything can begin, the latest first, and at which it ends then. */
export interface Timetable {
  readonly stands: readonly Stand[];
  /** By beginning: which stand, and which of the ends. */
  readonly stand: Int32Array;
  readonly end: Int32Array;
  readonly fromMs: Float64Array;
  readonly ends: readonly { readonly place: number; readonly timeMs: number }[];
  /** By place and time. */
  readonly endAt: readonly ReadonlyMap<number, number>[];
}

export function timetable(visits: readonly Visit[], places: number): Timetable {
  const stands = visits.flatMap((visit) => visit.places.map((at) => ({ visit, ...at })));
  const ends: { place: number; timeMs: number }[] = [];
  const endAt = Array.from({ length: places }, () => new Map<number, number>());
  const all = stands
    .flatMap(({ visit: { event } }, stand) =>
      beginningsOf(event).map((fromMs) => ({ stand, fromMs, untilMs: untilOf(event, fromMs) })),
    )
    .sort((a, b) => b.fromMs - a.fromMs);
  const endOf = ({ stand, untilMs: timeMs }: (typeof all)[number]): number => {
    const { place } = stands[stand] as Stand;
    const there = endAt[place] as Map<number, number>;
    const known = there.get(timeMs);
    if (known !== undefined) return known;
    there.set(timeMs, ends.length);
    return ends.push({ place, timeMs }) - 1;
  };
  return {
    ...{ stands, ends, endAt },
    stand: Int32Array.from(all, ({ stand }) => stand),
    end: Int32Array.from(all, endOf),
    fromMs: Float64Array.from(all, ({ fromMs }) => fromMs),
  };
}

/** What counting once more is let go for: by digit. */
export type Prices = Float64Array;

export class Bound {
  private readonly walked: readonly Beginnings[];
  private readonly stayed: readonly Beginnings[];
  /** By end: the best that can follow, and the beginning it starts with. */
  private readonly best: Float64Array;
  private readonly follows: Int32Array;
  /** Where each place last looked at each other. */
  private readonly near: readonly Int32Array[];
  private readonly paid: readonly (readonly number[])[];
  private readonly open: readonly { readonly untilMs: number; readonly sum: number }[];
  private readonly byState: number[] = [];

  constructor(
    private readonly table: Timetable,
    private readonly walkMs: readonly Float64Array[],
    private readonly digits: readonly Digit[],
    private readonly counted: ReadonlyMap<string, Counted>,
    private readonly promised: number,
    private readonly prices: Prices,
  ) {
    this.walked = walkMs.map(() => new Beginnings());
    this.stayed = walkMs.map(() => new Beginnings());
    const { stands, stand, end, fromMs, ends } = table;
    this.best = new Float64Array(ends.length).fill(Number.NaN);
    this.follows = new Int32Array(ends.length).fill(NONE);
    this.near = walkMs.map(() => new Int32Array(walkMs.length).fill(NONE));
    this.paid = digits.map((digit, i) =>
      Array.from({ length: digit.most + 1 }, (_, count) => this.left(i, 0) - this.left(i, count)),
    );
    this.open = digits
      .map(({ untilMs }, i) => ({ untilMs, sum: this.left(i, 0) }))
      .sort((a, b) => b.untilMs - a.untilMs)
      .reduce<{ untilMs: number; sum: number }[]>(
        (sums, { untilMs, sum }) => [...sums, { untilMs, sum: (sums.at(-1)?.sum ?? 0) + sum }],
        [],
      )
      .reverse();
    const worth = stands.map((one) => this.worth(one));
    for (let node = 0; node < stand.length; node += 1) {
      const at = stand[node] as number;
      const { place, visit } = stands[at] as Stand;
      const value = (worth[at] as number) + this.after(end[node] as number);
      const begins = fromMs[node] as number;
      const goesOn = visit.event.window !== undefined;
      (this.walked[place] as Beginnings).add(goesOn ? begins : visit.readyByMs, node, value);
      (this.stayed[place] as Beginnings).add(goesOn ? begins : visit.stayByMs, node, value);
    }
  }

  /** What a count can still bring beside its price. */
  private left(digit: number, count: number): number {
    const of = this.digits[digit] as Digit;
    const price = this.prices[digit] as number;
    switch (of.kind) {
      case 'debt':
        return count > 0 ? 0 : of.promises * this.promised - price;
      case 'quota':
        return price * (of.most - count);
      case 'window':
        return of.brings
          .slice(count)
          .reduce(
            (sum, one) => sum + Math.max(0, one - price),
            count > 0 ? 0 : of.promises * this.promised,
          );
    }
  }

  /** What a beginning is worth with the prices as they are. */
  private worth({ visit, quality }: Stand): number {
    const { event } = visit;
    const { debts, quota, window, alone } = this.counted.get(event.id) as Counted;
    const priceOf = (digit: number) => this.prices[digit] as number;
    const owed = debts.reduce((sum, debt) => sum + priceOf(debt), 0);
    if (window !== undefined) {
      const most = bestOf(visit);
      return owed + (most > 0 ? (priceOf(window) * event.value * quality) / most : 0);
    }
    const value = event.value * quality;
    const kept = owed + alone * this.promised;
    const of = quota === undefined ? undefined : this.digits[quota];
    if (quota === undefined || of?.kind !== 'quota') return kept + value;
    const { beyondShare } = of.quota;
    return kept + value * beyondShare + Math.max(0, value * (1 - beyondShare) - priceOf(quota));
  }

  /** The best that can follow on an end. */
  private after(end: number): number {
    const known = this.best[end] as number;
    if (!Number.isNaN(known)) return known;
    const { place, timeMs } = this.table.ends[end] as Timetable['ends'][number];
    const walks = this.walkMs[place] as Float64Array;
    const near = this.near[place] as Int32Array;
    let best = 0;
    let node = NONE;
    for (let other = 0; other < walks.length; other += 1) {
      const there = (other === place ? this.stayed : this.walked)[other] as Beginnings;
      if (there.best.length === 0) continue;
      const at = there.last(timeMs + (walks[other] as number), near[other] as number);
      near[other] = at;
      if (at >= 0 && (there.best[at] as number) > best) {
        best = there.best[at] as number;
        node = there.node[at] as number;
      }
    }
    this.best[end] = best;
    this.follows[end] = node;
    return best;
  }

  /** What can still come from the end of a stay on, whatever is had, at the most. */
  toGo(place: number, timeMs: number): number {
    const at = this.open.findIndex(({ untilMs }) => untilMs >= timeMs);
    const open = at < 0 ? 0 : (this.open[at] as { sum: number }).sum;
    return open + this.after(this.table.endAt[place]?.get(timeMs) as number);
  }

  /** So much less of it for what a state has had. */
  less(state: number, vector: Uint8Array): number {
    return (this.byState[state] ??= vector.reduce(
      (sum, count, i) => sum + ((this.paid[i] as readonly number[])[count] as number),
      0,
    ));
  }

  /** What the whole day can come to, and which way each price should go for it to be less. */
  whole(): { readonly most: number; readonly slopes: Float64Array } {
    let first = { best: 0, node: NONE };
    for (const there of this.stayed) {
      const last = there.best.length - 1;
      const best = there.best[last] ?? 0;
      if (best > first.best) first = { best, node: there.node[last] as number };
    }
    const slopes = Float64Array.from(this.digits, (digit, i) => {
      if (digit.kind === 'debt') return -1;
      if (digit.kind === 'quota') return digit.most;
      return -digit.brings.filter((one) => one > (this.prices[i] as number)).length;
    });
    const bump = (digit: number, by: number) => {
      slopes[digit] = (slopes[digit] as number) + by;
    };
    const { stands, stand, end } = this.table;
    for (let { node } = first; node !== NONE; node = this.follows[end[node] as number] as number) {
      const { visit, quality } = stands[stand[node] as number] as Stand;
      const { debts, quota, window } = this.counted.get(visit.event.id) as Counted;
      debts.forEach((debt) => bump(debt, 1));
      if (window !== undefined) bump(window, (visit.event.value * quality) / (bestOf(visit) || 1));
      const of = quota === undefined ? undefined : this.digits[quota];
      if (quota !== undefined && of?.kind === 'quota') {
        const extra = visit.event.value * quality * (1 - of.quota.beyondShare);
        if (extra > (this.prices[quota] as number)) bump(quota, -1);
      }
    }
    const open = this.open[0]?.sum ?? 0;
    return { most: open + first.best, slopes };
  }
}
