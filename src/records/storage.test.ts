import oldStore, { createAsyncStorage } from '@react-native-async-storage/async-storage';
import { DEMO_SHOOTS } from '@/demo';
import { openDevice, reopenDevice } from './device';
import { readList } from './list';
import { pendingWrites } from './pending-writes';
import { SHOOT_VERSION, type Shoot } from './shoot';
import {
  discardSetAside,
  readKept,
  readSetAside,
  readShoot,
  readShoots,
  readSingle,
  Refused,
  refusalOf,
  removeShoot,
  seedOnce,
  shootKey,
  writeChange,
  writeKept,
  writeLast,
  type Any,
} from './storage';
import { QUICK } from './singles';
import { summaryOf } from './summary';

const [larkmoor, alder, tern] = DEMO_SHOOTS as [Shoot, Shoot, Shoot];
const disk = createAsyncStorage('bright-perch');
const write = (shoot: Shoot) => writeChange(shootKey(shoot.id), { from: undefined, to: shoot });
/** What another tab writes: this one does not know of it. */
const writeElsewhere = (shoot: Shoot) =>
  disk.setItem(shootKey(shoot.id), JSON.stringify(shoot)).then(() => shoot);

beforeEach(async () => {
  await disk.clear();
  await oldStore.clear();
  reopenDevice();
});

test('what is written is read back, in the order of the shoots', async () => {
  await write(alder);
  await write(larkmoor);
  expect(await readShoots()).toEqual([larkmoor, alder]);
  await removeShoot(alder.id);
  expect(await readShoots()).toEqual([larkmoor]);
});

test('of two that start at the same minute the original stands before its copy, whatever they are filed under', async () => {
  const copies = ['a', 'zz'].map((id) => ({ ...larkmoor, id, title: `${larkmoor.title} (${id})` }));
  for (const shoot of [...copies, larkmoor]) await write(shoot);
  const ids = [larkmoor.id, 'a', 'zz'];
  expect((await readShoots()).map(({ id }) => id)).toEqual(ids);
  expect((await readList()).map(({ id }) => id)).toEqual(ids);
});

test.each([
  ['cut off', JSON.stringify(alder).slice(0, 300), /JSON/],
  ['wrong in a field', JSON.stringify({ ...alder, title: '' }), /^title:/],
  ['from a newer version', JSON.stringify({ ...alder, version: 99 }), /newer Bright Perch/],
  ['filed under another name', JSON.stringify(larkmoor), /^id:/],
])('a record that is %s is set aside whole and the rest is read', async (_what, text, reason) => {
  await write(larkmoor);
  await disk.setItem(shootKey(alder.id), text);
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
  await disk.setItem('bright-perch/set-aside/x', '{');
  expect((await readSetAside())[0]).toMatchObject({ text: '{', reason: 'unreadable' });
});

test('with no room to set a damaged record aside, the others open and it is told of', async () => {
  await write(larkmoor);
  await disk.setItem(shootKey(alder.id), '{"cut');
  const full = jest.spyOn(disk, 'setMany').mockRejectedValue(new Error('QuotaExceededError'));
  expect(await readShoots()).toEqual([larkmoor]);
  expect((await readSetAside())[0]).toMatchObject({ text: '{"cut', key: shootKey(alder.id) });
  full.mockRestore();
});

test('the demo is put in once: deleted, it stays deleted', async () => {
  const seed = jest.fn(async () => [larkmoor]);
  await seedOnce(seed);
  await removeShoot(larkmoor.id);
  await seedOnce(seed);
  expect(seed).toHaveBeenCalledTimes(1);
  expect(await readShoots()).toEqual([]);
});

