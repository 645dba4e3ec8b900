import type { Bound } from './day-bound';
import type { States } from './day-states';
import { Table } from './day-table';
import {
  beginningsOf,
  canBegin,
  MINUTE_MS,
  readyFor,
  untilOf,
  type Chosen,
  type Stand,
  type Stay,
  type Visit,
} from './day-visits';

/** A sweep forward through a day: the best chains of visits to each place, by what is had. */

const NONE = -1;

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
  readonly states: number[];
  readonly scores: number[];
  readonly values: number[];
  readonly from: number[];
}

/** How wide a sweep looks. */
export interface Width {
  /** States kept at one place at once; of more the most promising. */
  readonly most: number;
  /** States looked at in all; beyond that it ends. */
  readonly looks: number;
  /** What can't come to more than this is not followed. */
  readonly floor: number;
}

/** A chain of stays, and what it comes to with its promises. */
export interface Chain {
  readonly chosen: readonly Chosen[];
  readonly score: number;
}

/** A sweep through the day: what is reached at each place, and what is known of it at the others. */
export class Sweep {
  /** Whether anything was left aside for want of room. */
  trimmed = false;
  /** Stays that were followed: which, what each brings, and the one before it. */
  private readonly stays: Stay[] = [];
  private readonly values: number[] = [];
  private readonly befores: number[] = [];
  /** By those who are at a place already. */
  private readonly own: readonly Table[];
  /** By those who could have walked there by now, from anywhere. */
  private readonly reach: readonly Table[];
  /** What was bettered at each place, in order. */
  private readonly news: readonly News[][];
  /** How much of it each other place has heard of, and when it can hear the next. */
  private readonly heard: readonly Int32Array[];
  private readonly nextMs: readonly Float64Array[];
  private count = 0;
  private looks = 0;

  constructor(
    private readonly walkMs: readonly Float64Array[],
    private readonly states: States,
    /** What a promise is worth: more than all else together. */
    private readonly promised: number,
    private readonly bound: Bound,
    private readonly width: Width,
  ) {
    this.own = walkMs.map(() => new Table(states));
    this.reach = walkMs.map(() => new Table(states));
    this.news = walkMs.map(() => []);
    this.heard = walkMs.map(() => new Int32Array(walkMs.length));
    this.nextMs = walkMs.map(() => new Float64Array(walkMs.length).fill(Infinity));
  }

  /** What is reached at a place by a time, from wherever one was. */
  private reachedAt(place: number, timeMs: number, span: number): Table {
    const table = (this.reach[place] as Table).inSpan(span, this.count);
    const heard = this.heard[place] as Int32Array;
    const nextMs = this.nextMs[place] as Float64Array;
    for (let other = 0; other < nextMs.length; other += 1) {
      if ((nextMs[other] as number) > timeMs) continue;
      const all = this.news[other] as News[];
      const walk = (this.walkMs[other] as Float64Array)[place] as number;
      let at = heard[other] as number;
      for (; at < all.length && (all[at] as News).timeMs + walk <= timeMs; at += 1) {
        const { states, scores, nodes } = all[at] as News;
        this.looks += states.length;
        for (let i = 0; i < states.length; i += 1) {
          const state = this.states.carried(states[i] as number, span);
          table.better(state, scores[i] as number, nodes[i] as number, this.count);
        }
      }
      heard[other] = at;
      nextMs[other] = at < all.length ? (all[at] as News).timeMs + walk : Infinity;
    }
    this.trim(table);
    return table;
  }

  private trim(table: Table): void {
    const hope = (state: number) => table.best(state) - this.less(state);
    if (table.trim(this.width.most, hope)) this.trimmed = true;
  }

  private less(state: number): number {
    return this.bound.less(state, this.states.vector(state));
  }

