import {
  EMPTY_SERIES,
  joinSeries,
  lightAtTimes,
  seriesTimes,
  type LightSeries,
  type LightSeriesRequest,
} from '@/core';

/** A question to the worker; the id is what it can be cancelled by. */
export interface LightJob extends LightSeriesRequest {
  readonly id: number;
}

export type LightReply =
  | { readonly kind: 'done'; readonly series: LightSeries }
  | { readonly kind: 'cancelled' }
  | { readonly kind: 'failed'; readonly reason: string };

/** What the worker offers. */
export interface LightService {
  lightSeries: (job: LightJob) => Promise<LightReply>;
  cancel: (id: number) => void;
}

const MOMENTS_A_TURN = 60;

/**
 * Computes series an hour at a time and lets messages in between, so that a job can be cancelled
 * while it runs.
 * @param nextTurn resolves when waiting messages have been heard
 */
export function lightService(nextTurn: () => Promise<void>): LightService {
  const running = new Set<number>();
  return {
    cancel: (id) => void running.delete(id),
    lightSeries: async (job) => {
      running.add(job.id);
      try {
        const times = seriesTimes(job);
        let series = EMPTY_SERIES;
        for (let from = 0; from < times.length; from += MOMENTS_A_TURN) {
          await nextTurn();
          if (!running.has(job.id)) return { kind: 'cancelled' };
          const piece = lightAtTimes(job.scene, times.slice(from, from + MOMENTS_A_TURN));
          series = joinSeries(series, piece);
        }
        return { kind: 'done', series };
      } catch (error) {
        return { kind: 'failed', reason: error instanceof Error ? error.message : String(error) };
      } finally {
        running.delete(job.id);
      }
    },
  };
}
