import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { fireEvent, render, screen } from '@testing-library/react';
import { DEMO_SHOOTS } from '@/demo';
import type { Shoot } from '@/records/shoot';
import { ToastProvider } from '@/ui/Toast';
import { OpenShootContext, type OpenShoot } from './open-shoot';
import { StepTrouble } from './ShootTrouble';
import { storeOf } from './store';
import type { Look } from './use-plan';

// What stands round it has tests of its own.
jest.mock('./StepFrame', () => ({
  StepFrame: ({ children }: { children: React.ReactNode }) => children,
}));

const [larkmoor] = DEMO_SHOOTS as [Shoot];
const client = new QueryClient();

const trouble = (error: Error, retry: () => void, shoot: Shoot = larkmoor) => (
  <QueryClientProvider client={client}>
    <ToastProvider>
      <OpenShootContext.Provider value={{ looked: storeOf({ shoot } as Look) } as OpenShoot}>
        <StepTrouble error={error} resetErrorBoundary={retry} />
      </OpenShootContext.Provider>
    </ToastProvider>
  </QueryClientProvider>
);

test('what the core refuses says what to change; any other fault says why, and can be tried again', () => {
  const retry = jest.fn();
  const { rerender } = render(trouble(new RangeError('focalMm 0: must be above 0'), retry));
  expect(screen.getByText(/change this: focalMm 0: must be above 0\.$/)).toBeTruthy();
  rerender(trouble(new TypeError('no such thing'), retry));
  expect(screen.getByText(/try again\. Why: no such thing\.$/)).toBeTruthy();
  expect(screen.getByText('Export as a file')).toBeTruthy();
  expect(retry).not.toHaveBeenCalled();
  fireEvent.click(screen.getByText('Try again'));
  expect(retry).toHaveBeenCalledTimes(1);
});

test('when the shoot changes, as with an undo, the step is tried again by itself', () => {
  const retry = jest.fn();
  const fault = new TypeError('no such thing');
  const { rerender } = render(trouble(fault, retry));
  rerender(trouble(fault, retry, { ...larkmoor, title: 'Undone' }));
  expect(retry).toHaveBeenCalledTimes(1);
});
