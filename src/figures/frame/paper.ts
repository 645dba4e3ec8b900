import type { Inks } from '@/ui/theme';

/** Colours of the paper that a picture is on, 0 to 1 as encoded. */
export interface Paper {
  readonly white: readonly [number, number, number];
  readonly black: readonly [number, number, number];
}

const shares = (hex: string): readonly [number, number, number] => {
  const of = (from: number) => parseInt(hex.slice(from, from + 2), 16) / 255;
  return [of(1), of(3), of(5)];
};
const brightness = (hex: string) => shares(hex).reduce((a, b) => a + b);

/** The picture's white is the lighter of paper and ink, whichever that is at this brightness. */
export function paperOf({ paper, ink }: Pick<Inks, 'paper' | 'ink'>): Paper {
  const [black, white] = brightness(paper) < brightness(ink) ? [paper, ink] : [ink, paper];
  return { white: shares(white), black: shares(black) };
}
