import { wrap, type Remote } from 'comlink';
import type { LightSeries, LightSeriesRequest } from '@/core';
import type { LightService } from './light-series-job';

let service: Remote<LightService> | undefined;
let broken: Promise<never> | undefined;
let lastId = 0;

function start(): { service: Remote<LightService>; broken: Promise<never> } {
  if (service && broken) return { service, broken };
  const worker = new Worker(new URL('./light-series.worker.ts', import.meta.url));
  service = wrap<LightService>(worker);
  broken = new Promise((_, reject) => {
    worker.addEventListener('error', (event) => {
      service = undefined;
      reject(new Error(`the light worker stopped: ${event.message || 'it could not be loaded'}`));
    });
  });
  broken.catch(() => undefined);
  return { service, broken };
}

/**
 * A light series from the worker.
 * @throws Error with the reason if the request is wrong or the worker stops; AbortError if cancelled
 */
export async function requestLightSeries(
  request: LightSeriesRequest,
  signal: AbortSignal,
): Promise<LightSeries> {
  const running = start();
  lastId += 1;
  const id = lastId;
  const cancel = () => void running.service.cancel(id);
  signal.addEventListener('abort', cancel, { once: true });
  try {
    const reply = await Promise.race([
      running.service.lightSeries({ ...request, id }),
      running.broken,
    ]);
    if (reply.kind === 'done') return reply.series;
    if (reply.kind === 'cancelled') throw new DOMException('cancelled', 'AbortError');
    throw new Error(reply.reason);
  } finally {
    signal.removeEventListener('abort', cancel);
  }
}
