import { proxy } from 'comlink';
import type { ClockFound } from '@/answers/camera-clock';
import type { ClocksJob, OnPictures, PicturesService } from './pictures-job';
import { workerClient } from './worker-client';

const ask = workerClient<PicturesService>(
  () => new Worker(new URL('./pictures.worker.ts', import.meta.url)),
  'pictures',
);

/** Handing thousands of files over at once would hold the page up. */
const FILES_AT_ONCE = 100;

/** Pictures' own figures in the worker, told as they come. @throws as `workerClient` */
export async function requestPictures(
  files: readonly File[],
  onPictures: OnPictures,
  signal: AbortSignal,
): Promise<void> {
  for (let from = 0; from < files.length; from += FILES_AT_ONCE) {
    const some = files.slice(from, from + FILES_AT_ONCE);
    const told: OnPictures = ({ done, ...soFar }) => onPictures({ done: from + done, ...soFar });
    await ask((service, id) => service.read({ id, files: some }, proxy(told)), signal);
    signal.throwIfAborted();
  }
}

/** How cameras' clocks stand, lined up in the worker. @throws as `workerClient` */
export const requestClocks = (
  shoot: ClocksJob['shoot'],
  signal: AbortSignal,
): Promise<readonly ClockFound[]> => ask((service, id) => service.clocks({ id, shoot }), signal);
