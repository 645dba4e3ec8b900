import type { Behind } from '@/answers/behind';
import type { GroundSurface } from '@/core';
import { SURFACES } from '@/presets/surfaces';
import { COLOUR_WORDS, sentence, stops } from '@/features/shoot/words';

/** What a subject stands against, in words. */

const SURFACE_NAME = Object.fromEntries(SURFACES.map(({ id, name }) => [id, name])) as Readonly<
  Record<GroundSurface, string>
>;

const DEPTH_WORDS = {
  deep: 'deep blue',
  blue: 'blue',
  pale: 'pale',
  white: 'white',
  grey: 'grey cloud',
} as const;

/** Less than this is as bright. */
const SAME_STOPS = 0.3;

const brightness = (stopsOver: number): string =>
  Math.abs(stopsOver) < SAME_STOPS
    ? 'as bright as the face'
    : `${stops(Math.abs(stopsOver))} ${stopsOver > 0 ? 'brighter' : 'darker'}`;

/** "2.6 stops darker", "deep blue, 1.1 stops brighter": in short, what it is being known; nothing of water. */
export function behindInShort(behind: Behind): string {
  if (behind.kind === 'water') return '';
  const light = brightness(behind.stopsOver);
  if (behind.kind === 'sky') return `${DEPTH_WORDS[behind.depth]}, ${light}`;
  const looks =
    behind.kind === 'thing'
      ? COLOUR_WORDS[behind.colour]
      : SURFACE_NAME[behind.surface].toLowerCase();
  return `${looks}, ${light}`;
}

/** "Alders, far bank: in the shade, 1.6 stops darker", "Sky: deep blue, 1.1 stops brighter". */
export function behindInWords(behind: Behind): string {
  if (behind.kind === 'water') return 'Water: it mirrors what is beyond';
  const light = brightness(behind.stopsOver);
  if (behind.kind === 'sky') return `Sky: ${DEPTH_WORDS[behind.depth]}, ${light}`;
  const named =
    behind.kind === 'thing'
      ? `${sentence(behind.name).slice(0, -1)}: ${COLOUR_WORDS[behind.colour]}, `
      : `${SURFACE_NAME[behind.surface]}: `;
  return `${named}${behind.sunlit ? 'in the sun' : 'no sun on it'}, ${light}`;
}
