import { act, renderHook } from '@testing-library/react';
import { useWayToSteps } from './use-to-step';

const went: string[] = [];
jest.mock('expo-router', () => ({
  useRouter: () => ({ navigate: (address: string) => went.push(address) }),
}));
let waiting: (() => void) | undefined;
jest.mock('@/ui/after-frame', () => ({
  afterFrame: (deed: () => void) => {
    waiting = deed;
    return () => {
      waiting = undefined;
    };
  },
}));
const frame = () => waiting?.();

const revealed: string[] = [];
const way = () =>
  renderHook(
    ({ path }: { path: string }) =>
      useWayToSteps((screen) => {
        if (screen !== 'light' && screen !== 'kit') return false;
        revealed.push(screen);
        return true;
      }, path),
    { initialProps: { path: '/shoot/meet/settings' } },
  );

beforeEach(() => {
  went.length = 0;
  revealed.length = 0;
  waiting = undefined;
});

test('a step that is ready is shown by the press, its address follows when the frame is drawn', () => {
  const { result } = way();
  act(() => result.current('/shoot/meet/light'));
  expect(revealed).toEqual(['light']);
  expect(went).toEqual([]);
  act(frame);
  expect(went).toEqual(['/shoot/meet/light']);
});

test('one that is not ready is left to the router at once', () => {
  const { result } = way();
  act(() => result.current('/shoot/meet/day'));
  expect(went).toEqual(['/shoot/meet/day']);
  expect(waiting).toBeUndefined();
});

test('of two presses in one frame the last counts', () => {
  const { result } = way();
  act(() => {
    result.current('/shoot/meet/light');
    result.current('/shoot/meet/ground');
  });
  act(frame);
  expect(went).toEqual(['/shoot/meet/ground']);
});

test('once the address is another, or the page is left, what was to follow is void', () => {
  const { result, rerender, unmount } = way();
  act(() => result.current('/shoot/meet/light'));
  rerender({ path: '/shoot/meet/brief' });
  act(frame);
  expect(went).toEqual([]);
  act(() => result.current('/shoot/meet/kit'));
  unmount();
  act(frame);
  expect(went).toEqual([]);
});

test('the way is the same function whatever is ready', () => {
  const { result, rerender } = way();
  const before = result.current;
  rerender({ path: '/shoot/meet/kit' });
  expect(result.current).toBe(before);
});
