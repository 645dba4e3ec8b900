import { levelOf } from './level';

const picture = (...values: readonly number[]) =>
  values.flatMap((value) => [value, value, value, 255]);

/** sRGB values and their light as a share of white, by tables of IEC 61966-2-1, from memory. */
test.each([
  [118, 0.1812],
  [188, 0.5029],
  [64, 0.0513],
  [255, 1],
])('an even picture of %s is as bright as its light against 18 %% grey', (value, share) => {
  expect(levelOf(picture(value, value, value, value))).toBeCloseTo(Math.log2(share / 0.18), 2);
});

test('green counts most and blue least, by ITU-R BT.709', () => {
  expect(levelOf([0, 255, 0, 255])).toBeCloseTo(Math.log2(0.7152 / 0.18), 3);
  expect(levelOf([0, 0, 255, 255])).toBeCloseTo(Math.log2(0.0722 / 0.18), 3);
});

test('a sky that is clipped, and as much in black shade, say nothing', () => {
  const scene = [100, 100, 100, 100];
  const framed = [...scene, 255, 255, 0, 0];
  expect(levelOf(picture(...framed))).toBeCloseTo(levelOf(picture(...scene)), 9);
});

test('twice the light is a stop more, whatever is in the picture', () => {
  // Values of a light, and of twice that light: 0.0513 and 0.1026, 0.1812 and 0.3624, by the same tables.
  const [once, twice] = [picture(64, 118, 64, 118), picture(90, 163, 90, 163)];
  expect(levelOf(twice) - levelOf(once)).toBeCloseTo(1, 1);
});

test('black is dark, and no number that is none; a picture without pixels is refused', () => {
  expect(levelOf(picture(0, 0))).toBeLessThan(-9);
  expect(Number.isFinite(levelOf(picture(0, 0)))).toBe(true);
  expect(() => levelOf([])).toThrow('rgba.length 0: must be at least 4');
});
