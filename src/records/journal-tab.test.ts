import 'fake-indexeddb/auto';
import { openDB } from 'idb';
import { leftBehind, openJournal } from './journal';

/** A tab that was just loaded again: the browser still holds the page before as alive. */
const session = new Map([['bright-perch/tab', 'before']]);
Object.assign(globalThis, {
  sessionStorage: {
    getItem: (key: string) => session.get(key) ?? null,
    setItem: (key: string, text: string) => void session.set(key, text),
  },
  navigator: {
    locks: {
      request: () => Promise.resolve(),
      query: () =>
        Promise.resolve({
          held: ['before', 'other'].map((tab) => ({ name: `bright-perch/tab/${tab}` })),
        }),
    },
  },
});

test('what the page before in this tab jotted down is done at once; another tab’s is its own', async () => {
  await openJournal();
  const database = await openDB('bright-perch-journal', 1);
  for (const tab of ['before', 'other', 'dead']) {
    await database.put(
      'jottings',
      { tab, key: 'bright-perch/practice', from: {}, to: {} },
      `${tab}/x`,
    );
  }
  const { jottings } = await leftBehind();
  expect(jottings.map(({ tab }) => tab)).toEqual(['before', 'dead']);
  // The next page in this tab asks for this one’s.
  expect(session.get('bright-perch/tab')).not.toBe('before');
});
