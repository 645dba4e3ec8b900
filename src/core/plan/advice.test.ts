import fc from 'fast-check';
import { bodyById, lensById, subjectById } from '@/presets/find';
import { comparePosition, type CompareRequest } from './advice';
import { obstaclesOf } from '../site/feature';
import { insidePolygon } from '../site/frame';
import { alongBearing } from '../site/vector';
import { rectangleCorners } from '../site/measure';
import { scorePosition } from './score';
import type { ScoredKit } from './types';

const KIT: ScoredKit = {
  ...bodyById('full-frame-24'),
  lens: lensById('70-200-2.8'),
  orientation: 'level',
  support: 'monopod',
};
const at = (hour: number) => Date.parse('2027-04-16T00:00:00Z') + hour * 3.6e6;
const REQUEST: CompareRequest = {
  positions: [],
  mark: { x: 0, y: 0, headingDeg: 20, facingDeg: 20, subject: subjectById('field-player') },
  shot: { fill: 0.6, face: 'front', light: 'front', backdrop: 'washed' },
  site: {
    place: { latitudeDeg: 53.1, longitudeDeg: -1.9 },
    sky: 'clear',
    groundReflectance: 0.2,
    obstacles: [
      {
        heightM: 8,
        footprint: [
          { x: -40, y: -20 },
          { x: -30, y: -20 },
          { x: -30, y: 20 },
          { x: -40, y: 20 },
        ],
      },
    ],
    limits: [
      {
        name: 'the pitch',
        keep: 'out',
        area: [
          { x: -10, y: -10 },
          { x: 10, y: -10 },
          { x: 10, y: 10 },
          { x: -10, y: 10 },
        ],
      },
    ],
    keepAwayM: 3,
    lampLux: 200,
  },
  timeMs: at(17),
  timesMs: [16, 17, 18, 19].map(at),
  kits: [KIT, { ...KIT, lens: lensById('400-2.8') }],
};
const position = fc.record({
  x: fc.integer({ min: -60, max: 60 }),
  y: fc.integer({ min: -60, max: 60 }),
  cameraHeightM: fc.integer({ min: 3, max: 40 }).map((dm) => dm / 10),
});

test('whoever does as advised scores as promised, and better than before', () => {
  fc.assert(
    fc.property(position, (place) => {
      const { score, advice } = comparePosition({ id: 'p', ...place }, REQUEST);
      for (const { position: there, timeMs, kit, total, gain } of advice) {
        const done = scorePosition(
          there,
          REQUEST.mark,
          REQUEST.shot,
          timeMs,
          REQUEST.site,
          REQUEST.kits[kit] as ScoredKit,
        );
        expect(done.total).toBe(total);
        expect(done.refusals).toEqual([]);
        expect(total - score.total).toBeCloseTo(gain, 12);
        expect(gain).toBeGreaterThanOrEqual(0.02);
      }
    }),
    { numRuns: 40 },
  );
});

test('advice: one change for each lever, the one that helps most first, nothing else touched', () => {
  fc.assert(
    fc.property(position, (place) => {
      const { advice } = comparePosition({ id: 'p', ...place }, REQUEST);
      expect(new Set(advice.map(({ lever }) => lever)).size).toBe(advice.length);
      advice.slice(1).forEach(({ gain }, i) => {
        expect(gain).toBeLessThanOrEqual(advice[i]?.gain ?? NaN);
      });
      for (const { lever, position: there, timeMs, kit } of advice) {
        if (lever !== 'move') expect([there.x, there.y]).toEqual([place.x, place.y]);
        if (lever !== 'height') expect(there.cameraHeightM).toBe(place.cameraHeightM);
        if (lever !== 'time') expect(timeMs).toBe(REQUEST.timeMs);
        if (lever !== 'kit') expect(kit).toBe(0);
      }
    }),
    { numRuns: 40 },
  );
});

test('too far for the lens: nearer, or the longer one', () => {
  const { advice } = comparePosition({ id: 'far', x: 15, y: 55, cameraHeightM: 1.2 }, REQUEST);
  const levers = advice.map(({ lever }) => lever);
  expect(levers).toContain('kit');
  expect(levers).toContain('move');
  const move = advice.find(({ lever }) => lever === 'move');
  expect(Math.hypot(move?.position.x ?? NaN, move?.position.y ?? NaN)).toBeLessThan(
    Math.hypot(15, 55),
  );
});

test('where one may not stand it scores nothing, and a move off it is advised', () => {
  const { score, advice } = comparePosition({ id: 'on', x: 0, y: 8, cameraHeightM: 1.2 }, REQUEST);
  expect(score.total).toBe(0);
  expect(score.refusals).toContainEqual({ kind: 'inside', name: 'the pitch' });
  expect(advice[0]?.lever).toBe('move');
});

test('the score through the shoot is that of each minute', () => {
  const place = { x: 12, y: 25, cameraHeightM: 1.2 };
  const { totals } = comparePosition({ id: 'p', ...place }, REQUEST);
  REQUEST.timesMs.forEach((time, i) => {
    const { total } = scorePosition(place, REQUEST.mark, REQUEST.shot, time, REQUEST.site, KIT);
    expect(totals[i]).toBe(total);
  });
});

test('no kit is refused by name', () => {
  const none = { ...REQUEST, kits: [] };
  expect(() => comparePosition({ id: 'p', x: 9, y: 9, cameraHeightM: 1 }, none)).toThrow(/^kits/);
});

