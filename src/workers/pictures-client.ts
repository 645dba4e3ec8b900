import { proxy } from 'comlink';
import type { ClockFound } from '@/answers/camera-clock';
import type { ClocksJob, OnPictures, PicturesService } from './pictures-job';
import { workerClient } from './worker-client';

const ask = workerClient<PicturesService>(
  () => new Worker(new URL('./pictures.worker.ts', import.meta.url)),
  'pictures',
);

/** Pictures' own figures in the worker, told as they come. @throws as `workerClient` */
export const requestPictures = (
  files: readonly File[],
  onPictures: OnPictures,
  signal: AbortSignal,
): Promise<number> => ask((service, id) => service.read({ id, files }, proxy(onPictures)), signal);

/** How cameras' clocks stand, lined up in the worker. @throws as `workerClient` */
export const requestClocks = (
  shoot: ClocksJob['shoot'],
  signal: AbortSignal,
): Promise<readonly ClockFound[]> => ask((service, id) => service.clocks({ id, shoot }), signal);
