import { lightOnSubject, scorePosition } from '@/core';
import { ALDER_REACH } from '@/demo/alder-reach';
import { lightInWords } from '@/features/shoot/words';
import { shootSchema, type Shoot } from '@/records/shoot';
import { msOf } from '@/records/times';
import { answerAt } from './answer';
import { behindOf } from './behind';
import { canopyByReading } from './canopy';
import { scoredKit, scoredMark, scoredSite } from './scored';
import { FIRST_WISH, shotAt } from './search';
import { sceneOf, viewOf } from './view';

const AT_MS = msOf('2027-05-08T08:00', ALDER_REACH.place.timeZone);
const under = (canopyShare?: number): Shoot => ({
  ...ALDER_REACH,
  light: { ...ALDER_REACH.light, sky: 'clear', ...(canopyShare !== undefined && { canopyShare }) },
});
const seenIn = (shoot: Shoot) => {
  const seen = viewOf(shoot);
  if (!seen.ok) throw new Error(seen.trouble.kind);
  return seen.view;
};
const lightIn = (shoot: Shoot) => lightOnSubject(sceneOf(seenIn(shoot), shoot.features), AT_MS);

test('leaves let their share through and no sun: twice the share is a stop', () => {
  const [open, eight, four] = [lightIn(under()), lightIn(under(0.08)), lightIn(under(0.04))];
  expect(open).toMatchObject({ sunlit: true });
  expect(open).not.toHaveProperty('underLeaves');
  expect(eight).toMatchObject({ sunlit: false, sunShare: 0, underLeaves: true });
  expect(eight.ev.expected - four.ev.expected).toBeCloseTo(1, 6);
  // A stop either way, between a gap and a trunk.
  expect(eight.ev.high - eight.ev.expected).toBeCloseTo(1, 6);
  expect(eight.ev.expected - eight.ev.low).toBeCloseTo(1, 6);
  const shoot = under(0.08);
  const view = seenIn(shoot);
  const answer = answerAt(view, shoot, AT_MS);
  expect(lightInWords(answer)).toBe('Under the canopy');
  expect(shootSchema.safeParse(shoot).success).toBe(true);
});

test('where one stands is scored by the same light: without sun under leaves', () => {
  const scoreOf = (shoot: Shoot) => {
    const view = seenIn(shoot);
    const { orientation } = shoot.choice;
    const kit = scoredKit(view.body, view.lens, { orientation, support: shoot.kit.support });
    const mark = scoredMark(shoot, view.mark);
    const shot = shotAt(shoot, view.mark.id, FIRST_WISH);
    return scorePosition(view.position, mark, shot, AT_MS, scoredSite(shoot), kit);
  };
  const lightOf = (shoot: Shoot) => scoreOf(shoot).parts.find(({ name }) => name === 'light');
  expect(lightOf(under())?.why.kind).not.toBe('noSun');
  expect(lightOf(under(0.08))?.why.kind).toBe('noSun');
});

test('under leaves one looks into them: no blue sky is told behind', () => {
  const skyward = (shoot: Shoot): Shoot => ({
    ...shoot,
    features: [],
    marks: shoot.marks.map((mark) => ({ ...mark, feetM: 9 })),
  });
  const behind = (shoot: Shoot) => behindOf(shoot, seenIn(shoot), { back: undefined }, AT_MS);
  expect(behind(skyward(under()))).toMatchObject({ kind: 'sky' });
  expect(behind(skyward(under(0.08)))).toBeUndefined();
});

test('a reading under the leaves says how much they let through', () => {
  const truth = under(0.013);
  const view = seenIn(truth);
  const { ev } = lightIn(truth);
  const reading: Shoot['readings'][number] = {
    ...{ id: 'r1', by: 'meter', ev: ev.expected, atLocal: '2027-05-08T08:00' },
    ...{ x: view.scene.target.x, y: view.scene.target.y, upM: view.scene.target.z },
    faceDeg: view.scene.faceAzimuthDeg,
  } as Shoot['readings'][number];
  const read = { ...under(0.08), readings: [reading] };
  expect(canopyByReading(read)).toBeCloseTo(0.013, 5);
  // A stop darker is half of it; darker than any wood is the least.
  const darker = (stops: number) =>
    canopyByReading({ ...read, readings: [{ ...reading, ev: ev.expected - stops }] as never });
  expect(darker(1)).toBeCloseTo(0.0065, 5);
  expect(darker(9)).toBe(0.001);
  expect(canopyByReading(under(0.08))).toBeUndefined();
});
