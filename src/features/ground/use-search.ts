import { createContext, useContext, useMemo, useRef, useState } from 'react';
import type { SearchRequest, SearchResult } from '@/core';
import { requestSearch } from '@/workers/search-client';

/** A search that has been asked for, and what is known of it. */
export interface SearchState {
  readonly request: SearchRequest;
  readonly result: SearchResult | undefined;
  readonly running: boolean;
  readonly trouble: string | undefined;
}

export interface SearchTool {
  readonly state: SearchState | undefined;
  readonly start: (request: SearchRequest) => void;
  /** Stops a running search and keeps what it found. */
  readonly stop: () => void;
  /** Takes the search off the plan. */
  readonly clear: () => void;
}

/** The search of one shoot's page. What it found stays until it is cleared or asked anew. */
export function useSearch(): SearchTool {
  const [state, setState] = useState<SearchState>();
  const running = useRef<AbortController>(undefined);
  return useMemo(() => {
    const stop = () => {
      running.current?.abort();
      running.current = undefined;
      setState((now) => now && { ...now, running: false });
    };
    return {
      state,
      stop,
      clear: () => {
        stop();
        setState(undefined);
      },
      start: (request) => {
        running.current?.abort();
        const controller = new AbortController();
        running.current = controller;
        const mine = (change: Partial<SearchState>) => {
          if (running.current !== controller) return;
          setState((now) => now && { ...now, ...change });
        };
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
  }, [state]);
}

export const SearchContext = createContext<SearchTool | undefined>(undefined);

/** The search of the shoot whose page this is. */
export function useSearchTool(): SearchTool {
  const tool = useContext(SearchContext);
  if (!tool) throw new Error('useSearchTool: must be used within a shoot');
  return tool;
}
