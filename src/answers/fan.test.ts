import { FIRST_PRACTICE, type FanTry } from '@/records/practice';
import { fanAgrees, fanLadder, readable, fanOff, tonesOf } from './fan';

const RATE_HZ = 44_100;
const SAMPLES = 32_768;
/** A repeatable noise, −1 to 1. */
function noise(seed: number): () => number {
  let state = seed;
  return () => {
    state = (state * 16_807) % 2_147_483_647;
    return (2 * state) / 2_147_483_647 - 1;
  };
}
const heard = (tones: readonly (readonly [hz: number, loud: number])[], noisy = 0.05) => {
  const next = noise(7);
  return Float32Array.from({ length: SAMPLES }, (_, i) =>
    tones.reduce(
      (sum, [hz, loud]) => sum + loud * Math.sin((2 * Math.PI * hz * i) / RATE_HZ + 0.7),
      noisy * next(),
    ),
  );
};

describe('the hum of a fan', () => {
  test.each([23.7, 61.3, 62.5, 104.1, 187.4, 411.9])('%f Hz is heard to a tenth', (hz) => {
    const [tone] = tonesOf(heard([[hz, 0.2]]), RATE_HZ);
    expect(tone?.hz).toBeGreaterThan(hz - 0.1);
    expect(tone?.hz).toBeLessThan(hz + 0.1);
    expect(tone?.share).toBe(1);
  });
  test('a fan with overtones comes before a louder mains tone without', () => {
    const fan = [62.5, 125, 187.5].map((hz) => [hz, 0.2] as const);
    const tones = tonesOf(heard([...fan, [100, 0.3]]), RATE_HZ);
    expect(tones[0]?.hz).toBeCloseTo(62.5, 1);
    expect(tones.some(({ hz }) => Math.abs(hz - 100) < 0.2)).toBe(true);
    expect(tones.length).toBeLessThanOrEqual(3);
  });
  test('noise alone, silence and a snippet have no tone', () => {
    expect(tonesOf(heard([]), RATE_HZ)).toEqual([]);
    expect(tonesOf(new Float32Array(SAMPLES), RATE_HZ)).toEqual([]);
    expect(tonesOf(heard([[60, 1]]).slice(0, 900), RATE_HZ)).toEqual([]);
  });
  test('what lies outside of what fans hum at is no fan', () => {
    expect(tonesOf(heard([[1200, 0.3]]), RATE_HZ)).toEqual([]);
  });
});

test('the ladder has what can be read: twenty turns a second are 7200° a second', () => {
  expect(fanLadder(20).map(({ deg }) => Math.round(deg))).toEqual([225, 113, 56, 28, 14, 7]);
  expect(fanLadder(0.5)).toEqual([
    expect.objectContaining({ deg: expect.closeTo(11.25, 5) }),
    expect.objectContaining({ deg: expect.closeTo(5.625, 5) }),
  ]);
});

test('a smear of a few degrees, or nearly round, can’t be read', () => {
  // 7200° a second: 3.6° in 1/2000, 360° in 1/20.
  expect([1 / 2000, 1 / 60, 1 / 20].map((s) => readable(7200 * s))).toEqual([
    'tooShort',
    'yes',
    'tooLong',
  ]);
});

describe('pictures read back', () => {
  const read = (measuredDeg: number, i: number): FanTry => ({
    ...{ kind: 'fan', id: `f${i}`, at: '2026-11-28T12:00:00.000Z', shutterS: 1 / 64 },
    ...{ turnsPerS: 20, predictedDeg: 100, measuredDeg },
  });
  test('are so much more or less than foretold', () => {
    expect(fanOff(read(112, 0))).toBeCloseTo(0.12, 9);
  });
  test('say something from three on', () => {
    const practice = (...all: readonly number[]) => ({ ...FIRST_PRACTICE, tries: all.map(read) });
    expect(fanAgrees(practice(98, 102))).toBeUndefined();
    const agreed = fanAgrees(practice(98, 102, 100));
    expect(agreed?.bias.value).toBeCloseTo(0, 9);
    // Student's t of two degrees at 90 % is 2.920; the standard deviation is 0.02.
    expect(agreed?.bias.high).toBeCloseTo((2.92 * 0.02) / Math.sqrt(3), 4);
    expect(fanAgrees(practice(118, 122, 120))?.bias.low).toBeGreaterThan(0.1);
  });
});
