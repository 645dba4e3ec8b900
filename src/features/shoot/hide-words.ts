import type { Block, WindowSwing } from '@/core';
import type { Named } from '@/answers/along-sight';
import { bearingInWords, metres, smallLength } from './words';

/** Hides and what is in the way, in words. */

/** "Shed, 4.2 m off"; of what one sits in, "a wall of Hide, 0.4 m off". */
export const blockInWords = ({ obstacle, distanceM, fromWithin }: Block<Named>): string =>
  fromWithin
    ? `a wall of ${obstacle.name}, ${smallLength(distanceM)} off`
    : `${obstacle.name}, ${metres(distanceM)} off`;

const upInWords = (deg: number): string =>
  Math.abs(deg) < 0.5 ? 'level' : `${Math.abs(deg).toFixed(0)}° ${deg > 0 ? 'up' : 'down'}`;

/** "231° SW to 268° W, 22° down to 22° up": what a lens at a seat can swing to in a window. */
export const swingInWords = ({ fromDeg, turnDeg, lowestDeg, highestDeg }: WindowSwing): string =>
  `${bearingInWords(fromDeg)} to ${bearingInWords((fromDeg + turnDeg) % 360)}, ${upInWords(lowestDeg)} to ${upInWords(highestDeg)}`;
