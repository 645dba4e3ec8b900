import type { LightThrough, Turning } from '@/answers/light-plan';
import { stops, troubleInWords } from './words';

/** Light through the hours, in words. */

/** "+2", "0", "−1". */
export const clicksInWords = (clicks: number): string =>
  clicks === 0 ? '0' : `${clicks > 0 ? '+' : '−'}${Math.abs(clicks)}`;

export const TURNING_WORDS: Readonly<Record<Turning['what'], string>> = {
  shade: 'shade reaches the face',
  sun: 'sun on the face',
  daylightRules: 'daylight gives more than the lamps',
  lampsRule: 'lamps give most of the light',
};

/** "Good until 19:57. At 20:45 1.1 stops short." */
export function lightThroughInWords(light: LightThrough, clock: (ms: number) => string): string {
  switch (light.kind) {
    case 'holds':
      return `Holds throughout, ${light.spareStops >= 0.05 ? `${stops(light.spareStops)} over what it needs at the least` : 'just enough'}.`;
    case 'never':
      return `Never in these hours: ${stops(light.best.stops)} short at the best, at ${clock(light.best.timeMs)}.`;
    case 'short': {
      const { spans, startMs, worst } = light;
      const words = spans.map((span) => {
        if (span.fromMs === startMs) return `Not before ${clock(span.toMs)}.`;
        return span.toTheEnd
          ? `Good until ${clock(span.fromMs)}.`
          : `Short from ${clock(span.fromMs)} to ${clock(span.toMs)}.`;
      });
      return `${words.join(' ')} At ${clock(worst.timeMs)} ${stops(worst.stops)} short.`;
    }
    case 'sky':
      return 'Exposed for the sky behind: it lasts as long as that does.';
    case 'noView':
      return troubleInWords(light.trouble);
  }
}
