import { wrap, type Remote } from 'comlink';
import type { FilesService } from './files-job';

/** Longer than any sound file takes on a slow phone. */
const LONGEST_MS = 20_000;

/**
 * Reads a file of someone else's in a worker of its own, which is ended with the reading: a file made to
 * go on for ever ends with it.
 * @param signal ends it at once
 * @throws Error in words when it takes too long or the worker stops; AbortError when ended
 */
export async function readFileApart<T>(
  ask: (service: Remote<FilesService>) => Promise<T>,
  signal?: AbortSignal,
): Promise<T> {
  const worker = new Worker(new URL('./files.worker.ts', import.meta.url));
  let timer: ReturnType<typeof setTimeout> | undefined;
  const ended = new Promise<never>((_, reject) => {
    timer = setTimeout(
      () =>
        reject(new Error(`it takes over ${LONGEST_MS / 1000} s to read: it goes on without end`)),
      LONGEST_MS,
    );
    signal?.addEventListener('abort', () => reject(new DOMException('ended', 'AbortError')));
    worker.addEventListener('error', (event) =>
      reject(new Error(event.message || 'the reading could not be started')),
    );
  });
  try {
    signal?.throwIfAborted();
    return await Promise.race([ask(wrap<FilesService>(worker)), ended]);
  } finally {
    clearTimeout(timer);
    worker.terminate();
  }
}
