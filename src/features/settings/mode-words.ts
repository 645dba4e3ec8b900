import type { ModeAdvice } from '@/core';

const stops = (value: number): string => `${value.toFixed(1)} stops`;

/** "even within 0.4 stops, but 5.0 stops of change in these hours: turn as the card says". */
export function modeWhyInWords({ mode, why }: ModeAdvice): string {
  const still =
    mode === 'aperturePriority' ? '; nothing moves fast enough for its time to matter' : '';
  switch (why.kind) {
    case 'setOnce':
      return `steady within ${stops(why.steadyStops)} and even within ${stops(why.evenStops)}: set it once, click for each zone`;
    case 'turnAsItGoes':
      return `even within ${stops(why.evenStops)}, but ${stops(why.throughStops)} of change in these hours: turn as the card says`;
    case 'inTheSun':
      return `the picture lies in the sun, ${stops(why.overShadeStops)} over the shade: set for the sun and let the rest go dark`;
    case 'clicks':
      return `zones differ by ${stops(why.unevennessStops)}, a meter would stray by ${stops(why.fooledStops)}: click for each zone`;
    case 'tooManyClicks':
      return `zones differ by ${stops(why.unevennessStops)}, ${why.clicks} clicks: too many to turn by hand${still}`;
    case 'unforeseen':
      return `the light may change by ${stops(why.variabilityStops)} unforeseen${still}`;
  }
}
