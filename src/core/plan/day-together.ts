import type { DayEvent, DayPosition, Debt, LeadTimes, Quota, Route } from './day';
import { timetable } from './day-bound';
import { checkDay, type DayAsked } from './day-checks';
import { inOrder, jointly, type JointChosen, type JointStay } from './day-joint';
import { Pricing } from './day-prices';
import { routeOf, visitsOf, walksOf, type Way } from './day-route';
import { planRoute } from './day-solver';
import { remembered, States } from './day-states';
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

/** So often each plans anew around the others, while it helps. */
const MOST_ROUNDS = 4;
/** States that all ways at once may take, before only the best of the orders is told. */
const MOST_LOOKS = 6_000_000;
const STEPS = 80;
const TINY = 1e-10;

/** Orders of who chooses first: each of them, the others following either way round. All there are, of two or three. */
const orders = (shooters: number): readonly (readonly number[])[] => {
  const all = Array.from({ length: shooters }, (_, i) => i);
  const turned = all.map((first) => [...all.slice(first), ...all.slice(0, first)]);
  return shooters > 2 ? [...turned, ...turned.map((order) => [...order].reverse())] : turned;
};

interface Plan {
  readonly stays: readonly JointStay[];
  readonly score: number;
}

/** What is left of an event for one shooter, with what the others have of it; nothing where nothing is. */
function leftOf(event: DayEvent, others: number): DayEvent | undefined {
  if (others === 0) return event;
  const { window, mustHave: _kept, ...rest } = event;
  if (!window || others >= window.most) return undefined;
  return {
    ...rest,
    value: event.value * window.againShare ** others,
    window: { ...window, most: window.most - others },
  };
}

/**
 * The routes of most value for several shooters together: of a heat one has the picture, and visits to a window count
 * together, in the order in which they begin. First each in turn plans their best beside the others (by `planRoute`, in
 * several orders, and again while it helps); then all ways at once are swept, as far as their number allows. What can be
 * had at most is known by prices (as in `Bound`), so `atMostMore` is absent where the plan is proven the best.
 * @param shooters two or more
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
  const visits = shooters.map((shooter) => {
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
  const promised =
    1 + possible.reduce((sum, { event }) => sum + event.value * (event.window?.most ?? 1), 0);
  const { digits, counted } = remembered(possible, quotas, debts, true);
  const states = new States(
    digits.filter(({ kind }) => kind !== 'once'),
    counted,
  );
  const mine = visits.map((theirs) =>
    theirs.filter(({ event, places }) => places.length > 0 && counted.has(event.id)),
  );

  /** What stays come to together. */
  const valued = (stays: readonly JointStay[]) => {
    let state = 0;
    let score = 0;
    const chosen = [...stays].sort(inOrder).map((stay): JointChosen => {
      const { event, quality } = valuedFrom(stay);
      const { after, share, keeps } = states.oneMore(event);
      const value = event.value * quality * (share(state) ?? 0);
      score += value + keeps(state) * promised;
      state = after(state);
      return { ...stay, value };
    });
    return { chosen, score };
  };

  /** The best of one shooter beside what the others have. */
  const beside = (shooter: number, others: readonly JointStay[]): readonly JointStay[] => {
    const had = (id: string) => others.filter(({ visit }) => visit.event.id === id).length;
    const theirs = mine[shooter] as readonly Visit[];
    const byId = new Map(theirs.map((visit) => [visit.event.id, visit]));
    const left = theirs.flatMap((visit): readonly Visit[] => {
      const event = leftOf(visit.event, had(visit.event.id));
      return event ? [{ ...visit, event }] : [];
    });
    const quotasLeft = quotas.map((quota) => {
      const have = others.filter(({ visit }) => visit.event.group === quota.group).length;
      return { ...quota, need: Math.max(0, quota.need - have) };
    });
    const debtsLeft = debts.filter(({ events }) => events.every((id) => had(id) === 0));
    return planRoute(left, walkMs, quotasLeft, debtsLeft).chosen.map(
      ({ visit, place, fromMs, untilMs }) => ({
        ...{ place, fromMs, untilMs, shooter },
        visit: byId.get(visit.event.id) as Visit,
      }),
    );
  };
  const othersOf = (stays: readonly JointStay[], shooter: number) =>
    stays.filter((stay) => stay.shooter !== shooter);
  /** Each plans anew around the others, while that helps. */
  const settled = (first: Plan): Plan => {
    let best = first;
    for (let round = 0; round < MOST_ROUNDS; round += 1) {
      const { score } = best;
      shooters.forEach((_shooter, i) => {
        const others = othersOf(best.stays, i);
        const stays = [...others, ...beside(i, others)];
        const { score: now } = valued(stays);
        if (now > best.score + TINY) best = { stays, score: now };
      });
      if (best.score <= score + TINY) break;
    }
    return best;
  };
  const inTurn = (order: readonly number[]): Plan => {
    const stays = order.reduce<readonly JointStay[]>(
      (all, shooter) => [...all, ...beside(shooter, all)],
      [],
    );
    return settled({ stays, score: valued(stays).score });
  };

  const tables = mine.map((theirs) => timetable(theirs, positions.length));
  const pricing = new Pricing(tables, walkMs, digits, counted, promised, before?.prices ?? {});
  let best: Plan = { stays: [], score: 0 };
  for (const order of orders(shooters.length)) {
    const plan = inTurn(order);
    if (plan.score > best.score) best = plan;
  }
  const worthOf = ({ stays }: Plan) =>
    valued(stays).chosen.reduce((sum, { value }) => sum + value, 0);
  pricing.lower(best.score, worthOf(best), STEPS);
  let exact = pricing.lowest <= best.score + TINY;
  if (!exact) {
    const found = jointly(mine, walkMs, states, pricing.bounds, {
      ...{ promised, floor: best.score + TINY, mostLooks: MOST_LOOKS },
    });
    exact = found !== undefined;
    if (found && found.length > 0) {
      const { score } = valued(found);
      if (score > best.score) best = { stays: found, score };
    }
  }
  const { chosen } = valued(best.stays);
  const ways = shooters.map(({ id }, i): Way => ({
    shooterId: id,
    visits: visits[i] as readonly Visit[],
    chosen: chosen.filter(({ shooter }) => shooter === i),
  }));
  const more = pricing.lowest - best.score;
  const promises = Math.floor((more + TINY) / promised);
  return {
    ...routeOf(asked, walkMs, ways),
    ...(!exact && { atMostMore: { promises, value: more - promises * promised } }),
    prices: pricing.known,
  };
}

const valuedFrom = ({ visit, place }: JointStay) => ({
  event: visit.event,
  quality: visit.places.find((stand) => stand.place === place)?.quality ?? 0,
});
