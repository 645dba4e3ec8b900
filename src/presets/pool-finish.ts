/**
 * At which end of a pool a race ends: they start at one end, and after an even number of lengths are back there.
 * Relays by the whole way: four times 50 m are 200 m.
 */

export type PoolEnd = 'start' | 'turn';

const DISTANCE = /(?:(\d)\s*[x×]\s*)?(\d{2,4})\s*(?:m|metres?|meters?|y(?:ar)?ds?)?\b/i;

/** By a race's name: "200 m Freestyle", "4x50 Medley Relay"; nothing where it says no distance that fits the pool. */
export function finishEnd(name: string, lengthM: number): PoolEnd | undefined {
  const found = DISTANCE.exec(name);
  if (!found) return undefined;
  const lengths = (Number(found[1] ?? 1) * Number(found[2])) / lengthM;
  if (!Number.isInteger(lengths) || lengths < 1) return undefined;
  return lengths % 2 === 0 ? 'start' : 'turn';
}

/** Pools by their ground, with their length. */
const LENGTH_M: Readonly<Record<string, number>> = { 'pool-50': 50, 'pool-25': 25 };

const REACTIONS: Readonly<Record<PoolEnd, string>> = {
  start: 'reaction-start',
  turn: 'reaction-turn',
};

/** The mark of a reaction at the end where a race of that name ends; any other mark is itself. */
export function markAtFinish(markId: string, name: string, template: string): string {
  const lengthM = LENGTH_M[template];
  if (lengthM === undefined || !Object.values(REACTIONS).includes(markId)) return markId;
  const end = finishEnd(name, lengthM);
  return end ? REACTIONS[end] : markId;
}
