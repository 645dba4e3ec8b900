import { DEMO_SHOOTS } from '@/demo';
import { FIRST_PRACTICE } from '@/records/practice';
import { msOf } from '@/records/times';
import { eyeOff, eyeQuestion, EVS, HEIGHTS_DEG, sunFromBehindDeg, SUN_SIDES } from './eye-drill';
import { HOME_AT_LOCAL, homeShoot } from './home-ground';
import { pictured } from './pictured';

const AT_MS = msOf(HOME_AT_LOCAL, 'UTC');
const HOURS = { fromMs: AT_MS - 6 * 3_600_000, toMs: AT_MS + 6 * 3_600_000 };
const setup = homeShoot(FIRST_PRACTICE.home);
const here = pictured(setup, AT_MS);
if (!here) throw new Error('no picture');
const picture = here;

/** Chances one after the other, over and over. */
const chances = (...list: readonly number[]) => {
  let i = -1;
  return () => list[(i += 1) % list.length] as number;
};

test('a sun in the south-west is behind and to the left of who looks north', () => {
  // At 15:00 by the sun of a June day at 51° north it stands in the west-south-west, 40° to 50° high: any almanac.
  const { azimuthDeg, altitudeDeg } = picture.answer.light.sun;
  expect(azimuthDeg).toBeGreaterThan(230);
  expect(azimuthDeg).toBeLessThan(260);
  expect(altitudeDeg).toBeGreaterThan(40);
  expect(sunFromBehindDeg(picture)).toBeCloseTo(180 - azimuthDeg, 6);
  expect(sunFromBehindDeg(picture)).toBeLessThan(0);
});

test('which side, how high and how much is what the core says, at the place and minute asked', () => {
  for (let i = 0; i < 24; i += 1) {
    const chance = chances(i / 24, ((i * 5) % 24) / 24, 0.3, 0.6);
    const side = eyeQuestion(setup, picture, HOURS, 'side', chance);
    if (side) {
      const deg = sunFromBehindDeg(side.picture);
      const name = SUN_SIDES[side.right];
      const along = Math.cos((deg * Math.PI) / 180);
      const across = Math.sin((deg * Math.PI) / 180);
      const clear = Math.cos((33.1 * Math.PI) / 180);
      const found =
        name === 'behind' ? along : name === 'ahead' ? -along : name === 'right' ? across : -across;
      expect(found).toBeGreaterThanOrEqual(clear);
    }
    const height = eyeQuestion(setup, picture, HOURS, 'height', chance);
    const truth = height?.picture.answer.light.sun.apparentAltitudeDeg ?? NaN;
    const apart = HEIGHTS_DEG.map((deg) => Math.abs(deg - truth));
    expect(apart[height?.right ?? -1]).toBe(Math.min(...apart));
    const ev = eyeQuestion(setup, picture, HOURS, 'ev', chance);
    const face = ev?.picture.answer.light.ev.expected ?? NaN;
    const evApart = EVS.map((one) => Math.abs(one - face));
    expect(evApart[ev?.right ?? -1]).toBe(Math.min(...evApart));
  }
});

test('one stands about the mark, as far off as before', () => {
  const question = eyeQuestion(setup, picture, HOURS, 'ev', chances(0.5, 0.25));
  expect(question?.picture.view.sight.distanceM).toBeCloseTo(picture.view.sight.distanceM, 6);
  expect(question?.picture.view.position.x).toBeCloseTo(18, 6);
});

test('by night and under a roof nothing is asked of the sun, but of the light', () => {
  const night = msOf('2027-06-12T00:30', 'UTC');
  const hours = { fromMs: night, toMs: night + 600_000 };
  expect(eyeQuestion(setup, picture, hours, 'side', Math.random)).toBeUndefined();
  expect(eyeQuestion(setup, picture, hours, 'height', Math.random)).toBeUndefined();
  const [larkmoor] = DEMO_SHOOTS;
  if (!larkmoor) throw new Error('no demo');
  const lamps = { indoors: true, lampLux: 300, lampsFromLocal: larkmoor.startLocal };
  const hall = { ...larkmoor, light: { ...larkmoor.light, ...lamps } };
  const inside = pictured(hall, msOf(larkmoor.startLocal, larkmoor.place.timeZone));
  if (!inside) throw new Error('no picture');
  const at = msOf(larkmoor.startLocal, larkmoor.place.timeZone);
  expect(eyeQuestion(hall, inside, { fromMs: at, toMs: at }, 'side', Math.random)).toBeUndefined();
  expect(eyeQuestion(hall, inside, { fromMs: at, toMs: at }, 'ev', () => 0)?.right).toBeDefined();
});

