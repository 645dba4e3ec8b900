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

test('who throws has the thing in the hand that lets go of it, and both go where the hand goes', () => {
  const { aheadM, leftM, upM } = { aheadM: 0.45, leftM: -0.5, upM: 1.55 };
  const hand = {
    ...({ name: 'throwing hand', role: 'limb', aheadM, leftM, upM, bodyShare: 1 } as const),
    swing: { speedMs: 24, radiusM: 0.8, planeTiltDeg: 75 },
  };
  const withHand = figurePieces('throwing', { ...MODEL, parts: [hand] }).filter(
    ({ to }) => to.part === 'throwing hand',
  );
  const thing = withHand.find(({ material }) => material === 'dark');
  const away = thing && Math.hypot(thing.to.aheadM - aheadM, thing.to.leftM - leftM);
  expect(away).toBeGreaterThan(0.05);
  expect(away).toBeLessThan(0.2);
  // The forearm's end, the hand, and what is in it.
  expect(withHand).toHaveLength(3);
});

test.each(['standing', 'running', 'swinging', 'throwing'] as const)(
  '%s: with nothing said of it, the head stands over shoulders, hands and feet',
  (kind) => {
    const pieces = figurePieces(kind, { ...MODEL, parts: [] });
    const tops = pieces.map(({ from, to, fromRadiusM, toRadiusM }) =>
      Math.max(from.upM + fromRadiusM, to.upM + toRadiusM),
    );
    const head = Math.max(...tops) / MODEL.heightM;
    expect(head).toBeGreaterThan(0.9);
    expect(head).toBeLessThan(1.1);
  },
);

test('a bird whose throat moves sings: its bill is open; another’s is one', () => {
  const bills = (name: string) =>
    figurePieces('perched', {
      ...{ heightM: 0.13, depthM: 0.06 },
      parts: [{ name, role: 'body', aheadM: 0, leftM: 0, upM: 0.1, bodyShare: 0 }],
    }).filter(({ material, to }) => material === 'dark' && to.aheadM > 0.4 * 0.13);
  expect(bills('head')).toHaveLength(1);
  const [upper, lower] = bills('throat').map(({ to }) => to.upM);
  expect((upper ?? 0) - (lower ?? 0)).toBeGreaterThan(0.1 * 0.13);
});

test.each(['standing', 'perched', 'flying', 'butterfly', 'fourLegs', 'horse'] as const)(
  '%s: as many eyes, ears, wings and legs on one side as on the other, as far out',
  (kind) => {
    const sides = figurePieces(kind, MODEL).map(({ to }) => to.leftM);
    expect(sides.filter((left) => left > 0)).not.toHaveLength(0);
    expect(sides.reduce((sum, left) => sum + left, 0)).toBeCloseTo(0, 9);
  },
);

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