test('who sits in a hide is moved within its walls alone', () => {
  const hide = {
    ...{ id: 'h', name: 'Hide', kind: 'hide' as const, heightM: 2.2 },
    points: rectangleCorners({ middle: { x: 30, y: 0 }, widthM: 3, depthM: 2, bearingDeg: 270 }),
    windows: [
      { wall: 2, asideM: 0.8, widthM: 0.6, sillM: 0.9, heightM: 0.5, pane: 'open' as const },
    ],
  };
  const site = { ...REQUEST.site, obstacles: [...REQUEST.site.obstacles, ...obstaclesOf(hide)] };
  // Behind the wall beside the window: nothing is seen, until one sits before it.
  const seat = { id: 's', x: 29.4, y: -0.6, cameraHeightM: 1.1 };
  const { score, advice } = comparePosition(seat, { ...REQUEST, site });
  expect(score.total).toBe(0);
  const move = advice.find(({ lever }) => lever === 'move');
  if (!move) throw new Error('must be told to move');
  expect(insidePolygon(move.position, hide.points)).toBe(true);
  expect(move.total).toBeGreaterThan(0.2);
  // In the open the same place is told to go further.
  const open = comparePosition(seat, REQUEST).advice.find(({ lever }) => lever === 'move');
  expect(
    Math.hypot((open?.position.x ?? 29.4) - 29.4, (open?.position.y ?? 2) + 0.6),
  ).toBeGreaterThan(1.9);
});

/** Leaves before a perch and over it, on all sides. */
const HUNG: CompareRequest = {
  ...REQUEST,
  mark: { ...REQUEST.mark, feetM: 1.5, subject: subjectById('small-bird-perched') },
  perchMoves: true,
  site: {
    ...REQUEST.site,
    limits: [],
    obstacles: [],
    boughs: [
      ['south', 0, -0.5, 1.6],
      ['west', -1, 0, 2.2],
      ['over', 0, -0.2, 2.4],
    ].map(([id, x, y, z]) => ({
      id: String(id),
      from: { x: Number(x) - 0.6, y: Number(y), z: Number(z) },
      to: { x: Number(x) + 0.6, y: Number(y), z: Number(z) },
      ...{ woodM: 0.02, leafRadiusM: 0.3, leafTakes: Array<number>(12).fill(0.7) },
    })),
  },
};

test('a branch cut and a perch moved as advised score as promised', () => {
  const levers = new Set<string>();
  fc.assert(
    fc.property(
      fc.nat(359),
      fc.integer({ min: 4, max: 9 }),
      fc.constantFrom(16, 17, 18),
      (turn, off, hour) => {
        const along = alongBearing(turn);
        const place = { x: along.x * off, y: along.y * off, cameraHeightM: 1.5 };
        const request = { ...HUNG, timeMs: at(hour) };
        const { advice, score } = comparePosition({ id: 'p', ...place }, request);
        for (const { lever, cutId, shift, total, gain } of advice) {
          levers.add(lever);
          if (lever !== 'cut' && lever !== 'perch') continue;
          const boughs = HUNG.site.boughs?.filter(({ id }) => id !== cutId) ?? [];
          expect(boughs).toHaveLength(lever === 'cut' ? 2 : 3);
          const { x, y } = HUNG.mark;
          const mark = { ...HUNG.mark, x: x + (shift?.x ?? 0), y: y + (shift?.y ?? 0) };
          const done = scorePosition(
            place,
            mark,
            HUNG.shot,
            at(hour),
            { ...HUNG.site, boughs },
            KIT,
          );
          expect(done.total).toBe(total);
          expect(total - score.total).toBeCloseTo(gain, 12);
          expect(gain).toBeGreaterThanOrEqual(0.02);
        }
      },
    ),
    { numRuns: 60 },
  );
  expect([...levers]).toEqual(expect.arrayContaining(['cut', 'perch']));
});

test('no other branch gains more by its cut, and a perch that nothing hinders stays', () => {
  const place = { x: 0, y: -7, cameraHeightM: 1.5 };
  const { advice, score } = comparePosition({ id: 'p', ...place }, HUNG);
  const cut = advice.find(({ lever }) => lever === 'cut');
  expect(cut?.cutId).toBe('south');
  expect(score.parts.find(({ name }) => name === 'view')?.why).toMatchObject({ kind: 'branches' });
  for (const { id } of HUNG.site.boughs ?? []) {
    const boughs = HUNG.site.boughs?.filter((bough) => bough.id !== id) ?? [];
    const without = scorePosition(
      place,
      HUNG.mark,
      HUNG.shot,
      HUNG.timeMs,
      { ...HUNG.site, boughs },
      KIT,
    );
    expect(without.total).toBeLessThanOrEqual(cut?.total ?? NaN);
  }
  const free = { ...HUNG, site: { ...HUNG.site, boughs: [] } };
  const freely = comparePosition({ id: 'p', ...place }, { ...free, timeMs: at(17) });
  expect(freely.advice.map(({ lever }) => lever)).not.toContain('cut');
  expect(freely.advice.map(({ lever }) => lever)).not.toContain('perch');
  const fixed = comparePosition({ id: 'p', ...place }, { ...HUNG, perchMoves: false });
  expect(fixed.advice.map(({ lever }) => lever)).not.toContain('perch');
});
