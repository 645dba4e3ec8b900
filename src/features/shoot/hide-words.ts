import type { Block, WindowSwing } from '@/core';
import type { AlongSight, Named } from '@/answers/along-sight';
import type { Hidden, Seat } from '@/answers/seats';
import { inALine } from '@/records/day-said';
import { bearingInWords, metres, percent, smallLength } from './words';

/** Hides and what is in the way, in words. */

/** "Shed, 4.2 m off"; of what one sits in, "a wall of Hide, 0.4 m off". */
export const blockInWords = ({ obstacle, distanceM, fromWithin }: Block<Named>): string =>
  fromWithin
    ? `a wall of ${obstacle.name}, ${smallLength(distanceM)} off`
    : `${obstacle.name}, ${metres(distanceM)} off`;

/** Before a branch is cut. Common practice, and the law in many places. */
export const BEFORE_CUTTING =
  'Before you cut it, ask whose it is, and leave it while birds nest there.';

/** What is in the way of a view: "In the way: Shed, 4.2 m off.", "Branch hides 40 %."; nothing where nothing is. */
export function inTheWayInWords({ blocks: [block], branches: [branch] }: AlongSight): string {
  if (block) return `In the way: ${blockInWords(block)}.`;
  return branch ? `${branch.name} hides ${percent(branch.hidesShare)}.` : '';
}

const upInWords = (deg: number): string =>
  Math.abs(deg) < 0.5 ? 'level' : `${Math.abs(deg).toFixed(0)}° ${deg > 0 ? 'up' : 'down'}`;

/** "231° SW to 268° W, 22° down to 22° up": what a lens at a seat can swing to in a window. */
export const swingInWords = ({ fromDeg, turnDeg, lowestDeg, highestDeg }: WindowSwing): string =>
  `${bearingInWords(fromDeg)} to ${bearingInWords((fromDeg + turnDeg) % 360)}, ${upInWords(lowestDeg)} to ${upInWords(highestDeg)}`;

const HIDDEN_WORDS: Readonly<Record<Hidden, string>> = {
  wall: 'no window that way',
  sill: 'under the sill',
  head: 'over the head of the window',
};

/** "From Seat, hide one sees Near perch and Far perch. Hidden: Dive pool, under the sill." */
export function seatInWords({ position, seen, hidden }: Seat): string {
  const sees =
    seen.length > 0 ? `one sees ${inALine(seen.map(({ name }) => name))}` : 'one sees no mark';
  const hides = hidden.map(({ mark, by }) => `${mark.name}, ${HIDDEN_WORDS[by]}`).join('; ');
  return `From ${position.name} ${sees}.${hides ? ` Hidden: ${hides}.` : ''}`;
}
