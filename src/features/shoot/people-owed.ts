import { groups } from 'd3-array';
import type { Then } from '@/core';
import { isMet, type PersonOwed } from '@/answers/people-owed';
import type { Person } from '@/records/brief';
import type { DayEventRecord } from '@/records/day';
import type { Shoot } from '@/records/shoot';
import { stayLines, type DayLine } from './day-lines';
import { eventTitle, inALine } from '@/records/day-said';

/** How it stands with everyone owed at a minute: had, coming, passed or lost, and the cheapest rescue. */

/** What would have to be given up so that someone lost is met. */
export interface Rescue {
  readonly event: DayEventRecord;
  readonly then: Then;
  readonly gives: readonly DayEventRecord[];
  /** Others owed who would be lost by it. */
  readonly loses: readonly Person[];
}

export type OwedState =
  | { readonly kind: 'met' | 'planning' }
  /** On now, or the next to come; and how many more of theirs the plan has after it. */
  | {
      readonly kind: 'coming';
      readonly line: DayLine;
      readonly going: boolean;
      readonly more: number;
    }
  /** Their last event of the plan is over, and nothing is logged of it. */
  | { readonly kind: 'passed'; readonly line: DayLine }
  | { readonly kind: 'lost'; readonly why: string; readonly rescue?: Rescue };

export interface OwedLine {
  readonly owed: PersonOwed;
  readonly state: OwedState;
}

const isOf = ({ events }: PersonOwed, eventId: string): boolean =>
  events.some(({ id }) => id === eventId);

/** Whether the plan brings them at all. */
export const isServed = (owed: PersonOwed, lines: readonly DayLine[]): boolean =>
  lines.some(({ status, event }) => status === 'shoot' && isOf(owed, event.id));

/** How many are owed, and how many of them are had or in the plan. */
export const metAmong = (
  owed: readonly PersonOwed[],
  lines: readonly DayLine[],
): { readonly owed: number; readonly met: number } => ({
  owed: owed.length,
  met: owed.filter((one) => isMet(one) || isServed(one, lines)).length,
});

/** Ways to meet someone lost, each with whom else it would lose; the cheapest first. */
function rescues(
  owed: PersonOwed,
  lines: readonly DayLine[],
  others: readonly { readonly owed: PersonOwed; readonly stays: readonly DayLine[] }[],
  atMs: number,
): readonly Rescue[] {
  const byId = new Map(lines.map(({ event }) => [event.id, event]));
  return lines
    .flatMap(({ event, reason }): readonly Rescue[] => {
      if (!isOf(owed, event.id) || !reason || !('then' in reason)) return [];
      if (reason.then.fromMs < atMs) return [];
      const ids = reason.kind === 'walk' ? [reason.otherEvent] : reason.withEvents;
      const gives = ids.flatMap((id) => byId.get(id) ?? []);
      const loses = others.flatMap(({ owed: other, stays }) =>
        stays.length > 0 && stays.every((stay) => ids.includes(stay.event.id))
          ? [other.person]
          : [],
      );
      return [{ event, then: reason.then, gives, loses: [...new Set(loses)] }];
    })
    .sort((a, b) => a.loses.length - b.loses.length || a.gives.length - b.gives.length);
}

function whyLost(owed: PersonOwed, lines: readonly DayLine[], atMs: number): string {
  const theirs = lines.filter(({ event }) => isOf(owed, event.id));
  if (theirs.length === 0) {
    return owed.shot ? `in no event that gives ${owed.shot.name}` : 'in no event of the order';
  }
  const ahead = theirs.find(({ endMs }) => endMs > atMs);
  return ahead ? `${eventTitle(ahead.event)}: ${ahead.why}` : 'all their events are over.';
}

/** Everyone owed, and how it stands at a minute. */
export function owedLines(
  owed: readonly PersonOwed[],
  lines: readonly DayLine[],
  atMs: number,
): readonly OwedLine[] {
  const planned = stayLines(lines);
  const planning = lines.some(({ status }) => status === 'unknown');
  const all = owed.map((one) => ({
    owed: one,
    stays: isMet(one)
      ? []
      : planned.filter(({ event, endMs }) => endMs > atMs && isOf(one, event.id)),
  }));
  return all.map(({ owed: one, stays }): OwedLine => {
    const [next] = stays;
    if (isMet(one)) return { owed: one, state: { kind: 'met' } };
    if (next) {
      const going = next.startMs <= atMs;
      return { owed: one, state: { kind: 'coming', line: next, going, more: stays.length - 1 } };
    }
    if (planning) return { owed: one, state: { kind: 'planning' } };
    const [rescue] = rescues(one, lines, all, atMs);
    const passed = planned.filter(({ event }) => isOf(one, event.id)).at(-1);
    if (passed && !rescue) return { owed: one, state: { kind: 'passed', line: passed } };
    const why = whyLost(one, lines, atMs);
    return { owed: one, state: { kind: 'lost', why, ...(rescue && { rescue }) } };
  });
}

