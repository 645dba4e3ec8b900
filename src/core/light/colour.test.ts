import fc from 'fast-check';
import { flicker, modulationFromBurst } from './flicker';
import { lightColour } from './colour';
import { lightOnSubject, type LitScene } from './subject';

const SCENE: LitScene = {
  place: { latitudeDeg: 52, longitudeDeg: 0 },
  sky: 'clear',
  groundReflectance: 0.2,
  obstacles: [],
  target: { x: 0, y: 0, z: 1.5 },
  faceAzimuthDeg: 180,
  lampLux: 0,
};
const NOON = Date.UTC(2027, 5, 21, 12);
const at = (hour: number, change: Partial<LitScene> = {}) =>
  lightColour(lightOnSubject({ ...SCENE, ...change }, NOON + (hour - 12) * 3.6e6));

test('light has the colour one would set: common practice, no source', () => {
  expect(at(12).kelvin).toBe(5500);
  expect(at(19.6)).toEqual({ kind: 'sun', warm: true, kelvin: 4000 });
  expect(at(12).warm).toBe(false);
  expect(at(12, { sky: 'overcast' }).kelvin).toBe(6500);
  expect(at(21).kind).toBe('twilight');
  expect(at(21, { lampLux: 500 }).kind).toBe('lamps');
});

test('a test burst tells the swing that made it, unless its time hides it', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 0, max: 0.9, noNaN: true }),
      fc.double({ min: 1 / 4000, max: 1 / 250, noNaN: true }),
      (modulation, shutterS) => {
        const { spreadStops } = flicker({ mainsHz: 50, modulation, shutterS });
        const told = modulationFromBurst({ mainsHz: 50, shutterS, spreadStops });
        expect(told).toBeCloseTo(modulation, 6);
      },
    ),
  );
  expect(modulationFromBurst({ mainsHz: 50, shutterS: 1 / 100, spreadStops: 1 })).toBeUndefined();
});
