/** World Athletics technical rules: landing sectors 34.92° and 28.96°. Quoted from memory. */
import { insidePolygon, refusals, throwSector } from '@/core';

const at = (bearingDeg: number, distanceM: number) => ({
  x: distanceM * Math.sin((bearingDeg * Math.PI) / 180),
  y: distanceM * Math.cos((bearingDeg * Math.PI) / 180),
});

test.each([
  ['shot', 34.92],
  ['discus', 34.92],
  ['hammer', 34.92],
  ['javelin', 28.96],
] as const)('%s: the lines stand %d° apart', (kind, degrees) => {
  const sector = throwSector({ kind, origin: { x: 0, y: 0 }, bearingDeg: 40, lengthM: 100 });
  expect(insidePolygon(at(40 + degrees / 2 - 0.05, 50), sector)).toBe(true);
  expect(insidePolygon(at(40 + degrees / 2 + 0.05, 50), sector)).toBe(false);
  expect(insidePolygon(at(40 - degrees / 2 + 0.05, 50), sector)).toBe(true);
  expect(insidePolygon(at(40 - degrees / 2 - 0.05, 50), sector)).toBe(false);
});

test('34.92° sets the lines 12 m apart at 20 m, as the rule book lays them out', () => {
  const [, first, ...rest] = throwSector({
    kind: 'shot',
    origin: { x: 0, y: 0 },
    bearingDeg: 0,
    lengthM: 20,
  });
  const last = rest.at(-1);
  expect(
    Math.hypot((first?.x ?? 0) - (last?.x ?? 0), (first?.y ?? 0) - (last?.y ?? 0)),
  ).toBeCloseTo(12, 2);
});

test('a position in a sector, or out of the pen, is refused with the reason', () => {
  const sector = throwSector({
    kind: 'discus',
    origin: { x: 0, y: 0 },
    bearingDeg: 0,
    lengthM: 80,
    marginDeg: 10,
  });
  const pen = [
    { x: 30, y: 0 },
    { x: 40, y: 0 },
    { x: 40, y: 10 },
    { x: 30, y: 10 },
  ];
  const limits = [
    { name: 'the discus sector', area: sector, keep: 'out' as const },
    { name: 'the photographers’ pen', area: pen, keep: 'in' as const },
  ];
  expect(refusals({ x: 0, y: 40 }, limits)).toEqual([
    { kind: 'inside', name: 'the discus sector' },
    { kind: 'outside', name: 'the photographers’ pen' },
  ]);
  expect(refusals({ x: 35, y: 5 }, limits)).toEqual([]);
});
