import { DEMO_SHOOTS } from '@/demo';
import type { Shoot } from '@/records/shoot';
import { againstInWords, logRows, offsetInWords } from './log-rows';

test.each([
  [0, 'right'],
  [47, '47 s slow'],
  [-128, '2 min 8 s fast'],
  [3647, '1 h 0 min 47 s slow'],
  [86_405, '1 day 5 s slow'],
])('an offset of %d s in words', (offsetS, words) => {
  expect(offsetInWords(offsetS)).toBe(words);
});

test.each([
  [0.1, 0.1, 'exposed as planned'],
  [1, 0, '1.0 stop darker than planned'],
  [-0.5, -1, '0.5 stop brighter than planned, 1.0 stop faster'],
])('%d stops under and %d slower in words', (underStops, slowerStops, words) => {
  expect(againstInWords({ underStops, slowerStops })).toBe(words);
});

test('a reading stands in the table with its EV to a hundredth, and how the frame looked', () => {
  const [larkmoor] = DEMO_SHOOTS as [Shoot];
  const at = { id: 'r', name: 'Midfield', atLocal: '2027-04-16T19:00', x: 0, y: 0, upM: 1.5 };
  const reading = { ...at, faceDeg: 180, by: 'meter' as const, ev: 6.6666, simulated: false };
  const { log } = larkmoor;
  const rows = logRows({ ...larkmoor, log: { ...log, entries: [] }, readings: [reading] }, []);
  expect(rows).toEqual([
    {
      ...{ atLocal: '2027-04-16T19:00:00', kind: 'Reading', mark: 'Midfield' },
      ...{ ev: 6.67, what: 'meter' },
    },
  ]);
});
