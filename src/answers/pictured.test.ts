import { formatShutter, motionSmear } from '@/core';
import { DEMO_SHOOTS } from '@/demo';
import { msOf } from '@/records/times';
import type { Shoot } from '@/records/shoot';
import { withShot } from './choose-shot';
import {
  besidesOf,
  canPan,
  cropped,
  dialled,
  ladderOf,
  mostMoved,
  pictured,
  standingAt,
  throughHours,
} from './pictured';

const [larkmoor, alderReach, ternWater] = DEMO_SHOOTS as [Shoot, Shoot, Shoot];
const atMs = (shoot: Shoot, at = shoot.atLocal) => msOf(at, shoot.place.timeZone);
const here = (shoot: Shoot, at?: string) => {
  const picture = pictured(shoot, atMs(shoot, at));
  if (!picture) throw new Error('must be seen');
  return picture;
};

test('a dial that is held is in the scene, and the light stays', () => {
  const before = here(larkmoor);
  const { scene, answer } = dialled(larkmoor, before, atMs(larkmoor), { shutterS: 1 / 500 });
  expect(scene.camera.shutterS).toBeCloseTo(1 / 512, 9);
  expect(scene.light).toEqual(before.scene.light);
  expect(answer.exposure.settings.iso).toBeLessThan(before.answer.exposure.settings.iso);
});

test('the freeze ladder goes from 1/4000 to 1/60, each rung graded as the part that moves most', () => {
  const rungs = ladderOf(larkmoor, here(larkmoor), atMs(larkmoor), 'freeze');
  expect(rungs.map(({ shutterS }) => formatShutter(shutterS))).toEqual([
    '1/4000',
    '1/2000',
    '1/1000',
    '1/500',
    '1/250',
    '1/125',
    '1/60',
  ]);
  rungs.forEach(({ view, scene, shutterS, moved, pan }) => {
    expect(scene.camera.shutterS).toBe(shutterS);
    expect(scene.camera.pan).toBeUndefined();
    const smear = motionSmear({ ...view.running, shutterS });
    const most = Math.max(...smear.map(({ deliveredPx }) => deliveredPx));
    expect(moved?.deliveredPx).toBeCloseTo(most, 6);
    expect(pan).toBeUndefined();
  });
  const grades = rungs.map(({ moved }) => moved?.grade);
  expect(grades[0]).toBe('crisp');
  expect(grades.at(-1)).toBe('plain');
});

test('the pan ladder has the rungs of the view, the camera turning with the subject', () => {
  const picture = here(larkmoor);
  const rungs = ladderOf(larkmoor, picture, atMs(larkmoor), 'pan');
  expect(rungs.map(({ pan }) => pan)).toEqual(picture.view.ladder.rungs);
  rungs.forEach(({ scene, moved }) => {
    expect(scene.camera.pan?.part).toBe(moved?.part);
    expect(moved?.role).toBe('body');
  });
  expect(rungs.at(-1)?.shutterS).toBeGreaterThan(rungs[0]?.shutterS ?? 1);
});

test('where the lens does not reach, what is delivered is cropped to the framing wanted', () => {
  const picture = here(alderReach);
  const { fill } = picture.view;
  expect(fill).toBeLessThan(0.55);
  const left = cropped(picture);
  expect(left?.wanted).toBe(0.6);
  expect(left?.scene.camera.window?.widthShare).toBeCloseTo(fill / 0.6, 12);
  const { widthPx, heightPx } = picture.view.body.sensor;
  expect(left?.megapixels).toBeCloseTo((widthPx * heightPx * (fill / 0.6) ** 2) / 1e6, 6);
  expect(cropped(here(larkmoor))).toBeUndefined();
});

test('what sits still is not panned', () => {
  const perched = here(alderReach);
  expect(canPan(perched.view)).toBe(false);
  expect(ladderOf(alderReach, perched, atMs(alderReach), 'pan')).toEqual([]);
});

test('a shot that is panned has a ladder before a camera that stands still, too', () => {
  const panned = withShot(
    ternWater,
    ternWater.shots.find(({ technique }) => technique === 'pan'),
  );
  const rungs = ladderOf(panned, here(panned), atMs(panned), 'freeze');
  expect(rungs.length).toBe(7);
  expect(rungs.every(({ scene }) => scene.camera.pan === undefined)).toBe(true);
});

test('what moves most is named; where nothing moves there is none', () => {
  expect(mostMoved({ smear: [] })).toBeUndefined();
  expect(mostMoved(here(larkmoor).answer.exposure)?.part).toBe('stick tip');
});

describe('what can be laid beside', () => {
  const picture = here(larkmoor);
  const besides = besidesOf(larkmoor, picture, atMs(larkmoor));
  const by = (id: string) => {
    const found = besides.find((one) => one.id === id);
    if (!found) throw new Error(`no ${id}`);
    return found;
  };
  test('a stop of time for a stop of ISO, other places, the other body, a silent shutter', () => {
    expect(besides.map(({ id }) => id.split(' ')[0])).toEqual([
      'faster',
      ...['body', 'place', 'place', 'place', 'place', 'place', 'silent'],
    ]);
    // A stop slower would be under the base ISO.
    expect(picture.answer.exposure.settings.iso).toBeLessThan(200);
  });
  test('a stop faster is half the time at double the ISO, and is what is taken', () => {
    const { settings } = picture.answer.exposure;
    const other = by('faster').picture()?.answer.exposure.settings;
    expect(Math.log2(settings.shutterS / (other?.shutterS ?? 1))).toBeCloseTo(1, 1);
    expect(Math.log2((other?.iso ?? 1) / settings.iso)).toBeCloseTo(1, 1);
    const taken = here(by('faster').taken?.(larkmoor) ?? larkmoor);
    expect(taken.answer.exposure.settings).toEqual(other);
  });
  test('whatever is taken gives the picture that was shown', () => {
    besides.forEach(({ picture: shown, taken }) => {
      if (!taken) return;
      expect(here(taken(larkmoor)).scene).toEqual(shown()?.scene);
    });
  });
  test('the silent shutter reads as long as the body does, and changes nothing else', () => {
    const scene = by('silent').picture()?.scene;
    expect(scene?.camera.readoutS).toBe(picture.view.body.silentReadoutS);
    expect({ ...scene, camera: { ...scene?.camera, readoutS: undefined } }).toEqual({
      ...picture.scene,
      camera: { ...picture.scene.camera, readoutS: undefined },
    });
    expect(by('silent').taken).toBeUndefined();
  });
});

test('put elsewhere, only the position that is chosen moves', () => {
  const moved = standingAt(larkmoor, { x: 3, y: 4 });
  const chosen = moved.positions.find(({ id }) => id === larkmoor.choice.positionId);
  expect([chosen?.x, chosen?.y]).toEqual([3, 4]);
  expect(moved.positions.filter((entry, i) => entry !== larkmoor.positions[i])).toHaveLength(1);
});

test('through the hours: evenly from the first minute to the last, darker in the evening', () => {
  const [startMs, endMs] = [atMs(larkmoor, larkmoor.startLocal), atMs(larkmoor, larkmoor.endLocal)];
  const frames = throughHours(larkmoor, { startMs, endMs }, 9);
  expect(frames).toHaveLength(9);
  expect([frames[0]?.atMs, frames[8]?.atMs]).toEqual([startMs, endMs]);
  expect(frames.every(({ atMs: ms }) => ms % 60_000 === 0)).toBe(true);
  expect(frames[8]?.answer.light.ev.expected).toBeLessThan(
    frames[0]?.answer.light.ev.expected ?? 0,
  );
});
