import type { DayEvent, DayPosition, Debt, LeadTimes, Quota, Route } from './day';
import { timetable } from './day-bound';
import { checkDay, type DayAsked } from './day-checks';
import { jointly } from './day-joint';
import { atMostMore, mostPromises } from './day-more';
import { Pricing } from './day-prices';
import { routeOf, staysOf, visitsOf, walksOf, type Way } from './day-route';
import { remembered, States, unpromised } from './day-states';
import { Turns, type Together } from './day-turns';
import { beginningsOf, type Visit } from './day-visits';

/** Someone who shoots beside others. */
export interface DayShooter {
  readonly id: string;
  /** From when they are on the ground, and where; from the first, and anywhere, when absent. */
  readonly starts?: { readonly fromMs: number; readonly positionId?: string };
}

/** An event as several shooters see it: each with how well their own bag serves it from where. */
export interface SharedEvent extends Omit<DayEvent, 'from'> {
  readonly from: Readonly<Record<string, DayEvent['from']>>;
}

/** States that all ways at once may take: at first few, then more with better prices, before only the best of the orders is told. */
const LOOKS = [
  { rounds: 0, mostLooks: 20_000 },
  { rounds: 3, mostLooks: 300_000 },
] as const;
/** In so many steps at the most prices are bettered in a round. */
const STEPS = 80;
const TINY = 1e-10;

/**
 * The routes of most value for several shooters together: of a heat one has the picture, and visits to a window count
 * together, in the order in which they begin. First each in turn plans their best beside the others (by `planRoute`, in
 * several orders, and again while it helps); then all ways at once are swept, as far as their number allows. What can be
 * had at most is known by prices (as in `Bound`), so `atMostMore` is absent where the plan is proven the best.
 * @param shooters two or more
 * @param quickly leaves it at the first of that, as `planDay`
 * @throws RangeError for shooters, events, positions, quotas or debts that make no sense
 */
export function planTogether(
  shared: readonly SharedEvent[],
  shooters: readonly DayShooter[],
  positions: readonly DayPosition[],
  walkSpeedMs: number,
  leadTimes: LeadTimes,
  quotas: readonly Quota[] = [],
  debts: readonly Debt[] = [],
  before?: Pick<Route, 'stops' | 'prices'>,
  quickly = false,
): Route {
  if (shooters.length < 2 || new Set(shooters.map(({ id }) => id)).size < shooters.length) {
    throw new RangeError(`shooters of length ${shooters.length}: must be two or more, each once`);
  }
  const eventsOf = ({ id }: DayShooter): readonly DayEvent[] =>
    shared.map(({ from, ...event }) => ({ ...event, from: from[id] ?? [] }));
  const asked: DayAsked = {
    events: shared.map(({ from, ...event }) => ({ ...event, from: Object.values(from).flat() })),
    ...{ positions, walkSpeedMs, leadTimes, quotas, debts },
  };
  checkDay(asked);
  const walkMs = walksOf(asked);
  const visits = shooters.map((shooter): readonly Visit[] => {
    const { starts } = shooter;
    const at = positions.findIndex(({ id }) => id === starts?.positionId);
    if (starts?.positionId !== undefined && at < 0) {
      throw new RangeError(
        `shooter ${shooter.id} position ${starts.positionId}: must be one of the positions`,
      );
    }
    return visitsOf({ ...asked, events: eventsOf(shooter) }, (_event, stand) => {
      if (!starts) return stand;
      const walk = at < 0 ? 0 : ((walkMs[at] as Float64Array)[stand.place] as number);
      return { ...stand, openMs: starts.fromMs + walk, here: at === stand.place };
    });
  });
  const possible = visitsOf(asked).filter(
    ({ event, places }) => places.length > 0 && beginningsOf(event).length > 0,
  );
  const worthOf = ({ event }: Visit) => event.value * (event.window?.most ?? 1);
  const promised = 1 + possible.reduce((sum, visit) => sum + worthOf(visit), 0);
  const { digits, counted } = remembered(possible, quotas, debts, true);
  const states = new States(
    digits.filter(({ kind }) => kind !== 'once'),
    counted,
  );
  const theirs = visits.map((all) => all.filter(({ event }) => counted.has(event.id)));
  const turns = new Turns(theirs, walkMs, states, promised, quotas, debts);
  const stays = before && staysOf(before, positions);
  let best = turns.best(
    stays && shooters.map(({ id }) => stays.filter(({ shooterId }) => shooterId === id)),
    quickly,
  );

  const tables = theirs.map((all) => timetable(all, positions.length));
  const pricing = new Pricing(tables, walkMs, digits, counted, promised, before?.prices ?? {});
  const bare = unpromised(digits, counted);
  const worth = new Pricing(tables, walkMs, bare.digits, bare.counted, 0, {});
  const mostKept = mostPromises(digits, counted);
  const moreThan = (than: Together) =>
    atMostMore(than, {
      ...{ highest: pricing.lowest, promised, mostKept },
      mostValue: worth.lowest,
    });
  const allKept = () => best.kept === mostKept;
  const isProven = () => {
    const { promises, value } = moreThan(best);
    return promises <= 0 && value <= TINY;
  };
  let exact = isProven();
  for (const { rounds, mostLooks } of exact || quickly ? [] : LOOKS) {
    for (let round = 0; round < rounds; round += 1) {
      if (allKept()) worth.lower(best.value, best.value, STEPS);
      else pricing.lower(best.kept * promised + best.value, best.value, STEPS);
    }
    const floors = [
      { bounds: pricing.bounds, promised, least: best.kept * promised + best.value + TINY },
      // Where all that is promised is kept a better day is one of more worth.
      ...(allKept() ? [{ bounds: worth.bounds, promised: 0, least: best.value + TINY }] : []),
    ];
    const found = jointly(theirs, walkMs, states, promised, floors, mostLooks);
    if (found && found.length > 0) best = turns.better(best, found);
    exact = found !== undefined || isProven();
    if (exact) break;
  }
  const ways = shooters.map(({ id }, i): Way => ({
    shooterId: id,
    visits: visits[i] as readonly Visit[],
    chosen: best.chosen.filter(({ shooter }) => shooter === i),
  }));
  return {
    ...routeOf(asked, walkMs, ways),
    ...(!exact && { atMostMore: moreThan(best) }),
    prices: pricing.known,
  };
}
