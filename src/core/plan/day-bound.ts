import { bisector } from 'd3-array';
import type { Counted, Digit } from './day-states';
import { beginningsOf, bestOf, untilOf, type Stand, type Visit } from './day-visits';

/**
 * What a day can still bring from a place and a time on, at the most. All that limits how often a thing counts is lifted,
 * and paid for by a price instead (a Lagrangian relaxation: M. L. Fisher, Management Science 27, 1981, from memory): then
 * nothing needs to be remembered, and a sweep backward through the day is quick. Prices are bettered step by step, so that
 * the bound comes down.
 */

const NONE = -1;
const LATEST_FIRST = bisector<number, number>((byMs, timeMs) => timeMs - byMs);

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

  /** The same, wherever one looked before. */
  lastOf(timeMs: number): number {
    return LATEST_FIRST.right(this.byMs, timeMs) - 1;
  }
}

/** An event from one place. */
interface VisitFrom extends Stand {
  readonly visit: Visit;
}

/** All times at which anything can begin, the latest first, and at which it ends then. */
export interface Timetable {
  readonly stands: readonly VisitFrom[];
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
    const { place } = stands[stand] as VisitFrom;
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
      const { place, visit } = stands[at] as VisitFrom;
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
      case 'once':
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
  private worth({ visit, quality }: VisitFrom): number {
    const { event } = visit;
    const { debts, quota, window, once, alone } = this.counted.get(event.id) as Counted;
    const priceOf = (digit: number) => this.prices[digit] as number;
    const owed = debts.reduce((sum, debt) => sum + priceOf(debt), 0);
    if (window !== undefined) {
      const most = bestOf(visit);
      return owed + (most > 0 ? (priceOf(window) * event.value * quality) / most : 0);
    }
    const value = event.value * quality;
    const kept = owed + alone * this.promised - (once === undefined ? 0 : priceOf(once));
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
    return this.openAfter(timeMs) + this.after(this.table.endAt[place]?.get(timeMs) as number);
  }

  /** So much less of it for what a state has had. */
  less(state: number, vector: Uint8Array): number {
    return (this.byState[state] ??= vector.reduce(
      (sum, count, i) => sum + ((this.paid[i] as readonly number[])[count] as number),
      0,
    ));
  }

  /** What can still be counted after a time, whatever has been, beside what it is let go for. */
  openAfter(timeMs: number): number {
    return this.open.find(({ untilMs }) => untilMs >= timeMs)?.sum ?? 0;
  }

  /** The best that can be begun from a time on by those who are nowhere yet. */
  firstAfter(timeMs: number): number {
    return this.first(timeMs).best;
  }

  private first(timeMs: number) {
    let first = { best: 0, node: NONE };
    for (const there of this.stayed) {
      const at = there.lastOf(timeMs);
      const best = there.best[at] ?? 0;
      if (best > first.best) first = { best, node: there.node[at] as number };
    }
    return first;
  }

  /**
   * The best that can follow for one who is at a place from a time on.
   * @param nothingBeforeMs one who has let things go by need not be in place for anything before this
   */
  follow(place: number, timeMs: number, nothingBeforeMs: number): number {
    const walks = this.walkMs[place] as Float64Array;
    let best = 0;
    for (let other = 0; other < walks.length; other += 1) {
      const there = (other === place ? this.stayed : this.walked)[other] as Beginnings;
      const readyMs = Math.max(timeMs + (walks[other] as number), nothingBeforeMs);
      const at = there.lastOf(readyMs);
      if (at >= 0) best = Math.max(best, there.best[at] as number);
    }
    return best;
  }

  /** How far the chain of most worth uses what each price is of. */
  private uses(): Float64Array {
    const uses = new Float64Array(this.digits.length);
    const bump = (digit: number, by: number) => {
      uses[digit] = (uses[digit] as number) + by;
    };
    const { stands, stand, end } = this.table;
    let { node } = this.first(-Infinity);
    for (; node !== NONE; node = this.follows[end[node] as number] as number) {
      const { visit, quality } = stands[stand[node] as number] as VisitFrom;
      const { debts, quota, window, once } = this.counted.get(visit.event.id) as Counted;
      debts.forEach((debt) => bump(debt, 1));
      if (window !== undefined) bump(window, (visit.event.value * quality) / (bestOf(visit) || 1));
      if (once !== undefined) bump(once, -1);
      const of = quota === undefined ? undefined : this.digits[quota];
      if (quota !== undefined && of?.kind === 'quota') {
        const extra = visit.event.value * quality * (1 - of.quota.beyondShare);
        if (extra > (this.prices[quota] as number)) bump(quota, -1);
      }
    }
    return uses;
  }

  /**
   * What the whole day can come to, and which way each price should go for it to be less.
   * @param bounds one for each shooter, at the same prices
   */
  static whole(bounds: readonly Bound[]): {
    readonly most: number;
    readonly slopes: Float64Array;
  } {
    const [first] = bounds as readonly [Bound];
    const slopes = Float64Array.from(first.digits, (digit, i) => {
      if (digit.kind === 'debt') return -1;
      if (digit.kind === 'quota' || digit.kind === 'once') return digit.most;
      return -digit.brings.filter((one) => one > (first.prices[i] as number)).length;
    });
    let most = first.openAfter(-Infinity);
    for (const bound of bounds) {
      most += bound.firstAfter(-Infinity);
      bound.uses().forEach((by, i) => (slopes[i] = (slopes[i] as number) + by));
    }
    return { most, slopes };
  }
}
