import { insidePolygon, searchPositions } from '@/core';
import { DEMO_SHOOTS } from '@/demo';
import { viewOf, type View } from '@/features/plan/view';
import { fieldOfPlay } from '@/presets/grounds';
import type { Shoot } from '@/records/shoot';
import { msOf } from '@/records/times';
import { bestPlaces, FIRST_WISH, sameQuestion, scoreAt, searchRequestOf, weakest } from './search';

const [larkmoor] = DEMO_SHOOTS as [Shoot];
const AT_MS = msOf('2027-04-16T18:50', 'Europe/London');
const seen = (shoot: Shoot): View => {
  const result = viewOf(shoot);
  if (!result.ok) throw new Error(result.problem);
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
  expect(places[0]?.score.total).toBe(Math.max(...result.score));
  const play = fieldOfPlay('field-hockey', larkmoor.ground.bearingDeg) ?? [];
  const stand = larkmoor.features.find(({ id }) => id === 'west-stand')?.points ?? [];
  places.forEach((place, i) => {
    expect(insidePolygon(place, play)).toBe(false);
    expect(insidePolygon(place, stand)).toBe(false);
    places.slice(0, i).forEach((better) => {
      expect(better.score.total).toBeGreaterThanOrEqual(place.score.total);
      expect(Math.hypot(better.x - place.x, better.y - place.y)).toBeGreaterThan(10);
    });
  });
});

test('standing there scores what was promised', () => {
  for (const place of places) expect(scoreAt(request, place).total).toBe(place.score.total);
  const here = scoreAt(request, seen(larkmoor).position).total;
  expect(places[0]?.score.total).toBeGreaterThanOrEqual(here);
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
  expect(scoreAt(request, { x: 0, y: 0 }).refusals).toEqual([
    'inside the field of play',
    'inside Run-off, 2 m at the sides and 3 m at the ends',
  ]);
  const [first, second] = weakest((places[2] as (typeof places)[number]).score);
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
