import { figurePieces } from './poses';
import { headTurned, striding, wingsAt } from './posed';

const MODEL = { heightM: 1.8, depthM: 0.6, parts: [] };

/** How far a piece reaches from the middle of a figure to its left. */
const halfWide = ({ fromRadiusM, toRadiusM }: { fromRadiusM: number; toRadiusM: number }) =>
  Math.max(fromRadiusM, toRadiusM);

// A head is some 15 cm wide and 23 high: common measures of a person, no source.
test('a head is as wide as a head, with its hair', () => {
  const head = figurePieces('standing', MODEL).filter(
    ({ from, to }) => Math.min(from.upM, to.upM) > 1.45,
  );
  const widest = Math.max(...head.map(halfWide));
  expect(widest).toBeGreaterThan(0.07);
  expect(widest).toBeLessThan(0.11);
});

describe('posed', () => {
  test('what has no wings has none to raise', () => {
    const person = figurePieces('standing', MODEL);
    const arms = person.filter(({ from }) => from.leftM === 0);
    expect(wingsAt(person, 45).filter(({ from }) => from.leftM === 0)).toEqual(arms);
  });
  test('a head turned all the way round is as it was; what has no head stays', () => {
    const person = figurePieces('standing', MODEL);
    const round = headTurned(person, MODEL, 360);
    round.forEach(({ from, to }, i) => {
      expect(from.aheadM).toBeCloseTo(person[i]?.from.aheadM ?? NaN, 9);
      expect(to.leftM).toBeCloseTo(person[i]?.to.leftM ?? NaN, 9);
    });
    const ball = figurePieces('ball', { ...MODEL, heightM: 0.07 });
    expect(headTurned(ball, { heightM: 10 }, 90)).toBe(ball);
  });
  test('a runner’s feet are never under the ground, and two steps on they are where they were', () => {
    const at = (steps: number) => striding(MODEL, steps).map(({ to }) => to.upM);
    for (let steps = 0; steps < 2; steps += 0.1) {
      expect(Math.min(...at(steps))).toBeGreaterThanOrEqual(0);
    }
    at(2.3).forEach((upM, i) => expect(upM).toBeCloseTo(at(0.3)[i] ?? NaN, 9));
  });
});
