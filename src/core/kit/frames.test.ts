import { frameMb, framesExpected } from '..';

test('frames follow from what is owed and how much is kept', () => {
  // Common practice: 1000 frames of a football night give 25 to 30.
  const night = framesExpected([{ count: 27, technique: 'freeze' }]);
  expect(night).toBeGreaterThanOrEqual(900);
  expect(night).toBeLessThanOrEqual(1080);
  expect(framesExpected([])).toBe(0);
  expect(framesExpected([{ count: 3, technique: 'still', rate: 0.5 }])).toBe(6);
  expect(() => framesExpected([{ count: 1, technique: 'pan', rate: 0 }])).toThrow(/rate 0/);
});

test('both files of a frame take their room', () => {
  const sizes = { rawMb: 28, jpegMb: 11 };
  expect(['raw', 'jpeg', 'both'].map((form) => frameMb(form as 'raw', sizes))).toEqual([
    28, 11, 39,
  ]);
});
