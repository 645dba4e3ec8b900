import type { Compared, SearchResult } from '@/core';
import { openSearch } from './search';

const asked = { search: 'one' } as never;
const found = (count: number) => ({ count }) as unknown as SearchResult;
const tick = () => new Promise((done) => setTimeout(done));

/** Something asked of the worker: how it is stopped, and what comes of it. */
interface Job<T> {
  readonly signal: AbortSignal;
  readonly end: (value: T) => void;
  readonly fail: (error: unknown) => void;
}

/** A search whose worker does what the test says. */
function searchWith() {
  const searches: (Job<SearchResult> & { readonly progress: (result: SearchResult) => void })[] =
    [];
  const comparisons: Job<readonly Compared[]>[] = [];
  const search = openSearch({
    search: (_request, progress, signal) =>
      new Promise((end, fail) => {
        searches.push({ signal, progress, end, fail });
      }),
    compare: (_request, signal) =>
      new Promise((end, fail) => {
        comparisons.push({ signal, end, fail });
      }),
  });
  return { search, searches, comparisons };
}

test('a search asked anew stops the one before, and only what it finds is shown', async () => {
  const { search, searches } = searchWith();
  search.start(asked);
  searches[0]?.progress(found(1));
  expect(search.now.get().search).toMatchObject({ running: true, result: found(1) });
  search.start(asked);
  expect(searches.map(({ signal }) => signal.aborted)).toEqual([true, false]);
  searches[0]?.progress(found(2));
  searches[0]?.end(found(3));
  await tick();
  expect(search.now.get().search).toMatchObject({ running: true, result: undefined });
  searches[1]?.end(found(4));
  await tick();
  expect(search.now.get().search).toMatchObject({ running: false, result: found(4) });
});

test('stopped, a search keeps what it found; cleared, it is gone; and neither is a trouble', async () => {
  const { search, searches } = searchWith();
  search.start(asked);
  searches[0]?.progress(found(1));
  search.stop();
  expect(searches[0]?.signal.aborted).toBe(true);
  searches[0]?.fail(new Error('stopped'));
  await tick();
  expect(search.now.get().search).toMatchObject({
    ...{ running: false, result: found(1), trouble: undefined },
  });
  search.probe({ x: 1, y: 2 });
  search.start(asked);
  expect(search.now.get().probed).toBeUndefined();
  search.clear();
  expect(searches[1]?.signal.aborted).toBe(true);
  expect(search.now.get()).toMatchObject({ search: undefined, probed: undefined });
});

test('why a search or a comparison failed is told in its words', async () => {
  const { search, searches, comparisons } = searchWith();
  search.start(asked);
  searches[0]?.fail(new Error('the worker is gone'));
  await tick();
  expect(search.now.get().search).toMatchObject({ running: false, trouble: 'the worker is gone' });
  search.compare({} as never);
  comparisons[0]?.fail('no room');
  await tick();
  expect(search.now.get().comparison).toMatchObject({ trouble: 'no room', compared: undefined });
});

test('places are compared for the last asking only', async () => {
  const { search, comparisons } = searchWith();
  search.compare({} as never);
  search.compare({} as never);
  expect(comparisons.map(({ signal }) => signal.aborted)).toEqual([true, false]);
  comparisons[0]?.end([]);
  await tick();
  expect(search.now.get().comparison?.compared).toBeUndefined();
  const best = [{ name: 'best' }] as unknown as readonly Compared[];
  comparisons[1]?.end(best);
  await tick();
  expect(search.now.get().comparison?.compared).toEqual(best);
});
