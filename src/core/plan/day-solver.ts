import { within } from '../check';
import type { DayEvent, Quota } from './day';

/** An event that may be taken, when one must be in place, and the places it may be had from. */
export interface Visit {
  readonly event: DayEvent;
  readonly readyByMs: number;
  /** When one who is there already must be free: the same, or the start itself. */
  readonly stayByMs: number;
  readonly places: readonly { readonly place: number; readonly quality: number }[];
}

export interface Chosen {
  readonly visit: Visit;
  readonly place: number;
  readonly value: number;
}

/** Time from the end of one visit to when one must be in place for another; negative if too late. */
export const gapAfter = (
  before: Pick<Chosen, 'visit' | 'place'>,
  { visit, place }: Pick<Chosen, 'visit' | 'place'>,
): number => (before.place === place ? visit.stayByMs : visit.readyByMs) - before.visit.event.endMs;

const MOST_FILLINGS = 4096;
const NONE = -1;

/** Ways quotas can be filled, each a whole number: the counts of the groups, up to their needs. */
interface Fillings {
  readonly count: number;
  /** The filling after one more of an event's group, and whether the group was full before. */
  readonly after: (filling: number, event: DayEvent) => number;
  readonly share: (filling: number, event: DayEvent) => number;
}

function fillingsOf(quotas: readonly Quota[]): Fillings {
  const radix: number[] = [];
  let count = 1;
  for (const { need } of quotas) {
    radix.push(count);
    count *= need + 1;
    within('ways to fill the quotas', count, 1, MOST_FILLINGS);
  }
  const indexOf = (event: DayEvent) => quotas.findIndex(({ group }) => group === event.group);
  const filled = (filling: number, q: number) =>
    Math.floor(filling / (radix[q] as number)) % ((quotas[q] as Quota).need + 1);
  return {
    count,
    after: (filling, event) => {
      const q = indexOf(event);
      if (q < 0 || filled(filling, q) === (quotas[q] as Quota).need) return filling;
      return filling + (radix[q] as number);
    },
    share: (filling, event) => {
      const q = indexOf(event);
      if (q < 0) return 1;
      const { need, beyondShare } = quotas[q] as Quota;
      return filled(filling, q) < need ? 1 : beyondShare;
    },
  };
}

/** Routes that end at one place, by the end of their last event: the best so far for each filling. */
interface Arrivals {
  readonly endsMs: number[];
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

/** Takes an ended visit's routes into its place's running best. */
function arrive(arrivals: Arrivals, endMs: number, scores: Float64Array, nodes: Int32Array): void {
  const before = arrivals.best.at(-1);
  const beforeNodes = arrivals.node.at(-1);
  const best = before ? Float64Array.from(before) : new Float64Array(scores.length).fill(-Infinity);
  const node = beforeNodes
    ? Int32Array.from(beforeNodes)
    : new Int32Array(scores.length).fill(NONE);
  scores.forEach((score, f) => {
    if (score > (best[f] as number)) {
      best[f] = score;
      node[f] = nodes[f] as number;
    }
  });
  arrivals.endsMs.push(endMs);
  arrivals.best.push(best);
  arrivals.node.push(node);
}

/**
 * The best chain of visits, exact. A sweep through time: at the last moment a visit can begin, the best route
 * to each of its places is looked up among those whose last event has ended in time to walk over;
 * when it ends, its own routes join those of its place. One look-up is a binary search, so the
 * whole takes events × places² × log(events) × fillings.
 */
export function planRoute(
  visits: readonly Visit[],
  walkMs: readonly Float64Array[],
  quotas: readonly Quota[],
): readonly Chosen[] {
  const fillings = fillingsOf(quotas);
  const promised = 1 + visits.reduce((sum, { event }) => sum + event.value, 0);
  const nodes: { visit: number; place: number; from: number; value: number }[] = [];
  const arrivals: Arrivals[] = walkMs.map(() => ({ endsMs: [], best: [], node: [] }));
  interface Routes {
    readonly place: number;
    readonly scores: Float64Array;
    readonly nodes: Int32Array;
  }
  const routesOf = new Map<number, readonly Routes[]>();

  const begin = (index: number): void => {
    const { event, readyByMs, stayByMs, places } = visits[index] as Visit;
    const found = places.map(({ place, quality }): Routes => {
      const scores = new Float64Array(fillings.count).fill(-Infinity);
      const own = new Int32Array(fillings.count).fill(NONE);
      const extend = (filling: number, score: number, from: number): void => {
        const value = event.value * quality * fillings.share(filling, event);
        const total = score + value + (event.mustHave ? promised : 0);
        const after = fillings.after(filling, event);
        if (total <= (scores[after] as number)) return;
        scores[after] = total;
        own[after] = nodes.push({ visit: index, place, from, value }) - 1;
      };
      extend(0, 0, NONE);
      arrivals.forEach(({ endsMs, best, node }, other) => {
        const walk = (walkMs[other] as Float64Array)[place] as number;
        const last = endedBy(endsMs, other === place ? stayByMs : readyByMs - walk);
        if (last < 0) return;
        const scoresThere = best[last] as Float64Array;
        for (let f = 0; f < fillings.count; f += 1) {
          const score = scoresThere[f] as number;
          if (score > -Infinity) extend(f, score, (node[last] as Int32Array)[f] as number);
        }
      });
      return { place, scores, nodes: own };
    });
    routesOf.set(index, found);
  };

  const end = (index: number): void => {
    for (const { place, scores, nodes: own } of routesOf.get(index) ?? []) {
      arrive(arrivals[place] as Arrivals, (visits[index] as Visit).event.endMs, scores, own);
    }
  };

  // Ends before beginnings of the same moment, so that one can follow on the other.
  const moments = visits
    .flatMap(({ event, stayByMs }, index) => [
      { timeMs: stayByMs, begins: 1, index },
      { timeMs: event.endMs, begins: 0, index },
    ])
    .sort((a, b) => a.timeMs - b.timeMs || a.begins - b.begins);
  for (const { begins, index } of moments) {
    if (begins) begin(index);
    else end(index);
  }

  let best = 0;
  let node = NONE;
  for (const { best: runs, node: ends } of arrivals) {
    runs.at(-1)?.forEach((score, f) => {
      if (score > best) {
        best = score;
        node = (ends.at(-1) as Int32Array)[f] as number;
      }
    });
  }
  const chain: Chosen[] = [];
  for (let at = nodes[node]; at; at = nodes[at.from]) {
    chain.push({ visit: visits[at.visit] as Visit, place: at.place, value: at.value });
  }
  return chain.reverse();
}
