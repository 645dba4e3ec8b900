import { faceSpans, lightSeries, type LitScene } from '@/core';
import { lightService, type LightJob } from './light-series-job';

const SCENE: LitScene = {
  place: { latitudeDeg: 53.12, longitudeDeg: -1.87 },
  sky: 'clear',
  groundReflectance: 0.2,
  obstacles: [],
  target: { x: 0, y: 0, z: 1.5 },
  faceAzimuthDeg: 270,
  lampLux: 0,
};
const FROM_MS = Date.parse('2027-04-16T17:00:00Z');
const job: LightJob = {
  id: 1,
  scene: SCENE,
  fromMs: FROM_MS,
  toMs: FROM_MS + 4 * 3.6e6,
  stepS: 60,
};

test('a job in pieces gives what the core gives whole', async () => {
  const reply = await lightService(async () => undefined).lightSeries(job);
  expect(reply).toEqual({ kind: 'done', value: lightSeries(job) });
});

test('a job cancelled between two pieces stops there', async () => {
  let turns = 0;
  const service = lightService(async () => {
    turns += 1;
    if (turns === 3) service.cancel(job.id);
  });
  expect(await service.lightSeries(job)).toEqual({ kind: 'cancelled' });
  expect(turns).toBe(3);
});

test('cancelling one job leaves the other', async () => {
  const service = lightService(async () => service.cancel(99));
  expect((await service.lightSeries(job)).kind).toBe('done');
});

test.each([
  ['an end before its start', { toMs: FROM_MS - 1 }, /^toMs/],
  ['a step of nothing', { stepS: 0 }, /^stepS 0/],
  ['a step far too fine', { stepS: 0.001 }, /^stepS 0.001/],
  [
    'a place off the globe',
    { scene: { ...SCENE, place: { latitudeDeg: 99, longitudeDeg: 0 } } },
    /^latitudeDeg 99/,
  ],
])('%s fails with the reason', async (_what, change, reason) => {
  const reply = await lightService(async () => undefined).lightSeries({ ...job, ...change });
  expect(reply).toEqual({ kind: 'failed', reason: expect.stringMatching(reason) });
});

const FACE = { ...SCENE, viewAltitudeDeg: 0 };
const day = (n: number) => ({ fromMs: FROM_MS + n * 864e5, toMs: FROM_MS + (n + 1) * 864e5 });

test('the sun on a face comes day by day, each as the core gives it', async () => {
  const request = { scene: FACE, days: [day(0), day(30)], stepMs: 900_000 };
  const reply = await lightService(async () => undefined).faceDays({ id: 2, ...request });
  expect(reply).toEqual({
    kind: 'done',
    value: request.days.map((one) => faceSpans(FACE, one, 900_000)),
  });
});
