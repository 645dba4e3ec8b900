import { createAsyncStorage } from '@react-native-async-storage/async-storage';
import { seeded } from '../../scripts/seeded';
import { DEMO_SHOOTS } from '@/demo';
import { reopenDevice } from './device';
import { packFrames, type Frame } from './frames';
import type { Shoot } from './shoot';
import {
  readKept,
  readSetAside,
  readShoot,
  removeShoot,
  shootKey,
  writeChange,
  writeKept,
} from './storage';

const [larkmoor] = DEMO_SHOOTS as [Shoot];
const disk = createAsyncStorage('bright-perch');
const KEY = shootKey(larkmoor.id);

/** Pictures whose times and settings follow no rule, so that they pack badly. */
function pictures(count: number, seed: number): Frame[] {
  const chance = seeded(seed);
  return Array.from({ length: count }, (_, i) => ({
    name: `P${1000 + i}.jpg`,
    cameraMs: Date.UTC(2027, 3, 16, 18) + i * 900 + Math.floor(chance() * 800),
    camera: 'A',
    shutterS: 1 / (500 + Math.floor(chance() * 3000)),
    iso: 100 + Math.floor(chance() * 6000),
  }));
}
const photographed = (frames: readonly Frame[], shoot: Shoot = larkmoor): Shoot => ({
  ...shoot,
  log: { ...shoot.log, frames: packFrames(frames) },
});
const seriesKeys = async () =>
  (await disk.getAllKeys()).filter((key) => key.startsWith('bright-perch/series/'));
const write = (from: Shoot | undefined, to: Shoot) => writeChange(KEY, { from, to });

beforeEach(async () => {
  await disk.clear();
  reopenDevice();
});

test('pictures’ figures lie beside their record, and it is read whole', async () => {
  const shoot = photographed(pictures(2500, 1));
  await write(undefined, shoot);
  expect(await seriesKeys()).toHaveLength(3);
  expect((await disk.getItem(KEY))?.length).toBeLessThan(40_000);
  reopenDevice();
  expect(await readShoot(larkmoor.id)).toEqual(shoot);
});

test('a tap writes the record and none of its pictures', async () => {
  const shoot = photographed(pictures(2500, 1));
  await write(undefined, shoot);
  const put = jest.spyOn(disk, 'setMany');
  await write(shoot, { ...shoot, title: 'Tapped' });
  const keys = put.mock.calls.flatMap(([entries]) => Object.keys(entries));
  expect(keys).toContain(KEY);
  expect(keys.filter((key) => key.includes('/series/'))).toEqual([]);
  put.mockRestore();
  expect((await readShoot(larkmoor.id))?.log.frames).toEqual(shoot.log.frames);
});

test('pictures that change or go take what lay there with them', async () => {
  const shoot = photographed(pictures(1000, 1));
  await write(undefined, shoot);
  const [first] = await seriesKeys();
  const other = photographed(pictures(1000, 2), shoot);
  await write(shoot, other);
  const [second, ...more] = await seriesKeys();
  expect(more).toEqual([]);
  expect(second).not.toBe(first);
  // Undone, the first come back.
  await write(other, shoot);
  expect(await seriesKeys()).toEqual([first]);
  expect(await readShoot(larkmoor.id)).toEqual(shoot);
  await removeShoot(larkmoor.id);
  expect(await seriesKeys()).toEqual([]);
});

test('a record whose pictures are gone is set aside and told of', async () => {
  await write(undefined, photographed(pictures(1000, 1)));
  await disk.removeMany(await seriesKeys());
  reopenDevice();
  expect(await readShoot(larkmoor.id)).toBeNull();
  expect((await readSetAside())[0]?.reason).toMatch(/^log\.frames\[0\]:/);
});

test('a backup holds pictures whole, and puts them back', async () => {
  const shoot = photographed(pictures(1000, 1));
  await write(undefined, shoot);
  const kept = await readKept();
  expect(kept.shoots).toEqual([shoot]);
  await write(shoot, larkmoor);
  await writeKept(kept);
  expect(await readShoot(larkmoor.id)).toEqual(shoot);
});
