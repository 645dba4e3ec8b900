import type { PlanLeg, PlanStation } from '@/figures/plan-types';
import type { Position } from '@/records/shoot';
import { written } from '@/ui/units';
import { stayLines, type DayLine } from './day-lines';

/** Stays that follow each other at one place, and the walk to it. */
export interface Leg {
  readonly positionId: string;
  readonly name: string;
  readonly stays: readonly DayLine[];
  /** When to leave the place before; the first place is simply come to. */
  readonly leaveMs?: number;
  readonly readyMs: number;
  readonly untilMs: number;
  readonly walkM: number;
}

export function legsOf(
  lines: readonly DayLine[],
  positions: readonly Pick<Position, 'id' | 'name'>[],
): readonly Leg[] {
  const legs: (Leg & { stays: DayLine[]; untilMs: number })[] = [];
  for (const stay of stayLines(lines)) {
    const { stop, endMs, leaveMs } = stay;
    if (!stop) continue;
    const last = legs.at(-1);
    if (last?.positionId === stop.positionId) {
      last.stays.push(stay);
      last.untilMs = Math.max(last.untilMs, endMs);
      continue;
    }
    legs.push({
      positionId: stop.positionId,
      name: positions.find(({ id }) => id === stop.positionId)?.name ?? stop.positionId,
      stays: [stay],
      ...(leaveMs !== undefined && { leaveMs }),
      readyMs: stop.readyByMs,
      untilMs: endMs,
      walkM: stop.walkM,
    });
  }
  return legs;
}

/** "Leave by 11:13, 292 m, in place by 11:18, until 11:34." */
export const legInWords = (
  { leaveMs, readyMs, untilMs, walkM }: Leg,
  clock: (ms: number) => string,
): string =>
  leaveMs === undefined
    ? `In place by ${clock(readyMs)}, until ${clock(untilMs)}.`
    : `Leave by ${clock(leaveMs)}, ${written(walkM, 'm', 0)}, in place by ${clock(readyMs)}, until ${clock(untilMs)}.`;

/** The route on the plan: each way once, however often it is walked, and the turns at each place. */
export function routeDrawn(
  legs: readonly Leg[],
  positions: readonly Pick<Position, 'id' | 'x' | 'y'>[],
  atMs: number,
): { readonly ways: readonly PlanLeg[]; readonly stations: readonly PlanStation[] } {
  const at = new Map(positions.map(({ id, x, y }) => [id, { x, y }]));
  const now = legs.findIndex(({ untilMs }) => untilMs > atMs);
  const ways = new Map<string, PlanLeg>();
  legs.forEach((leg, i) => {
    const before = legs[i - 1];
    const [from, to] = [before && at.get(before.positionId), at.get(leg.positionId)];
    if (!before || !from || !to) return;
    const key = `${before.positionId} ${leg.positionId}`;
    const known = ways.get(key);
    ways.set(key, { from, to, next: i === now || (known?.next ?? false) });
  });
  const turns = new Map<string, number[]>();
  legs.forEach(({ positionId }, i) =>
    turns.set(positionId, [...(turns.get(positionId) ?? []), i + 1]),
  );
  return {
    ways: [...ways.values()],
    stations: [...turns].flatMap(([id, numbers]) => {
      const point = at.get(id);
      const here = legs[now]?.positionId === id;
      return point ? [{ at: point, text: numbers.join(', '), now: here }] : [];
    }),
  };
}
