import { above } from '../check';

/** Frames that were taken in one press, as indices from the first to the last. */
export interface Burst {
  readonly from: number;
  readonly to: number;
}

/** A pause longer than this between two frames ends a burst. Common practice, no source. */
const PAUSE_MS = 1200;

/**
 * Bursts of two frames or more.
 * @param timesMs when frames were taken, in order of time
 * @throws RangeError for times out of order or a pause not above 0
 */
export function burstsOf(timesMs: readonly number[], pauseMs = PAUSE_MS): readonly Burst[] {
  above('pauseMs', pauseMs, 0);
  const found: Burst[] = [];
  let from = 0;
  for (let i = 1; i <= timesMs.length; i += 1) {
    const [before, at] = [timesMs[i - 1] ?? 0, timesMs[i]];
    if (at !== undefined && at < before) {
      throw new RangeError(`timesMs[${i}] ${at}: must not be before ${before}`);
    }
    if (at !== undefined && at - before <= pauseMs) continue;
    if (i - 1 > from) found.push({ from, to: i - 1 });
    from = i;
  }
  return found;
}

/** The last frame of each press: of bursts and of lone frames. @param timesMs in order of time */
export const burstEnds = (timesMs: readonly number[], pauseMs = PAUSE_MS): readonly number[] =>
  timesMs.filter((at, i) => (timesMs[i + 1] ?? Infinity) - at > pauseMs);

const EARLIEST_MS = Date.UTC(1970, 0, 1);
const LATEST_MS = Date.UTC(2200, 0, 1);

/** Between the first moment that a picture can be of and the last. */
export const PICTURE_SPAN_MS = LATEST_MS - EARLIEST_MS;

/** Whether a picture can be of a moment: from 1970 to 2200. What lies outside is a damaged file. */
export const isPictureTime = (ms: number): boolean => ms >= EARLIEST_MS && ms < LATEST_MS;
