import AsyncStorage from '@react-native-async-storage/async-storage';
import { DEMO_SHOOTS } from '@/demo';
import { pendingWrites } from './pending-writes';
import type { Shoot } from './shoot';
import {
  discardSetAside,
  readKept,
  readSetAside,
  readShoots,
  removeShoot,
  seedOnce,
  storageUse,
  writeKept,
  writeShoot,
} from './storage';

const [larkmoor, alder] = DEMO_SHOOTS as [Shoot, Shoot, Shoot];

beforeEach(() => AsyncStorage.clear());

test('what is written is read back, in the order of the shoots', async () => {
  await writeShoot(alder);
  await writeShoot(larkmoor);
  expect(await readShoots()).toEqual([larkmoor, alder]);
  await removeShoot(alder.id);
  expect(await readShoots()).toEqual([larkmoor]);
});

test.each([
  ['cut off', JSON.stringify(alder).slice(0, 300), /JSON/],
  ['wrong in a field', JSON.stringify({ ...alder, title: '' }), /^title:/],
  ['from a newer version', JSON.stringify({ ...alder, version: 9 }), /newer Bright Perch/],
  ['filed under another name', JSON.stringify(larkmoor), /^id:/],
])('a record that is %s is set aside whole and the rest is read', async (_what, text, reason) => {
  await writeShoot(larkmoor);
  await AsyncStorage.setItem(`bright-perch/shoot/${alder.id}`, text);
  expect(await readShoots()).toEqual([larkmoor]);
  const [aside, ...more] = await readSetAside();
  expect(more).toEqual([]);
  expect(aside?.text).toBe(text);
  expect(aside?.reason).toMatch(reason);
  // Once set aside it is out of the way for good, until the person discards it.
  expect(await readShoots()).toEqual([larkmoor]);
  expect(await readSetAside()).toHaveLength(1);
  await discardSetAside(aside?.asideKey ?? '');
  expect(await readSetAside()).toEqual([]);
});

test('even a damaged note of what was set aside is shown', async () => {
  await AsyncStorage.setItem('bright-perch/set-aside/x', '{');
  expect((await readSetAside())[0]).toMatchObject({ text: '{', reason: 'unreadable' });
});

test('the demo is put in once: deleted, it stays deleted', async () => {
  const seed = jest.fn(async () => writeShoot(larkmoor));
  await seedOnce(seed);
  await removeShoot(larkmoor.id);
  await seedOnce(seed);
  expect(seed).toHaveBeenCalledTimes(1);
  expect(await readShoots()).toEqual([]);
});

test('a whole state is put in place of another, and what was set aside stays', async () => {
  await AsyncStorage.setItem('bright-perch/set-aside/x', '{');
  await writeShoot(larkmoor);
  const kept = await readKept();
  await writeKept({ ...kept, shoots: [alder], quick: { ...kept.quick, distanceM: 12 } });
  const now = await readKept();
  expect(now.shoots).toEqual([alder]);
  expect(now.quick.distanceM).toBe(12);
  expect(await readSetAside()).toHaveLength(1);
});

test('a state that does not fit changes nothing, wherever the room runs out', async () => {
  await writeShoot(larkmoor);
  const before = await readKept();
  const whole = Object.fromEntries(await AsyncStorage.multiGet(await AsyncStorage.getAllKeys()));
  const put = jest.mocked(AsyncStorage.setItem);
  const real = put.getMockImplementation();
  if (!real) throw new Error('must be the mock');
  for (let fits = 0; fits < 5; fits += 1) {
    let written = 0;
    put.mockImplementation((key, text) => {
      written += 1;
      // Only what was there before finds room again.
      return written > fits && whole[key] !== text
        ? Promise.reject(new Error('QuotaExceededError'))
        : real(key, text);
    });
    const state = { ...before, shoots: [alder, { ...larkmoor, title: 'Changed' }] };
    await expect(writeKept(state)).rejects.toThrow('QuotaExceededError');
    put.mockImplementation(real);
    expect((await readKept()).shoots).toEqual(before.shoots);
  }
});

test('what is in use is counted', async () => {
  expect(await storageUse()).toBe(0);
  await AsyncStorage.setItem('ab', 'cde');
  expect(await storageUse()).toBe(5);
});

describe('writes that wait', () => {
  beforeEach(() => jest.useFakeTimers());
  afterEach(() => jest.useRealTimers());

  test('a drag writes its last state once', async () => {
    const write = jest.fn(async () => undefined);
    const writer = pendingWrites(jest.fn(), write);
    for (let i = 0; i < 50; i += 1) writer.put({ ...larkmoor, title: `drag ${i}` });
    await jest.advanceTimersByTimeAsync(300);
    expect(write).toHaveBeenCalledTimes(1);
    expect(write).toHaveBeenCalledWith(expect.objectContaining({ title: 'drag 49' }));
  });

  test('flush writes at once; a deleted record is not written back', async () => {
    const write = jest.fn(async (shoot: Shoot) => void shoot);
    const writer = pendingWrites(jest.fn(), write);
    writer.put(larkmoor);
    writer.put(alder);
    writer.forget(alder.id);
    await writer.flush();
    expect(write.mock.calls.map(([shoot]) => shoot.id)).toEqual([larkmoor.id]);
  });

  test('a write that fails is reported', async () => {
    const onError = jest.fn();
    const writer = pendingWrites(onError, async () => {
      throw new Error('the storage is full');
    });
    writer.put(larkmoor);
    await writer.flush();
    expect(onError).toHaveBeenCalledWith(new Error('the storage is full'));
  });
});
