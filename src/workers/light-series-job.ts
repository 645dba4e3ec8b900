import {
  EMPTY_SERIES,
  joinSeries,
  lightAtTimes,
  seriesTimes,
  type LightSeries,
  type LightSeriesRequest,
} from '@/core';
import { runningJobs, type Reply } from './running-jobs';

/** A question to the worker; the id is what it can be cancelled by. */
export interface LightJob extends LightSeriesRequest {
  readonly id: number;
}

/** What the worker offers. */
export interface LightService {
  lightSeries: (job: LightJob) => Promise<Reply<LightSeries>>;
  cancel: (id: number) => void;
}

const MOMENTS_A_PIECE = 60;

/** Computes series an hour at a time. @param nextTurn as `runningJobs` */
export function lightService(nextTurn: () => Promise<void>): LightService {
  const { run, cancel } = runningJobs(nextTurn);
  return {
    cancel,
    lightSeries: (job) =>
      run(job.id, () => {
        const times = seriesTimes(job);
        let series = EMPTY_SERIES;
        return {
          piece: () => {
            const from = series.timeMs.length;
            const moments = times.slice(from, from + MOMENTS_A_PIECE);
            series = joinSeries(series, lightAtTimes(job.scene, moments));
            return series.timeMs.length < times.length;
          },
          value: () => series,
        };
      }),
  };
}
