import { insidePolygon, scorePosition, searchPositions, type PositionScore } from '@/core';
import { DEMO_SHOOTS } from '@/demo';
import { viewOf, type View } from './view';
import { fieldOfPlay } from '@/presets/grounds';
import type { Shoot } from '@/records/shoot';
import { hoursOf, msOf } from '@/records/times';
import { bestPlaces, FIRST_WISH, sameQuestion, placeAt, searchRequestOf, weakest } from './search';

const [larkmoor] = DEMO_SHOOTS as [Shoot];
const AT_MS = msOf('2027-04-16T18:50', 'Europe/London');
const seen = (shoot: Shoot): View => {
  const result = viewOf(shoot);
  if (!result.ok) throw new Error(result.trouble.kind);
  return result.view;
};
const asked = (shoot = larkmoor, wish = FIRST_WISH) =>
  searchRequestOf(shoot, seen(shoot), wish, AT_MS);

const request = asked();
const result = searchPositions(request);
const places = bestPlaces(result, request);

test('every demo ground is searched in thousands of cells, not more', () => {
  for (const shoot of DEMO_SHOOTS) {
    const { area } = searchRequestOf(
      shoot,
      seen(shoot),
      FIRST_WISH,
      msOf(shoot.atLocal, shoot.place.timeZone),
    );
    const cells = ((area.maxX - area.minX) * (area.maxY - area.minY)) / area.stepM ** 2;
    expect(cells).toBeGreaterThan(1000);
    expect(cells).toBeLessThan(6100);
  }
});

test('the best places are the best, apart from each other, off the pitch and out of the stand', () => {
  expect(places).toHaveLength(3);
  expect(places[0]?.total).toBe(Math.max(...result.score));
  const play = fieldOfPlay('field-hockey', larkmoor.ground.bearingDeg) ?? [];
  const stand = larkmoor.features.find(({ id }) => id === 'west-stand')?.points ?? [];
  places.forEach((place, i) => {
    expect(insidePolygon(place, play)).toBe(false);
    expect(insidePolygon(place, stand)).toBe(false);
    places.slice(0, i).forEach((better) => {
      expect(better.total).toBeGreaterThanOrEqual(place.total);
      expect(Math.hypot(better.x - place.x, better.y - place.y)).toBeGreaterThan(10);
    });
  });
});

test('standing there scores what was promised', () => {
  for (const { x, y, total } of places) {
    expect(placeAt(result, request, { x, y }).total).toBe(total);
  }
  const here = placeAt(result, request, seen(larkmoor).position).total;
  expect(places[0]?.total).toBeGreaterThanOrEqual(here);
});

test('back light sends one to the other side than front light', () => {
  const back = asked(larkmoor, { face: 'any', light: 'back' });
  const front = asked(larkmoor, { face: 'any', light: 'front' });
  const best = (wish: typeof back) => bestPlaces(searchPositions(wish), wish)[0];
  // The evening sun stands in the west: front light is had from there, back light from the east.
  expect(best(front)?.x).toBeLessThan(seen(larkmoor).mark.x);
  expect(best(back)?.x).toBeGreaterThan(seen(larkmoor).mark.x);
});

test('on the pitch the refusal says why; what a place gives up are its weakest parts', () => {
  expect(placeAt(result, request, { x: 0, y: 0 }).refusals).toEqual([
    { kind: 'inside', name: 'the field of play' },
    { kind: 'inside', name: 'Run-off, 2 m at the sides and 3 m at the ends' },
  ]);
  const [first, second] = weakest(
    (places[2] as (typeof places)[number]).shots[0]?.score as PositionScore,
  );
  expect(first?.desirability).toBeLessThanOrEqual(second?.desirability ?? NaN);
});

