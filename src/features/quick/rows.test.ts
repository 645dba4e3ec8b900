import { FIRST_QUICK, quickSchema, type Quick } from '@/records/quick';
import { quickAnswer, quickDistanceM, quickEv } from './quick';
import { canTurn, changesMost, dialsApartStops, lightName, ROWS, turned } from './rows';

const settingsOf = (quick: Quick) => {
  const result = quickAnswer(quick);
  if (!result.ok) throw new Error(result.trouble.kind);
  return result.exposure.settings;
};

/** What the rows ask for. */
const asked = (quick: Quick) => [
  quick.subjectId,
  quickDistanceM(quick),
  lightName(quick),
  quick.kit.lensId,
];

test('every row goes to its end and back, and what it makes can always be kept', () => {
  for (const row of ROWS) {
    let quick = FIRST_QUICK;
    while (canTurn(quick, row, -1)) quick = turned(quick, row, -1);
    let marks = 1;
    for (; canTurn(quick, row, 1) && marks < 200; marks += 1) {
      const next = turned(quick, row, 1);
      expect(quickSchema.safeParse(next).success).toBe(true);
      expect(asked(turned(next, row, -1))).toEqual(asked(quick));
      quick = next;
    }
    expect(marks).toBeGreaterThan(5);
    expect(marks).toBeLessThan(200);
  }
});

test('further on is further off, brighter and longer', () => {
  const off = turned(FIRST_QUICK, 'distance', 1);
  expect(quickDistanceM(off)).toBe(40);
  const bright = turned(FIRST_QUICK, 'light', 1);
  expect(quickEv(bright).expected).toBeGreaterThan(quickEv(FIRST_QUICK).expected);
  const long = turned(FIRST_QUICK, 'lens', 1);
  expect(long.kit.focalMm).toBeGreaterThanOrEqual(FIRST_QUICK.kit.focalMm);
  expect(long.kit.lensId).not.toBe(FIRST_QUICK.kit.lensId);
});

test('from what lies between two marks it goes to the next of them', () => {
  const between = { ...FIRST_QUICK, distanceM: 33 };
  expect(quickDistanceM(turned(between, 'distance', 1))).toBe(40);
  const measured: Quick = { ...FIRST_QUICK, light: { ...FIRST_QUICK.light, by: 'ev', ev: 12 } };
  expect(lightName(measured)).toBeUndefined();
  const darker = turned(measured, 'light', -1);
  expect(darker.light.by).toBe('eye');
  expect(lightName(darker)).toBe('Shade of a stand or trees');
});

test('dials stand apart by all of their clicks together', () => {
  const a = { shutterS: 1 / 1000, aperture: 2.8, iso: 400, liftStops: 0 };
  expect(dialsApartStops(a, a)).toBe(0);
  // A stop each of time, opening and sensitivity.
  const b = { shutterS: 1 / 500, aperture: 2.8 * Math.SQRT2, iso: 800, liftStops: 0 };
  expect(dialsApartStops(a, b)).toBeCloseTo(3, 9);
  expect(dialsApartStops(b, a)).toBeCloseTo(3, 9);
});

test('what changes it most is a click whose settings are those it says, and no other moves them more', () => {
  const most = changesMost(FIRST_QUICK);
  if (!most) throw new Error('something must');
  expect(turned(FIRST_QUICK, most.row, most.clicks)).toEqual(most.quick);
  expect(settingsOf(most.quick)).toEqual(most.settings);
  const now = settingsOf(FIRST_QUICK);
  for (const row of ['distance', 'light', 'lens'] as const) {
    for (const clicks of [1, -1]) {
      const then = settingsOf(turned(FIRST_QUICK, row, clicks));
      expect(dialsApartStops(now, then)).toBeLessThanOrEqual(most.apartStops + 1e-9);
    }
  }
});
