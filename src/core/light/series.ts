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

/** A stretch in which the light is under what settings need, and its worst minute. */
export interface ShortSpan {
  readonly fromMs: number;
  /** Its last moment that is short. */
  readonly toMs: number;
  readonly worst: { readonly timeMs: number; readonly stops: number };
  /** Whether it lasts to the end of the series. */
  readonly toTheEnd: boolean;
}

/** Less than half a click is no shortage that anybody could dial. */
export const SHORT_STOPS = 1 / 6;

/** The moments of a series within some hours. */
export const momentsWithin = (
  { timeMs, ev }: Pick<LightSeries, 'timeMs' | 'ev'>,
  { startMs, endMs }: { readonly startMs: number; readonly endMs: number },
): readonly { readonly timeMs: number; readonly ev: number }[] =>
  timeMs
    .map((at, i) => ({ timeMs: at, ev: ev[i] as number }))
    .filter((moment) => moment.timeMs >= startMs && moment.timeMs <= endMs);

/** Every stretch of moments in which the light is under the EV that settings need, in order. */
export function shortSpans(
  moments: readonly { readonly timeMs: number; readonly ev: number }[],
  evNeeded: number,
): readonly ShortSpan[] {
  const spans: { -readonly [K in keyof ShortSpan]: ShortSpan[K] }[] = [];
  let open = false;
  moments.forEach(({ timeMs, ev }, i) => {
    const stops = evNeeded - ev;
    const last = spans.at(-1);
    const toTheEnd = i === moments.length - 1;
    if (stops <= SHORT_STOPS) open = false;
    else if (open && last) {
      last.toMs = timeMs;
      last.toTheEnd = toTheEnd;
      if (stops > last.worst.stops) last.worst = { timeMs, stops };
    } else {
      open = true;
      spans.push({ fromMs: timeMs, toMs: timeMs, worst: { timeMs, stops }, toTheEnd });
    }
  });
  return spans;
}
