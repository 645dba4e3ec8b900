import 'fake-indexeddb/auto';
import { DEMO_SHOOTS } from '@/demo';
import type { Device } from './device';
import { jot, leftBehind, openJournal, strikeOut, type Jotting } from './journal';
import { FIRST_PRACTICE } from './practice';
import { recover } from './recover';
import type { Shoot } from './shoot';
import { shootKey } from './storage';
import { PRACTICE } from './singles';

const [larkmoor] = DEMO_SHOOTS as [Shoot];
const key = shootKey(larkmoor.id);

/** A device that holds texts in memory. */
function deviceWith(texts: Record<string, string>) {
  const held = new Map(Object.entries(texts));
  const device: Device = {
    keys: async () => [...held.keys()],
    read: async (keys) =>
      new Map(keys.flatMap((name) => (held.has(name) ? [[name, held.get(name) as string]] : []))),
    change: async (changes) =>
      Object.entries(changes).forEach(([name, text]) =>
        text === null ? held.delete(name) : held.set(name, text),
      ),
  };
  const shoot = () => JSON.parse(held.get(key) ?? 'null') as Shoot | null;
  return { device, shoot, held };
}

const jotting = (rest: Partial<Jotting>): Jotting => ({
  tab: 'gone',
  key,
  from: { title: larkmoor.title },
  to: { title: 'Tapped as it died' },
  ...rest,
});

/** What is in the journal, whoever's it is. */
const inJournal = () =>
  new Promise<Jotting[]>((resolve, reject) => {
    const opening = indexedDB.open('bright-perch-journal');
    opening.onerror = () => reject(opening.error);
    opening.onsuccess = () => {
      const request = opening.result.transaction('jottings').objectStore('jottings').getAll();
      request.onsuccess = () => resolve(request.result as Jotting[]);
    };
  });

test('of a change only what differs is jotted down, until it is struck out', async () => {
  await openJournal();
  jot(key, larkmoor, { ...larkmoor, title: 'New' });
  expect(await inJournal()).toEqual([
    expect.objectContaining({ key, from: { title: larkmoor.title }, to: { title: 'New' } }),
  ]);
  // This page is alive: what it jots down is no one else's to do.
  expect((await leftBehind()).jottings).toEqual([]);
  strikeOut(key);
  expect(await inJournal()).toEqual([]);
});

test('what is new is jotted down whole', async () => {
  await openJournal();
  jot(key, undefined, larkmoor);
  expect((await inJournal())[0]).toMatchObject({ from: undefined, to: larkmoor });
  strikeOut(key);
});

test('what a dead page left is done to the newest state, in record and list', async () => {
  const { device, shoot, held } = deviceWith({
    [key]: JSON.stringify({ ...larkmoor, endLocal: '2027-04-16T22:00' }),
  });
  await recover(device, [jotting({})]);
  expect(shoot()).toMatchObject({ title: 'Tapped as it died', endLocal: '2027-04-16T22:00' });
  expect(held.get(`bright-perch/summary/${larkmoor.id}`)).toContain('Tapped as it died');
});

test('the very first change of what stands as it comes is done too', async () => {
  const { device, held } = deviceWith({});
  const made = { kind: 'eye', id: 't', at: '2026-11-28T12:00:00.000Z', task: 'side', offSteps: 0 };
  await recover(device, [
    { tab: 'gone', key: PRACTICE.key, from: { tries: [] }, to: { tries: [made] } },
  ]);
  expect(JSON.parse(held.get(PRACTICE.key) ?? 'null')).toEqual({
    ...FIRST_PRACTICE,
    tries: [made],
  });
  // A shoot that is gone stays gone.
  await recover(device, [jotting({})]);
  expect([...held.keys()]).toEqual([PRACTICE.key]);
});

test('done already, it is not done twice', async () => {
  const entry = {
    ...{ id: 'e', kind: 'keeper' as const, atLocal: '2027-04-16T19:02:11' },
    ...{ markId: larkmoor.choice.markId, positionId: larkmoor.choice.positionId },
  };
  const log = { ...larkmoor.log, entries: [entry] };
  const { device, shoot } = deviceWith({ [key]: JSON.stringify({ ...larkmoor, log }) });
  await recover(device, [jotting({ from: { log: larkmoor.log }, to: { log } })]);
  expect(shoot()?.log.entries).toHaveLength(1);
});

test('a new shoot that was only jotted down is there; one taken away meanwhile stays away', async () => {
  const { device, shoot } = deviceWith({});
  await recover(device, [jotting({})]);
  expect(shoot()).toBeNull();
  await recover(device, [jotting({ from: undefined, to: larkmoor })]);
  expect(shoot()).toEqual(larkmoor);
});

test('a jotting that would make no record of it changes nothing', async () => {
  const text = JSON.stringify(larkmoor);
  const { device, held } = deviceWith({ [key]: text });
  await recover(device, [jotting({ to: { title: '' } })]);
  expect(held.get(key)).toBe(text);
  held.set(key, '{"damaged');
  await recover(device, [jotting({})]);
  expect(held.get(key)).toBe('{"damaged');
});
