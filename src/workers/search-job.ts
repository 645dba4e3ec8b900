import {
  comparePosition,
  createSearch,
  type Compared,
  type CompareRequest,
  type SearchRequest,
  type SearchResult,
} from '@/core';
import { runningJobs, type Reply } from './running-jobs';

/** A question to the worker; the id is what it can be cancelled by. */
export interface SearchJob {
  readonly id: number;
  readonly request: SearchRequest;
}

/** Told between pieces, with all that is known so far. */
export type OnProgress = (soFar: SearchResult) => void | Promise<void>;

/** Positions to be held against each other. */
export interface CompareJob {
  readonly id: number;
  readonly request: CompareRequest;
}

/** What the worker offers. */
export interface SearchService {
  search: (job: SearchJob, onProgress: OnProgress) => Promise<Reply<SearchResult>>;
  compare: (job: CompareJob) => Promise<Reply<readonly Compared[]>>;
  cancel: (id: number) => void;
}

/** Cells a piece: some tens of milliseconds on a slow core. */
const CELLS_A_PIECE = 250;
/** Progress is told this many times over a search: results are copied each time. */
const TOLD_TIMES = 20;

/** Searches a piece at a time. @param nextTurn as `runningJobs` */
export function searchService(nextTurn: () => Promise<void>): SearchService {
  const { run, cancel } = runningJobs(nextTurn);
  return {
    cancel,
    compare: ({ id, request }) =>
      run(id, () => {
        const waiting = [...request.positions];
        const compared: Compared[] = [];
        return {
          piece: () => {
            const next = waiting.shift();
            if (next) compared.push(comparePosition(next, request));
            return Promise.resolve(waiting.length > 0);
          },
          value: () => compared,
        };
      }),
    search: ({ id, request }, onProgress) =>
      run(id, () => {
        const search = createSearch(request);
        let told = 0;
        return {
          piece: async () => {
            const done = search.advance(CELLS_A_PIECE);
            if (done - told >= search.cells / TOLD_TIMES || done === search.cells) {
              told = done;
              await onProgress(search.result());
            }
            return done < search.cells;
          },
          value: search.result,
        };
      }),
  };
}
