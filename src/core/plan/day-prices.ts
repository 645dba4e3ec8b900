import { Bound, type Prices, type Timetable } from './day-bound';
import type { Counted, Digit } from './day-states';

/** Prices by which the bound of a day comes down. */

/** So often they are bettered at a time; the more beginnings there are, the less often. */
const STEPS = { most: 16, least: 5, work: 100_000 };
/** A bound this near to what is had, as a share of its value, is near enough to look again. */
const NEAR_SHARE = 0.01;
/** After so many steps that lower nothing the next are half as long. */
const PATIENCE = 2;

/** A price is at most what counting once more brings. */
function capOf(digit: Digit, promised: number): number {
  switch (digit.kind) {
    case 'debt':
      return digit.promises * promised;
    case 'once':
      return digit.brings + digit.promises * promised;
    case 'window':
      return digit.brings[0] ?? 0;
    case 'quota':
      return digit.extra;
  }
}

/** A price to begin with. No source. */
function firstPrice(digit: Digit): number {
  switch (digit.kind) {
    case 'debt':
      return 0;
    case 'once':
      return digit.brings / 2;
    case 'window':
      return digit.brings[1] ?? digit.brings[0] ?? 0;
    case 'quota':
      return digit.extra / 2;
  }
}

export class Pricing {
  /** A bound for each shooter. */
  bounds: readonly Bound[];
  /** What no plan can come to more than, with its promises. */
  lowest: number;
  private prices: Prices;
  private length = 1;

  constructor(
    /** A timetable for each shooter. */
    private readonly tables: readonly Timetable[],
    private readonly walkMs: readonly Float64Array[],
    private readonly digits: readonly Digit[],
    private readonly counted: ReadonlyMap<string, Counted>,
    private readonly promised: number,
    /** Prices of a plan before, by what they are of. */
    known: Readonly<Record<string, number>>,
  ) {
    this.prices = Float64Array.from(digits, (digit) =>
      Math.min(capOf(digit, promised), known[digit.key] ?? firstPrice(digit)),
    );
    this.bounds = this.at(this.prices);
    this.lowest = Bound.whole(this.bounds).most;
  }

  /** Prices by what they are of. */
  get known(): Readonly<Record<string, number>> {
    return Object.fromEntries(this.digits.map(({ key }, i) => [key, this.prices[i] as number]));
  }

  private at(prices: Prices): readonly Bound[] {
    const { tables, walkMs, digits, counted, promised } = this;
    return tables.map((table) => new Bound(table, walkMs, digits, counted, promised, prices));
  }

  /** Lowers the bound towards what is had: steps of B. T. Polyak along the slope, as in Held and Karp; from memory. */
  lower(score: number, value: number, mostSteps: number = STEPS.most): void {
    const work = this.tables.reduce((sum, { stand }) => sum + stand.length, 0);
    const steps = Math.max(STEPS.least, Math.min(mostSteps, STEPS.work / work));
    let { prices, bounds } = this;
    let waited = 0;
    for (let i = 0; i < steps && this.lowest > score + NEAR_SHARE * value; i += 1) {
      const { most, slopes } = Bound.whole(bounds);
      const steep = slopes.reduce((sum, slope) => sum + slope ** 2, 0);
      if (steep === 0) return;
      const step = (this.length * (most - score)) / steep;
      prices = prices.map((price, d) =>
        Math.min(
          capOf(this.digits[d] as Digit, this.promised),
          Math.max(0, price - step * (slopes[d] as number)),
        ),
      );
      bounds = this.at(prices);
      const { most: now } = Bound.whole(bounds);
      if (now < this.lowest) {
        Object.assign(this, { bounds, prices, lowest: now });
        waited = 0;
      } else if ((waited += 1) >= PATIENCE) {
        this.length /= 2;
        waited = 0;
        ({ prices, bounds } = this);
      }
    }
  }
}
