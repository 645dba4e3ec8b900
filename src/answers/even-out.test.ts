import { setRight } from '@/demo/lived';
import { LARKMOOR } from '@/demo/larkmoor';
import type { Frame } from '@/records/frames';
import { askedOf, plannedFor, planComparer, type Planned } from './against-plan';
import { asksForSomething, evenSteps, isLifted, liftsOf, type EvenRun } from './even-out';
import { matchedFrames, pressesOf, type MatchedFrame } from './matched';
import { viewOf, type View } from './view';

const seen = viewOf(LARKMOOR);
if (!seen.ok) throw new Error('Larkmoor has no view');
const VIEW: View = seen.view;

/** Frames of one camera and one stand: dials come to EV 10 unless said. */
const shot = (
  at: string,
  more: Partial<Frame> = {},
  matched: Partial<MatchedFrame> = {},
): MatchedFrame => {
  const atMs = Date.parse(`2027-04-16T${at}Z`);
  const name = `A_${at.replace(/\D/g, '')}.jpg`;
  return {
    ...{ key: name, atMs, byHand: false, sure: 1, why: [], standBy: 'log', kept: true },
    // 1/1024 s, f/1 and ISO 100: log2(1024) is EV 10.
    frame: {
      name,
      cameraMs: atMs,
      camera: 'A',
      shutterS: 2 ** -10,
      aperture: 1,
      iso: 100,
      ...more,
    },
    stand: { markId: 'm', positionId: 'p', shotId: 's' },
    ...matched,
  };
};
const planned = (expected: number, more: Partial<Planned> = {}): Planned => ({
  view: VIEW,
  asked: { expected, sigmaStops: 0.3 },
  lampShare: 0,
  settings: { shutterS: 2 ** -10, aperture: 1, iso: 100, liftStops: 0 },
  ...more,
});
const evened = (
  frames: readonly MatchedFrame[],
  plannedOf: (frame: MatchedFrame) => Planned | undefined,
): readonly EvenRun[] => evenSteps(frames, plannedOf).map((step) => step());
const liftsIn = (runs: readonly EvenRun[]) =>
  runs.map(({ frames }) => frames.map(({ liftStops = NaN }) => Math.round(liftStops * 100) / 100));

test('a run is one camera’s pictures of one thing from one place, until ten minutes pass', () => {
  const other = { stand: { markId: 'm', positionId: 'elsewhere', shotId: 's' } };
  const event = { id: 'e', name: 'e', startLocal: '2027-04-16T18:00' } as MatchedFrame['event'];
  const runs = evened(
    [
      shot('18:00:00'),
      shot('18:09:59'),
      shot('18:10:30', { camera: 'B' }),
      shot('18:20:01'),
      shot('18:20:30', {}, other),
      shot('18:21:00', {}, { ...other, ...(event && { event }) }),
      shot('18:21:30', {}, { ...other, ...(event && { event }) }),
    ],
    () => undefined,
  );
  expect(runs.map(({ frames }) => frames.map(({ matched }) => matched.key.slice(2, 8)))).toEqual([
    ['180000', '180959'],
    ['181030'],
    ['182001'],
    ['182030', '182100', '182130'],
  ]);
  // Heat after heat in one light is one run; it is called by its event where it is of one alone.
  expect(runs.at(-1)?.event).toBeUndefined();
  const one = { ...other, ...(event && { event }) };
  expect(evened([shot('18:21:00', {}, one), shot('18:21:30', {}, one)], () => undefined)).toEqual([
    expect.objectContaining({ event }),
  ]);
  expect(runs[0]?.sigmaStops).toBeUndefined();
});

test('each press is held against the light of its own minute, and those that ask for the same are told together', () => {
  const frames = ['18:00:00', '18:00:01', '18:03:00', '18:06:00'].map((at) => shot(at));
  // The light falls: asked for 10, 9.3, 9.25.
  const asked = ({ key }: MatchedFrame) =>
    planned({ A_180300: 9.3, A_180600: 9.25 }[key.slice(0, 8)] ?? 10);
  const runs = evened(frames, asked);
  expect(liftsIn(runs)).toEqual([[0, 0, 0.7, 0.75]]);
  const [run] = runs as [EvenRun];
  expect(liftsOf(run)).toEqual([
    { stops: expect.closeTo(0.725, 9), names: ['A_180300.jpg', 'A_180600.jpg'] },
  ]);
  // What differs by a click and more is told apart; in a group names stand as taken.
  const asks = (...stops: readonly number[]): EvenRun => ({
    ...run,
    frames: stops.map((liftStops, i) => ({ matched: shot(`18:0${i}:00`), liftStops })),
  });
  expect(liftsOf(asks(0.9, 0.6, 0.1, 0.94)).map(({ names }) => names)).toEqual([
    ['A_180000.jpg', 'A_180100.jpg'],
    ['A_180300.jpg'],
  ]);
  expect(run.frames.map(isLifted)).toEqual([false, false, true, true]);
  expect(asksForSomething(run)).toBe(true);
  expect(run.sigmaStops).toBe(0.3);
});

