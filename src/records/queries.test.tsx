import AsyncStorage, { createAsyncStorage } from '@react-native-async-storage/async-storage';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { act, renderHook, waitFor } from '@testing-library/react';
import { useEffect, type ReactNode } from 'react';
import { DEMO_SHOOTS } from '@/demo';
import { useSaveTrouble } from './list-queries';
import { keepTrue, takeOver, useSafeKeeping, useShoot, useShootActions, writerOf } from './queries';
import type { Shoot } from './shoot';
import { removeShoot, shootKey } from './storage';
import { summaryOf } from './summary';

const [larkmoor] = DEMO_SHOOTS as [Shoot];
const KEY = shootKey(larkmoor.id);
const disk = createAsyncStorage('bright-perch');
const seed = { shoots: async () => [larkmoor], summaries: [] };

function page() {
  const client = new QueryClient({
    defaultOptions: { queries: { retry: false, structuralSharing: false, gcTime: Infinity } },
  });
  const wrapper = ({ children }: { readonly children: ReactNode }) => (
    <QueryClientProvider client={client}>{children}</QueryClientProvider>
  );
  const open = async () => {
    const hook = renderHook(
      () => {
        useEffect(() => keepTrue(client), []);
        return {
          shoot: useShoot(larkmoor.id, seed).data,
          actions: useShootActions(),
          keeping: useSafeKeeping(),
          trouble: useSaveTrouble(),
        };
      },
      { wrapper },
    );
    // What reads the record is fetched when it is first wanted, and compiled then.
    await waitFor(() => expect(hook.result.current.shoot?.id).toBe(larkmoor.id), { timeout: 4000 });
    return hook;
  };
  return { client, open };
}
const kept = async () => JSON.parse((await disk.getItem(KEY)) ?? 'null') as Shoot;

// There is no line to other tabs.
Object.assign(globalThis, { BroadcastChannel: undefined });

beforeEach(async () => {
  // Nor does the page know of one any more.
  await removeShoot(larkmoor.id);
  await disk.clear();
  await AsyncStorage.clear();
});

test('a page that is hidden or left writes what waits', async () => {
  const { client, open } = page();
  await open();
  const writer = writerOf(client);
  const flush = jest.spyOn(writer, 'flush').mockResolvedValue(undefined);
  const last = jest.spyOn(writer, 'flushLast').mockReturnValue(undefined);
  act(() => void document.dispatchEvent(new Event('visibilitychange')));
  expect(flush).toHaveBeenCalledTimes(1);
  act(() => void window.dispatchEvent(new Event('pagehide')));
  expect(last).toHaveBeenCalledTimes(1);
});

test('a change is seen at once and written; one that changes nothing is neither', async () => {
  const { open } = page();
  const hook = await open();
  const before = hook.result.current.shoot;
  let answer: unknown;
  act(() => {
    answer = hook.result.current.actions.update(larkmoor.id, (shoot) => ({ ...shoot }));
  });
  expect(answer).toBeUndefined();
  expect(hook.result.current.shoot).toBe(before);
  act(() => {
    answer = hook.result.current.actions.update(larkmoor.id, (shoot) => ({
      ...shoot,
      title: 'New',
    }));
  });
  expect(answer).toMatchObject({ before, after: { title: 'New' } });
  await waitFor(() => expect(hook.result.current.shoot?.title).toBe('New'));
  await waitFor(async () => expect((await kept()).title).toBe('New'));
  expect((await kept()).updatedAt).not.toBe(larkmoor.updatedAt);
});

test('a change that would break the record is not made, and why is said until the next good one', async () => {
  const { open } = page();
  const hook = await open();
  act(() => {
    hook.result.current.actions.update(larkmoor.id, (shoot) => ({ ...shoot, title: '' }));
  });
  await waitFor(() => expect(hook.result.current.trouble).toMatch(/^title:/));
  expect(hook.result.current.shoot?.title).toBe(larkmoor.title);
  act(() => {
    hook.result.current.actions.update(larkmoor.id, (shoot) => ({ ...shoot, title: 'Good' }));
  });
  await waitFor(() => expect(hook.result.current.trouble).toBeNull());
});

test('what another tab wrote is taken over; what it deleted is gone', async () => {
  const { client, open } = page();
  const hook = await open();
  await disk.setItem(KEY, JSON.stringify({ ...larkmoor, title: 'Theirs' }));
  await act(async () => takeOver(client, KEY));
  await waitFor(() => expect(hook.result.current.shoot?.title).toBe('Theirs'));
  await disk.removeItem(KEY);
  await act(async () => takeOver(client, KEY));
  await waitFor(() => expect(hook.result.current.shoot).toBeNull());
});

test('a shoot that came while all were read through is among them, and stays on the list', async () => {
  const { client, open } = page();
  const hook = await open();
  client.setQueryData(['list'], [summaryOf(larkmoor)]);
  let letGo = () => undefined as void;
  const held = new Promise<void>((resolve) => (letGo = resolve));
  const writing = jest.spyOn(disk, 'setMany').mockImplementationOnce(() => held);
  const copy = { ...larkmoor, id: 'copy', title: 'Copy' };
  let all: Promise<Shoot[]> | undefined;
  act(() => {
    hook.result.current.actions.add(copy);
    all = hook.result.current.actions.all(seed);
  });
  expect((await all)?.map(({ id }) => id).sort()).toEqual(['copy', larkmoor.id]);
  expect(client.getQueryState(['list'])?.isInvalidated).toBe(false);
  letGo();
  writing.mockRestore();
  // One that is gone from the device is told of.
  act(() => client.removeQueries({ queryKey: ['shoots'] }));
  await disk.removeItem(KEY);
  client.removeQueries({ queryKey: ['shoot', larkmoor.id] });
  await act(async () => void (await hook.result.current.actions.all(seed)));
  expect(client.getQueryState(['list'])?.isInvalidated).toBe(true);
});

test('what is being read of a shoot while a backup is put in place is of before, and counts for nothing', async () => {
  const { client, open } = page();
  const hook = await open();
  const queryKey = ['shoot', 'back-again'];
  let answer = (_shoot: null): void => undefined;
  const asked = new Promise<null>((done) => {
    answer = done;
  });
  const reading = client.prefetchQuery({ queryKey, queryFn: () => asked });
  const back: Shoot = { ...larkmoor, id: 'back-again' };
  await act(async () => {
    const here = await hook.result.current.keeping.take();
    await hook.result.current.keeping.put({ ...here, shoots: [...here.shoots, back] });
  });
  // There was none of it when that was asked.
  answer(null);
  await reading;
  expect(client.getQueryData(queryKey)).toBeUndefined();
});
