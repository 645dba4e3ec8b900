import { ROOT } from './device';

/** What tabs of one browser tell each other: that something was written. */

/** Told of a key that another tab has changed; of null when all may have changed. */
type Heard = (key: string | null) => void;
let channel: BroadcastChannel | undefined;

/** The line between tabs; none where there are no pages. */
function openChannel(): BroadcastChannel | undefined {
  if (typeof window === 'undefined' || typeof BroadcastChannel === 'undefined') return undefined;
  channel ??= new BroadcastChannel(ROOT);
  return channel;
}

/** Tells the other tabs. */
export function announce(key: string | null): void {
  openChannel()?.postMessage(key);
}

/** Calls when another tab has written, until it is told to stop. */
export function onWrittenElsewhere(heard: Heard): () => void {
  const line = openChannel();
  const hear = ({ data }: MessageEvent<string | null>) => heard(data);
  line?.addEventListener('message', hear);
  return () => line?.removeEventListener('message', hear);
}
