import { notifyManager, QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { Slot } from 'expo-router';
import { useState } from 'react';
import { GestureHandlerRootView } from 'react-native-gesture-handler';
import { SafeAreaProvider } from 'react-native-safe-area-context';
import { useKeptTrue } from '@/records/queries';
import { useRememberedScheme } from '@/ui/theme';
import { ToastProvider } from '@/ui/Toast';
import { useRememberedUnits } from '@/ui/units';
import { SkipLink } from './SkipLink';
import { useKeptApp } from './use-offline';
import { useScreenFocus } from './use-screen-focus';

// A change of a record is drawn with the next frame, and only once in it.
notifyManager.setScheduler((tell) => requestAnimationFrame(tell));

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
  const [client] = useState(
    () =>
      new QueryClient({
        defaultOptions: {
          queries: { networkMode: 'always', retry: false, structuralSharing: false },
        },
      }),
  );
  return (
    <QueryClientProvider client={client}>
      <GestureHandlerRootView style={{ flex: 1 }}>
        <SafeAreaProvider>
          <ToastProvider>
            <Page />
          </ToastProvider>
        </SafeAreaProvider>
      </GestureHandlerRootView>
    </QueryClientProvider>
  );
}
