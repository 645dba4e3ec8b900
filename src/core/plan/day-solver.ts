import type { DayEvent, Quota } from './day';
import { statesOf, type States } from './day-states';

/** An event that may be taken, when one must be in place, and the places it may be had from. */
export interface Visit {
  readonly event: DayEvent;
  readonly readyByMs: number;
  /** When one who is there already must be free: the same, or the start itself. */
  readonly stayByMs: number;
  readonly places: readonly { readonly place: number; readonly quality: number }[];
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
const readyFor = ({ visit, fromMs }: Stay, stays: boolean): number =>
  visit.event.window ? fromMs : stays ? visit.stayByMs : visit.readyByMs;

/** Time from the end of one stay to when one must be in place for another; negative if too late. */
export const gapAfter = (before: Stay, after: Stay): number =>
  readyFor(after, before.place === after.place) - before.untilMs;

const MINUTE_MS = 60_000;

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

const NONE = -1;

/** The best score of each state, and the node it was reached by. */
interface Table {
  span: number;
  readonly best: Float64Array;
  readonly node: Int32Array;
  /** When each was last bettered, by a count that only grows. */
  readonly bettered: Int32Array;
}

/** States that were bettered at one place at one time. */
interface News {
  readonly timeMs: number;
  readonly span: number;
  readonly states: readonly number[];
  readonly scores: readonly number[];
  readonly nodes: readonly number[];
}

/** A stay that has begun: the states it leads to. */
interface Going {
  readonly stay: Stay;
  readonly span: number;
  readonly states: number[];
  readonly scores: number[];
  readonly values: number[];
  readonly from: number[];
}

interface Node {
  readonly stay: Stay;
  readonly value: number;
  readonly from: number;
}

const tableOf = (count: number): Table => ({
  span: 0,
  best: new Float64Array(count).fill(-Infinity),
  node: new Int32Array(count).fill(NONE),
  bettered: new Int32Array(count).fill(NONE),
});

/** A sweep through the day: what is reached at each place, and what is known of it at the others. */
class Sweep {
  private readonly nodes: Node[] = [];
  /** By those who are at a place already. */
  private readonly own: readonly Table[];
  /** By those who could have walked there by now, from anywhere. */
  private readonly reach: readonly Table[];
  /** What was bettered at each place, in order, and how much of it each other place has heard of. */
  private readonly news: readonly News[][];
  private readonly heard: readonly Int32Array[];
  private count = 0;

  constructor(
    private readonly walkMs: readonly Float64Array[],
    private readonly states: States,
    /** What a promise is worth: more than all else together. */
    private readonly promised: number,
  ) {
    this.own = walkMs.map(() => tableOf(states.count));
    this.reach = walkMs.map(() => tableOf(states.count));
    this.news = walkMs.map(() => []);
    this.heard = walkMs.map(() => new Int32Array(walkMs.length));
  }

  /** Takes better scores into a table. */
  private better(table: Table, state: number, score: number, node: number): boolean {
    if (score <= (table.best[state] as number)) return false;
    table.best[state] = score;
    table.node[state] = node;
    table.bettered[state] = this.count;
    return true;
  }

  /** A table as it stands in a span: windows that were closed are forgotten. */
  private inSpan(table: Table, span: number): Table {
    if (table.span === span) return table;
    const map = this.states.carried(table.span, span);
    table.span = span;
    map.forEach((to, state) => {
      if (to === state) return;
      this.better(table, to, table.best[state] as number, table.node[state] as number);
      table.best[state] = -Infinity;
    });
    return table;
  }

  private hear(table: Table, { span, states, scores, nodes }: News): void {
    const map = span === table.span ? undefined : this.states.carried(span, table.span);
    for (let i = 0; i < states.length; i += 1) {
      const state = states[i] as number;
      const to = map ? (map[state] as number) : state;
      this.better(table, to, scores[i] as number, nodes[i] as number);
    }
  }

  /** What is reached at a place by a time, from wherever one was. */
  private reachedAt(place: number, timeMs: number, span: number): Table {
    const table = this.inSpan(this.reach[place] as Table, span);
    const heard = this.heard[place] as Int32Array;
    for (let other = 0; other < this.news.length; other += 1) {
      const all = this.news[other] as News[];
      const latestMs = timeMs - ((this.walkMs[other] as Float64Array)[place] as number);
      let at = heard[other] as number;
      for (; at < all.length && (all[at] as News).timeMs <= latestMs; at += 1) {
        this.hear(table, all[at] as News);
      }
      heard[other] = at;
    }
    return table;
  }

  /**
   * A stay begins: what it leads to from what is reached. Of a window that one could have come to a minute sooner, only
   * what has been bettered since is looked at: the rest would end later and be worth no more.
   * @param by who: those at the place already, or all who could walk there
   * @param since looks only at what was bettered after this count
   */
  begin(stay: Stay, quality: number, by: 'own' | 'all', since: number): Going {
    this.count += 1;
    const { visit, place } = stay;
    const { event } = visit;
    const timeMs = readyFor(stay, by === 'own');
    const span = this.states.spanAt(timeMs);
    const going: Going = { stay, span, states: [], scores: [], values: [], from: [] };
    const { after, share, isFirst } = this.states.oneMore(event);
    const extend = (state: number, score: number, node: number): void => {
      const part = share(state);
      if (part === undefined) return;
      const value = event.value * quality * part;
      going.states.push(after(state));
      going.scores.push(score + value + (event.mustHave && isFirst(state) ? this.promised : 0));
      going.values.push(value);
      going.from.push(node);
    };
    if (since === NONE) extend(0, 0, NONE);
    const table =
      by === 'all'
        ? this.reachedAt(place, timeMs, span)
        : this.inSpan(this.own[place] as Table, span);
    for (let state = 0; state < this.states.count; state += 1) {
      const score = table.best[state] as number;
      if (score > -Infinity && (table.bettered[state] as number) > since) {
        extend(state, score, table.node[state] as number);
      }
    }
    return going;
  }

