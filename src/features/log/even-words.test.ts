import type { EvenedFrame, EvenRun } from '@/answers/even-out';
import type { MatchedFrame } from '@/answers/matched';
import { LARKMOOR } from '@/demo/larkmoor';
import {
  cropInWords,
  evenRows,
  heldAgainstInWords,
  liftsInWords,
  overallInWords,
  pairsInWords,
  runInWords,
  turnsInWords,
} from './even-words';

const frame = (i: number, more: Partial<EvenedFrame> = {}): EvenedFrame => ({
  matched: {
    frame: { name: `LMR_000${i}.jpg`, camera: 'Body A' },
    atMs: Date.parse(`2027-04-16T18:52:0${i}Z`),
  } as MatchedFrame,
  ...more,
});
const run = (frames: readonly EvenedFrame[], more: Partial<EvenRun> = {}): EvenRun => ({
  frames,
  stand: { markId: 'keeper', positionId: 'back-line', shotId: 'save' },
  standBy: 'log',
  pairs: [],
  ...more,
});
const lifted = (...stops: readonly number[]) =>
  run(stops.map((liftStops, i) => frame(i, { liftStops })));

test.each([
  [lifted(0.7), ['Lift 0.7 stop on LMR_0000']],
  [lifted(0.7, 0.7), ['Lift 0.7 stop on all 2']],
  [lifted(0, 0.66, 0.7), ['Lift 0.7 stop on these 2: LMR_0001 and LMR_0002']],
  [
    lifted(-1.3, 0.7, 0.7, 0.7, 0.7, 0.7, 0),
    ['Lift 0.7 stop on these 5: LMR_0001 … LMR_0005', 'Bring down 1.3 stops on LMR_0000'],
  ],
  [lifted(0, 0), []],
])('lifts are told for those that ask for the same, most of them first', (one, words) => {
  expect(liftsInWords(one)).toEqual(words);
});

test('over all runs, where there are several that ask for something', () => {
  expect(overallInWords([lifted(2.1, 2.2), lifted(2.1, -0.5, 0)])).toBe(
    'Over all runs: lift 2.1 stops on 3, bring down 0.5 stop on 1',
  );
  expect(overallInWords([lifted(2.1, 2.2), lifted(0)])).toBeUndefined();
  expect(overallInWords([lifted(0), lifted(0)])).toBeUndefined();
});

test('by what a run is known, and when that says little', () => {
  expect(heldAgainstInWords(run([]))).toContain('held against each other');
  expect(heldAgainstInWords(run([], { sigmaStops: 0.3 }))).toBe('light known to 0.3 stop');
  expect(heldAgainstInWords(run([], { sigmaStops: 0.3, standBy: 'plan' }))).toBe(
    'light known to 0.3 stop, taking it that you stood as planned',
  );
  expect(heldAgainstInWords(run([], { sigmaStops: 1.7 }))).toBe(
    'the light is only known to 1.7 stops, so less than that is not told',
  );
});

const crop = (megapixels: number, longSidePx = 4000) => ({
  crop: { wantedFill: 0.6, keptFraction: 0.7, megapixels, longSidePx },
});

test.each([
  [[crop(12), crop(12.2)], '12 MP left after the crop to 60 % fill'],
  [[crop(12), crop(9.04), {}], '9.0 to 12 MP left after the crop to 60 % fill, on 2'],
  [
    [crop(2.6, 2047)],
    '2.6 MP left after the crop to 60 % fill: under 2048 pixels wide, too few to deliver',
  ],
  [[crop(2.6, 2048)], '2.6 MP left after the crop to 60 % fill'],
  [[{}], undefined],
])('what a crop leaves', (frames, words) => {
  expect(cropInWords(run(frames.map((more, i) => frame(i, more))))).toBe(words);
});

test('which way a picture is turned, and which of two the lamps lit more', () => {
  const [a, b] = [frame(1, { turnDeg: 1.24 }), frame(2, { turnDeg: -0.8 })];
  const both = run([a, b], {
    pairs: [{ brighter: a.matched, darker: b.matched, stops: 0.83 }],
  });
  expect(turnsInWords(both)).toEqual([
    'Horizon about 1.2° off: turn LMR_0001 clockwise',
    'Horizon about 0.8° off: turn LMR_0002 anticlockwise',
  ]);
  expect(pairsInWords(both)).toEqual([
    'Lamps flickered: LMR_0001 caught 0.8 stop more than LMR_0002. Match their colour too',
  ]);
  expect(evenRows(LARKMOOR, [run([frame(3)]), both])).toEqual([
    expect.objectContaining({ file: 'LMR_0003.jpg', run: 1 }),
    {
      ...{ file: 'LMR_0001.jpg', camera: 'Body A', takenLocal: '2027-04-16T19:52:01', run: 2 },
      ...{ of: runInWords(LARKMOOR, both), flickersWith: 'LMR_0002.jpg', turnDeg: 1.24 },
    },
    expect.objectContaining({ file: 'LMR_0002.jpg', flickersWith: 'LMR_0001.jpg' }),
  ]);
});

test('a run is called by its event, else by its shot, else by how many events it is of', () => {
  expect(runInWords(LARKMOOR, run([]))).toMatch(/^.+, from Behind the back line$/);
  const event = { id: 'e', name: '400 m', heat: '2' } as MatchedFrame['event'];
  expect(runInWords(LARKMOOR, run([], { ...(event && { event }) }))).toBe(
    '400 m, heat 2, from Behind the back line',
  );
  const many = ['e', 'f', 'f'].map((id, i) => {
    const { matched } = frame(i);
    return {
      matched: { ...matched, event: { ...event, id } as MatchedFrame['event'] } as MatchedFrame,
    };
  });
  const { shotId: _none, ...stand } = run([]).stand;
  expect(runInWords(LARKMOOR, run(many, { stand }))).toBe('2 events, from Behind the back line');
  expect(runInWords(LARKMOOR, run(many))).not.toContain('events');
  // In the table each picture has its own.
  expect(evenRows(LARKMOOR, [run(many, { stand })]).map(({ of }) => of)).toEqual(
    many.map(() => '400 m, heat 2, from Behind the back line'),
  );
});
