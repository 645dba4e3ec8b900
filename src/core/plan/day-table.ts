import type { States } from './day-states';

const NONE = -1;
const FIRST_ROOM = 64;

/** The best score of each state at one place, and the node it was reached by. */
export class Table {
  /** States that there are. */
  live: number[] = [];
  /** The best score of all that ever was, and its node. */
  highest = -Infinity;
  highestNode = NONE;
  private span = 0;
  private scores = new Float64Array(FIRST_ROOM).fill(-Infinity);
  private nodes = new Int32Array(FIRST_ROOM).fill(NONE);
  private bettered = new Int32Array(FIRST_ROOM).fill(NONE);

  constructor(private readonly states: States) {}

  best(state: number): number {
    return state < this.scores.length ? (this.scores[state] as number) : -Infinity;
  }

  node(state: number): number {
    return this.nodes[state] as number;
  }

  /** When it was last bettered, by a count that only grows. */
  betteredAt(state: number): number {
    return this.bettered[state] as number;
  }

  private room(state: number): void {
    if (state < this.scores.length) return;
    const length = Math.max(state + 1, this.scores.length * 2);
    const grown = <T extends Float64Array | Int32Array>(from: T, to: T): T => {
      to.set(from);
      return to;
    };
    this.scores = grown(this.scores, new Float64Array(length).fill(-Infinity));
    this.nodes = grown(this.nodes, new Int32Array(length).fill(NONE));
    this.bettered = grown(this.bettered, new Int32Array(length).fill(NONE));
  }

  /** Takes a score in if it is better than what is there. */
  better(state: number, score: number, node: number, count: number): boolean {
    const before = this.best(state);
    if (score <= before) return false;
    this.room(state);
    if (before === -Infinity) this.live.push(state);
    this.scores[state] = score;
    this.nodes[state] = node;
    this.bettered[state] = count;
    if (score > this.highest) [this.highest, this.highestNode] = [score, node];
    return true;
  }

  /** The table as it stands in a span: what can matter no more is forgotten. */
  inSpan(span: number, count: number): this {
    if (this.span === span) return this;
    this.span = span;
    const before = this.live;
    const kept = before.map((state) => ({
      state,
      to: this.states.carried(state, span),
      score: this.scores[state] as number,
      node: this.nodes[state] as number,
      bettered: this.bettered[state] as number,
    }));
    if (kept.every(({ state, to }) => state === to)) return this;
    for (const state of before) this.scores[state] = -Infinity;
    this.live = [];
    for (const { to, score, node, bettered, state } of kept) {
      this.better(to, score, node, to === state ? bettered : count);
    }
    return this;
  }

  /** Leaves all but the most promising aside. @returns whether any were */
  trim(most: number, hope: (state: number) => number): boolean {
    if (this.live.length <= most) return false;
    this.live.sort((a, b) => hope(b) - hope(a));
    for (const state of this.live.slice(most)) this.scores[state] = -Infinity;
    this.live = this.live.slice(0, most);
    return true;
  }
}
