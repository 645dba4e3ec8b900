import { searchPositions, type SearchRequest, type SearchResult } from '@/core';
import { bodyById, lensById, subjectById } from '@/presets/find';
import { nextTurn } from './next-turn';
import { searchService } from './search-job';

const REQUEST: SearchRequest = {
  area: { minX: -60, minY: -60, maxX: 60, maxY: 60, stepM: 3 },
  cameraHeightM: 1.2,
  timesMs: [Date.parse('2027-04-16T16:00:00Z'), Date.parse('2027-04-16T18:00:00Z')],
  kits: [
    {
      ...bodyById('full-frame-24'),
      lens: lensById('70-200-2.8'),
      orientation: 'level',
      support: 'hand',
    },
  ],
  shots: [
    {
      mark: { x: 0, y: 0, headingDeg: 30, facingDeg: 30, subject: subjectById('field-player') },
      shot: { fill: 0.6, face: 'front', light: 'front', backdrop: 'washed' },
    },
  ],
  site: {
    place: { latitudeDeg: 53, longitudeDeg: -2 },
    sky: 'clear',
    groundReflectance: 0.2,
    obstacles: [],
    limits: [],
    keepAwayM: 2,
    lampLux: 0,
  },
};
const job = { id: 1, request: REQUEST };

test('in pieces it answers what the core answers at once, and tells how far it is', async () => {
  const told: number[] = [];
  const reply = await searchService(nextTurn).search(job, ({ done }) => void told.push(done));
  expect(reply).toEqual({ kind: 'done', value: searchPositions(REQUEST) });
  expect(told.length).toBeGreaterThan(3);
  expect([...told].sort((a, b) => a - b)).toEqual(told);
  expect(told.at(-1)).toBe(1600);
});

test('cancelled on the way it stops there; what was told until then is right', async () => {
  const service = searchService(nextTurn);
  let partial: SearchResult | undefined;
  const reply = await service.search(job, (soFar) => {
    partial ??= { ...soFar, score: soFar.score.slice() };
    service.cancel(job.id);
  });
  expect(reply).toEqual({ kind: 'cancelled' });
  const whole = searchPositions(REQUEST);
  const done = partial?.done ?? 0;
  expect(done).toBeGreaterThan(0);
  expect(done).toBeLessThan(1600);
  expect(partial?.score.slice(0, done)).toEqual(whole.score.slice(0, done));
});

test('a request that makes no sense fails with the reason', async () => {
  const request = { ...REQUEST, area: { ...REQUEST.area, stepM: 0 } };
  expect(await searchService(nextTurn).search({ id: 2, request }, () => undefined)).toEqual({
    kind: 'failed',
    reason: expect.stringMatching(/^area\.stepM 0/),
  });
});