test('an answer is off by steps; round the compass the shorter way', () => {
  const four = { right: 0, choices: [0, 1, 2, 3] };
  const offs = (task: 'side' | 'ground' | 'height') =>
    four.choices.map((answer) => eyeOff({ task, ...four }, answer));
  expect(offs('side')).toEqual([0, 1, 2, 1]);
  expect(offs('ground')).toEqual([0, 1, 2, 1]);
  expect(offs('height')).toEqual([0, 1, 2, 3]);
});

test('the hour is one of some, two apart, with the sun up', () => {
  for (let i = 0; i < 12; i += 1) {
    const chance = chances(i / 12, ((i * 7) % 12) / 12, ((i * 5) % 12) / 12);
    const question = eyeQuestion(setup, picture, HOURS, 'hour', chance);
    if (!question) throw new Error('nothing asked');
    const hours = question.choices.map((ms) => (ms - msOf('2027-06-12T00:00', 'UTC')) / 3_600_000);
    // At 51° north the sun of mid June rises at a quarter to four and sets at a quarter past eight: any almanac.
    hours.forEach((hour, k) => {
      expect(Number.isInteger(hour)).toBe(true);
      expect(hour).toBeGreaterThan(4);
      expect(hour).toBeLessThan(20.2);
      if (k > 0) expect(hour - (hours[k - 1] as number)).toBe(2);
    });
    expect(hours.length).toBeGreaterThanOrEqual(5);
    expect(question.choices[question.right]).toBe(question.atMs);
  }
  const night = { fromMs: AT_MS + 9 * 3_600_000, toMs: AT_MS + 12 * 3_600_000 };
  expect(eyeQuestion(setup, picture, night, 'hour', Math.random)).toBeUndefined();
});

test('faces are lit from the side that the sun is on', () => {
  const sideAt = (local: string, bearingDeg: number) => {
    const atMs = msOf(`2027-06-12T${local}`, 'UTC');
    const turned = { ...setup, ground: { ...setup.ground, bearingDeg } };
    return eyeQuestion(turned, picture, { fromMs: atMs, toMs: atMs }, 'ground', () => 0);
  };
  // East in the morning, south at noon, west in the afternoon: any almanac for 51° north.
  const sides = ['07:00', '12:00', '16:30'].map((local) => sideAt(local, 0));
  expect(sides.map((one) => one?.choices[one.right])).toEqual([90, 180, 270]);
  sides.forEach((one) => expect(one?.picture.answer.sunAngle.phaseDeg).toBeLessThan(65));
  // A ground that lies askew has its sides askew.
  const askew = sideAt('12:00', 28);
  expect(askew?.choices).toEqual([28, 118, 208, 298]);
  expect(askew?.choices[askew.right]).toBe(208);
  // Half-way between two sides nothing is asked.
  expect(sideAt('12:00', 45)).toBeUndefined();
});

test('what lies beyond all answers is not asked', () => {
  // Half an hour after sunset a face has less than EV 4; at noon in the tropics the sun stands over 68° high.
  const dusk = msOf('2027-06-12T20:50', 'UTC');
  const late = pictured(setup, dusk);
  expect(late?.answer.light.ev.expected).toBeLessThan(4);
  const at = (ms: number) => ({ fromMs: ms, toMs: ms });
  expect(eyeQuestion(setup, picture, at(dusk), 'ev', () => 0)).toBeUndefined();
  const tropics = { ...setup, place: { ...setup.place, latitudeDeg: 20 } };
  const noon = msOf('2027-06-12T12:00', 'UTC');
  expect(eyeQuestion(tropics, picture, at(noon), 'height', () => 0)).toBeUndefined();
  expect(eyeQuestion(tropics, picture, at(noon - 4 * 3_600_000), 'height', () => 0)).toBeDefined();
});
