import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { act, renderHook, waitFor } from '@testing-library/react';
import type { ReactNode } from 'react';
import { withTry, type Practice } from './practice';
import { PRACTICE } from './singles';
import { useSingle } from './use-single';

Object.assign(globalThis, { BroadcastChannel: undefined });

test('what is changed before it was read is kept, one change on the other', async () => {
  const client = new QueryClient({ defaultOptions: { queries: { gcTime: Infinity } } });
  const wrapper = ({ children }: { readonly children: ReactNode }) => (
    <QueryClientProvider client={client}>{children}</QueryClientProvider>
  );
  const { result } = renderHook(() => useSingle(PRACTICE), { wrapper });
  expect(result.current.record).toBeUndefined();
  const answered = (id: string) => (practice: Practice) =>
    withTry(practice, {
      ...{ kind: 'eye', id, at: '2026-11-28T12:00:00.000Z', task: 'side', offSteps: 0 },
    });
  act(() => {
    result.current.change(answered('first'));
    result.current.change(answered('second'));
  });
  await waitFor(() =>
    expect(result.current.record?.tries.map(({ id }) => id)).toEqual(['first', 'second']),
  );
});
