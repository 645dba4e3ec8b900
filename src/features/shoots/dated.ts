import type { Summary } from '@/records/list';

/** A shoot of the list with what the clock of its place says now. */
export type Dated = Summary & { readonly nowLocal: string };

/** A moment by the wall clock of a zone, as records write it. */
const minuteIn = (timeZone: string, ms: number): string =>
  new Intl.DateTimeFormat('sv-SE', { timeZone, dateStyle: 'short', timeStyle: 'short' })
    .format(ms)
    .replace(' ', 'T');

/** Shoots that are still to come or on, and those that are past: the last one first, it is looked back at. */
export function datedAt(shoots: readonly Summary[], ms: number) {
  const clocks = new Map<string, string>();
  for (const { timeZone } of shoots)
    if (!clocks.has(timeZone)) clocks.set(timeZone, minuteIn(timeZone, ms));
  const dated = shoots.map((shoot): Dated => ({
    ...shoot,
    nowLocal: clocks.get(shoot.timeZone) as string,
  }));
  return {
    coming: dated.filter(({ endLocal, nowLocal }) => endLocal >= nowLocal),
    past: dated.filter(({ endLocal, nowLocal }) => endLocal < nowLocal).reverse(),
  };
}