/** In the order of what they belong to; whoever belongs to nobody comes last. */
export const byClient = (lines: readonly OwedLine[]): readonly [string, readonly OwedLine[]][] =>
  groups(lines, ({ owed }) => owed.person.client ?? '').sort(
    ([a], [b]) => Number(a === '') - Number(b === ''),
  );

/** "Ash Lock 15:12", "Max Weir now", "Bea Tarn had", "Dee Marsh lost". */
export function owedInShort({ owed, state }: OwedLine, clock: (ms: number) => string): string {
  const { name } = owed.person;
  switch (state.kind) {
    case 'met':
      return `${name} had`;
    case 'planning':
      return name;
    case 'coming':
      return `${name} ${state.going ? 'now' : clock(state.line.startMs)}`;
    case 'passed':
      return `${name} not logged`;
    case 'lost':
      return `${name} lost`;
  }
}

/** "1 of 2 had"; nothing where one is owed and not had, which its state says already. */
const hadInWords = ({ delivered, keepers }: PersonOwed): string =>
  keepers === 1 && delivered === 0 ? '' : `${delivered} of ${keepers} had`;

/** What of someone comes after their next, for whom more than one keeper is owed. */
const afterIt = (more: number): string =>
  more === 0 ? 'their last one planned' : `${more} more planned after it`;

/** "15:12, lane 4: Long jump, heat 2, from Pit side. 1 of 2 had." */
export function owedInFull(
  { owed, state }: OwedLine,
  { positions }: Pick<Shoot, 'positions'>,
  clock: (ms: number) => string,
): string {
  const had = hadInWords(owed);
  const laneAt = ({ event }: DayLine): string => {
    const lane = event.entries.find(({ personId }) => personId === owed.person.id)?.lane;
    return lane === undefined ? '' : `, lane ${lane}`;
  };
  const placeOf = (id: string | undefined) =>
    positions.find((entry) => entry.id === id)?.name ?? '';
  const said = (): string => {
    switch (state.kind) {
      case 'met':
        return '';
      case 'planning':
        return 'the day is planned';
      case 'coming': {
        const { line } = state;
        const weak = line.weak ? `; weak from there: ${line.weak}` : '';
        const by = line.by ? `, by ${line.by}` : '';
        const more = owed.keepers - owed.delivered > 1 ? `; ${afterIt(state.more)}` : '';
        return `${state.going ? 'Now' : clock(line.startMs)}${laneAt(line)}: ${eventTitle(line.event)}, from ${placeOf(line.stop?.positionId)}${by}${weak}${more}`;
      }
      case 'passed':
        return `${clock(state.line.startMs)}${laneAt(state.line)}: ${eventTitle(state.line.event)} is over, and no keeper of it is logged`;
      case 'lost':
        return `Lost: ${state.why.replace(/\.$/, '')}`;
    }
  };
  return [said(), owed.shot && state.kind !== 'lost' ? owed.shot.name : '', had]
    .filter(Boolean)
    .join('. ');
}

/** What a rescue does, and what it costs. */
export function rescueInWords(
  { event, then, gives, loses }: Rescue,
  { positions, shooters }: Pick<Shoot, 'positions' | 'shooters'>,
  clock: (ms: number) => string,
): string {
  const place = positions.find(({ id }) => id === then.positionId)?.name ?? '';
  const cost =
    loses.length > 0
      ? `, and with it ${inALine(loses.map(({ name }) => name))}`
      : ', where nobody else owed is lost';
  const by = shooters.find(({ id }) => id === then.shooterId)?.name;
  return `${eventTitle(event)} from ${place}${by ? ` by ${by}` : ''}, ${clock(then.fromMs)} to ${clock(then.untilMs)}. Gives up ${inALine(gives.map(eventTitle))}${cost}.`;
}

/** The order with a rescue taken: what it gives up is left out, and the event is a promise. */
export function withRescue(shoot: Shoot, { event, gives }: Rescue): Shoot {
  const out = new Set(gives.map(({ id }) => id));
  return {
    ...shoot,
    events: shoot.events.map((entry): DayEventRecord => {
      if (out.has(entry.id)) return { ...entry, leftOut: true };
      if (entry.id !== event.id) return entry;
      const { leftOut: _was, ...kept } = entry;
      return { ...kept, worth: 'must' };
    }),
  };
}

/** "2 had, 9 coming, 1 lost." */
export function owedCounted(lines: readonly OwedLine[]): string {
  const count = (...kinds: readonly OwedState['kind'][]) =>
    lines.filter(({ state }) => kinds.includes(state.kind)).length;
  return [
    [count('met'), 'had'],
    [count('coming'), 'coming'],
    [count('planning'), 'being planned'],
    [count('passed'), 'not logged'],
    [count('lost'), 'lost'],
  ]
    .filter(([n]) => n)
    .map(([n, what]) => `${n} ${what}`)
    .join(', ');
}
