import type { ModeAdvice } from '@/core';
import { modeWhyInWords } from './mode-words';

const said = (why: ModeAdvice['why'], mode: ModeAdvice['mode'] = 'manual') =>
  modeWhyInWords({ mode, why, compensationStops: 0 });

test.each([
  [
    { kind: 'setOnce', steadyStops: 0.1, evenStops: 0.42 },
    'steady within 0.1 stops and even within 0.4 stops: set it once, click for each zone',
  ],
  [
    { kind: 'turnAsItGoes', evenStops: 0, throughStops: 5 },
    'even within 0.0 stops, but 5.0 stops of change in these hours: turn as the card says',
  ],
  [
    { kind: 'inTheSun', overShadeStops: 2.5 },
    'the picture lies in the sun, 2.5 stops over the shade: set for the sun and let the rest go dark',
  ],
  [
    { kind: 'clicks', unevennessStops: 1.5, fooledStops: 2.7 },
    'zones differ by 1.5 stops, a meter would stray by 2.7 stops: click for each zone',
  ],
] as const)('%p is said with its figures', (why, words) => expect(said(why)).toBe(words));

test('aperture priority says that time does not matter, automatic ISO does not', () => {
  const many = { kind: 'tooManyClicks', unevennessStops: 3.3, clicks: 10 } as const;
  const changing = { kind: 'unforeseen', variabilityStops: 2 } as const;
  const still = '; nothing moves fast enough for its time to matter';
  expect(said(many, 'autoIso')).toBe(
    'zones differ by 3.3 stops, 10 clicks: too many to turn by hand',
  );
  expect(said(changing, 'autoIso')).toBe('the light may change by 2.0 stops unforeseen');
  expect(said(changing, 'aperturePriority')).toBe(
    `the light may change by 2.0 stops unforeseen${still}`,
  );
});
