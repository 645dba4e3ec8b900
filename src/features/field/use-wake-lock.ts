import { useEffect, useState } from 'react';

export type Awake = 'awake' | 'asking' | 'cannot';

/**
 * Keeps the screen from sleeping while it is shown. Where the browser can't, that is said.
 * @returns how it went
 */
export function useWakeLock(): Awake {
  const [awake, setAwake] = useState<Awake>('asking');
  useEffect(() => {
    let lock: WakeLockSentinel | undefined;
    let over = false;
    const ask = async () => {
      if (document.visibilityState !== 'visible') return;
      try {
        lock = await navigator.wakeLock.request('screen');
        if (over) await lock.release();
        else setAwake('awake');
      } catch {
        // Not offered, or refused as when the battery is low.
        if (!over) setAwake('cannot');
      }
    };
    void ask();
    // The browser lets go of it whenever the page is hidden.
    const again = () => void ask();
    document.addEventListener('visibilitychange', again);
    return () => {
      over = true;
      document.removeEventListener('visibilitychange', again);
      void lock?.release();
    };
  }, []);
  return awake;
}
