import { nonEmpty } from '../check';
import { dewPoint, lensAfter } from './air';

/** The air about a lens at one moment of many. */
export interface AirStep {
  readonly timeMs: number;
  /** Of the air, −45 to 60 °C. */
  readonly temperatureC: number;
  readonly relativeHumidityPct: number;
  /** By night under a clear sky, with nothing over it. */
  readonly openNight: boolean;
}

/** What lies open under a clear night sky comes to stand so far under the air. Common practice, no source. */
const RADIATES_C = 3;
const MINUTE_MS = 60_000;

/** From when to when a lens is wet with dew. */
export interface DewSpan {
  readonly fromMs: number;
  readonly toMs: number;
}

/**
 * When dew lies on a lens that is left open: it follows the air, or under a clear night sky some way below it, and is
 * wet while it is colder than the dew point.
 * @param steps in order of time, a few minutes apart, @param lensC what it is at the first
 * @throws RangeError as {@link dewPoint}, or for no steps
 */
export function dewOnLens(steps: readonly AirStep[], lensC: number): readonly DewSpan[] {
  nonEmpty('steps', steps);
  const spans: { fromMs: number; toMs: number }[] = [];
  let nowC = lensC;
  let wet = false;
  steps.forEach(({ timeMs, temperatureC, relativeHumidityPct, openNight }, i) => {
    const before = steps[i - 1];
    const towardC = temperatureC - (openNight ? RADIATES_C : 0);
    if (before) nowC = lensAfter(nowC, towardC, (timeMs - before.timeMs) / MINUTE_MS);
    const isWet = nowC < dewPoint({ temperatureC, relativeHumidityPct });
    const last = spans.at(-1);
    if (isWet && wet && last) last.toMs = timeMs;
    else if (isWet) spans.push({ fromMs: timeMs, toMs: timeMs });
    wet = isWet;
  });
  return spans;
}
