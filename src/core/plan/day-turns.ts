import { rollup } from 'd3-array';
import type { DayEvent, Debt, Quota } from './day';
import { inOrder, type JointChosen, type JointStay } from './day-joint';
import { planRoute, stillWalked, type Before } from './day-solver';
import type { States } from './day-states';
import type { Visit } from './day-visits';

/** Several shooters in turn: each plans their best beside what the others have, and again while it helps. */

/** What shooters do together, and what it comes to: stays in order, promises kept, value. */
export interface Together {
  readonly chosen: readonly JointChosen[];
  readonly kept: number;
  readonly value: number;
}

/** So often each plans anew around the others. */
const MOST_ROUNDS = 4;
const TINY = 1e-10;

/** Orders of who chooses first: each of them, the others following either way round. All there are, of two or three. */
const orders = (shooters: number): readonly (readonly number[])[] => {
  const all = Array.from({ length: shooters }, (_, i) => i);
  const turned = all.map((first) => [...all.slice(first), ...all.slice(0, first)]);
  return shooters > 2 ? [...turned, ...turned.map((order) => [...order].reverse())] : turned;
};

/** What is left of an event for one shooter, with so many stays of the others; nothing where nothing is. */
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

export class Turns {
  constructor(
    /** The same events for each shooter, from where they can have them. */
    private readonly visits: readonly (readonly Visit[])[],
    private readonly walkMs: readonly Float64Array[],
    private readonly states: States,
    /** What a promise is worth: more than all else together. */
    private readonly promised: number,
    private readonly quotas: readonly Quota[],
    private readonly debts: readonly Debt[],
  ) {}

  /**
   * The best of several orders, each quickly; then each once more with all care.
   * @param before stays of nearly the same day, by shooter: no orders are tried then
   * @param quickly leaves that care out
   */
  best(before: readonly Before['stays'][] | undefined, quickly: boolean): Together {
    const plans = before
      ? [this.valued(this.stillThere(before))]
      : orders(this.visits.length).map((order) => this.inTurn(order));
    return this.again(
      plans.reduce((best, plan) => (this.scoreOf(plan) > this.scoreOf(best) ? plan : best)),
      quickly,
      before && quickly ? 1 : MOST_ROUNDS,
    );
  }

  /** What of a plan before can still be walked, and is not more of an event than there is. */
  private stillThere(before: readonly Before['stays'][]): readonly JointStay[] {
    const { walkMs, states, promised } = this;
    const stays = this.visits.flatMap((theirs, shooter) =>
      stillWalked({ stays: before[shooter] ?? [] }, theirs, {
        walkMs,
        states,
        promised,
      }).chosen.map((stay) => ({ ...stay, shooter })),
    );
    const had = rollup(
      stays,
      (same) => same.length,
      ({ visit }) => visit.event.id,
    );
    return stays.filter(
      ({ visit: { event } }) => (had.get(event.id) ?? 0) <= (event.window?.most ?? 1),
    );
  }

  /** The better of a plan and of what other stays come to. */
  better(best: Together, stays: readonly JointStay[]): Together {
    const plan = this.valued(stays);
    return this.scoreOf(plan) > this.scoreOf(best) + TINY ? plan : best;
  }

  private scoreOf({ kept, value }: Together): number {
    return kept * this.promised + value;
  }

  /** What stays come to together: visits to a window count in the order in which they begin. */
  private valued(stays: readonly JointStay[]): Together {
    let state = 0;
    let kept = 0;
    const chosen = [...stays].sort(inOrder).map((stay): JointChosen => {
      const { event, places } = stay.visit;
      const quality = places.find(({ place }) => place === stay.place)?.quality ?? 0;
      const { after, share, keeps } = this.states.oneMore(event);
      const value = event.value * quality * (share(state) ?? 0);
      kept += keeps(state);
      state = after(state);
      return { ...stay, value };
    });
    return { chosen, kept, value: chosen.reduce((sum, { value }) => sum + value, 0) };
  }

  /** The best of one shooter beside what the others have. */
  private beside(
    shooter: number,
    others: readonly JointStay[],
    quickly: boolean,
  ): readonly JointStay[] {
    const had = (id: string) => others.filter(({ visit }) => visit.event.id === id).length;
    const theirs = this.visits[shooter] as readonly Visit[];
    const byId = new Map(theirs.map((visit) => [visit.event.id, visit]));
    const left = theirs.flatMap((visit): readonly Visit[] => {
      const event = leftOf(visit.event, had(visit.event.id));
      return event ? [{ ...visit, event }] : [];
    });
    const quotas = this.quotas.map((quota) => {
      const have = others.filter(({ visit }) => visit.event.group === quota.group).length;
      return { ...quota, need: Math.max(0, quota.need - have) };
    });
    const debts = this.debts.filter(({ events }) => events.every((id) => had(id) === 0));
    const { chosen } = planRoute(left, this.walkMs, quotas, debts, undefined, quickly);
    return chosen.map(({ visit, place, fromMs, untilMs }) => ({
      ...{ place, fromMs, untilMs, shooter },
      visit: byId.get(visit.event.id) as Visit,
    }));
  }

  private inTurn(order: readonly number[]): Together {
    const stays = order.reduce<readonly JointStay[]>(
      (all, shooter) => [...all, ...this.beside(shooter, all, true)],
      [],
    );
    return this.again(this.valued(stays), true);
  }

  /** Each plans anew around the others, while that helps. */
  private again(first: Together, quickly: boolean, mostRounds = MOST_ROUNDS): Together {
    let best = first;
    for (let round = 0; round < mostRounds; round += 1) {
      const before = best;
      this.visits.forEach((_visits, shooter) => {
        const others = best.chosen.filter((stay) => stay.shooter !== shooter);
        best = this.better(best, [...others, ...this.beside(shooter, others, quickly)]);
      });
      if (best === before) break;
    }
    return best;
  }
}
