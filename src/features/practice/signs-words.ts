import type { Follows } from '@/answers/signs';
import { nearBySigns } from '@/answers/warm-up';
import type { Sign } from '@/presets/cues';

const seconds = (s: number): string => (s >= 10 ? `${Math.round(s)} s` : `${s.toFixed(1)} s`);

/** "2 of 4 in their place." */
export const placedInWords = (right: number, of: number): string =>
  right === of ? `All ${of} in their place.` : `${right} of ${of} in their place.`;

const beforeInWords = (beforeS: number): string =>
  beforeS === 0 ? 'the moment' : `${seconds(beforeS)} before`;

/** "The stick goes back: 0.5 s before; you put it at 1." */
export function placedSignInWords(sign: Sign | undefined, put: number, place: number): string {
  if (!sign) return '';
  const yours = put === place ? '' : `; you put it at ${put}`;
  return `${sign.text}: ${beforeInWords(sign.beforeS)}${yours}`;
}

/** "120 ms late, within the quarter of a second that signs allow." */
export function foretoldInWords(lateS: number | undefined): string {
  if (lateS === undefined) return 'Let pass: nothing was pressed.';
  const found = `${Math.abs(Math.round(lateS * 1000))} ms ${lateS < 0 ? 'early' : 'late'}`;
  return nearBySigns(lateS)
    ? `${found}, within the quarter of a second that signs allow.`
    : `${found}; by signs alone a quarter of a second is good.`;
}

/** "Your log: “dives” came 4.0 s after “hovers”, 5 times." */
export const followsInWords = ({ first, then, afterS, count }: Follows): string =>
  `Your log: “${then}” came ${seconds(afterS)} after “${first}”, ${count} times.`;