describe('the list', () => {
  test('says of each shoot what its summary says, without reading the shoot', async () => {
    await seedOnce(async () => DEMO_SHOOTS);
    const texts = jest.spyOn(disk, 'getMany');
    const list = await readList();
    expect(list).toEqual([larkmoor, alder, tern].map(summaryOf));
    expect(texts.mock.calls.flatMap(([keys]) => keys)).not.toContain(shootKey(larkmoor.id));
    texts.mockRestore();
  });

  test('a summary with a zone that has no clock here is made anew from the record', async () => {
    await seedOnce(async () => DEMO_SHOOTS);
    const nowhere = { ...summaryOf(larkmoor), timeZone: 'Nowhere/Much' };
    await disk.setItem(`bright-perch/summary/${larkmoor.id}`, JSON.stringify(nowhere));
    expect(await readList()).toEqual([larkmoor, alder, tern].map(summaryOf));
  });

  test('a summary that is missing, damaged or another’s is made anew from the record', async () => {
    await seedOnce(async () => DEMO_SHOOTS);
    await disk.removeItem(`bright-perch/summary/${larkmoor.id}`);
    await disk.setItem(`bright-perch/summary/${alder.id}`, '{"version":1');
    await disk.setItem(`bright-perch/summary/${tern.id}`, JSON.stringify(summaryOf(alder)));
    expect(await readList()).toEqual([larkmoor, alder, tern].map(summaryOf));
    const kept = await disk.getItem(`bright-perch/summary/${larkmoor.id}`);
    expect(JSON.parse(kept ?? '')).toEqual(summaryOf(larkmoor));
  });

  test('follows what is written and what is removed', async () => {
    await seedOnce(async () => [larkmoor, alder]);
    await readShoots();
    const from = (await readShoot(larkmoor.id)) as Shoot;
    await writeChange(shootKey(larkmoor.id), { from, to: { ...from, title: 'Renamed' } });
    await removeShoot(alder.id);
    expect((await readList()).map(({ title }) => title)).toEqual(['Renamed']);
  });

  test('a ground drawn small stays within its box, north up', () => {
    for (const shoot of DEMO_SHOOTS) {
      const { sketch } = summaryOf(shoot);
      const figures = (sketch.lines + sketch.solids).match(/-?\d+(\.\d)?/g)?.map(Number) ?? [];
      expect(Math.min(...figures)).toBeGreaterThanOrEqual(5);
      expect(Math.max(...figures)).toBeLessThanOrEqual(95);
      const north = shoot.positions.reduce((a, b) => (b.y > a.y ? b : a));
      const top = sketch.places.reduce((a, b) => (b.y < a.y ? b : a));
      expect(sketch.places.indexOf(top)).toBe(shoot.positions.indexOf(north));
    }
  });
});

describe('what an older version kept', () => {
  test('is carried over once, whole, and what says how the page looks stays', async () => {
    await oldStore.setItem(shootKey(larkmoor.id), JSON.stringify(larkmoor));
    await oldStore.setItem('bright-perch/seeded', 'then');
    await oldStore.setItem('bright-perch/scheme', 'dark');
    expect((await readList()).map(({ id }) => id)).toEqual([larkmoor.id]);
    expect(await readShoot(larkmoor.id)).toEqual(larkmoor);
    expect(await oldStore.getAllKeys()).toEqual(['bright-perch/scheme']);
    // Carried over, then deleted: it does not come back.
    await removeShoot(larkmoor.id);
    reopenDevice();
    expect(await readList()).toEqual([]);
  });

  test('that does not arrive whole stays where it was, and is worked with from memory', async () => {
    await oldStore.setItem(shootKey(larkmoor.id), JSON.stringify(larkmoor));
    const full = jest.spyOn(disk, 'setMany').mockRejectedValue(new Error('no room'));
    expect(await readShoot(larkmoor.id)).toEqual(larkmoor);
    expect((await openDevice()).onlyHere).toBe('no room');
    expect(await oldStore.getItem(shootKey(larkmoor.id))).not.toBeNull();
    full.mockRestore();
  });
});

test('where the browser keeps nothing all works, from memory, and says why', async () => {
  const blocked = jest
    .spyOn(disk, 'getMany')
    .mockRejectedValue(new Error('The operation is insecure.'));
  await seedOnce(async () => [larkmoor]);
  expect(await readSingle(QUICK)).toEqual(QUICK.first);
  await write(alder);
  expect((await readKept()).shoots).toEqual([larkmoor, alder]);
  expect((await openDevice()).onlyHere).toBe('The operation is insecure.');
  blocked.mockRestore();
});

test('a whole state is put in place of another in one transaction, and what was set aside stays', async () => {
  await disk.setItem('bright-perch/set-aside/x', '{');
  await write(larkmoor);
  const kept = await readKept();
  const transactions = jest.spyOn(disk, 'setMany');
  await writeKept({ ...kept, shoots: [alder], quick: { ...kept.quick, distanceM: 12 } });
  expect(transactions).toHaveBeenCalledTimes(1);
  transactions.mockRestore();
  const now = await readKept();
  expect(now.shoots).toEqual([alder]);
  expect(now.quick.distanceM).toBe(12);
  expect(await readSetAside()).toHaveLength(1);
  expect((await readList()).map(({ id }) => id)).toEqual([alder.id]);
});

