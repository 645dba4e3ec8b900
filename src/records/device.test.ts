import oldStore, { createAsyncStorage } from '@react-native-async-storage/async-storage';
import { DEMO_SHOOTS } from '@/demo';
import { openDevice, readWhileOpening, reopenDevice, type Device } from './device';
import { readList } from './list';
import type { Shoot } from './shoot';
import { shootKey, writeChange } from './storage';

const [larkmoor, alder] = DEMO_SHOOTS as [Shoot, Shoot];
const disk = createAsyncStorage('bright-perch');

beforeEach(async () => {
  await disk.clear();
  await oldStore.clear();
  reopenDevice();
});

/** Titles on the list as they are read while the device opens, and how often it was asked. */
async function readAhead() {
  let times = 0;
  const list = await readWhileOpening(async (device: Device) => {
    times += 1;
    return (await readList(device)).map(({ title }) => title);
  });
  return { list, times };
}

test('a disk that is as it was found is read once, while it opens', async () => {
  await writeChange(shootKey(alder.id), { from: undefined, to: alder });
  reopenDevice();
  expect(await readAhead()).toEqual({ list: [alder.title], times: 1 });
});

test('where an older version’s records are carried over, what they brought is read', async () => {
  await oldStore.setItem(shootKey(larkmoor.id), JSON.stringify(larkmoor));
  expect(await readAhead()).toEqual({ list: [larkmoor.title], times: 2 });
  reopenDevice();
  expect(await readAhead()).toEqual({ list: [larkmoor.title], times: 1 });
});

test('where the disk takes nothing, what is worked with from memory is read', async () => {
  await oldStore.setItem(shootKey(larkmoor.id), JSON.stringify(larkmoor));
  const full = jest.spyOn(disk, 'setMany').mockRejectedValue(new Error('no room'));
  expect(await readAhead()).toEqual({ list: [larkmoor.title], times: 2 });
  expect((await openDevice()).onlyHere).toBe('no room');
  full.mockRestore();
});

test('a disk that can’t be read fails where it is asked, not beside it', async () => {
  await openDevice();
  await expect(readWhileOpening(() => Promise.reject(new Error('gone')))).rejects.toThrow('gone');
});
