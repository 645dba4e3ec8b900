import { magneticDeclination } from '@/core';
import type { Shoot } from '@/records/shoot';
import { msOf } from '@/records/times';

/** How far a compass points east of true at a shoot's place and day; nothing where no model says. */
export function declinationOf({
  place,
  startLocal,
}: Pick<Shoot, 'place' | 'startLocal'>): number | undefined {
  try {
    return magneticDeclination(place, msOf(startLocal, place.timeZone));
  } catch (error) {
    if (error instanceof RangeError) return undefined;
    throw error;
  }
}

/** "Compass points 1.2° west of true north here." */
export function declinationInWords(east: number): string {
  const off = Math.abs(east);
  if (off < 0.05) return 'The compass points to true north here.';
  return `The compass points ${off.toFixed(1)}° ${east > 0 ? 'east' : 'west'} of true north here.`;
}
