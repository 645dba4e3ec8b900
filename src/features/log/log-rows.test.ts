import { againstInWords, offsetInWords } from './log-rows';

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
