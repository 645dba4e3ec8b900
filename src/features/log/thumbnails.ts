import { useSyncExternalStore } from 'react';

/**
 * Pictures' own small pictures, as addresses of this page's memory. They are too large to be kept with the
 * figures: they are there until the page is closed.
 */

const small = new Map<string, { readonly address: string; readonly blob: Blob }>();
const listeners = new Set<() => void>();
let version = 0;

const addressKey = (shootId: string, frameKey: string): string => `${shootId} ${frameKey}`;

export function keepThumbnails(
  shootId: string,
  thumbnails: readonly { readonly key: string; readonly bytes: Uint8Array }[],
): void {
  for (const { key, bytes } of thumbnails) {
    const at = addressKey(shootId, key);
    const before = small.get(at);
    if (before) URL.revokeObjectURL(before.address);
    const blob = new Blob([new Uint8Array(bytes)], { type: 'image/jpeg' });
    small.set(at, { address: URL.createObjectURL(blob), blob });
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
  return (frameKey) => small.get(addressKey(shootId, frameKey))?.address;
}

/** The small JPEG of a frame, if its file was read since the page was opened. */
export async function thumbnailBytes(
  shootId: string,
  frameKey: string,
): Promise<Uint8Array | undefined> {
  const blob = small.get(addressKey(shootId, frameKey))?.blob;
  return blob && new Uint8Array(await blob.arrayBuffer());
}
