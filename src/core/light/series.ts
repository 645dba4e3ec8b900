import { above } from '../check';
import { correctedLight, type HeardReading } from './corrected';
import type { LitScene, SubjectLight } from './subject';

export interface LightSeriesRequest {
  readonly scene: LitScene;
  /** What was measured; the series follows it. */
  readonly heard?: readonly HeardReading[];
  readonly fromMs: number;
  readonly toMs: number;
  readonly stepS: number;
}

/** One array entry a step, from the first moment to the last. */
export interface LightSeries {
  readonly timeMs: readonly number[];
  readonly ev: readonly number[];
  /** The dim and the bright end of the light. */
  readonly low: readonly number[];
  readonly high: readonly number[];
  readonly sunAltitudeDeg: readonly number[];
  readonly sunlit: readonly boolean[];
  /** Whether lamps give more of the light than the day does. */
  readonly lampsRule: readonly boolean[];
}

const MOST_STEPS = 24 * 60 * 60;

/** Moments of the series. @throws RangeError if the end is not after the start, or for over 86 400 */
export function seriesTimes({ fromMs, toMs, stepS }: LightSeriesRequest): readonly number[] {
  above('stepS', stepS, 0);
  above('toMs', toMs, fromMs);
  const count = Math.floor((toMs - fromMs) / (stepS * 1000)) + 1;
  if (count > MOST_STEPS) {
    throw new RangeError(`stepS ${stepS}: must make at most ${MOST_STEPS} steps, not ${count}`);
  }
  return Array.from({ length: count }, (_, i) => fromMs + i * stepS * 1000);
}

/** The light of some moments, so that a long series can be computed in pieces. */
export function lightAtTimes(
  lightAt: (timeMs: number) => SubjectLight,
  timeMs: readonly number[],
): LightSeries {
  const lights = timeMs.map(lightAt);
  return {
    timeMs,
    ev: lights.map((light) => light.ev.expected),
    low: lights.map((light) => light.ev.low),
    high: lights.map((light) => light.ev.high),
    sunAltitudeDeg: lights.map((light) => light.sun.altitudeDeg),
    sunlit: lights.map((light) => light.sunlit),
    lampsRule: lights.map((light) => light.lampLux > light.daylightLux),
  };
}

/** Light on the subject's face through a span of time. @throws RangeError as its parts */
export function lightSeries(request: LightSeriesRequest): LightSeries {
  return lightAtTimes(correctedLight(request.scene, request.heard), seriesTimes(request));
}

export const EMPTY_SERIES: LightSeries = {
  timeMs: [],
  ev: [],
  low: [],
  high: [],
  sunAltitudeDeg: [],
  sunlit: [],
  lampsRule: [],
};

/** Two pieces of one series, one after the other. */
export function joinSeries(a: LightSeries, b: LightSeries): LightSeries {
  return {
    timeMs: [...a.timeMs, ...b.timeMs],
    ev: [...a.ev, ...b.ev],
    low: [...a.low, ...b.low],
    high: [...a.high, ...b.high],
    sunAltitudeDeg: [...a.sunAltitudeDeg, ...b.sunAltitudeDeg],
    sunlit: [...a.sunlit, ...b.sunlit],
    lampsRule: [...a.lampsRule, ...b.lampsRule],
  };
}

export interface Shortfall {
  /** First moment from which the light stays under what is needed. */
  readonly fromMs: number;
  /** The greatest lack in the series, in stops. */
  readonly worstStops: number;
}

const SHORT_ENOUGH_STOPS = 0.05;

/**
 * When a series of light falls under the EV that settings need. Only a lack that lasts to the end
 * counts as a beginning; a passing shade does not.
 */
export function shortfall(series: LightSeries, evNeeded: number): Shortfall | undefined {
  const lack = series.ev.map((ev) => evNeeded - ev);
  let from = lack.length;
  while (from > 0 && (lack[from - 1] as number) > SHORT_ENOUGH_STOPS) from -= 1;
  if (from === lack.length) return undefined;
  return {
    fromMs: series.timeMs[from] as number,
    worstStops: Math.max(...lack.slice(from)),
  };
}
