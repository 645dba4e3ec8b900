import { hashKey, useQueries, type UseQueryResult } from '@tanstack/react-query';
import { useMemo } from 'react';
import type { LightSeries } from '@/core';
import { useSettled } from '@/features/shoot/use-light-series';
import type { ShootHours } from '@/records/times';
import { requestLightSeries } from '@/workers/light-series-client';
import type { LightLine } from '@/answers/light-plan';

/** A line with its light, once the worker has it. */
export interface DrawnLine extends LightLine {
  readonly series: LightSeries | undefined;
}

/** Lines of a chart need no minute; the answer itself has its own series. */
const STEP_S = 180;

/** What is known of several lines: the same object as long as nothing of it changes. */
const known = (answers: readonly UseQueryResult<LightSeries>[]) => ({
  series: answers.map(({ data }) => data),
  trouble: answers.find(({ error }) => error)?.error?.message,
});

/** The light of several places through the hours, from the worker. */
export function useLines(
  asked: readonly LightLine[],
  { fromMs, toMs }: Pick<ShootHours, 'fromMs' | 'toMs'>,
): {
  readonly lines: readonly DrawnLine[];
  readonly trouble: string | undefined;
} {
  const lines = useSettled(asked);
  const keys = useMemo(
    () => lines.map(({ scene, heard }) => hashKey([scene, heard, fromMs, toMs, STEP_S])),
    [lines, fromMs, toMs],
  );
  const { series, trouble } = useQueries({
    combine: known,
    queries: lines.map(({ scene, heard }, i) => ({
      queryKey: ['light-line', keys[i]],
      queryFn: ({ signal }: { signal: AbortSignal }) =>
        requestLightSeries({ scene, heard, fromMs, toMs, stepS: STEP_S }, signal),
      staleTime: Infinity,
      gcTime: 30_000,
      retry: false,
    })),
  });
  return {
    lines: useMemo(() => lines.map((line, i) => ({ ...line, series: series[i] })), [lines, series]),
    trouble,
  };
}
