import { DEMO_SHOOTS } from '@/demo';
import { simulatedMeter } from '@/demo/simulated-meter';
import type { LightSeries } from '@/core';
import { sceneOf, viewOf, type View } from './view';
import type { Reading } from '@/records/reading';
import type { Shoot } from '@/records/shoot';
import { msOf } from '@/records/times';
import { gridWalk, groundClicks, linesOfMarks, linesOfPositions, turningsOf } from './light-plan';
import { clicksInWords } from '@/features/shoot/light-words';

const [larkmoor, alder] = DEMO_SHOOTS as [Shoot, Shoot, Shoot];
const seen = (shoot: Shoot): View => {
  const result = viewOf(shoot);
  if (!result.ok) throw new Error(result.trouble.kind);
  return result.view;
};
const at = msOf('2027-04-16T20:30', larkmoor.place.timeZone);

const series = (change: Partial<LightSeries>): LightSeries => ({
  timeMs: [0, 1, 2, 3],
  ev: [9, 8, 7, 6],
  low: [9, 8, 7, 6],
  high: [9, 8, 7, 6],
  sunAltitudeDeg: [3, 2, 1, 0],
  sunlit: [true, true, false, false],
  lampsRule: [false, false, false, true],
  ...change,
});

describe('what turns in the light', () => {
  test('shade that comes, lamps that take over; back again said the other way', () => {
    expect(turningsOf(series({}))).toEqual([
      { timeMs: 2, what: 'shade' },
      { timeMs: 3, what: 'lampsRule' },
    ]);
    const dawn = series({
      sunlit: [false, true, true, true],
      lampsRule: [true, false, false, false],
    });
    expect(turningsOf(dawn).map(({ what }) => what)).toEqual(['sun', 'daylightRules']);
  });
});

describe('lines of a chart', () => {
  test('the chosen mark first, every other once, each from where one stands', () => {
    const lines = linesOfMarks(larkmoor);
    expect(lines[0]).toMatchObject({ id: larkmoor.choice.markId, chosen: true });
    expect(new Set(lines.map(({ id }) => id)).size).toBe(larkmoor.marks.length);
    expect(lines.every(({ view }) => view.position.id === larkmoor.choice.positionId)).toBe(true);
  });
  test('the chosen mark from everywhere', () => {
    const lines = linesOfPositions(larkmoor);
    expect(lines.map(({ view }) => view.mark.id)).toEqual(lines.map(() => larkmoor.choice.markId));
    expect(lines.filter(({ chosen }) => chosen)).toHaveLength(1);
  });
});

const reading = (id: string, x: number, y: number, ev: number): Reading => ({
  id,
  name: id,
  x,
  y,
  upM: 1.5,
  faceDeg: 200,
  atLocal: '2027-04-16T20:30',
  simulated: false,
  by: 'meter',
  ev,
});

describe('the ground in clicks', () => {
  const view = seen(larkmoor);
  const { scene } = view;
  test('a place as bright as the setting is 0, a stop darker three clicks under', () => {
    const { ev } = groundClicks(larkmoor, view, at, 7)[0] as { ev: number };
    const clicks = (base: number) => groundClicks(larkmoor, view, at, base)[0]?.clicks;
    expect(clicks(ev)).toBe(0);
    expect(clicks(ev + 1)).toBe(-3);
    expect(clicks(ev - 2 / 3)).toBe(2);
  });
  test('a dark corner that was measured stands out from one that was not', () => {
    const readings = [reading('corner', -25, -40, 5), reading('middle', 0, 0, 6.6)];
    const places = groundClicks({ ...larkmoor, readings }, view, at, 6.6);
    const of = (id: string) => places.find((place) => place.id === id);
    expect(of('corner')?.ev).toBeLessThan((of('middle')?.ev ?? NaN) - 0.25);
    expect(of('corner')?.sigmaStops).toBeGreaterThan(0);
  });
  test('a place that was measured is apart from the first by more or less, the first from itself not at all', () => {
    const readings = [reading('corner', -25, -40, 5), reading('middle', 0, 0, 6.6)];
    const places = groundClicks({ ...larkmoor, readings }, view, at, 7);
    expect(places[0]?.apartStops).toBe(0);
    expect(places.find(({ id }) => id === 'corner')?.apartStops).toBeGreaterThan(0.05);
  });
  test('a reading at a mark is that mark’s, not another place', () => {
    const mark = larkmoor.marks[0] as Shoot['marks'][number];
    const readings = [reading('there', mark.x + 0.5, mark.y, 6)];
    expect(groundClicks({ ...larkmoor, readings }, view, at, 7)).toHaveLength(
      larkmoor.marks.length,
    );
  });
  test('clicks are written with their sign', () => {
    expect([0, 2, -1].map(clicksInWords)).toEqual(['0', '+2', '−1']);
  });
  test('the scene stands on what is there', () => {
    expect(sceneOf(view, larkmoor.features).obstacles.length).toBeGreaterThan(scene ? 3 : 0);
  });
});

describe('a walk over the ground', () => {
  test('nine points on the field, to and fro so that each is next to the last', () => {
    const walk = gridWalk(larkmoor);
    expect(walk).toHaveLength(9);
    // Thirds of 91.40 x 55.00 m: steps of 30.5 m along and 18.3 m across.
    const steps = walk
      .slice(1)
      .map((point, i) => Math.hypot(point.x - (walk[i]?.x ?? 0), point.y - (walk[i]?.y ?? 0)));
    expect(Math.max(...steps)).toBeCloseTo(91.4 / 3, 1);
    expect(Math.min(...steps)).toBeCloseTo(55 / 3, 1);
    // It begins in the corner left of the way the ground lies, and to its foot.
    const turn = (larkmoor.ground.bearingDeg * Math.PI) / 180;
    const { x, y } = walk[0] ?? { x: 0, y: 0 };
    expect(x * Math.cos(turn) - y * Math.sin(turn)).toBeLessThan(-10);
    expect(x * Math.sin(turn) + y * Math.cos(turn)).toBeLessThan(-20);
  });
  test('without a field it goes round the marks', () => {
    const walk = gridWalk(alder);
    for (const mark of alder.marks) {
      const nearest = Math.min(...walk.map(({ x, y }) => Math.hypot(x - mark.x, y - mark.y)));
      expect(nearest).toBeLessThan(12);
    }
  });
});

test('the simulated meter strays by venue and corner, the same each time, never far', () => {
  const read = (x: number, venue = 'a') => simulatedMeter({ ev: 8, at: { x, y: 0 }, venue });
  expect(read(3)).toBe(read(3));
  const all = Array.from({ length: 60 }, (_, i) => read(i * 20, `venue ${i % 7}`));
  expect(Math.max(...all.map((ev) => Math.abs(ev - 8)))).toBeLessThan(1);
  expect(new Set(all).size).toBeGreaterThan(5);
});
