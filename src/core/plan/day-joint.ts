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
  readonly value: number;
  /** Promises kept. */
  readonly kept: number;
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

/** What is not followed: all that can't come to more than a floor. */
export interface Floor {
  /** What is still to come for each shooter, at the same prices. */
  readonly bounds: readonly Bound[];
  /** What a promise counts. */
  readonly promised: number;
  readonly least: number;
}

/** What can still come of a node, at the most. */
class Hope {
  /** By shooter: what can still follow on where they are. */
  private follows: Map<string, number>[] = [];
  private fromMs = Number.NaN;

  constructor(
    private readonly floor: Floor,
    private readonly states: States,
    private readonly leadMs: number,
  ) {}

  /** For a time on which all that begins later follows. */
  at(fromMs: number): void {
    this.fromMs = fromMs;
    this.follows = this.floor.bounds.map(() => new Map<string, number>());
  }

  private followOf(shooter: number, { place, untilMs }: Free): number {
    const known = this.follows[shooter] as Map<string, number>;
    const key = `${place} ${untilMs}`;
    const at = known.get(key);
    if (at !== undefined) return at;
    const theirs = this.floor.bounds[shooter] as Bound;
    const nothingBeforeMs = this.fromMs - this.leadMs;
    const follow =
      place === NONE
        ? theirs.firstAfter(nothingBeforeMs)
        : theirs.follow(place, untilMs, nothingBeforeMs);
    known.set(key, follow);
    return follow;
  }

  allows({ free, state, value, kept }: Node): boolean {
    const [bound] = this.floor.bounds as readonly [Bound];
    const had = value + kept * this.floor.promised;
    const open = bound.openAfter(this.fromMs) - bound.less(state, this.states.vector(state));
    const most = free.reduce((sum, one, shooter) => sum + this.followOf(shooter, one), had + open);
    return most >= this.floor.least;
  }
}

/**
 * The best that several shooters can do together, or nothing where there are too many ways.
 * @param promised what a promise is worth: more than all else together
 * @param floors what is not worth following
 * @param mostLooks as many states are looked at, all in all
 * @returns stays in order, none where nothing comes to more than the floors
 */
export function jointly(
  visits: readonly (readonly Visit[])[],
  walkMs: readonly Float64Array[],
  states: States,
  promised: number,
  floors: readonly Floor[],
  mostLooks: number,
): readonly JointStay[] | undefined {
  const begins = beginsOf(visits);
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
  const scoreOf = ({ value, kept }: Node): number => value + kept * promised;
  let best: Node = { free: visits.map(() => NOWHERE), state: 0, value: 0, kept: 0 };
  const hopes = floors.map((floor) => new Hope(floor, states, leadMs));
  const keyOf = ({ free, state }: Node): string =>
    `${free.map(({ place, untilMs }) => `${place} ${untilMs}`).join()} ${state}`;
  const add = (node: Node): void => {
    const score = scoreOf(node);
    if (score > scoreOf(best)) best = node;
    const key = keyOf(node);
    const known = nodes.get(key);
    if (known && scoreOf(known) >= score) return;
    if (hopes.every((hope) => hope.allows(node))) nodes.set(key, node);
  };
  let looks = 0;
  let nowMs = Number.NaN;
  nodes.set(keyOf(best), best);
  for (const { fromMs, stays } of begins) {
    if (fromMs !== nowMs) {
      nowMs = fromMs;
      hopes.forEach((hope) => hope.at(fromMs));
      const span = states.spanAt(fromMs);
      const all = [...nodes.values()];
      nodes = new Map();
      for (const node of all) {
        const free = node.free.map((one) => settled(one, fromMs));
        add({ ...node, free, state: states.carried(node.state, span) });
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
        add({
          free: node.free.map((one, i) => (i === shooter ? { place, untilMs } : one)),
          state: after(node.state),
          value: node.value + visit.event.value * stand.quality * part,
          kept: node.kept + keeps(node.state),
          stay,
          before: node,
        });
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
