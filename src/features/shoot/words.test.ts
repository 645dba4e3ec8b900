import type { Answer } from '@/answers/answer';
import { faceSeen, lightInWords, metres, smallLength, sunInWords } from './words';

/** Light as an answer holds it: the sun up, on the face, so far off the camera's own axis. */
const lit = (
  phaseDeg: number,
  side: 'left' | 'right' | 'centre',
  more: Partial<Answer['light']> = {},
): Pick<Answer, 'light' | 'sunAngle'> =>
  ({
    sunAngle: { phaseDeg, side },
    light: {
      ...{ lampLux: 0, daylightLux: 9e4, indoors: false, sunlit: true, sunShare: 1 },
      sun: { altitudeDeg: 30, azimuthDeg: 180 },
      daylight: { directNormalLux: 8e4 },
      ...more,
    },
  }) as unknown as Pick<Answer, 'light' | 'sunAngle'>;

test.each([
  [10, 'centre', 'Front light'],
  [40, 'left', 'Front light from the left'],
  [90, 'left', 'Side light from the left'],
  [95, 'right', 'Side light from the right'],
  [150, 'right', 'Back light from the right'],
  [180, 'centre', 'Back light'],
] as const)('the sun %d° off the camera’s axis, on the %s, is %s', (phaseDeg, side, words) => {
  expect(lightInWords(lit(phaseDeg, side))).toBe(words);
});

test.each([
  ['Lamplight', { lampLux: 400, daylightLux: 30 }],
  ['Dark: no lamps', { indoors: true, daylightLux: 0.001 }],
  ['Window light', { indoors: true, daylightLux: 90 }],
  ['Twilight', { sun: { altitudeDeg: -3, azimuthDeg: 280 } }],
  ['In shade', { sunlit: false, sunShare: 0 }],
  ['Dappled light', { sunlit: false, sunShare: 0.4 }],
  ['Dappled light', { sunShare: 0.7 }],
  ['Overcast', { sunlit: false, sunShare: 0.4, daylight: { directNormalLux: 0 } }],
  ['Overcast', { sunlit: false, daylight: { directNormalLux: 0 } }],
  ['High sun, eyes in shade', { sun: { altitudeDeg: 80, azimuthDeg: 180 } }],
])('where no side is lit it is said: %s', (words, light) => {
  expect(lightInWords(lit(60, 'left', light as never))).toBe(words);
});

test('how much of a face is seen, from all of it to none', () => {
  expect([0, 20, 45, 90, 110, 170].map(faceSeen)).toEqual([
    'faces you',
    'faces you',
    'three-quarter face',
    'in profile',
    'in profile',
    'turned away',
  ]);
});

test.each([
  [11, '11° high'],
  [0.6, '1° high'],
  [-0.6, '1° below the horizon'],
  [-3, '3° below the horizon'],
])('the sun at %d° is %s', (altitudeDeg, words) => {
  expect(sunInWords({ azimuthDeg: 271, altitudeDeg })).toBe(`Sun 271° W, ${words}`);
});

test.each([
  [0.00994, '9.9 mm'],
  [0.00996, '10 mm'],
  [0.0196, '2 cm'],
  [0.994, '99 cm'],
  [0.996, '1.0 m'],
  [99.94, '99.9 m'],
  [99.96, '100 m'],
])('%d m is written %s: a round figure in the unit that it has', (m, words) => {
  expect(smallLength(m)).toBe(words);
  if (m > 0.995) expect(metres(m)).toBe(words);
});
