import { hashKey, useQueries } from '@tanstack/react-query';
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

/** The light of several places through the hours, from the worker. */
export function useLines(
  asked: readonly LightLine[],
  { fromMs, toMs }: Pick<ShootHours, 'fromMs' | 'toMs'>,
): {
  readonly lines: readonly DrawnLine[];
  readonly trouble: string | undefined;
  /** The same as long as the lines and what is known of them are. */
  readonly stamp: string;
} {
  const lines = useSettled(asked);
  const keys = useMemo(
    () => lines.map(({ scene, heard }) => hashKey([scene, heard, fromMs, toMs, STEP_S])),
    [lines, fromMs, toMs],
  );
  const answers = useQueries({
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
    lines: lines.map((line, i) => ({ ...line, series: answers[i]?.data })),
    trouble: answers.find(({ error }) => error)?.error?.message,
    stamp: keys.map((key, i) => `${key} ${answers[i]?.data ? 'known' : ''}`).join('\n'),
  };
}
