import type { DayRequest } from '@/answers/day-request';
import type { DayReply, DayService } from './day-job';
import { workerClient } from './worker-client';

const ask = workerClient<DayService>(
  () => new Worker(new URL('./day.worker.ts', import.meta.url)),
  'day',
);

/** A day planned in the worker. @throws as `workerClient` */
export const requestDay = (request: DayRequest, signal: AbortSignal): Promise<DayReply> =>
  ask((service, id) => service.day({ ...request, id }), signal);
