import type { Debt, Quota } from './day';
import { timetable, type Bound } from './day-bound';
import { atMostMore, mostPromises, type AtMostMore } from './day-more';
import { Pricing } from './day-prices';
import { remembered, States } from './day-states';
import { momentsOf, Sweep, swept, type Chain } from './day-sweep';
import { beginningsOf, canBegin, gapAfter, untilOf, type Chosen, type Visit } from './day-visits';

/** A first look that is quick, then all that may be better, and where that is too much, the most promising of it. */
const LOOKS = [
  { most: 2, looks: Infinity },
  { most: Infinity, looks: 300_000 },
  { most: Infinity, looks: 1_500_000 },
  { most: 24, looks: 3_000_000 },
] as const;
/** A plan of before that comes to this share of what can be at most is as good as a first look. */
const NEAR = 0.9;
/** What is lost to rounding. */
const TINY = 1e-10;

/** The best chain of stays that was found. */
export interface Planned extends Chain {
  /** How much more a better one might come to; absent where there is none. */
  readonly atMostMore?: AtMostMore;
  /** Prices found on the way: a plan of nearly the same day is quicker with them. */
  readonly prices: Readonly<Record<string, number>>;
}

/** What is known from a plan of nearly the same day. */
export interface Before {
  readonly stays: readonly {
    readonly eventId: string;
    readonly place: number;
    readonly fromMs: number;
  }[];
  readonly prices: Readonly<Record<string, number>>;
}

/** What of a plan before can still be walked, and what it comes to now. */
export function stillWalked(
  { stays }: Pick<Before, 'stays'>,
  visits: readonly Visit[],
  {
    walkMs,
    states,
    promised,
  }: { walkMs: readonly Float64Array[]; states: States; promised: number },
): Chain {
  const byId = new Map(visits.map((visit) => [visit.event.id, visit]));
  const chosen: Chosen[] = [];
  let state = 0;
  let score = 0;
  for (const { eventId, place, fromMs: began } of stays) {
    const visit = byId.get(eventId);
    const stand = visit?.places.find((entry) => entry.place === place);
    if (!visit || !stand) continue;
    const { event } = visit;
    const fromMs = event.window ? began : event.startMs;
    if (!beginningsOf(event).includes(fromMs)) continue;
    const stay = { visit, place, fromMs, untilMs: untilOf(event, fromMs) };
    const before = chosen.at(-1);
    if (before) {
      const needMs = (walkMs[before.place] as Float64Array)[place] as number;
      if (before.fromMs > fromMs || gapAfter(before, stay) < needMs) continue;
    } else if (!canBegin(visit, stand, fromMs)) continue;
    const { after, share, keeps } = states.oneMore(event);
    const part = share(state);
    if (part === undefined) continue;
    const value = event.value * stand.quality * part;
    score += value + keeps(state) * promised;
    chosen.push({ ...stay, value });
    state = after(state);
  }
  return { chosen, score };
}

const valueOf = ({ chosen }: Chain): number => chosen.reduce((sum, { value }) => sum + value, 0);

/**
 * The best chain of visits. A sweep through time: when a visit can begin, the best routes to each of its places
 * are those whose last stay has ended in time to walk over; when it ends, its own routes join those of its place. What
 * is bettered at a place is told to the others once, as soon as one could have walked there. A first sweep follows few
 * states; what by the bound can't come to more than it found is not followed in the next, which follows more.
 *
 * Exact among plans whose visits to windows begin on whole minutes of the clock (one that fits between two minutes alone
 * is not found), unless `atMostMore` says by how much a better one could be.
 * @param quickly takes the first look for the best
 */
export function planRoute(
  visits: readonly Visit[],
  walkMs: readonly Float64Array[],
  quotas: readonly Quota[],
  debts: readonly Debt[],
  before?: Before,
  quickly = false,
): Planned {
  const possible = visits.filter(
    ({ event, places }) => places.length > 0 && beginningsOf(event).length > 0,
  );
  const promised =
    1 + possible.reduce((sum, { event }) => sum + event.value * (event.window?.most ?? 1), 0);
  const { digits, counted } = remembered(possible, quotas, debts);
  const states = new States(digits, counted);
  const moments = momentsOf(possible);
  const times = timetable(possible, walkMs.length);
  const pricing = new Pricing([times], walkMs, digits, counted, promised, before?.prices ?? {});
  let best: Chain = before
    ? stillWalked(before, possible, { walkMs, states, promised })
    : { chosen: [], score: 0 };
  const near = best.score > NEAR * pricing.lowest;
  const looks = quickly ? LOOKS.slice(0, 1) : near ? LOOKS.slice(1) : LOOKS;
  for (const look of looks) {
    const floor = best.score > 0 ? best.score + TINY : -Infinity;
    const [bound] = pricing.bounds as readonly [Bound];
    const sweep = new Sweep(walkMs, states, promised, bound, { ...look, floor });
    const found = swept(sweep, moments, walkMs.length).best();
    if (found.score > best.score) best = found;
    if (!sweep.trimmed || pricing.lowest <= best.score + TINY) {
      return { ...best, prices: pricing.known };
    }
    if (!quickly) pricing.lower(best.score, valueOf(best));
  }
  const value = valueOf(best);
  const more = atMostMore(
    { kept: Math.round((best.score - value) / promised), value },
    {
      ...{ highest: pricing.lowest, promised },
      mostKept: mostPromises(digits, counted),
      mostValue: promised - 1,
    },
  );
  return { ...best, prices: pricing.known, atMostMore: more };
}