test('a state that does not fit changes nothing', async () => {
  await write(larkmoor);
  const before = await readKept();
  const full = jest.spyOn(disk, 'setMany').mockRejectedValue(new Error('QuotaExceededError'));
  await expect(writeKept({ ...before, shoots: [alder] })).rejects.toThrow('QuotaExceededError');
  full.mockRestore();
  expect((await readKept()).shoots).toEqual(before.shoots);
});

describe('a change', () => {
  const entry = (id: string) => ({
    ...{ id, kind: 'keeper' as const, atLocal: '2027-04-16T19:02:11' },
    ...{ markId: larkmoor.choice.markId, positionId: larkmoor.choice.positionId },
  });
  const logged = (shoot: Shoot, id: string): Shoot => ({
    ...shoot,
    log: { ...shoot.log, entries: [...shoot.log.entries, entry(id)] },
  });

  test('is done to what another tab wrote meanwhile', async () => {
    const from = (await write(larkmoor)) as Shoot;
    await writeElsewhere({ ...logged(larkmoor, 'theirs'), title: 'Theirs' });
    const kept = await writeChange(shootKey(larkmoor.id), { from, to: logged(from, 'mine') });
    expect(kept).toMatchObject({ title: 'Theirs' });
    expect((await readShoot(larkmoor.id))?.log.entries.map(({ id }) => id)).toEqual([
      'theirs',
      'mine',
    ]);
  });

  test('of a record that another tab took away does not bring it back', async () => {
    const from = (await write(larkmoor)) as Shoot;
    await disk.removeItem(shootKey(larkmoor.id));
    const kept = await writeChange(shootKey(larkmoor.id), { from, to: logged(from, 'mine') });
    expect(kept).toBeUndefined();
    expect(await readShoots()).toEqual([]);
  });

  test('that would break the record is refused by name, and what was there stays', async () => {
    const from = (await write(larkmoor)) as Shoot;
    const to = { ...from, title: '' };
    expect(refusalOf(shootKey(from.id), to)).toMatch(/^title:/);
    await expect(writeChange(shootKey(from.id), { from, to })).rejects.toThrow(Refused);
    expect(await readShoots()).toEqual([from]);
  });

  test('that changes nothing writes nothing', async () => {
    const from = (await write(larkmoor)) as Shoot;
    const transactions = jest.spyOn(disk, 'setMany');
    await writeChange(shootKey(from.id), { from, to: { ...from } });
    expect(transactions).not.toHaveBeenCalled();
    transactions.mockRestore();
  });

  test('written as the page goes is known when it comes back', async () => {
    const from = (await write(larkmoor)) as Shoot;
    const to = logged(from, 'last');
    await writeLast(new Map<string, Any>([[shootKey(from.id), to]]));
    await writeChange(shootKey(from.id), { from, to });
    expect((await readShoot(from.id))?.log.entries).toHaveLength(1);
  });
});

