import type { FaceSpan, LightSeries, LightSeriesRequest, SettingsCard } from '@/core';
import type { Shade, ShadeRequest } from '@/answers/shades-on';
import type { CardRequest, FaceDaysRequest, LightService } from './light-series-job';
import { workerClient } from './worker-client';

const ask = workerClient<LightService>(
  () => new Worker(new URL('./light-series.worker.ts', import.meta.url)),
  'light',
);

/** A light series from the worker. @throws as `workerClient` */
export const requestLightSeries = (
  request: LightSeriesRequest,
  signal: AbortSignal,
): Promise<LightSeries> => ask((service, id) => service.lightSeries({ ...request, id }), signal);

/** The sun on a face day by day, from the worker. @throws as `workerClient` */
export const requestFaceDays = (
  request: FaceDaysRequest,
  signal: AbortSignal,
): Promise<readonly (readonly FaceSpan[])[]> =>
  ask((service, id) => service.faceDays({ ...request, id }), signal);

/** Whose shade lies on a mark, from the worker. @throws as `workerClient` */
export const requestShades = (
  request: ShadeRequest,
  signal: AbortSignal,
): Promise<readonly Shade[]> => ask((service, id) => service.shades({ ...request, id }), signal);

/** A settings card, from the worker. @throws as `workerClient` */
export const requestCard = (request: CardRequest, signal: AbortSignal): Promise<SettingsCard> =>
  ask((service, id) => service.card({ ...request, id }), signal);
