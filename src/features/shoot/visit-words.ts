import type { HourlyVisits } from '@/answers/nature';

/** What one is settled before, in a hide. */
export const ARRIVE_BEFORE = {
  civilDawn: 'the first light',
  rise: 'sunrise',
  start: 'the start',
} as const;

/** "one in 25 minutes", for an hour that one waits through. */
export function visitInWords({ rate, visits }: Pick<HourlyVisits, 'rate' | 'visits'>): string {
  if (visits === 0) return 'none seen';
  return rate >= 1 ? `${rate.toFixed(1)} an hour` : `one in ${Math.round(60 / rate)} minutes`;
}
