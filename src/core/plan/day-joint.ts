import { ascending } from 'd3-array';
import type { Bound } from './day-bound';
import type { States } from './day-states';
import {
  beginningsOf,
  canBegin,
  readyFor,
  untilOf,
  type Chosen,
  type Stand,
  type Stay,
  type Visit,
} from './day-visits';

/**
 * Several shooters through one day, all ways at once. Stays are chosen in the order in which they begin, for whichever
 * shooter: so nothing is begun twice, and of each shooter only the last stay has to be known.
 */

/** A stay of one of the shooters. */
export interface JointStay extends Stay {
  readonly shooter: number;
}
export interface JointChosen extends Chosen {
  readonly shooter: number;
}

/** The order in which stays are chosen, and in which visits to a window are counted. */
export const inOrder = (a: JointStay, b: JointStay): number =>
  a.fromMs - b.fromMs || ascending(a.visit.event.id, b.visit.event.id) || a.shooter - b.shooter;

const NONE = -1;

/** Where a shooter is: the place, and when they are free there. */
interface Free {
  readonly place: number;
  readonly untilMs: number;
}
const NOWHERE: Free = { place: NONE, untilMs: -Infinity };

/** What is known of all shooters together. */
interface Node {
  readonly free: readonly Free[];
  readonly state: number;
  readonly score: number;
  readonly stay?: JointStay;
  readonly before?: Node;
}

interface Begin {
  readonly fromMs: number;
  /** What may begin then: all that is chosen from of one heat, or one shooter’s visit to a window. */
  readonly stays: readonly (JointStay & { readonly stand: Stand })[];
}

/** All beginnings in the order in which they are chosen. @param visits the same events for each shooter */
function beginsOf(visits: readonly (readonly Visit[])[]): readonly Begin[] {
  const stays = visits.flatMap((theirs, shooter) =>
    theirs.flatMap((visit) =>
      visit.places.flatMap((stand) =>
        beginningsOf(visit.event).map((fromMs) => ({
          ...{ visit, place: stand.place, stand, shooter, fromMs },
          untilMs: untilOf(visit.event, fromMs),
        })),
      ),
    ),
  );
  const together = new Map<string, (typeof stays)[number][]>();
  for (const stay of stays.sort(inOrder)) {
    const { event } = stay.visit;
    const key = `${stay.fromMs} ${event.id} ${event.window ? stay.shooter : ''}`;
    const known = together.get(key);
    if (known) known.push(stay);
    else together.set(key, [stay]);
  }
  return [...together.values()].map((same) => ({
    fromMs: (same[0] as JointStay).fromMs,
    stays: same,
  }));
}

/**
 * The best that several shooters can do together, or nothing where there are too many ways.
 * @param bounds what is still to come for each shooter, at the same prices
 * @param floor what can't come to more than this is not followed
 * @param mostLooks as many states are looked at, all in all
 * @returns stays in order, none where nothing comes to more than the floor
 */
export function jointly(
  visits: readonly (readonly Visit[])[],
  walkMs: readonly Float64Array[],
  states: States,
  bounds: readonly Bound[],
  {
    promised,
    floor,
    mostLooks,
  }: { readonly promised: number; readonly floor: number; readonly mostLooks: number },
): readonly JointStay[] | undefined {
  const begins = beginsOf(visits);
  const [bound] = bounds as readonly [Bound];
  const leadMs = Math.max(
    0,
    ...visits.flat().map(({ event, readyByMs }) => event.startMs - readyByMs),
  );
  const furthestMs = walkMs.map((walks) => Math.max(...walks));
  /** Free so long that everything to come can be reached is free since ever. */
  const settled = (free: Free, fromMs: number): Free =>
    free.place !== NONE && free.untilMs + (furthestMs[free.place] as number) <= fromMs - leadMs
      ? { place: free.place, untilMs: -Infinity }
      : free;
  let nodes = new Map<string, Node>();
  let best: Node = { free: visits.map(() => NOWHERE), state: 0, score: 0 };
  const keyOf = ({ free, state }: Node): string =>
    `${free.map(({ place, untilMs }) => `${place} ${untilMs}`).join()} ${state}`;
  /** By shooter: what can still follow on where they are. */
  let follows: Map<string, number>[] = [];
  const followOf = (shooter: number, { place, untilMs }: Free, fromMs: number): number => {
    const known = follows[shooter] as Map<string, number>;
    const key = `${place} ${untilMs}`;
    const at = known.get(key);
    if (at !== undefined) return at;
    const theirs = bounds[shooter] as Bound;
    const follow =
      place === NONE
        ? theirs.firstAfter(fromMs - leadMs)
        : theirs.follow(place, untilMs, fromMs - leadMs);
    known.set(key, follow);
    return follow;
  };
  const hopeOf = ({ free, state, score }: Node, fromMs: number): number =>
    free.reduce(
      (sum, one, shooter) => sum + followOf(shooter, one, fromMs),
      score + bound.openAfter(fromMs) - bound.less(state, states.vector(state)),
    );
  const add = (node: Node, fromMs: number): void => {
    if (node.score > best.score) best = node;
    const key = keyOf(node);
    const known = nodes.get(key);
    if (known && known.score >= node.score) return;
    if (hopeOf(node, fromMs) >= floor) nodes.set(key, node);
  };
  let looks = 0;
  let nowMs = Number.NaN;
  nodes.set(keyOf(best), best);
  for (const { fromMs, stays } of begins) {
    if (fromMs !== nowMs) {
      nowMs = fromMs;
      follows = visits.map(() => new Map<string, number>());
      const span = states.spanAt(fromMs);
      const all = [...nodes.values()];
      nodes = new Map();
      for (const node of all) {
        add(
          {
            ...node,
            free: node.free.map((free) => settled(free, fromMs)),
            state: states.carried(node.state, span),
          },
          fromMs,
        );
      }
    }
    const all = [...nodes.values()];
    looks += all.length * stays.length;
    if (looks > mostLooks) return undefined;
    for (const node of all) {
      for (const stay of stays) {
        const { visit, place, shooter, stand, untilMs } = stay;
        const free = node.free[shooter] as Free;
        if (free.place === NONE) {
          if (!canBegin(visit, stand, fromMs)) continue;
        } else {
          const walk = (walkMs[free.place] as Float64Array)[place] as number;
          if (free.untilMs + walk > readyFor(stay, free.place === place)) continue;
        }
        const { after, share, keeps } = states.oneMore(visit.event);
        const part = share(node.state);
        if (part === undefined) continue;
        add(
          {
            free: node.free.map((one, i) => (i === shooter ? { place, untilMs } : one)),
            state: after(node.state),
            score:
              node.score + visit.event.value * stand.quality * part + keeps(node.state) * promised,
            stay,
            before: node,
          },
          fromMs,
        );
      }
    }
  }
  const chain: JointStay[] = [];
  for (let node: Node | undefined = best; node; node = node.before) {
    // A node that was only carried on has the stay of the one it was before.
    if (node.stay) chain.push(node.stay);
  }
  return chain.reverse();
}
