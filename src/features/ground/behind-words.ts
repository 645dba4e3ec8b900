import type { Behind } from '@/answers/behind';
import type { Shoot } from '@/records/shoot';
import { stops } from '@/features/shoot/words';

/** What a subject stands against, in words. */

const SURFACE_WORDS: Readonly<Record<Shoot['ground']['surface'], string>> = {
  grass: 'grass',
  snow: 'snow',
  drySand: 'dry sand',
  water: 'water',
  clayTrack: 'the track',
  hallWood: 'the floor',
  ice: 'ice',
};

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
  return behind.kind === 'sky' ? `${DEPTH_WORDS[behind.depth]}, ${light}` : light;
}

/** "Alders, far bank: in the shade, 1.6 stops darker", "Sky: deep blue, 1.1 stops brighter". */
export function behindInWords(behind: Behind, surface: Shoot['ground']['surface']): string {
  if (behind.kind === 'water') return 'Water: it mirrors what is beyond';
  const light = brightness(behind.stopsOver);
  if (behind.kind === 'sky') return `Sky: ${DEPTH_WORDS[behind.depth]}, ${light}`;
  const name = behind.kind === 'thing' ? behind.name : SURFACE_WORDS[surface];
  const named = `${name.slice(0, 1).toUpperCase()}${name.slice(1)}`;
  return `${named}: ${behind.sunlit ? 'in the sun' : 'no sun on it'}, ${light}`;
}