test('a filter that is planned was on if that comes nearer', () => {
  const withFilter = planned(13, { askedFiltered: { expected: 10, sigmaStops: 0.3 } });
  expect(liftsIn(evened([shot('18:00:00')], () => withFilter))).toEqual([[0]]);
  expect(liftsIn(evened([shot('18:00:00', { iso: 12.5 })], () => withFilter))).toEqual([[0]]);
  expect(askedOf(withFilter, 11.4).expected).toBe(10);
  expect(askedOf(withFilter, 11.6).expected).toBe(13);
});

test('what does not say its settings is lifted by nobody knows what', () => {
  const { iso: _unknown, ...frame } = shot('18:00:00').frame;
  const [run] = evened([{ ...shot('18:00:00'), frame }], () => planned(9)) as [EvenRun];
  expect(run.frames[0]?.liftStops).toBeUndefined();
  expect(liftsOf(run)).toEqual([]);
});

const burst = (levels: readonly number[], shutterS = 2 ** -10) =>
  levels.map((levelStops, i) => shot(`18:00:00.${i}`, { levelStops, shutterS }));

test('lamps flicker where they light the picture and its time does not average them away', () => {
  const flickers = (share: number, shutterS?: number) =>
    evened(burst([0, -0.9, 0], shutterS), () => planned(10, { lampShare: share }))[0]?.pairs ?? [];
  const [pair] = flickers(0.8);
  expect(pair).toMatchObject({
    brighter: { key: 'A_1800000.jpg' },
    darker: { key: 'A_1800001.jpg' },
  });
  expect(pair?.stops).toBeCloseTo(0.9, 9);
  expect(flickers(0.2)).toHaveLength(1);
  expect(flickers(0.19)).toEqual([]);
  // 1/100 s is a whole swing of lamps on 50 Hz.
  expect(VIEW.lamps.mainsHz).toBe(50);
  expect(flickers(0.8, 1 / 100)).toEqual([]);
  expect(evened(burst([0, -0.9, 0]), () => undefined)[0]?.pairs).toEqual([]);
});

test('a picture is cropped to the framing wanted at its own focal length, held as it was', () => {
  const distanceM = VIEW.sight.distanceM;
  const { heightM } = VIEW.subject;
  const { sensor } = VIEW.body;
  const wanted = VIEW.shot?.fill ?? 0.6;
  const cropAt = (focalMm: number, upright = false) =>
    evened([shot('18:00:00', { focalMm, ...(upright && { upright }) })], () => planned(10))[0]
      ?.frames[0]?.crop;
  // Thin lens by hand: the image is f·H/(d − f).
  const fill = (focalMm: number, frameMm: number) =>
    (focalMm * heightM) / (distanceM - focalMm / 1000) / frameMm;
  const level = cropAt(100);
  const share = fill(100, sensor.heightMm) / wanted;
  expect(level?.keptFraction).toBeCloseTo(share, 6);
  expect(level?.megapixels).toBeCloseTo((sensor.widthPx * sensor.heightPx * share ** 2) / 1e6, 6);
  expect(level?.longSidePx).toBeCloseTo(sensor.widthPx * share, 6);
  expect(cropAt(100, true)?.keptFraction).toBeCloseTo(fill(100, sensor.widthMm) / wanted, 6);
  // Long enough it is framed as it is; so long that it focuses nowhere near, it is of something else.
  const longMm = (wanted * sensor.heightMm * distanceM) / heightM;
  expect(cropAt(longMm)).toBeUndefined();
  expect(cropAt(distanceM * 1000)).toBeUndefined();
  expect(evened([shot('18:00:00')], () => planned(10))[0]?.frames[0]?.crop).toBeUndefined();
});

test.each([
  [1.2, 1.2],
  [-4, -4],
  [0.29, undefined],
  [15.1, undefined],
  [-90, undefined],
])('a camera %s° off level turns its picture %s° clockwise', (rollDeg, turnDeg) => {
  const [run] = evened([shot('18:00:00', { rollDeg })], () => undefined) as [EvenRun];
  expect(run.frames[0]?.turnDeg).toBe(turnDeg);
  expect(asksForSomething(run)).toBe(turnDeg !== undefined);
});

test('the demo’s evening: exposed by hand within a third of a stop of the light, but for its last pans', () => {
  const larkmoor = setRight('demo-larkmoor');
  const runs = evened(matchedFrames(larkmoor), plannedFor(larkmoor));
  const lifted = runs.flatMap(({ frames }) => frames.filter(isLifted));
  expect(lifted.map(({ matched }) => matched.frame.name)).toEqual(
    [31, 32, 33, 34].map((i) => `LMR_00${i}.jpg`),
  );
});

test('against the plan: what is planned to be lifted later is no darker than planned', () => {
  const settings = { shutterS: 2 ** -10, aperture: 1, iso: 100, liftStops: 1 };
  const [press] = pressesOf([shot('18:00:00')]);
  if (!press) throw new Error('no press');
  const compare = (expected: number) => planComparer(() => planned(expected, { settings }))(press);
  expect(compare(9)).toEqual({ underStops: 0, slowerStops: 0 });
  expect(compare(8.5)?.underStops).toBeCloseTo(0.5, 9);
  expect(planComparer(() => undefined)(press)).toBeUndefined();
});
