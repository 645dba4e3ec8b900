import fc from 'fast-check';
import { clicksBetween, markAt, nearestMark, parseShutter, type Dial, type ScaleKind } from '.';

const kind = fc.constantFrom<ScaleKind>('shutter', 'aperture', 'iso');
const dial = fc.constantFrom<Dial>('third', 'half', 'whole');

test('every mark is its own nearest mark, from its value and from its engraving', () => {
  for (const which of ['third', 'half', 'whole'] as const) {
    for (
      let click = which === 'third' ? -45 : which === 'half' ? -30 : -15;
      click <= 5;
      click += 1
    ) {
      const mark = markAt('shutter', click, which);
      expect(nearestMark('shutter', mark.value, 'nearest', which)).toEqual(mark);
      expect(nearestMark('shutter', parseShutter(mark.label), 'nearest', which).label).toBe(
        mark.label,
      );
    }
  }
});

test.each(['third', 'half', 'whole'] as const)(
  'on a dial of %s stops what is engraved is the exact step, rounded as figures on dials are',
  (which) => {
    const perStop = { third: 3, half: 2, whole: 1 }[which];
    for (const scale of ['shutter', 'aperture', 'iso'] as const) {
      const from = { shutter: -13, aperture: 0, iso: -2 }[scale] * perStop;
      const to = { shutter: 4, aperture: 12, iso: 12 }[scale] * perStop;
      for (let click = from; click <= to; click += 1) {
        const { label } = markAt(scale, click, which);
        const written = Number(label.replace(/^(?:1\/|f\/|ISO )| s$/g, ''));
        const figure = label.startsWith('1/') ? 1 / written : written;
        const stops = click / perStop;
        const exact = { shutter: 2 ** stops, aperture: 2 ** (stops / 2), iso: 100 * 2 ** stops };
        // 1/20 where the half step is 1/22.6 is the most that any is rounded.
        expect(Math.abs(Math.log2(figure / exact[scale]))).toBeLessThan(0.18);
      }
    }
  },
);

test('up and down stand either side of a value, at most a click apart', () => {
  fc.assert(
    fc.property(
      kind,
      dial,
      fc.double({ min: 1.2, max: 20, noNaN: true }),
      (scale, which, factor) => {
        const value = scale === 'iso' ? factor * 100 : factor;
        const up = nearestMark(scale, value, 'up', which);
        const down = nearestMark(scale, value, 'down', which);
        expect(down.value).toBeLessThanOrEqual(value * 1.0001);
        expect(up.value).toBeGreaterThanOrEqual(value * 0.9999);
        expect(clicksBetween(down, up)).toBeLessThanOrEqual(1);
      },
    ),
  );
});

test('a stop is three clicks, two or one, and an aperture stop is √2', () => {
  const from = nearestMark('aperture', 2.8);
  expect(clicksBetween(from, nearestMark('aperture', 4))).toBe(3);
  expect(nearestMark('aperture', 4).value / from.value).toBeCloseTo(Math.SQRT2, 9);
  const half = (iso: number) => nearestMark('iso', iso, 'nearest', 'half');
  expect(clicksBetween(half(400), half(200))).toBe(-2);
});

test('marks of different dials can not be counted between', () => {
  expect(() => clicksBetween(nearestMark('iso', 100), nearestMark('shutter', 1))).toThrow(
    RangeError,
  );
});

test('values off the scale take its end', () => {
  expect(nearestMark('shutter', 1e-9).label).toBe('1/32000');
  expect(nearestMark('shutter', 500).label).toBe('30 s');
  expect(nearestMark('iso', 1e9).label).toBe('ISO 409600');
});
