import { wrap, type Remote } from 'comlink';

/**
 * Does one thing in a worker of its own, which is ended with it: what is made to go on for ever ends with it.
 * @param longestMs longer than it takes on a slow phone
 * @param what it does, for the error: "read"
 * @param signal ends it at once
 * @throws Error in words when it takes too long or the worker stops; AbortError when ended
 */
export async function apart<S, T>(
  make: () => Worker,
  ask: (service: Remote<S>) => Promise<T>,
  { longestMs, what }: { readonly longestMs: number; readonly what: string },
  signal?: AbortSignal,
): Promise<T> {
  const worker = make();
  let timer: ReturnType<typeof setTimeout> | undefined;
  const ended = new Promise<never>((_, reject) => {
    timer = setTimeout(
      () => reject(new Error(`it takes over ${longestMs / 1000} s to ${what}`)),
      longestMs,
    );
    signal?.addEventListener('abort', () => reject(new DOMException('ended', 'AbortError')));
    worker.addEventListener('error', (event) =>
      reject(new Error(event.message || `the work could not be started: ${what}`)),
    );
  });
  try {
    signal?.throwIfAborted();
    return await Promise.race([ask(wrap<S>(worker)), ended]);
  } finally {
    clearTimeout(timer);
    worker.terminate();
  }
}
