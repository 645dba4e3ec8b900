import { useSyncExternalStore } from 'react';

/**
 * Pictures' own small pictures, as addresses of this page's memory. They are too large to be kept with the
 * figures: they are there until the page is closed.
 */

const addresses = new Map<string, string>();
const listeners = new Set<() => void>();
let version = 0;

const addressKey = (shootId: string, frameKey: string): string => `${shootId} ${frameKey}`;

export function keepThumbnails(
  shootId: string,
  thumbnails: readonly { readonly key: string; readonly bytes: Uint8Array }[],
): void {
  for (const { key, bytes } of thumbnails) {
    const at = addressKey(shootId, key);
    const before = addresses.get(at);
    if (before) URL.revokeObjectURL(before);
    const blob = new Blob([new Uint8Array(bytes)], { type: 'image/jpeg' });
    addresses.set(at, URL.createObjectURL(blob));
  }
  version += 1;
  listeners.forEach((tell) => tell());
}

/** Where the small picture of a frame is shown from, if its file was read since the page was opened. */
export function useThumbnails(shootId: string): (frameKey: string) => string | undefined {
  useSyncExternalStore(
    (tell) => {
      listeners.add(tell);
      return () => void listeners.delete(tell);
    },
    () => version,
  );
  return (frameKey) => addresses.get(addressKey(shootId, frameKey));
}
