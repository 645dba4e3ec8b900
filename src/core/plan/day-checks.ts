import { above, atLeast, finite, nonEmpty, within } from '../check';
import type { DayEvent, DayPosition, Debt, LeadTimes, Quota } from './day';

/** What a day must be to be planned: each error names the value and what it must be. */

function checkEvents(
  events: readonly DayEvent[],
  positions: readonly DayPosition[],
  quotas: readonly Quota[],
): void {
  nonEmpty('positions', positions);
  const known = new Set(positions.map(({ id }) => id));
  positions.forEach(({ id, x, y }) => {
    finite(`positions.${id}.x`, x);
    finite(`positions.${id}.y`, y);
  });
  if (known.size < positions.length) {
    throw new RangeError(`positions of length ${positions.length}: must have ids of their own`);
  }
  const ids = new Set<string>();
  for (const { id, startMs, endMs, value, from, window, group } of events) {
    if (ids.has(id)) throw new RangeError(`event ${id}: must not stand twice`);
    ids.add(id);
    finite(`event ${id} startMs`, startMs);
    above(`event ${id} endMs`, endMs, startMs);
    atLeast(`event ${id} value`, value, 0);
    if (window) {
      above(`event ${id} window.visitMs`, window.visitMs, 0);
      within(`event ${id} window.againShare`, window.againShare, 0, 1);
      if (![1, 2, 3].includes(window.most)) {
        throw new RangeError(`event ${id} window.most ${window.most}: must be 1, 2 or 3`);
      }
      if (group !== undefined) {
        throw new RangeError(`event ${id} group ${group}: must be absent for a window`);
      }
    }
    for (const { positionId, quality } of from) {
      within(`event ${id} quality`, quality, 0, 1);
      if (!known.has(positionId)) {
        throw new RangeError(`event ${id} position ${positionId}: must be one of the positions`);
      }
    }
  }
  quotas.forEach(({ group, need, beyondShare }) => {
    atLeast(`quota ${group} need`, need, 0);
    within(`quota ${group} beyondShare`, beyondShare, 0, 1);
    if (!Number.isInteger(need)) throw new RangeError(`quota ${group} need ${need}: must be whole`);
  });
}

function checkDebts(debts: readonly Debt[], events: readonly DayEvent[]): void {
  const known = new Set(events.map(({ id }) => id));
  for (const debt of debts) {
    const stranger = debt.events.find((id) => !known.has(id));
    if (stranger !== undefined) {
      throw new RangeError(`debt ${debt.id} event ${stranger}: must be one of the events`);
    }
  }
}

/** Everything that is the same for one who shoots and for several. */
export interface DayAsked {
  readonly events: readonly DayEvent[];
  readonly positions: readonly DayPosition[];
  /** Metres a second, straight between positions. */
  readonly walkSpeedMs: number;
  readonly leadTimes: LeadTimes;
  readonly quotas: readonly Quota[];
  /** Who is owed; one that nothing meets is named in `debtsMissed`. */
  readonly debts: readonly Debt[];
}

/** @throws RangeError for events, positions, quotas or debts that make no sense */
export function checkDay({
  events,
  positions,
  walkSpeedMs,
  leadTimes,
  quotas,
  debts,
}: DayAsked): void {
  above('walkSpeedMs', walkSpeedMs, 0);
  atLeast('leadTimes.secondCallMs', leadTimes.secondCallMs, 0);
  for (const [id, leadMs] of Object.entries(leadTimes.byEvent ?? {})) {
    atLeast(`lead of ${id}`, leadMs, 0);
  }
  checkEvents(events, positions, quotas);
  checkDebts(debts, events);
}
