import 'fake-indexeddb/auto';
import { openDB } from 'idb';
import { DEMO_SHOOTS } from '@/demo';
import { readWhileOpening, reopenDevice } from './device';
import { readList } from './list';
import type { Shoot } from './shoot';
import { shootKey, writeChange } from './storage';

const [larkmoor] = DEMO_SHOOTS as [Shoot];
const key = shootKey(larkmoor.id);

test('what a page that died had jotted down is on the list that is read while the device opens', async () => {
  await writeChange(key, { from: undefined, to: larkmoor });
  const journal = await openDB('bright-perch-journal', 1);
  const jotting = { from: { title: larkmoor.title }, to: { title: 'Tapped as it died' } };
  await journal.put('jottings', { tab: 'dead', key, ...jotting }, `dead/${key}`);
  reopenDevice();
  const titles = async () =>
    (await readWhileOpening((device) => readList(device))).map(({ title }) => title);
  expect(await titles()).toEqual(['Tapped as it died']);
  expect(await journal.getAll('jottings')).toEqual([]);
});
