import { proxy } from 'comlink';
import type { DayRequest } from '@/answers/day-request';
import type { DayReply, DayService } from './day-job';
import { workerClient } from './worker-client';

const ask = workerClient<DayService>(
  () => new Worker(new URL('./day.worker.ts', import.meta.url)),
  'day',
);

/**
 * A day planned in the worker.
 * @param onFirst told of a day that can be walked, while a better one is looked for
 * @throws as `workerClient`
 */
export const requestDay = (
  request: DayRequest,
  onFirst: (reply: DayReply) => void,
  signal: AbortSignal,
): Promise<DayReply> =>
  ask((service, id) => service.day({ ...request, id }, proxy(onFirst)), signal);