describe('writes that wait', () => {
  beforeEach(() => jest.useFakeTimers());
  afterEach(() => jest.useRealTimers());
  const key = shootKey(larkmoor.id);
  const told = () => ({ failed: jest.fn(), saved: jest.fn(), written: jest.fn() });
  const titled = (title: string): Shoot => ({ ...larkmoor, title });
  const writers = (write: (key: string, change: { to: Any }) => Promise<Any | undefined>) => ({
    write: jest.fn(write),
    writeLast: jest.fn(async () => undefined),
  });
  const asAsked = async (_key: string, { to }: { to: Any }) => to;

  test('the first of a drag is written at once, the last state soon after, the rest never', async () => {
    const { write, ...rest } = writers(asAsked);
    const page = told();
    const writer = pendingWrites(page, { write, ...rest });
    for (let i = 0; i < 50; i += 1) {
      writer.put(key, { from: titled(`drag ${i - 1}`), to: titled(`drag ${i}`) });
      if (i === 0) await jest.advanceTimersByTimeAsync(0);
    }
    await jest.advanceTimersByTimeAsync(600);
    const titles = write.mock.calls.map(([, { to }]) => (to as Shoot).title);
    expect(titles).toEqual(['drag 0', 'drag 49']);
    expect(write.mock.calls[1]?.[1]).toMatchObject({ from: { title: 'drag 0' } });
    expect(page.saved).toHaveBeenCalledTimes(2);
    expect(page.failed).not.toHaveBeenCalled();
    expect(page.written).not.toHaveBeenCalled();
  });

  test('flush writes what is left; a deleted record is not written back', async () => {
    const { write, ...rest } = writers(asAsked);
    const writer = pendingWrites(told(), { write, ...rest });
    writer.put(key, { from: larkmoor, to: titled('a') });
    writer.put(shootKey(alder.id), { from: alder, to: { ...alder, title: 'b' } });
    writer.forget(shootKey(alder.id));
    await writer.flush();
    expect(write.mock.calls.map(([written]) => written)).toEqual([key]);
  });

  test('what could not be written is told, waits, and is tried again with the next change', async () => {
    let full = true;
    const { write, ...rest } = writers(async (_key, { to }) => {
      if (full) throw new Error('the storage is full');
      return to;
    });
    const page = told();
    const writer = pendingWrites(page, { write, ...rest });
    writer.put(key, { from: larkmoor, to: titled('one') });
    await jest.advanceTimersByTimeAsync(2000);
    expect(page.failed).toHaveBeenCalledWith(new Error('the storage is full'));
    expect(page.saved).not.toHaveBeenCalled();
    expect(write).toHaveBeenCalledTimes(1);
    expect(writer.waiting(key)?.to).toEqual(titled('one'));
    full = false;
    writer.put(key, { from: titled('one'), to: titled('two') });
    await jest.advanceTimersByTimeAsync(2000);
    expect(write.mock.calls.at(-1)?.[1]).toEqual({ from: larkmoor, to: titled('two') });
    expect(page.saved).toHaveBeenCalledTimes(1);
    expect(writer.waiting(key)).toBeUndefined();
  });

  test('what a write became is told, with what was changed since done to it', async () => {
    const theirs = { ...larkmoor, updatedAt: '2027-06-01T00:00:00.000Z' };
    let answer: (record: Any) => void = () => undefined;
    const { write, ...rest } = writers(() => new Promise<Any>((resolve) => (answer = resolve)));
    const page = told();
    const writer = pendingWrites(page, { write, ...rest });
    writer.put(key, { from: larkmoor, to: titled('mine') });
    await jest.advanceTimersByTimeAsync(0);
    writer.put(key, {
      from: titled('mine'),
      to: { ...titled('mine'), endLocal: '2027-04-16T22:00' },
    });
    answer({ ...theirs, title: 'mine' });
    await jest.advanceTimersByTimeAsync(0);
    expect(page.written).toHaveBeenCalledWith(key, {
      ...theirs,
      title: 'mine',
      endLocal: '2027-04-16T22:00',
    });
  });

  test('what waits is done to what another tab has written meanwhile', async () => {
    const { write, ...rest } = writers(() => new Promise(() => undefined));
    const writer = pendingWrites(told(), { write, ...rest });
    writer.put(key, { from: larkmoor, to: titled('under way') });
    await jest.advanceTimersByTimeAsync(0);
    writer.put(key, { from: titled('under way'), to: titled('waits') });
    const theirs = { ...larkmoor, endLocal: '2027-04-16T22:00' };
    expect(writer.rebase(key, theirs)).toMatchObject({ title: 'waits', endLocal: theirs.endLocal });
    expect(writer.waiting(key)).toMatchObject({ from: theirs, to: { title: 'waits' } });
    expect(writer.rebase(shootKey(alder.id), alder)).toBe(alder);
  });

  test('a change that is refused is taken back on the page', async () => {
    const { write, ...rest } = writers(async () => {
      throw new Refused('title: must not be empty');
    });
    const page = told();
    const writer = pendingWrites(page, { write, ...rest });
    writer.put(key, { from: larkmoor, to: titled('') });
    await jest.advanceTimersByTimeAsync(0);
    expect(page.written).toHaveBeenCalledWith(key, larkmoor);
    expect(writer.waiting(key)).toBeUndefined();
  });

  test('as the page goes, all that waits is written without asking', () => {
    const { write, writeLast: last } = writers(() => new Promise(() => undefined));
    const writer = pendingWrites(told(), { write, writeLast: last });
    writer.put(key, { from: larkmoor, to: titled('a') });
    writer.put(key, { from: titled('a'), to: titled('b') });
    writer.flushLast();
    expect(last).toHaveBeenCalledWith(new Map([[key, titled('b')]]));
  });
});

test('versions: what is written is of this one', async () => {
  await write(larkmoor);
  expect(JSON.parse((await disk.getItem(shootKey(larkmoor.id))) ?? '').version).toBe(SHOOT_VERSION);
});
