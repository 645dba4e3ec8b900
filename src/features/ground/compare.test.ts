import { comparePosition, type Advice, type Compared } from '@/core';
import { DEMO_SHOOTS } from '@/demo';
import { withShot } from '@/answers/choose-shot';
import { answerAt, exposedFor } from '@/answers/answer';
import { viewOf } from '@/answers/view';
import type { Shoot } from '@/records/shoot';
import { clockOf, hoursOf, msOf } from '@/records/times';
import { adviceInWords, compareRequestOf, followed, otherConverters, sorted } from './compare';
import { FIRST_WISH } from '@/answers/search';

const [larkmoor, alderReach] = DEMO_SHOOTS as [Shoot, Shoot];
const hours = hoursOf(larkmoor);

function compared(shoot: Shoot, atMs = hours.startMs + 30 * 60_000) {
  const seen = viewOf(shoot);
  if (!seen.ok) throw new Error(seen.trouble.kind);
  const request = compareRequestOf(shoot, seen.view, FIRST_WISH, atMs, hours);
  return { request, all: request.positions.map((one) => comparePosition(one, request)) };
}
const words = {
  converters: otherConverters(larkmoor.kit),
  clock: (ms: number) => clockOf(ms, 'Europe/London'),
  atMs: hours.startMs + 30 * 60_000,
  nameOf: (id: string) => id,
};

test('every position is asked for, through the shoot by quarter hours, with each converter', () => {
  const { request, all } = compared(larkmoor);
  expect(all.map(({ id }) => id)).toEqual(larkmoor.positions.map(({ id }) => id));
  expect(request.timesMs[0]).toBe(hours.startMs);
  expect(request.timesMs.at(-1)).toBe(hours.endMs);
  expect(request.kits).toHaveLength(1 + otherConverters(larkmoor.kit).length);
});

test('sorted by the whole or by a part, best first', () => {
  const { all } = compared(larkmoor);
  for (const key of ['total', 'reach', 'light'] as const) {
    const values = sorted(all, key).map(({ score }) =>
      key === 'total' ? score.total : score.parts.find(({ name }) => name === key)?.desirability,
    );
    expect([...values].sort((a, b) => (b ?? 0) - (a ?? 0))).toEqual(values);
  }
});

test('advice followed in the record scores what its button says', () => {
  const { request, all } = compared(larkmoor);
  const given = all.flatMap(({ id, advice }) => advice.map((one) => ({ id, one })));
  expect(given.length).toBeGreaterThan(6);
  for (const { id, one } of given) {
    const after = followed(larkmoor, id, one, otherConverters(larkmoor.kit));
    expect(after.choice.positionId).toBe(id);
    const atMs = one.lever === 'time' ? one.timeMs : request.timeMs;
    const again = compared(after, atMs).all.find((entry) => entry.id === id) as Compared;
    expect(again.score.total).toBeCloseTo(one.total, 9);
  }
});

test('a perch that is moved as advised is there, however often it is pressed', () => {
  const { positionId } = alderReach.choice;
  const markOf = (shoot: Shoot) => shoot.marks.find(({ id }) => id === shoot.choice.markId);
  const mark = markOf(alderReach);
  if (!mark) throw new Error('no mark');
  const markAt = { x: mark.x + 0.5, y: mark.y - 0.2 };
  const advice: Advice = {
    ...{ lever: 'perch' as const, shift: { x: 0.5, y: -0.2 }, markAt, timeMs: words.atMs, kit: 0 },
    ...{ position: { x: 0, y: 0, cameraHeightM: 1 }, total: 1, gain: 0.1 },
  };
  const once = followed(alderReach, positionId, advice, []);
  expect(markOf(once)).toMatchObject(markAt);
  expect(markOf(followed(once, positionId, advice, []))).toMatchObject(markAt);
  const perchOf = (shoot: Shoot) => shoot.features.find(({ kind }) => kind === 'perch')?.points[0];
  expect(perchOf(once)?.x).toBeCloseTo((perchOf(alderReach)?.x ?? NaN) + 0.5, 6);
});

test('advice in words: where to, until when, with what', () => {
  const base = { position: { x: 0, y: -6, cameraHeightM: 0.8 }, timeMs: words.atMs, kit: 0 };
  const say = (change: object) =>
    adviceInWords({ ...base, total: 1, gain: 1, ...change } as never, { x: 0, y: 0 }, words);
  expect(say({ lever: 'move' })).toBe('Move 6 m S');
  expect(say({ lever: 'time', timeMs: words.atMs + 15 * 60_000 })).toBe('Wait until 19:15');
  expect(say({ lever: 'time', timeMs: words.atMs - 15 * 60_000 })).toBe('Be there by 18:45');
  expect(say({ lever: 'kit', kit: 1 })).toBe('Add the 1.4x');
  expect(say({ lever: 'height' })).toBe('Hold the camera at 0.8 m');
});

test.each(
  DEMO_SHOOTS.flatMap((shoot) => shoot.shots.map((shot) => [shot.name, shoot, shot] as const)),
)(
  '%s: the comparison needs the light that the answer needs, and finds the light it finds',
  (_name, shoot, shot) => {
    const mark = shoot.marks.find(({ id }) => id === shot.markId);
    const atLocal = `${shoot.startLocal.slice(0, 14)}50`;
    // A reading at the mark, a stop and a half under what is computed there.
    const reading = {
      id: 'r',
      name: 'r',
      x: mark?.x ?? 0,
      y: mark?.y ?? 0,
      upM: 1.4,
      faceDeg: 200,
      atLocal,
      simulated: false,
      by: 'meter' as const,
      ev: 8,
    };
    const taken = withShot({ ...shoot, readings: [reading] }, shot);
    const atMs = msOf(atLocal, shoot.place.timeZone);
    const seen = viewOf(taken);
    if (!seen.ok) throw new Error(seen.trouble.kind);
    const { exposure, light } = answerAt(seen.view, taken, atMs);
    const request = compareRequestOf(taken, seen.view, FIRST_WISH, atMs, hoursOf(taken));
    const here = request.positions.find(({ id }) => id === taken.choice.positionId);
    if (!here) throw new Error('no position');
    const { score } = comparePosition(here, request);
    // The comparison zooms to the millimetre, the kit to whole ones: a click of the dial apart at most.
    expect(Math.abs(score.evNeeded - exposure.evNeeded)).toBeLessThan(0.34);
    expect(Math.abs(score.ev - exposedFor(seen.view, light).expected)).toBeLessThan(0.1);
  },
);
