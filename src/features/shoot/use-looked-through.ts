import { lookThrough } from '@/answers/season';
import type { Shoot } from '@/records/shoot';
import { useInTurns } from './use-in-turns';

const numbers = new WeakMap<Shoot, number>();
let last = 0;

/** A number of a shoot as it is now: changed in anything, it has another. */
export function numberOf(shoot: Shoot): number {
  const known = numbers.get(shoot);
  if (known !== undefined) return known;
  last += 1;
  numbers.set(shoot, last);
  return last;
}

/** Whether some shoots have been looked through for what they teach: one after the other, between other things. */
export const useLookedThrough = (shoots: readonly Shoot[]): boolean =>
  useInTurns(
    'looked-through',
    shoots.map(numberOf).join(' '),
    () => shoots.map((shoot) => () => lookThrough(shoot)),
    true,
  ) !== undefined;
