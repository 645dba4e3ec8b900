import { backgroundBlur, meshThrough } from '@/core';
import { DEMO_SHOOTS } from '@/demo';
import { alongSight } from '@/answers/along-sight';
import { answerAt } from '@/answers/answer';
import { viewOf } from '@/answers/view';
import type { Position, Shoot } from '@/records/shoot';
import { hoursOf, msOf } from '@/records/times';
import { allFigures } from './all-figures';
import {
  backdropInShort,
  backgroundInWords,
  figuresOf,
  meshInWords,
  sunInFigures,
  walkInWords,
} from './figures';

const [larkmoor] = DEMO_SHOOTS as [Shoot];
const AT_MS = msOf('2027-04-16T18:50', 'Europe/London');
const from = (positionId: string) => ({
  ...larkmoor,
  choice: { ...larkmoor.choice, positionId },
});
const positionNamed = (name: string): Position =>
  larkmoor.positions.find((position) => position.name === name) as Position;
function seen(shoot: Shoot) {
  const result = viewOf(shoot);
  if (!result.ok) throw new Error(result.trouble.kind);
  const { view } = result;
  return { view, along: alongSight(view, shoot.features, 4), answer: answerAt(view, shoot, AT_MS) };
}

test('the background is as far, and blurs as much, as the core says', () => {
  const { view, along } = seen(larkmoor);
  const levelM = Math.hypot(view.aim.x - view.camera.x, view.aim.y - view.camera.y);
  const times = (along.back?.distanceM ?? NaN) / levelM;
  const words = backgroundInWords(view, 2.8, along.back);
  expect(words).toContain(`${along.back?.obstacle.name}, ${times.toFixed(1)} times as far`);
  const { shareOfFrame } = backgroundBlur({
    focalMm: view.focalMm,
    aperture: 2.8,
    subjectM: view.sight.distanceM,
    backgroundM: times * view.sight.distanceM,
    frameWidthMm: view.body.sensor.widthMm,
  });
  expect(words).toContain(`blur disc ${(shareOfFrame * 100).toFixed(1)} % of the frame`);
});

test('nearer than twice the distance it is said, and an open view has no name', () => {
  const { view, along } = seen(larkmoor);
  if (!along.back) throw new Error('nothing behind');
  const near = { ...along.back, distanceM: view.sight.distanceM * 1.5 };
  expect(backgroundInWords(view, 2.8, near)).toMatch(/1\.5 times as far, short of twice: /);
  expect(backgroundInWords(view, 2.8, undefined)).toMatch(/^Open: sky or far ground, blur disc/);
});

test('in short, what is close behind is told in metres and what is not by how many times as far', () => {
  const { view, along } = seen(larkmoor);
  const { back } = along;
  if (!back) throw new Error('nothing behind');
  const levelM = Math.hypot(view.aim.x - view.camera.x, view.aim.y - view.camera.y);
  const behind = (share: number) =>
    backdropInShort(view, 2.8, { ...back, distanceM: levelM * (1 + share) });
  // From a tenth of the subject's own distance on.
  expect(behind(0.11)).toMatch(/ behind, 1\.1 times as far$/);
  expect(behind(2)).toMatch(/ behind, 3\.0 times as far$/);
  expect(behind(0.09)).toMatch(/, \d+\.\d m behind it$/);
  const [closeM] = /\d+\.\d/.exec(behind(0.09)) ?? [];
  expect(Number(closeM)).toBeCloseTo(0.09 * view.sight.distanceM, 1);
  expect(backdropInShort(view, 2.8, undefined)).toBe('open behind');
});

test('wire is told by the cone of light through it: close and wide open it goes', () => {
  const { id } = positionNamed('Behind the south fence');
  const { view, along } = seen(from(id));
  if (!along.fence) throw new Error('no fence');
  const words = meshInWords(view, 2.8, along.fence);
  const { meshPitchMm, wireMm, name } = along.fence.fence;
  const { lossStops } = meshThrough({
    focalMm: view.focalMm,
    aperture: 2.8,
    fenceM: along.fence.distanceM,
    subjectM: view.sight.distanceM,
    pitchMm: meshPitchMm,
    wireMm,
  });
  expect(words).toMatch(new RegExp(`^${name}, .* off: `));
  expect(words).toContain(`costs ${lossStops.toFixed(1)} stop`);
  const far = { ...along.fence, distanceM: view.sight.distanceM * 0.95 };
  expect(meshInWords(view, 16, far)).toContain('its pattern shows');
  expect(meshInWords(view, 2.8, undefined)).toBeUndefined();
});

test('level and upright, crop and depth stand among the figures', () => {
  const { view, along, answer } = seen(larkmoor);
  const figures = Object.fromEntries(
    figuresOf(view, answer, along).map(({ name, value }) => [name, value]),
  );
  const fill = Math.round(view.fill * 100);
  // Upright the frame is 36 mm high, not 24.
  expect(figures['Fills the frame']).toBe(
    `level ${fill} %, upright ${Math.round((view.fill * 100 * 24) / 36)} %`,
  );
  expect(figures['Cropped to fill 60 %']).toBe('no crop needed');
  expect(figures['Sharp in depth']).toMatch(/^\d+\.\d m to \d+\.\d m$/);
  const far = seen(from(positionNamed('Behind the south fence').id));
  const crop = figuresOf(far.view, far.answer, far.along).find(({ name }) => /Cropped/.test(name));
  // What is kept is the square of fill over wanted, of 24 MP.
  const left = Number(/([\d.]+) MP/.exec(crop?.value ?? '')?.[1]);
  expect(left).toBeCloseTo(24 * (far.view.fill / 0.6) ** 2, 0);
});

test('marks are told apart by the sun on them; none when there are none', () => {
  const ids = larkmoor.marks.map(({ id }) => id);
  expect(sunInFigures(larkmoor.marks, ids).map(({ name }) => name)).toEqual(['In the sun']);
  const [first, ...rest] = larkmoor.marks;
  expect(sunInFigures(larkmoor.marks, [first?.id ?? ''])).toEqual([
    { name: 'In the sun', value: first?.name },
    { name: 'In the shade', value: rest.map(({ name }) => name).join('; ') },
  ]);
});

test('a walk of 117 m takes two minutes at 1.2 m/s, three at a slow 0.8', () => {
  const [a] = larkmoor.positions as [Position];
  const far = { ...a, x: a.x + 117 };
  expect(walkInWords(a, far, larkmoor.day)).toBe('117 m, 2 min');
  expect(walkInWords(a, far, { ...larkmoor.day, walkSpeedMs: 0.8 })).toBe('117 m, 3 min');
  expect(walkInWords(a, { ...a, x: a.x + 10 }, larkmoor.day)).toBe('10 m, 1 min');
});

test('every position is told for every mark, and those too near say what to change', () => {
  const rows = allFigures(larkmoor, AT_MS);
  expect(rows).toHaveLength(larkmoor.positions.length * larkmoor.marks.length);
  rows.forEach((row) => expect(row.figures.length).toBeGreaterThan(5));
  const [mark] = larkmoor.marks as [Shoot['marks'][number]];
  const [near, ...others] = larkmoor.positions as [Position, ...Position[]];
  const tooNear = {
    ...larkmoor,
    positions: [{ ...near, x: mark.x + 0.3, y: mark.y }, ...others],
  };
  const [row] = allFigures(tooNear, hoursOf(larkmoor).startMs);
  expect(row?.problem).toMatch(/Move the position back/);
  expect(row).toMatchObject({ distanceM: undefined, settings: '', figures: [] });
});
