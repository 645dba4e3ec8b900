import { nonEmpty } from '../check';
import type { Sky } from './daylight';

/** Share of the sky that cloud covers at one moment, 0 to 1: least, expected, most. */
export interface CloudHour {
  readonly timeMs: number;
  readonly low: number;
  readonly expected: number;
  readonly high: number;
}

/** The sky over a place: one for all hours, or cloud hour by hour, which counts where it is known. */
export interface SkyOver {
  readonly sky: Sky;
  /** In order of time. */
  readonly cloud?: readonly CloudHour[];
}

/**
 * Cloud at a moment, straight between the hours; nothing outside them.
 * @throws RangeError for no hours at all
 */
export function cloudAt(
  cloud: readonly CloudHour[],
  timeMs: number,
): Omit<CloudHour, 'timeMs'> | undefined {
  nonEmpty('cloud', cloud);
  const after = cloud.findIndex((hour) => hour.timeMs >= timeMs);
  const to = cloud[after];
  const from = cloud[Math.max(0, after - 1)];
  if (!to || !from || (after === 0 && to.timeMs > timeMs)) return undefined;
  const share = to === from ? 0 : (timeMs - from.timeMs) / (to.timeMs - from.timeMs);
  const between = (a: number, b: number) => a + (b - a) * share;
  return {
    low: between(from.low, to.low),
    expected: between(from.expected, to.expected),
    high: between(from.high, to.high),
  };
}

/** The sky at a moment, as `daylight` takes it. */
export function skyAt({ sky, cloud }: SkyOver, timeMs: number): Sky | number {
  return (cloud?.length ? cloudAt(cloud, timeMs)?.expected : undefined) ?? sky;
}

/** Cloud from which a sky is called partly covered, and overcast. Common practice, no source. */
const PARTLY_FROM = 0.2;
const OVERCAST_FROM = 0.9;

/** The name of a sky, for what is drawn and said. */
export function skyNamed(sky: Sky | number): Sky {
  if (typeof sky !== 'number') return sky;
  if (sky >= OVERCAST_FROM) return 'overcast';
  return sky >= PARTLY_FROM ? 'partly' : 'clear';
}