  /** How often anything has begun. */
  get now(): number {
    return this.count;
  }

  /** Stays that end at one place at one time: what they better there is news for the others. */
  end(place: number, timeMs: number, ended: readonly Going[]): void {
    this.count += 1;
    const span = this.states.spanAt(timeMs);
    const table = this.inSpan(this.own[place] as Table, span);
    const changed = new Set<number>();
    for (const { stay, span: before, states, scores, values, from } of ended) {
      const map = this.states.carried(before, span);
      states.forEach((state, i) => {
        const to = map[state] as number;
        const score = scores[i] as number;
        if (score <= (table.best[to] as number)) return;
        this.nodes.push({ stay, value: values[i] as number, from: from[i] as number });
        this.better(table, to, score, this.nodes.length - 1);
        changed.add(to);
      });
    }
    if (changed.size === 0) return;
    const states = [...changed];
    this.news[place]?.push({
      ...{ timeMs, span, states },
      scores: states.map((state) => table.best[state] as number),
      nodes: states.map((state) => table.node[state] as number),
    });
  }

  /** The best chain of stays that there is. */
  best(): readonly Chosen[] {
    let best = 0;
    let node = NONE;
    for (const table of this.own) {
      table.best.forEach((score, state) => {
        if (score > best) [best, node] = [score, table.node[state] as number];
      });
    }
    const chain: Chosen[] = [];
    for (let at = this.nodes[node]; at; at = this.nodes[at.from]) {
      chain.push({ ...at.stay, value: at.value });
    }
    return chain.reverse();
  }
}

/** What happens at a moment of the sweep. */
interface Moment {
  readonly timeMs: number;
  /** Ends come before beginnings of the same moment, so that one can follow on the other. */
  readonly what: 'end' | 'walked' | 'stayed';
  readonly visit: Visit;
  readonly fromMs: number;
  /** When each place of the visit was last looked at, as the sweep counts. */
  readonly looked: number[];
}

function momentsOf(visits: readonly Visit[]): readonly Moment[] {
  const rank = { end: 0, walked: 1, stayed: 2 };
  return visits
    .flatMap((visit) => {
      const looked = visit.places.map(() => NONE);
      return beginningsOf(visit.event).flatMap((fromMs): readonly Moment[] => {
        const { event, readyByMs, stayByMs } = visit;
        const at = { visit, fromMs, looked };
        return [
          { ...at, what: 'walked', timeMs: event.window ? fromMs : readyByMs },
          ...(event.window ? [] : [{ ...at, what: 'stayed', timeMs: stayByMs } as const]),
          { ...at, what: 'end', timeMs: untilOf(event, fromMs) },
        ];
      });
    })
    .sort((a, b) => a.timeMs - b.timeMs || rank[a.what] - rank[b.what]);
}

/**
 * The best chain of visits, exact. A sweep through time: when a visit can begin, the best routes to each of its places
 * are those whose last stay has ended in time to walk over; when it ends, its own routes join those of its place. What
 * is bettered at a place is told to the others once, as soon as one could have walked there. Exact among plans whose
 * visits to windows begin on whole minutes of the clock: one that fits between two minutes alone is not found.
 */
export function planRoute(
  visits: readonly Visit[],
  walkMs: readonly Float64Array[],
  quotas: readonly Quota[],
): { readonly chosen: readonly Chosen[]; readonly mostVisits?: number } {
  const states = statesOf(
    visits.map(({ event }) => event),
    quotas,
  );
  const promised =
    1 + visits.reduce((sum, { event }) => sum + event.value * (event.window?.most ?? 1), 0);
  const sweep = new Sweep(walkMs, states, promised);
  /** What is going on at each place, by its end. */
  const going = walkMs.map(() => new Map<number, Going[]>());
  for (const { timeMs, what, visit, fromMs, looked } of momentsOf(visits)) {
    const { event, places } = visit;
    const untilMs = untilOf(event, fromMs);
    places.forEach(({ place, quality }, i) => {
      const there = going[place] as Map<number, Going[]>;
      if (what === 'end') {
        sweep.end(place, timeMs, there.get(untilMs) ?? []);
        there.delete(untilMs);
        return;
      }
      const stay = { visit, place, fromMs, untilMs };
      const begun =
        what === 'walked'
          ? sweep.begin(stay, quality, 'all', looked[i] as number)
          : sweep.begin(stay, quality, 'own', 0);
      looked[i] = sweep.now;
      if (begun.states.length === 0) return;
      const others = there.get(untilMs);
      if (others) others.push(begun);
      else there.set(untilMs, [begun]);
    });
  }
  const { mostVisits } = states;
  return { chosen: sweep.best(), ...(mostVisits !== undefined && { mostVisits }) };
}
