import { useEffect, useSyncExternalStore } from 'react';
import { useToast } from '@/ui/Toast';

/** Whether the app opens without a network: not known yet, kept whole, or the browser can't. */
export type Offline = 'asking' | 'ready' | 'cannot';

let offline: Offline = 'asking';
const listeners = new Set<() => void>();

function setOffline(next: Offline): void {
  offline = next;
  listeners.forEach((tell) => tell());
}

export const useOffline = (): Offline =>
  useSyncExternalStore(
    (tell) => {
      listeners.add(tell);
      return () => void listeners.delete(tell);
    },
    () => offline,
  );

/** A page that was just opened has the line for itself first. */
const STARTS_AFTER_MS = 3000;

/** Has the browser keep the app, and says when a newer one waits. */
export function useKeptApp(): void {
  const say = useToast();
  useEffect(() => {
    // A page that is still being written is served by its own server.
    if (process.env.NODE_ENV !== 'production') return undefined;
    if (!('serviceWorker' in navigator)) {
      setOffline('cannot');
      return undefined;
    }
    const keep = async () => {
      const { Workbox } = await import('workbox-window');
      const kept = new Workbox('/sw.js');
      kept.addEventListener('waiting', () =>
        say({
          text: 'A new version of Bright Perch is here',
          action: {
            label: 'Use it',
            onPress: () => {
              kept.addEventListener('controlling', () => window.location.reload());
              kept.messageSkipWaiting();
            },
          },
        }),
      );
      await kept.register();
      await navigator.serviceWorker.ready;
    };
    const timer = setTimeout(
      () =>
        void keep().then(
          () => setOffline('ready'),
          () => setOffline('cannot'),
        ),
      STARTS_AFTER_MS,
    );
    return () => clearTimeout(timer);
  }, [say]);
}
