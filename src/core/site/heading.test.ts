import fc from 'fast-check';
import { headingOf, meanBearing } from './heading';

test.each([
  ['level, its top to the north', [0, 0, 0], 0],
  // Alpha counts anticlockwise (W3C, 4.1).
  ['level, turned a quarter to the left', [90, 0, 0], 270],
  ['level, turned a quarter to the right', [270, 0, 0], 90],
  ['tipped up a little', [300, 30, 0], 60],
  ['tipped to its side', [300, 0, 30], 60],
  // Held up as a camera: the back looks where the top did before it was raised.
  ['held up as a camera, to the north', [0, 90, 0], 0],
  ['held up as a camera, to the east', [270, 90, 0], 90],
  ['held up and leaning back', [270, 70, 0], 90],
  ['held up and leaning over', [270, 110, 0], 90],
  // On its long edge with its face to the west, the back looks east.
  ['on its left edge', [0, 0, -90], 90],
  ['on its right edge', [0, 0, 90], 270],
] as const)('a phone %s points there', (_, [alphaDeg, betaDeg, gammaDeg], heading) => {
  const found = headingOf({ alphaDeg, betaDeg, gammaDeg });
  expect(Math.abs(((found - heading + 540) % 360) - 180)).toBeLessThan(1e-9);
});

test('as in the specification’s own example: held up, east and north of the back', () => {
  // compassHeading of the W3C text, written out with its own names; it holds for the back alone.
  const compassHeading = (alpha: number, beta: number, gamma: number) => {
    const radians = Math.PI / 180;
    const [x, y, z] = [beta * radians, gamma * radians, alpha * radians];
    const vx = -Math.cos(z) * Math.sin(y) - Math.sin(z) * Math.sin(x) * Math.cos(y);
    const vy = -Math.sin(z) * Math.sin(y) + Math.cos(z) * Math.sin(x) * Math.cos(y);
    let heading = Math.atan(vx / vy);
    if (vy < 0) heading += Math.PI;
    else if (vx < 0) heading += 2 * Math.PI;
    return heading / radians;
  };
  const deg = (min: number, max: number) => fc.double({ min, max, noNaN: true });
  fc.assert(
    fc.property(deg(0, 359), deg(50, 130), deg(-30, 30), (alphaDeg, betaDeg, gammaDeg) => {
      const off =
        headingOf({ alphaDeg, betaDeg, gammaDeg }) - compassHeading(alphaDeg, betaDeg, gammaDeg);
      expect(Math.abs(((off + 540) % 360) - 180)).toBeLessThan(1e-6);
    }),
  );
});

test('bearings on both sides of north have their mean there, and scatter as they do', () => {
  expect(meanBearing([350, 10])?.deg).toBeCloseTo(0, 9);
  expect(meanBearing([80, 100, 90])?.deg).toBeCloseTo(90, 9);
  expect(meanBearing([47])).toEqual({
    deg: expect.closeTo(47, 9),
    spreadDeg: expect.closeTo(0, 5),
  });
  // For small angles the circular deviation is the plain one: of ±10° it is 10°.
  expect(meanBearing([350, 10])?.spreadDeg).toBeCloseTo(10.0, 0);
  expect(meanBearing([0, 90, 180, 270])?.spreadDeg).toBeGreaterThan(120);
  expect(meanBearing([])).toBeUndefined();
});
