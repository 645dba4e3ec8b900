import { act, renderHook } from '@testing-library/react';
import { OpenShootContext, type OpenShoot } from './open-shoot';
import { likelyNext, type StepScreens } from './step-screens';
import { screenAt, stepAt } from './steps';
import { storeOf } from './store';
import { useMadeReady } from './use-made-ready';

test('an address names a screen, its parts too; one that leads on names none', () => {
  expect(screenAt('/shoot/meet/settings')).toBe('settings');
  expect(screenAt('/shoot/meet/settings/motion')).toBe('settings');
  expect(screenAt('/shoot/meet/draw')).toBe('draw');
  expect(stepAt('/shoot/meet/draw')).toBe('ground');
  expect(screenAt('/shoot/meet')).toBeUndefined();
  expect(screenAt('/shoot/meet/elsewhere')).toBeUndefined();
});

test('likely next are the neighbours, the next one first; never a form or what goes by the clock', () => {
  expect(likelyNext('settings')).toEqual(['kit', 'light']);
  expect(likelyNext('draw')).toEqual(['light']);
  expect(likelyNext('ground')).toEqual(['light']);
  expect(likelyNext('brief')).toEqual(['ground']);
  expect(likelyNext('log')).toEqual(['field']);
  expect(likelyNext('practice')).toEqual(['log']);
});

describe('steps made ready', () => {
  beforeEach(() => jest.useFakeTimers());
  afterEach(() => jest.useRealTimers());

  const open = () => {
    const stores = {
      shown: storeOf({ minute: 0 }),
      looked: storeOf({ minute: 0 }),
      undoable: storeOf({ held: false }),
    };
    const fetched: string[] = [];
    const failing = new Set<string>();
    const screenOf = (id: string) => ({
      fetch: async () => {
        fetched.push(id);
        if (failing.has(id)) throw new Error('no network');
      },
      Screen: () => null,
    });
    const ids = ['ground', 'light', 'settings', 'kit'];
    const screens = Object.fromEntries(
      ids.map((id) => [id, screenOf(id)]),
    ) as unknown as StepScreens;
    const { result, rerender } = renderHook(
      ({ at }: { at: 'light' | 'settings' }) => useMadeReady(at, screens),
      {
        initialProps: { at: 'light' },
        wrapper: ({ children }) => (
          <OpenShootContext.Provider value={stores as unknown as OpenShoot}>
            {children}
          </OpenShootContext.Provider>
        ),
      },
    );
    const rest = (ms: number) => act(async () => void (await jest.advanceTimersByTimeAsync(ms)));
    return { ...stores, fetched, failing, result, rerender, rest };
  };

  test('are fetched and made once the hand has rested, not before', async () => {
    const { result, rest, fetched } = open();
    await rest(900);
    expect([result.current.screens, fetched]).toEqual([[], []]);
    await rest(200);
    expect(result.current.screens).toEqual(['settings', 'ground']);
  });

  test.each(['shown', 'looked', 'undoable'] as const)(
    'are let go with any change of what is %s, and made anew when it rests',
    async (which) => {
      const { result, rest, ...stores } = open();
      await rest(1100);
      act(() => (stores[which] as { set: (next: object) => void }).set({ minute: 1, held: true }));
      expect(result.current.screens).toEqual([]);
      await rest(900);
      expect(result.current.screens).toEqual([]);
      await rest(200);
      expect(result.current.screens).toEqual(['settings', 'ground']);
    },
  );

  test('are taken as drawn when they have had their time, and again only then', async () => {
    const { result, rest, looked } = open();
    await rest(1100);
    expect(result.current.drawn).toBe(false);
    await rest(1000);
    expect(result.current.drawn).toBe(true);
    act(() => looked.set({ minute: 1 }));
    expect(result.current.drawn).toBe(false);
    await rest(1100);
    expect(result.current).toMatchObject({ screens: ['settings', 'ground'], drawn: false });
  });

  test('of another step than the open one are none', async () => {
    const { result, rest, rerender } = open();
    await rest(1100);
    rerender({ at: 'settings' });
    expect(result.current.screens).toEqual([]);
    await rest(1100);
    expect(result.current.screens).toEqual(['kit', 'light']);
  });

  test('what can’t be fetched is left until it is pressed', async () => {
    const { result, rest, failing } = open();
    failing.add('settings');
    await rest(1100);
    expect(result.current.screens).toEqual(['ground']);
  });
});
