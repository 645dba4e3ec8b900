import { LOOKS_UP, type Approach, type Gaps, type Reaction } from '@/answers/approach';
import type { Post } from '@/answers/posts';
import type { Flooded } from '@/answers/tide';
import { metres } from './words';
import { visitInWords } from './visit-words';

/** Coming near to what is wild, in words. */

const times = (count: number): string =>
  count === 1 ? 'once' : count === 2 ? 'twice' : `${count} times`;
const minutes = (min: number): string => `${min < 9.5 ? min.toFixed(1) : Math.round(min)} min`;

/** "It looked up twice, from as far as 9.8 m, and left once, from 6.0 m: stay farther off, and stop when it looks up." */
export function reactionsInWords(reactions: readonly Reaction[]): string | undefined {
  if (reactions.length === 0) return undefined;
  const told = reactions.map(
    ({ did, times: count, fromM }) =>
      `${did === LOOKS_UP ? 'looked up' : 'left'} ${times(count)}, from ${count > 1 ? 'as far as ' : ''}${metres(fromM)}`,
  );
  return `It ${told.join(', and ')}: stay farther off, and stop when it looks up.`;
}

/** "Way in, 7.5 m: none of it in sight of Near perch." */
export function approachInWords(
  { path, lengthM, inSightM, inSightS, nearestM }: Approach,
  subject: string,
): string {
  const way = `${path}, ${metres(lengthM)}: `;
  return nearestM === undefined
    ? `${way}none of it in sight of ${subject}.`
    : `${way}${metres(inSightM)} of it in sight of ${subject}, as near as ${metres(nearestM)}. Bent low that takes ${Math.round(inSightS)} s.`;
}

/** "It stays away 9.0 min, half the times 5.0 to 13 min (14 gaps): move then, and have the camera at the eye before it comes up." */
export const gapsInWords = ({ count, lowMin, middleMin, highMin }: Gaps): string =>
  `It comes every ${minutes(middleMin)}, half the times after ${minutes(lowMin)} to ${minutes(highMin)} (${count} gaps): move while it is down or away, and have the camera at the eye before it comes up.`;

const MONTHS = [
  ...['January', 'February', 'March', 'April', 'May', 'June', 'July'],
  ...['August', 'September', 'October', 'November', 'December'],
];

/** "Came in 3 of 4 watches, most 06:00 to 07:00 (2.4 an hour); April, May." */
export function postInWords({ watches, visited, best, months }: Post): string {
  if (!best) return `Watched ${times(watches)}, nothing came.`;
  const hour = (at: number) => `${String(at % 24).padStart(2, '0')}:00`;
  const when = `most ${hour(best.hour)} to ${hour(best.hour + 1)} (${visitInWords(best)})`;
  return `Came in ${visited} of ${watches} ${watches === 1 ? 'watch' : 'watches'}, ${when}; ${months.map((month) => MONTHS[month - 1]).join(', ')}.`;
}

/** "Water at Shore, 0.8 m up: 11:20 to 14:05.", or what is to be said first. */
export function floodInWords(
  flooded: readonly Flooded[] | undefined,
  clock: (ms: number) => string,
): readonly string[] {
  if (!flooded) {
    return [
      'Draw the shore as a slope from low water up, and give the height of high and of low water: when it reaches you is told here.',
    ];
  }
  if (flooded.length === 0)
    return ['Between these tides the water reaches neither you nor the mark.'];
  return flooded.map(
    ({ name, groundM, fromMs, toMs }) =>
      `Water at ${name}, ${metres(groundM)} up: ${clock(fromMs)} to ${clock(toMs)}.`,
  );
}
