import { glassLossStops, glassReflectance } from './glass';

test('a surface of glass reflects what Fresnel’s equations say', () => {
  // (1.52 − 1)²/(1.52 + 1)²
  expect(glassReflectance(0)).toBeCloseTo(0.0426, 4);
  // Brewster's angle, atan 1.52 = 56.66°: light along the plane is not reflected, the other at
  // ((1 − n²)/(1 + n²))²: half of 0.157.
  expect(glassReflectance(56.659)).toBeCloseTo(0.0784, 3);
  expect(glassReflectance(80)).toBeGreaterThan(0.35);
  expect(() => glassReflectance(-1)).toThrow('offSquareDeg -1');
});

test('panes cost light: a twelfth part straight on for one, more for two, most of it slantwise', () => {
  // Single clear float lets 0.90 to 0.92 through, double 0.81 to 0.85: makers' tables, quoted from memory.
  expect(2 ** -glassLossStops(1, 0)).toBeCloseTo(0.918, 3);
  expect(2 ** -glassLossStops(2, 0)).toBeCloseTo(0.849, 3);
  expect(glassLossStops(1, 60)).toBeGreaterThan(glassLossStops(1, 0));
  expect(glassLossStops(2, 80)).toBeGreaterThan(1);
  expect(glassLossStops(1, 90)).toBe(glassLossStops(1, 89));
  expect(() => glassLossStops(0, 0)).toThrow('panes 0');
});
