import { wrap, type Remote } from 'comlink';
import type { Reply } from './running-jobs';

interface Cancellable {
  cancel: (id: number) => void;
}

/**
 * The page's side of a worker: started when first asked, started again after it has stopped.
 * @param make makes the worker; the address must stand in the caller, where the bundler sees it
 * @param name what the worker is called when it stops
 */
export function workerClient<S extends Cancellable>(make: () => Worker, name: string) {
  let running: { readonly service: Remote<S>; readonly broken: Promise<never> } | undefined;
  let lastId = 0;

  const start = () => {
    if (running) return running;
    const worker = make();
    const broken = new Promise<never>((_, reject) => {
      worker.addEventListener('error', (event) => {
        running = undefined;
        const why = event.message || 'it could not be loaded';
        reject(new Error(`the ${name} worker stopped: ${why}`));
      });
    });
    broken.catch(() => undefined);
    running = { service: wrap<S>(worker), broken };
    return running;
  };

  /**
   * Asks the worker; an abort cancels the job there.
   * @throws Error with the reason if the request is wrong or the worker stops; AbortError if cancelled
   */
  return async <T>(
    ask: (service: Remote<S>, id: number) => Promise<Reply<T>>,
    signal: AbortSignal,
  ): Promise<T> => {
    const { service, broken } = start();
    lastId += 1;
    const id = lastId;
    const cancel = () => void (service as Remote<Cancellable>).cancel(id);
    signal.addEventListener('abort', cancel, { once: true });
    try {
      const reply = await Promise.race([ask(service, id), broken]);
      if (reply.kind === 'done') return reply.value;
      if (reply.kind === 'cancelled') throw new DOMException('cancelled', 'AbortError');
      throw new Error(reply.reason);
    } finally {
      signal.removeEventListener('abort', cancel);
    }
  };
}
