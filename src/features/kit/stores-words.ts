import type { Stores } from '@/answers/stores';

/** Where the number of frames is from. */
export const FRAMES_BY: Readonly<Record<Stores['framesBy'], string>> = {
  own: 'Your own figure',
  owed: 'What is owed, at the share of frames that is usually kept',
  usual: 'A usual number: nothing is promised yet',
};

/** "3.7 s, 44 frames; empty again in 12 s", or that the card keeps up. */
export const burstInWords = ({ burstS, burstFrames, clearS }: Stores['bursts'][number]): string =>
  burstS === Infinity
    ? 'as long as you like: the card keeps up'
    : `${burstS.toFixed(1)} s, ${burstFrames} frames; empty again in ${Math.round(clearS)} s`;