test('another lens, light or wish is another question; another minute or position is not', () => {
  const [position] = larkmoor.positions as [Shoot['positions'][number]];
  const moved = { ...larkmoor, positions: [{ ...position, x: position.x - 4 }] };
  expect(sameQuestion(request, asked(moved))).toBe(true);
  expect(sameQuestion(request, { ...request, timesMs: [AT_MS + 60_000] })).toBe(true);
  expect(
    sameQuestion(request, asked({ ...larkmoor, kit: { ...larkmoor.kit, converter: 2 } })),
  ).toBe(false);
  const overcast = { ...larkmoor, light: { ...larkmoor.light, sky: 'overcast' as const } };
  expect(sameQuestion(request, asked(overcast))).toBe(false);
  expect(sameQuestion(request, asked(larkmoor, { ...FIRST_WISH, face: 'profile' }))).toBe(false);
});

test('all marks through the shoot with any lens: brute force finds no better, and says which', () => {
  const hours = hoursOf(larkmoor);
  const scope = { marks: 'all', hours: 'shoot', lenses: 'all' } as const;
  const full = searchRequestOf(larkmoor, seen(larkmoor), FIRST_WISH, AT_MS, { scope, hours });
  expect(full.markNames).toEqual(larkmoor.marks.map(({ name }) => name));
  expect(full.timesMs[0]).toBe(hours.startMs);
  expect(full.timesMs.length).toBeGreaterThan(5);
  expect(full.kitNames.length).toBe(full.kits.length);
  // A coarse grid: each of its cells is tried with every hour and lens.
  const wide = { ...full, area: { ...full.area, stepM: 40 }, timesMs: full.timesMs.slice(0, 3) };
  const found = searchPositions(wide);
  const [best] = bestPlaces(found, wide);
  if (!best) throw new Error('nothing found');
  const each = wide.shots.map(({ mark, shot }) =>
    Math.max(
      ...wide.timesMs.flatMap((time) =>
        wide.kits.map((kit) => {
          const at = { x: best.x, y: best.y, cameraHeightM: wide.cameraHeightM };
          return scorePosition(at, mark, shot, time, wide.site, kit).total;
        }),
      ),
    ),
  );
  expect(best.total).toBeCloseTo(each.reduce((a, b) => a + b, 0) / each.length, 9);
  best.shots.forEach(({ score }, i) => expect(score.total).toBeCloseTo(each[i] ?? NaN, 9));
});

test('a wider scope, or other hours of a whole shoot, is another question', () => {
  const hours = hoursOf(larkmoor);
  const ask = (scope: object, of = hours) =>
    searchRequestOf(larkmoor, seen(larkmoor), FIRST_WISH, AT_MS, {
      scope: { marks: 'chosen', hours: 'now', lenses: 'fitted', ...scope },
      hours: of,
    });
  expect(sameQuestion(request, ask({}))).toBe(true);
  expect(sameQuestion(request, ask({ marks: 'all' }))).toBe(false);
  expect(sameQuestion(request, ask({ lenses: 'converters' }))).toBe(false);
  const shoot = ask({ hours: 'shoot' });
  expect(sameQuestion(request, shoot)).toBe(false);
  const later = ask({ hours: 'shoot' }, { ...hours, endMs: hours.endMs + 3.6e6 });
  expect(sameQuestion(shoot, later)).toBe(false);
});

test('a whole shoot is searched from its first minute to its last, by quarters of an hour and no finer', () => {
  const ask = (hours: { readonly startMs: number; readonly endMs: number }) =>
    searchRequestOf(larkmoor, seen(larkmoor), FIRST_WISH, AT_MS, {
      scope: { marks: 'chosen', hours: 'shoot', lenses: 'fitted' },
      hours: { ...hoursOf(larkmoor), ...hours },
    }).timesMs;
  const startMs = hoursOf(larkmoor).startMs;
  const hour = 3_600_000;
  expect(ask({ startMs, endMs: startMs + hour })).toEqual(
    [0, 1, 2, 3, 4].map((quarter) => startMs + (quarter * hour) / 4),
  );
  // A day of ten hours: both ends, and no more than two dozen between.
  const long = ask({ startMs, endMs: startMs + 10 * hour });
  expect(long).toHaveLength(24);
  expect(long[0]).toBe(startMs);
  expect(long.at(-1)).toBeCloseTo(startMs + 10 * hour, -1);
});
