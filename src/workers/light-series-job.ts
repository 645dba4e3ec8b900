import {
  correctedLight,
  EMPTY_SERIES,
  faceSpans,
  joinSeries,
  lightAtTimes,
  seriesTimes,
  settingsCard,
  type FacedScene,
  type FaceSpan,
  type LightSeries,
  type LightSeriesRequest,
  type SettingsCard,
  type Span,
} from '@/core';
import { shadesOn, type Shade, type ShadeRequest } from '@/answers/shades-on';
import { runningJobs, type Reply } from './running-jobs';

/** A question to the worker; the id is what it can be cancelled by. */
export interface LightJob extends LightSeriesRequest {
  readonly id: number;
}

/** Days through which the sun on a face is asked for, each a span of its own. */
export interface FaceDaysRequest {
  readonly scene: FacedScene;
  readonly days: readonly Span[];
  readonly stepMs: number;
}

/** A settings card asked for: the light through the shoot and what the pictures ask. */
export type CardRequest = Parameters<typeof settingsCard>[0];

/** What the worker offers. */
export interface LightService {
  lightSeries: (job: LightJob) => Promise<Reply<LightSeries>>;
  /** The sun on a face, day by day. */
  faceDays: (
    job: FaceDaysRequest & { readonly id: number },
  ) => Promise<Reply<readonly (readonly FaceSpan[])[]>>;
  /** Whose shade lies on a mark, and until which day. */
  shades: (job: ShadeRequest & { readonly id: number }) => Promise<Reply<readonly Shade[]>>;
  card: (job: CardRequest & { readonly id: number }) => Promise<Reply<SettingsCard>>;
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
        const lightAt = correctedLight(job.scene, job.heard);
        let series = EMPTY_SERIES;
        return {
          piece: () => {
            const from = series.timeMs.length;
            const moments = times.slice(from, from + MOMENTS_A_PIECE);
            series = joinSeries(series, lightAtTimes(lightAt, moments));
            return series.timeMs.length < times.length;
          },
          value: () => series,
        };
      }),
    shades: ({ id, ...request }) =>
      run(id, () => ({ piece: () => false, value: () => shadesOn(request) })),
    card: ({ id, ...request }) =>
      run(id, () => ({ piece: () => false, value: () => settingsCard(request) })),
    faceDays: ({ id, scene, days, stepMs }) =>
      run(id, () => {
        const found: (readonly FaceSpan[])[] = [];
        return {
          piece: () => {
            const day = days[found.length];
            if (day) found.push(faceSpans(scene, day, stepMs));
            return found.length < days.length;
          },
          value: () => found,
        };
      }),
  };
}
