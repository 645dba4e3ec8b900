import { lazy, Suspense, type ReactNode } from 'react';
import { ErrorBoundary } from 'react-error-boundary';
import { Text } from '@/ui/Text';

/** What the list can do beyond being read; what it takes to read whole records is set up before, a piece a turn. */
async function tools() {
  const parts = await import('./ListTools');
  await parts.setUpSchemas();
  return parts;
}

export const BringDemoBack = lazy(async () => ({ default: (await tools()).BringDemoBack }));
export const ImportedFile = lazy(async () => ({ default: (await tools()).ImportedFile }));
export const MoreSheet = lazy(async () => ({ default: (await tools()).MoreSheet }));
export const RemoveDemo = lazy(async () => ({ default: (await tools()).RemoveDemo }));
export const ShootState = lazy(async () => ({ default: (await tools()).ShootState }));
export const ReadThrough = lazy(async () => ({ default: (await tools()).ReadThrough }));
export const SafeKeeping = lazy(async () => ({ default: (await tools()).SafeKeeping }));

/** A part of the page that is fetched behind it; put up with it, so that nothing that stands waits for it. */
export function Behind({ children }: { readonly children: ReactNode }) {
  return (
    <ErrorBoundary
      fallback={
        <Text role="alert">
          Part of this page could not be fetched. Reload it when there is a network.
        </Text>
      }
    >
      <Suspense>{children}</Suspense>
    </ErrorBoundary>
  );
}
