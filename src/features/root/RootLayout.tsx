import {
  notifyManager,
  QueryClient,
  QueryClientProvider,
  useQueryClient,
} from '@tanstack/react-query';
import { Slot, usePathname } from 'expo-router';
import { useEffect, useState } from 'react';
import { SafeAreaProvider } from 'react-native-safe-area-context';
import { isSeeded } from '@/records/list';
import { takeListAhead } from '@/records/list-queries';
import { useRememberedScheme } from '@/ui/theme';
import { ToastProvider } from '@/ui/Toast';
import { useRememberedUnits } from '@/ui/units';
import { demoShoots } from '@/demo/seed';
import { SkipLink } from './SkipLink';
import { useKeptApp } from '@/ui/use-offline';
import { useScreenFocus } from './use-screen-focus';

// A change of a record is drawn with the next frame, and only once in it.
notifyManager.setScheduler((tell) => requestAnimationFrame(tell));

/** A first start puts the demo in, whatever page it opens on: it is on its way while the rest is read. */
void isSeeded()
  .then((seeded) => (seeded ? undefined : demoShoots.shoots()))
  // What could not be fetched is asked for again where it is put in, and told of there.
  .catch(() => undefined);

/** Keeps the page true to other tabs: by what knows the records, which the first page does not wait for. */
function useKeptTrue(): void {
  const client = useQueryClient();
  useEffect(() => {
    let stop: (() => void) | undefined;
    let left = false;
    import('@/records/queries').then(
      ({ keepTrue }) => {
        if (!left) stop = keepTrue(client);
      },
      // Without it nothing here can be changed, so there is nothing to keep true; the page says what it lacks.
      () => undefined,
    );
    return () => {
      left = true;
      stop?.();
    };
  }, [client]);
}

function Page() {
  useRememberedScheme();
  useRememberedUnits();
  useKeptTrue();
  useKeptApp();
  useScreenFocus();
  return (
    <>
      <SkipLink />
      <Slot />
    </>
  );
}

/** What every page stands in. Records live in this browser, so queries never wait for a network. */
export function RootLayout() {
  const page = usePathname();
  const [client] = useState(() => {
    const fresh = new QueryClient({
      defaultOptions: {
        queries: { networkMode: 'always', retry: false, structuralSharing: false },
      },
    });
    takeListAhead(fresh, demoShoots);
    return fresh;
  });
  return (
    <QueryClientProvider client={client}>
      <SafeAreaProvider>
        <ToastProvider page={page}>
          <Page />
        </ToastProvider>
      </SafeAreaProvider>
    </QueryClientProvider>
  );
}
