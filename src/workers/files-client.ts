import type { Remote } from 'comlink';
import { apart } from './apart';
import type { FilesService } from './files-job';

/** Longer than any sound file takes on a slow phone. */
const LONGEST_MS = 20_000;

/** Reads a file of someone else's in a worker of its own, as {@link apart}. */
export const readFileApart = <T>(
  ask: (service: Remote<FilesService>) => Promise<T>,
  signal?: AbortSignal,
): Promise<T> =>
  apart<FilesService, T>(
    () => new Worker(new URL('./files.worker.ts', import.meta.url)),
    ask,
    { longestMs: LONGEST_MS, what: 'read: it goes on without end' },
    signal,
  );
