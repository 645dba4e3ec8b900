import { proxy } from 'comlink';
import type { OnPictures, PicturesService } from './pictures-job';
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
