import { strFromU8 } from 'fflate';
import { useSyncExternalStore } from 'react';

/**
 * Pictures' own small pictures in this page's memory, given an address when they are first shown. They are too large to
 * be kept with the figures: they are there until the page is closed.
 */

interface Small {
  readonly bytes: Uint8Array;
  address?: string;
}

const kept = new Map<string, Small>();
const listeners = new Set<() => void>();
let version = 0;

const keyIn = (shootId: string, frameKey: string): string => `${shootId} ${frameKey}`;

export function keepThumbnails(
  shootId: string,
  thumbnails: readonly { readonly key: string; readonly bytes: Uint8Array }[],
): void {
  if (thumbnails.length === 0) return;
  for (const { key, bytes } of thumbnails) {
    kept.set(keyIn(shootId, key), { bytes });
  }
  version += 1;
  listeners.forEach((tell) => tell());
}

/** The small JPEG of a frame, if its file was read since the page was opened. */
export const thumbnailBytes = (shootId: string, frameKey: string): Uint8Array | undefined =>
  kept.get(keyIn(shootId, frameKey))?.bytes;

/** Where the small picture of a frame is shown from, if its file was read since the page was opened. */
function addressOf(shootId: string, frameKey: string): string | undefined {
  const small = kept.get(keyIn(shootId, frameKey));
  if (!small) return undefined;
  // An object's address is made by the browser's own process: a hundred of them hold the page up.
  small.address ??= `data:image/jpeg;base64,${btoa(strFromU8(small.bytes, true))}`;
  return small.address;
}

export function useThumbnails(shootId: string): (frameKey: string) => string | undefined {
  useSyncExternalStore(
    (tell) => {
      listeners.add(tell);
      return () => void listeners.delete(tell);
    },
    () => version,
  );
  return (frameKey) => addressOf(shootId, frameKey);
}
