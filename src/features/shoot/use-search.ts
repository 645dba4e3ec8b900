import { createContext, useContext, useMemo, useRef, useState } from 'react';
import type { Compared, CompareRequest, Point2, SearchResult } from '@/core';
import { requestComparison, requestSearch } from '@/workers/search-client';
import { FIRST_SCOPE, FIRST_WISH, type AskedSearch, type Scope, type Wish } from '@/answers/search';

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

export interface SearchTool {
  /** What the picture should be, for search and comparison alike. */
  readonly wish: Wish;
  readonly setWish: (wish: Wish) => void;
  readonly scope: Scope;
  readonly setScope: (scope: Scope) => void;
  /** A point of the ground that is asked about, once there is a search. */
  readonly probed: Point2 | undefined;
  readonly probe: (at: Point2) => void;
  readonly comparison: CompareState | undefined;
  readonly compare: (request: CompareRequest) => void;
  readonly state: SearchState | undefined;
  readonly start: (request: AskedSearch) => void;
  /** Stops a running search and keeps what it found. */
  readonly stop: () => void;
  /** Takes the search off the plan. */
  readonly clear: () => void;
}

/** The search of one shoot's page. What it found stays until it is cleared or asked anew. */
export function useSearch(): SearchTool {
  const [state, setState] = useState<SearchState>();
  const [wish, setWish] = useState(FIRST_WISH);
  const [scope, setScope] = useState(FIRST_SCOPE);
  const [probed, setProbed] = useState<Point2>();
  const [comparison, setComparison] = useState<CompareState>();
  const running = useRef<AbortController>(undefined);
  const comparing = useRef<AbortController>(undefined);
  return useMemo(() => {
    const stop = () => {
      running.current?.abort();
      running.current = undefined;
      setState((now) => now && { ...now, running: false });
    };
    const compare = (request: CompareRequest) => {
      comparing.current?.abort();
      const controller = new AbortController();
      comparing.current = controller;
      const done = (change: Partial<CompareState>) => {
        if (comparing.current === controller) setComparison((now) => now && { ...now, ...change });
      };
      setComparison({ request, compared: undefined, trouble: undefined });
      requestComparison(request, controller.signal).then(
        (compared) => done({ compared }),
        (error: unknown) => {
          if (controller.signal.aborted) return;
          done({ trouble: error instanceof Error ? error.message : String(error) });
        },
      );
    };
    return {
      wish,
      setWish,
      scope,
      setScope,
      probed,
      probe: setProbed,
      comparison,
      compare,
      state,
      stop,
      clear: () => {
        stop();
        setState(undefined);
        setProbed(undefined);
      },
      start: (request) => {
        running.current?.abort();
        const controller = new AbortController();
        running.current = controller;
        const mine = (change: Partial<SearchState>) => {
          if (running.current !== controller) return;
          setState((now) => now && { ...now, ...change });
        };
        setProbed(undefined);
        setState({ request, result: undefined, running: true, trouble: undefined });
        requestSearch(request, (result) => mine({ result }), controller.signal).then(
          (result) => mine({ result, running: false }),
          (error: unknown) => {
            if (controller.signal.aborted) return;
            mine({
              running: false,
              trouble: error instanceof Error ? error.message : String(error),
            });
          },
        );
      },
    };
  }, [state, wish, scope, probed, comparison]);
}

export const SearchContext = createContext<SearchTool | undefined>(undefined);

/** The search of the shoot whose page this is. */
export function useSearchTool(): SearchTool {
  const tool = useContext(SearchContext);
  if (!tool) throw new Error('useSearchTool: must be used within a shoot');
  return tool;
}
