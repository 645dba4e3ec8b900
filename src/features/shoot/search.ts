import type { Compared, CompareRequest, Point2, SearchResult } from '@/core';
import { requestComparison, requestSearch } from '@/workers/search-client';
import { FIRST_SCOPE, FIRST_WISH, type AskedSearch, type Scope, type Wish } from '@/answers/search';
import { storeOf, type Store } from './store';

/** A search that has been asked for, and what is known of it. */
export interface SearchState {
  readonly request: AskedSearch;
  readonly result: SearchResult | undefined;
  readonly running: boolean;
  readonly trouble: string | undefined;
}

/** A comparison that has been asked for, and what came of it. */
export interface CompareState {
  readonly request: CompareRequest;
  readonly compared: readonly Compared[] | undefined;
  readonly trouble: string | undefined;
}

/** What is asked of the ground, and what has been found. */
export interface Searching {
  /** What the picture should be, for search and comparison alike. */
  readonly wish: Wish;
  readonly scope: Scope;
  /** A point of the ground that is asked about, once there is a search. */
  readonly probed: Point2 | undefined;
  readonly comparison: CompareState | undefined;
  readonly search: SearchState | undefined;
}

export interface Search {
  readonly now: Store<Searching>;
  readonly setWish: (wish: Wish) => void;
  readonly setScope: (scope: Scope) => void;
  readonly probe: (at: Point2) => void;
  readonly compare: (request: CompareRequest) => void;
  readonly start: (request: AskedSearch) => void;
  /** Stops a running search and keeps what it found. */
  readonly stop: () => void;
  /** Takes the search off the plan. */
  readonly clear: () => void;
}

const NOTHING: Searching = {
  wish: FIRST_WISH,
  scope: FIRST_SCOPE,
  probed: undefined,
  comparison: undefined,
  search: undefined,
};

const reasonOf = (error: unknown): string =>
  error instanceof Error ? error.message : String(error);

/** Who searches and compares: the worker, out of the page's way. */
interface Searchers {
  readonly search: typeof requestSearch;
  readonly compare: typeof requestComparison;
}
const WORKER: Searchers = { search: requestSearch, compare: requestComparison };

/** The search of one shoot's page. What it found stays until it is cleared or asked anew. */
export function openSearch(searchers: Searchers = WORKER): Search {
  const now = storeOf(NOTHING);
  let running: AbortController | undefined;
  let comparing: AbortController | undefined;
  const change = (part: Partial<Searching>) => now.set({ ...now.get(), ...part });
  const changeSearch = (part: Partial<SearchState>) => {
    const { search } = now.get();
    if (search) change({ search: { ...search, ...part } });
  };
  const stop = () => {
    running?.abort();
    running = undefined;
    changeSearch({ running: false });
  };
  return {
    now,
    setWish: (wish) => change({ wish }),
    setScope: (scope) => change({ scope }),
    probe: (probed) => change({ probed }),
    stop,
    clear: () => {
      stop();
      change({ search: undefined, probed: undefined });
    },
    compare: (request) => {
      comparing?.abort();
      const controller = new AbortController();
      comparing = controller;
      const done = (part: Partial<CompareState>) => {
        const { comparison } = now.get();
        if (comparing === controller && comparison) {
          change({ comparison: { ...comparison, ...part } });
        }
      };
      change({ comparison: { request, compared: undefined, trouble: undefined } });
      searchers.compare(request, controller.signal).then(
        (compared) => done({ compared }),
        (error: unknown) =>
          controller.signal.aborted ? undefined : done({ trouble: reasonOf(error) }),
      );
    },
    start: (request) => {
      running?.abort();
      const controller = new AbortController();
      running = controller;
      const mine = (part: Partial<SearchState>) => {
        if (running === controller) changeSearch(part);
      };
      change({
        probed: undefined,
        search: { request, result: undefined, running: true, trouble: undefined },
      });
      searchers
        .search(request, (result) => mine({ result }), controller.signal)
        .then(
          (result) => mine({ result, running: false }),
          (error: unknown) =>
            controller.signal.aborted
              ? undefined
              : mine({ running: false, trouble: reasonOf(error) }),
        );
    },
  };
}
