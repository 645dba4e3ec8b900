import { proxy } from 'comlink';
import type { Compared, CompareRequest, SearchRequest, SearchResult } from '@/core';
import type { OnProgress, SearchService } from './search-job';
import { workerClient } from './worker-client';

const ask = workerClient<SearchService>(
  () => new Worker(new URL('./search.worker.ts', import.meta.url)),
  'search',
);

/** A search for positions in the worker, told as it goes. @throws as `workerClient` */
export const requestSearch = (
  request: SearchRequest,
  onProgress: OnProgress,
  signal: AbortSignal,
): Promise<SearchResult> =>
  ask((service, id) => service.search({ id, request }, proxy(onProgress)), signal);

/** Positions held against each other in the worker. @throws as `workerClient` */
export const requestComparison = (
  request: CompareRequest,
  signal: AbortSignal,
): Promise<readonly Compared[]> => ask((service, id) => service.compare({ id, request }), signal);
