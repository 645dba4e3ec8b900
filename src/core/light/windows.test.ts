import { point3 } from '../site/vector';
import { daylight } from './daylight';
import { lightKind } from './readings';
import { lightOnSubject, type LitScene } from './subject';
import { daylightOver, WINDOW_SHARES } from './windows';

const HALL: LitScene = {
  place: { latitudeDeg: 53, longitudeDeg: -2 },
  sky: 'overcast',
  indoors: true,
  groundReflectance: 0.25,
  obstacles: [],
  target: point3(0, 0, 1.5),
  faceAzimuthDeg: 180,
  lampLux: 0,
};
const at = (scene: Partial<LitScene>, time: string) =>
  lightOnSubject({ ...HALL, ...scene }, Date.parse(time));

test('a daylight factor of 2 % under a design sky of 5000 lx gives 100 lx', () => {
  // The sun height whose overcast sky gives about 5000 lx on the level (CIE standard overcast, BS 8206-2).
  const heights = Array.from({ length: 400 }, (_, i) => i / 10);
  const off = (deg: number) =>
    Math.abs(daylight({ sunAltitudeDeg: deg, sky: 'overcast' }).globalHorizontalLux - 5000);
  const height = heights.reduce((a, b) => (off(b) < off(a) ? b : a));
  const inside = daylightOver({ indoors: true, windowShare: 0.02 }, height, 'overcast');
  expect(inside.globalHorizontalLux).toBeGreaterThan(98);
  expect(inside.globalHorizontalLux).toBeLessThan(102);
  expect(inside.directNormalLux).toBe(0);
});

test('under the open sky, windows are nothing; under a roof without, the sun is nothing', () => {
  expect(daylightOver({ windowShare: 0.05 }, 40, 'clear')).toEqual(
    daylight({ sunAltitudeDeg: 40, sky: 'clear' }),
  );
  const day = daylightOver({ indoors: true }, 40, 'clear');
  expect(day).toEqual(daylightOver({ indoors: true }, -40, 'clear'));
  expect(day.globalHorizontalLux).toBeLessThan(0.01);
});

test('by night windows leave what the night does, and never less', () => {
  const night = daylightOver({ indoors: true }, -30, 'clear');
  expect(daylightOver({ indoors: true, windowShare: 0.05 }, -30, 'clear')).toEqual(night);
});

test('twice the windows, a stop more; and the light follows the day', () => {
  const noon = '2027-03-20T12:10:00Z';
  const ev = (windowShare: number, time = noon) => at({ windowShare }, time).ev.expected;
  expect(ev(0.04) - ev(0.02)).toBeCloseTo(1, 9);
  expect(ev(0.02)).toBeGreaterThan(ev(0.02, '2027-03-20T17:30:00Z') + 2);
  expect(ev(0.02, '2027-03-20T22:00:00Z')).toBeLessThan(-3);
});

test('with its windows along one side a hall has a few hundred lux at noon, and lamps add to it', () => {
  // Well daylit rooms are said to have 100 to 500 lx by an overcast noon. Common practice, no source.
  const noon = at({ windowShare: WINDOW_SHARES.oneSide }, '2027-03-20T12:10:00Z');
  expect(noon.daylightLux).toBeGreaterThan(100);
  expect(noon.daylightLux).toBeLessThan(500);
  expect(noon.sunlit).toBe(false);
  const lit = at(
    { windowShare: WINDOW_SHARES.oneSide, lampLux: noon.daylightLux },
    '2027-03-20T12:10:00Z',
  );
  expect(lit.ev.expected - noon.ev.expected).toBeCloseTo(1, 9);
});

test('what comes through windows is of the shade’s kind, until the lamps give more', () => {
  expect(lightKind(at({ windowShare: 0.03 }, '2027-03-20T12:00:00Z'))).toBe('shade');
  expect(lightKind(at({ windowShare: 0.03, lampLux: 900 }, '2027-03-20T12:00:00Z'))).toBe('lamps');
  expect(lightKind(at({ windowShare: 0.03 }, '2027-03-20T19:00:00Z'))).toBe('twilight');
});
