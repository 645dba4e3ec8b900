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

/** Routes that end at one place, by the end of their last stay: the best so far for each state. */
interface Arrivals {
  readonly endsMs: number[];
  readonly span: number[];
  readonly best: Float64Array[];
  readonly node: Int32Array[];
}

/** Last entry that has ended by a time; −1 if none. */
function endedBy(endsMs: readonly number[], timeMs: number): number {
  let low = 0;
  let high = endsMs.length;
  while (low < high) {
    const middle = (low + high) >> 1;
    if ((endsMs[middle] as number) <= timeMs) low = middle + 1;
    else high = middle;
  }
  return low - 1;
}

/** Stays that began and have not yet ended, from one place: their best for each state, and what came before. */
interface Going extends Stay {
  readonly span: number;
  readonly scores: Float64Array;
  readonly values: Float64Array;
  readonly from: Int32Array;
}

interface Node {
  readonly stay: Stay;
  readonly value: number;
  readonly from: number;
}

const emptied = (count: number) => new Float64Array(count).fill(-Infinity);

/** The running best of a place as it stands in a span, ready to be added to. */
function openEntry(arrivals: Arrivals, endMs: number, span: number, states: States) {
  const last = arrivals.endsMs.length - 1;
  if (last >= 0 && arrivals.endsMs[last] === endMs && arrivals.span[last] === span) {
    return { best: arrivals.best[last] as Float64Array, node: arrivals.node[last] as Int32Array };
  }
  const best = emptied(states.count);
  const node = new Int32Array(states.count).fill(NONE);
  const before = arrivals.best[last];
  if (before) {
    const map = states.carried(arrivals.span[last] as number, span);
    before.forEach((score, state) => {
      const to = map[state] as number;
      if (score <= (best[to] as number)) return;
      best[to] = score;
      node[to] = (arrivals.node[last] as Int32Array)[state] as number;
    });
  }
  arrivals.endsMs.push(endMs);
  arrivals.span.push(span);
  arrivals.best.push(best);
  arrivals.node.push(node);
  return { best, node };
}

/** Takes an ended stay's routes into its place's running best. */
function arrive(arrivals: Arrivals, going: Going, states: States, nodes: Node[]): void {
  const { visit, place, fromMs, untilMs } = going;
  const span = states.spanAt(untilMs);
  const { best, node } = openEntry(arrivals, untilMs, span, states);
  const map = states.carried(going.span, span);
  going.scores.forEach((score, state) => {
    const to = map[state] as number;
    if (score <= (best[to] as number)) return;
    best[to] = score;
    node[to] =
      nodes.push({
        stay: { visit, place, fromMs, untilMs },
        value: going.values[state] as number,
        from: going.from[state] as number,
      }) - 1;
  });
}

/** The best ways to begin a visit at a time from each of its places. */
function begin(
  visit: Visit,
  fromMs: number,
  { walkMs, arrivals, states, promised }: Sweep,
): readonly Going[] {
  const { event, places } = visit;
  const span = states.spanAt(fromMs);
  return places.map(({ place, quality }): Going => {
    const stay = { visit, place, fromMs, untilMs: untilOf(event, fromMs) };
    const scores = emptied(states.count);
    const values = new Float64Array(states.count);
    const from = new Int32Array(states.count).fill(NONE);
    const extend = (state: number, score: number, node: number): void => {
      const share = states.share(state, event);
      // A window that was visited often enough takes no more time.
      if (event.window && share === 0) return;
      const value = event.value * quality * share;
      const after = states.after(state, event);
      const owed = event.mustHave && states.isFirst(state, event);
      const total = score + value + (owed ? promised : 0);
      if (total <= (scores[after] as number)) return;
      scores[after] = total;
      values[after] = value;
      from[after] = node;
    };
    extend(0, 0, NONE);
    arrivals.forEach(({ endsMs, span: spans, best, node }, other) => {
      const walk = (walkMs[other] as Float64Array)[place] as number;
      const last = endedBy(endsMs, readyFor(stay, other === place) - walk);
      if (last < 0) return;
      const there = best[last] as Float64Array;
      const before = node[last] as Int32Array;
      const map = states.carried(spans[last] as number, span);
      for (let state = 0; state < states.count; state += 1) {
        const score = there[state] as number;
        if (score > -Infinity) extend(map[state] as number, score, before[state] as number);
      }
    });
    return { ...stay, span, scores, values, from };
  });
}

interface Sweep {
  readonly walkMs: readonly Float64Array[];
  readonly arrivals: readonly Arrivals[];
  readonly states: States;
  /** What a promise is worth: more than all else together. */
  readonly promised: number;
}

/**
 * The best chain of visits, exact. A sweep through time: at the last moment a visit can begin, the best route
 * to each of its places is looked up among those whose last stay has ended in time to walk over;
 * when it ends, its own routes join those of its place. One look-up is a binary search, so the
 * whole takes beginnings × places² × log(beginnings) × states. A window is visited on whole minutes: any plan
 * of visits can be brought forward until each begins as one arrives, or as it opens, rounded up to the minute.
 */
export function planRoute(
  visits: readonly Visit[],
  walkMs: readonly Float64Array[],
  quotas: readonly Quota[],
): readonly Chosen[] {
  const states = statesOf(
    visits.map(({ event }) => event),
    quotas,
  );
  const promised =
    1 + visits.reduce((sum, { event }) => sum + event.value * (event.window?.most ?? 1), 0);
  const nodes: Node[] = [];
  const arrivals = walkMs.map((): Arrivals => ({ endsMs: [], span: [], best: [], node: [] }));
  const sweep = { walkMs, arrivals, states, promised };
  const going = new Map<number, readonly Going[]>();
  const stays = visits.flatMap((visit) =>
    beginningsOf(visit.event).map((fromMs) => ({ visit, fromMs })),
  );
  // Ends before beginnings of the same moment, so that one can follow on the other.
  const moments = stays
    .flatMap(({ visit, fromMs }, index) => [
      { timeMs: visit.event.window ? fromMs : visit.stayByMs, begins: 1, index },
      { timeMs: untilOf(visit.event, fromMs), begins: 0, index },
    ])
    .sort((a, b) => a.timeMs - b.timeMs || a.begins - b.begins);
  for (const { begins, index } of moments) {
    const { visit, fromMs } = stays[index] as (typeof stays)[number];
    if (begins) going.set(index, begin(visit, fromMs, sweep));
    else {
      for (const ended of going.get(index) ?? []) {
        arrive(arrivals[ended.place] as Arrivals, ended, states, nodes);
      }
      going.delete(index);
    }
  }

  let best = 0;
  let node = NONE;
  for (const { best: runs, node: ends } of arrivals) {
    runs.at(-1)?.forEach((score, state) => {
      if (score > best) {
        best = score;
        node = (ends.at(-1) as Int32Array)[state] as number;
      }
    });
  }
  const chain: Chosen[] = [];
  for (let at = nodes[node]; at; at = nodes[at.from]) chain.push({ ...at.stay, value: at.value });
  return chain.reverse();
}
