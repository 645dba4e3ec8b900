import { clockInWords, isAsFound } from './clock-words';

const found = (offsetS: number, withinS: number) => [{ offsetS, withinS, by: 'taps' as const }];

test('what is known loosely corrects nothing that a person set within it; what is known well does', () => {
  expect(isAsFound([{ offsetS: 100 }], found(30, 160))).toBe(true);
  expect(isAsFound([{ offsetS: 100 }], found(30, 3))).toBe(false);
  expect(isAsFound([{ offsetS: 33 }], found(30, 3))).toBe(true);
  // What nobody set is not right for being possible.
  expect(isAsFound([], found(30, 160))).toBe(false);
  expect(isAsFound([], found(-4, 3))).toBe(true);
  // A clock that was set while shooting is two.
  expect(isAsFound([{ offsetS: 0 }], [...found(0, 3), ...found(3600, 3)])).toBe(false);
});

test('a clock says how it is known, and is never right unchecked', () => {
  expect(clockInWords([], undefined)).toBe('not checked');
  expect(clockInWords([{ offsetS: 0 }], undefined)).toBe('right, as you set it');
  expect(clockInWords([{ offsetS: 200, by: 'picture' }], undefined)).toBe(
    '3 min 20 s slow, by a picture of a clock',
  );
  const drift = { perDayS: -10, atMs: 0 };
  expect(clockInWords([{ offsetS: -37, by: 'taps', withinS: 3, drift }], undefined)).toBe(
    '37 s fast, gaining 10 s a day, to within 3 s',
  );
  expect(
    clockInWords(
      [
        { offsetS: 0, by: 'taps', withinS: 3 },
        { offsetS: 3600, by: 'taps', withinS: 4, fromFile: 'A_0100.jpg' },
      ],
      undefined,
    ),
  ).toBe('right; from A_0100.jpg on 1 h 0 min 0 s slow, to within 4 s');
});
