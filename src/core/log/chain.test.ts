import fc from 'fast-check';
import { chainShares } from './chain';

/** Every way through a chain, each with its weight: what the sums must come to. */
function byHand(
  fits: readonly (readonly number[])[],
  step: (i: number, a: number, b: number) => number,
): readonly (readonly number[])[] {
  let ways: { readonly at: readonly number[]; readonly log: number }[] = [{ at: [], log: 0 }];
  fits.forEach((own, i) => {
    ways = ways.flatMap(({ at, log }) =>
      own.map((fit, b) => ({
        at: [...at, b],
        log: log + fit + (i > 0 ? step(i, at[i - 1] as number, b) : 0),
      })),
    );
  });
  const total = ways.reduce((sum, { log }) => sum + Math.exp(log), 0);
  return fits.map((own, i) =>
    own.map(
      (_, b) =>
        ways.filter(({ at }) => at[i] === b).reduce((sum, { log }) => sum + Math.exp(log), 0) /
        total,
    ),
  );
}

test('shares of a chain are those of all ways through it', () => {
  const log = fc.double({ min: -4, max: 4, noNaN: true });
  fc.assert(
    fc.property(
      fc.array(fc.array(log, { minLength: 1, maxLength: 3 }), { minLength: 1, maxLength: 5 }),
      log,
      (fits, stays) => {
        const step = (i: number, a: number, b: number) => (a === b ? stays : -0.3 * i);
        const found = chainShares(
          fits.map((own) => ({ fits: own })),
          step,
        );
        byHand(fits, step).forEach((shares, i) =>
          shares.forEach((share, b) => expect(found[i]?.[b]).toBeCloseTo(share, 9)),
        );
      },
    ),
  );
});

test('a long chain neither overflows nor vanishes; none is none', () => {
  const links = Array.from({ length: 3000 }, () => ({ fits: [-400, -401] }));
  const shares = chainShares(links, (_i, a, b) => (a === b ? 0 : -2));
  expect(shares[1500]?.[0]).toBeGreaterThan(0.5);
  expect((shares[1500]?.[0] ?? 0) + (shares[1500]?.[1] ?? 0)).toBeCloseTo(1, 9);
  expect(chainShares([], () => 0)).toEqual([]);
  expect(() => chainShares([{ fits: [] }], () => 0)).toThrow('links[0].fits');
});