  /**
   * A stay begins: what it leads to from what is reached. Of a window that one could have come to a minute sooner, only
   * what has been bettered since is looked at: the rest would end later and be worth no more.
   * @param by who: those at the place already, or all who could walk there
   * @param since looks only at what was bettered after this count
   */
  begin(stay: Stay, at: Stand, by: 'own' | 'all', since: number): Going {
    this.count += 1;
    const { visit, place } = stay;
    const { quality } = at;
    const { event } = visit;
    const timeMs = readyFor(stay, by === 'own');
    const span = this.states.spanAt(timeMs);
    const going: Going = { stay, states: [], scores: [], values: [], from: [] };
    const { after, share, keeps } = this.states.oneMore(event);
    const extend = (state: number, score: number, node: number): void => {
      const part = share(state);
      if (part === undefined) return;
      const value = event.value * quality * part;
      going.states.push(after(state));
      going.scores.push(score + value + keeps(state) * this.promised);
      going.values.push(value);
      going.from.push(node);
    };
    // The day may begin with it: of a window at the first minute at which one is there.
    const { fromMs } = stay;
    const sooner = since !== NONE && canBegin(visit, at, fromMs - MINUTE_MS);
    if (by === 'all' && canBegin(visit, at, fromMs) && !sooner) extend(0, 0, NONE);
    const table =
      by === 'all'
        ? this.reachedAt(place, timeMs, span)
        : (this.own[place] as Table).inSpan(span, this.count);
    this.looks += table.live.length;
    for (const state of table.live) {
      if (table.betteredAt(state) > since) extend(state, table.best(state), table.node(state));
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
    if (ended.length === 0) return;
    if (this.looks > this.width.looks) {
      this.trimmed = true;
      return;
    }
    const span = this.states.spanAt(timeMs);
    const table = (this.own[place] as Table).inSpan(span, this.count);
    const changed = new Set<number>();
    const toGo = this.bound.toGo(place, timeMs);
    for (const { stay, states, scores, values, from } of ended) {
      for (let i = 0; i < states.length; i += 1) {
        const state = this.states.carried(states[i] as number, span);
        const score = scores[i] as number;
        if (score <= table.best(state)) continue;
        if (score + toGo - this.less(state) < this.width.floor) continue;
        table.better(state, score, this.stays.length, this.count);
        this.stays.push(stay);
        this.values.push(values[i] as number);
        this.befores.push(from[i] as number);
        changed.add(state);
      }
    }
    this.trim(table);
    const states = [...changed].filter((state) => table.best(state) > -Infinity);
    if (states.length === 0) return;
    this.news[place]?.push({
      ...{ timeMs, span, states },
      scores: states.map((state) => table.best(state)),
      nodes: states.map((state) => table.node(state)),
    });
    const walks = this.walkMs[place] as Float64Array;
    this.nextMs.forEach((there, other) => {
      const at = timeMs + (walks[other] as number);
      if (at < (there[place] as number)) there[place] = at;
    });
  }

  /** The best chain of stays that there is. */
  best(): Chain {
    let best = 0;
    let node = NONE;
    for (const table of this.own) {
      if (table.highest > best) [best, node] = [table.highest, table.highestNode];
    }
    const chain: Chosen[] = [];
    for (let at = node; at !== NONE; at = this.befores[at] as number) {
      chain.push({ ...(this.stays[at] as Stay), value: this.values[at] as number });
    }
    return { chosen: chain.reverse(), score: best };
  }
}

/** What happens at a moment of the sweep. */
export interface Moment {
  readonly timeMs: number;
  /** Ends come before beginnings of the same moment, so that one can follow on the other. */
  readonly what: 'end' | 'walked' | 'stayed';
  readonly visit: Visit;
  readonly fromMs: number;
}

/** All moments of a day, in order. */
export function momentsOf(visits: readonly Visit[]): readonly Moment[] {
  const rank = { end: 0, walked: 1, stayed: 2 };
  return visits
    .flatMap((visit) =>
      beginningsOf(visit.event).flatMap((fromMs): readonly Moment[] => {
        const { event, readyByMs, stayByMs } = visit;
        const at = { visit, fromMs };
        return [
          { ...at, what: 'walked', timeMs: event.window ? fromMs : readyByMs },
          ...(event.window ? [] : [{ ...at, what: 'stayed', timeMs: stayByMs } as const]),
          { ...at, what: 'end', timeMs: untilOf(event, fromMs) },
        ];
      }),
    )
    .sort((a, b) => a.timeMs - b.timeMs || rank[a.what] - rank[b.what]);
}

/** The sweep over all moments. */
export function swept(sweep: Sweep, moments: readonly Moment[], places: number): Sweep {
  /** What is going on at each place, by its end. */
  const going = Array.from({ length: places }, () => new Map<number, Going[]>());
  /** When each place of a visit was last looked at, as the sweep counts. */
  const looked = new Map<Visit, number[]>();
  for (const { timeMs, what, visit, fromMs } of moments) {
    const { event, places: stands } = visit;
    const untilMs = untilOf(event, fromMs);
    const before = looked.get(visit) ?? stands.map(() => NONE);
    looked.set(visit, before);
    stands.forEach((at, i) => {
      const { place } = at;
      const there = going[place] as Map<number, Going[]>;
      if (what === 'end') {
        sweep.end(place, timeMs, there.get(untilMs) ?? []);
        there.delete(untilMs);
        return;
      }
      const stay = { visit, place, fromMs, untilMs };
      const begun =
        what === 'walked'
          ? sweep.begin(stay, at, 'all', before[i] as number)
          : sweep.begin(stay, at, 'own', 0);
      before[i] = sweep.now;
      if (begun.states.length === 0) return;
      const others = there.get(untilMs);
      if (others) others.push(begun);
      else there.set(untilMs, [begun]);
    });
  }
  return sweep;
}
