import { max, maxIndex, min } from 'd3-array';
import { nonEmpty } from '../check';
import { burstEnds } from './bursts';

/**
 * How a camera's clock stands, from what happened about its pictures: taps that follow them, events that they were
 * taken at, pictures of other cameras whose clocks are known. A likelihood over every offset, with what people's
 * clocks are like before any evidence, so that it says how sure it is and nothing where too little agrees.
 */

/** What a camera's pictures are lined up with. Places' times are the place's own clock, all in milliseconds. */
export interface ClockEvidence {
  /** When the camera says its pictures were taken, in order of time. */
  readonly framesMs: readonly number[];
  /** Taps that each follow a picture by some seconds, in order. */
  readonly tapsMs: readonly number[];
  /** From when to when events ran, as far as known. */
  readonly eventsMs?: readonly (readonly [fromMs: number, toMs: number])[];
  /** Pictures of cameras whose clocks are known, in order. */
  readonly othersMs?: readonly number[];
  /** How long this person's taps follow their pictures, where a clock that is known says so. */
  readonly lagS?: { readonly mean: number; readonly sd: number };
}

/** A tap and the last picture before it, both as they stand. */
export interface ClockTie {
  readonly frameMs: number;
  readonly tapMs: number;
}

export interface ClockFit {
  /** Add this to the camera's time at `atMs`. */
  readonly offsetS: number;
  /** The camera's own time that the offset is of: the middle of its pictures. */
  readonly atMs: number;
  /** How much the offset grows in a day; nothing where none is told from chance. */
  readonly perDayS: number;
  /** The offset is this close, 95 times in 100. */
  readonly withinS: number;
  /** Taps that follow a picture by some seconds then, and all that there are. */
  readonly ties: readonly ClockTie[];
  readonly of: number;
}

/** A tap follows its picture by a glance at the screen: its middle, and how far people differ. Common practice, no source. */
const LAG_S = 4;
const LAG_SD_S = 1;
/** How taps of one person scatter, as a log. No source. */
const LAG_SPREAD = 0.45;
/** Taps later than this after a picture speak of another. */
const WITHIN_S = 12;
/** Of taps, bursts in events and bursts beside another camera's: this share may have nothing to do with them. No source. */
const STRAY = 0.3;
/** Taps that have no picture come at random about once in so long. */
const STRAY_EVERY_S = 400;
/** Bursts of one event are no independent witnesses. No source. */
const BURST_WEIGHT = 0.3;
/** Before and after its programme an event may still be under way. */
const EARLY_S = 30;
const LATE_S = 180;
/** Two cameras of one person are used within some minutes. */
const BESIDE_S = 150;
/** Cameras let off together go off in the same second: so much more is that worth than the minutes about it. No source. */
const SAME_SECOND = 20;
/** Without some taps that agree, events and other cameras tell no better than this. No source. */
const LOOSE_SD_S = 25;
/** Beyond a day a camera's date is wrong, by whole days: hours are looked through. */
const MOST_S = 14 * 3600;
const DAY_S = 86_400;
const QUARTER_S = 900;
/** What clocks are like before any evidence: about right, about right in another zone, anything. No source. */
const PRIOR = { right: 0.5, zone: 0.4, spreadS: 240 } as const;
/** All but this must lie about the best offset. */
const LEAST_SHARE = 0.95;
const LOOSE_S = 300;
const SHARP_S = 40;
/** Fewer taps than this may agree by chance. */
const FEWEST_TIES = 3;
/** Beyond so many seconds pictures of a camera are of several shoots: only so much of them is looked at. */
const LONGEST_S = 4 * DAY_S;
const MOST_TAPS = 200;
const MOST_BURSTS = 300;
/** Clocks in cameras run off by so much a day; what is looked through. No source. */
const DRIFT_SD_S = 6;
const MOST_DRIFT_S = 40;
const DRIFT_STEP_S = 2;

const thinned = (list: readonly number[], most: number): readonly number[] => {
  const every = Math.ceil(list.length / most);
  return every <= 1 ? list : list.filter((_, i) => i % every === 0);
};

/** How likely a lag is, in 1/s: lognormal about a middle. */
function lagDensity(lagS: number, meanS: number): number {
  if (lagS <= 0.2 || lagS > WITHIN_S) return 0;
  const off = Math.log(lagS / meanS) / LAG_SPREAD;
  return Math.exp((-off * off) / 2) / (lagS * LAG_SPREAD * Math.sqrt(2 * Math.PI));
}

const tapLog = (density: number): number => Math.log(STRAY + (1 - STRAY) * density * STRAY_EVERY_S);

/** A row of logs, one for every second from a first; outside there is nothing. */
interface Row {
  readonly fromS: number;
  readonly logs: Float32Array;
  readonly outside: number;
}

/** For each second of the camera's clock how a tap then would follow its bursts. */
function tapRow(endsS: readonly number[], meanS: number): Row {
  const fromS = Math.floor(endsS[0] ?? 0);
  const lastS = Math.min((endsS.at(-1) ?? 0) + WITHIN_S + 1, fromS + LONGEST_S);
  const logs = new Float32Array(Math.ceil(lastS - fromS) + 1);
  let next = 0;
  for (let i = 0; i < logs.length; i += 1) {
    // The middle of the second: of two bursts the later one counts.
    const second = fromS + i + 0.5;
    while (next < endsS.length && (endsS[next] ?? 0) < second) next += 1;
    logs[i] = tapLog(lagDensity(second - (endsS[next - 1] ?? -Infinity), meanS));
  }
  return { fromS, logs, outside: tapLog(0) };
}

/** How much likelier a burst is at each second than anywhere in the day, from weights a second. */
function rowOf(weights: Float32Array, fromS: number): Row {
  const mean = weights.reduce((sum, weight) => sum + weight, 0) / weights.length;
  const log = (weight: number) =>
    BURST_WEIGHT * Math.log(STRAY + ((1 - STRAY) * weight) / Math.max(mean, 1e-9));
  return { fromS, logs: weights.map(log), outside: log(0) };
}

function eventRow(events: readonly (readonly [number, number])[]): Row | undefined {
  if (events.length === 0) return undefined;
  const marginS = 1800;
  const fromS = Math.floor((min(events, ([from]) => from) ?? 0) / 1000) - marginS;
  const toS = Math.ceil((max(events, ([, to]) => to) ?? 0) / 1000) + marginS;
  const weights = new Float32Array(Math.min(toS - fromS, LONGEST_S));
  for (const [from, to] of events) {
    weights.fill(1, Math.max(0, from / 1000 - EARLY_S - fromS), to / 1000 + LATE_S - fromS);
  }
  return rowOf(weights, fromS);
}

/** Where the other cameras were used: about then, and more where both went off in the same second. */
function besideRow(othersMs: readonly number[]): Row | undefined {
  const ends = burstEnds(othersMs);
  if (ends.length === 0) return undefined;
  const marginS = 1800;
  const fromS = Math.floor((ends[0] ?? 0) / 1000) - marginS;
  const lengthS = Math.ceil((ends.at(-1) ?? 0) / 1000) + marginS - fromS;
  const weights = new Float32Array(Math.min(lengthS, LONGEST_S));
  for (const end of ends) {
    const middle = Math.floor(end / 1000) - fromS;
    for (let off = -BESIDE_S; off <= BESIDE_S; off += 1) {
      const i = middle + off;
      if (i < 0 || i >= weights.length) continue;
      weights[i] =
        (weights[i] ?? 0) + (off === 0 ? SAME_SECOND : 1 - Math.abs(off) / (BESIDE_S + 1));
    }
  }
  return rowOf(weights, fromS);
}

/** What clocks are like before any evidence, up to a constant. */
function priorLog(offsetS: number): number {
  const bell = (offS: number) => Math.exp(-(offS * offS) / (2 * PRIOR.spreadS * PRIOR.spreadS));
  const quarters = (2 * MOST_S) / QUARTER_S;
  const toQuarterS = offsetS - Math.round(offsetS / QUARTER_S) * QUARTER_S;
  const anyS = (2 * MOST_S) / (PRIOR.spreadS * Math.sqrt(2 * Math.PI));
  return Math.log(
    PRIOR.right * bell(offsetS) +
      (PRIOR.zone * bell(toQuarterS)) / quarters +
      (1 - PRIOR.right - PRIOR.zone) / anyS,
  );
}

/** Each tap with the last burst before it, where that is near enough. */
function tiesAt(
  ends: readonly number[],
  taps: readonly number[],
  offsetMs: (cameraMs: number) => number,
): readonly ClockTie[] {
  let next = 0;
  return taps.flatMap((tapMs) => {
    while (next < ends.length && (ends[next] ?? 0) + offsetMs(ends[next] ?? 0) <= tapMs) next += 1;
    const frameMs = ends[next - 1];
    if (frameMs === undefined) return [];
    return tapMs - frameMs - offsetMs(frameMs) <= WITHIN_S * 1000 ? [{ frameMs, tapMs }] : [];
  });
}

/** Sums of logs as shares that add up to one. */
function shares(logs: ArrayLike<number>): Float64Array {
  const most = max(Array.from(logs)) ?? 0;
  const all = Float64Array.from(logs, (log) => Math.exp(log - most));
  const sum = all.reduce((total, share) => total + share, 0);
  return all.map((share) => share / sum);
}

interface Fine {
  readonly offsetS: number;
  readonly perDayS: number;
  readonly sdS: number;
}

/** Offset and drift about a whole second, to a quarter of one, by the taps' lags. */
function refined(
  endsS: readonly number[],
  tapsS: readonly number[],
  middleS: number,
  aboutS: number,
  meanS: number,
): Fine {
  const offsets = Array.from({ length: 121 }, (_, i) => aboutS + (i - 60) / 4);
  const drifts = Array.from(
    { length: (2 * MOST_DRIFT_S) / DRIFT_STEP_S + 1 },
    (_, i) => i * DRIFT_STEP_S - MOST_DRIFT_S,
  );
  const cells = offsets.flatMap((offsetS) =>
    drifts.map((perDayS) => {
      let next = 0;
      let log = -((perDayS / DRIFT_SD_S) ** 2) / 2;
      for (const tap of tapsS) {
        const stands = (end: number) => end + offsetS + (perDayS * (end - middleS)) / DAY_S;
        while (next < endsS.length && stands(endsS[next] ?? 0) < tap) next += 1;
        const last = endsS[next - 1];
        log += tapLog(last === undefined ? 0 : lagDensity(tap - stands(last), meanS));
      }
      return { offsetS, perDayS, log };
    }),
  );
  const weights = shares(cells.map(({ log }) => log));
  const mean = (of: (cell: (typeof cells)[number]) => number) =>
    cells.reduce((sum, cell, i) => sum + of(cell) * (weights[i] ?? 0), 0);
  const [offsetS, perDayS] = [mean((cell) => cell.offsetS), mean((cell) => cell.perDayS)];
  const sd = (of: (cell: (typeof cells)[number]) => number, about: number) =>
    Math.sqrt(mean((cell) => (of(cell) - about) ** 2));
  const driftSdS = sd((cell) => cell.perDayS, perDayS);
  const told = Math.abs(perDayS) > 2.5 * driftSdS;
  return {
    ...{ offsetS, sdS: sd((cell) => cell.offsetS, offsetS) },
    perDayS: told ? Math.round(perDayS) : 0,
  };
}

/**
 * How far a camera's clock stands from the place's: the offset under which taps follow its bursts by a glance, bursts
 * fall into events, and beside the pictures of the other cameras; looked for over fourteen hours either way, and
 * over the whole days between the camera's date and the shoot's. Nothing where too little agrees to tell.
 * @throws RangeError without frames
 */
export function fitClock(evidence: ClockEvidence): ClockFit | undefined {
  const { framesMs, tapsMs, eventsMs = [], othersMs = [], lagS } = evidence;
  nonEmpty('framesMs', framesMs);
  const meanS = lagS?.mean ?? LAG_S;
  // What a glance judges is the end of a press.
  const ends = burstEnds(framesMs);
  const endsS = ends.map((ms) => ms / 1000);
  const tapsS = thinned(tapsMs, MOST_TAPS).map((ms) => ms / 1000);
  const burstsS = thinned(endsS, MOST_BURSTS);
  const rows = [eventRow(eventsMs), besideRow(othersMs)].filter((row): row is Row => Boolean(row));
  if (tapsS.length === 0 && rows.length === 0) return undefined;
  const taps = tapRow(endsS, meanS);
  // What happened then, to find the whole days that a wrong date is off.
  const placeS = [
    ...tapsS,
    ...eventsMs.map(([fromMs]) => fromMs / 1000),
    ...othersMs.map((ms) => ms / 1000),
  ].sort((a, b) => a - b);
  const middleOf = (list: readonly number[]) => list[list.length >> 1] ?? 0;
  const days = Math.round((middleOf(placeS) - middleOf(endsS)) / DAY_S) * DAY_S;
  const offsets = [...new Set([0, days])].flatMap((whole) =>
    Array.from({ length: 2 * MOST_S + 1 }, (_, i) => whole + i - MOST_S),
  );
  const logs = Float64Array.from(offsets, (offsetS, i) =>
    priorLog(offsetS - (i > 2 * MOST_S ? days : 0)),
  );
  // Offsets are whole seconds: each row is gone along as it stands.
  const add = (row: Row, second: number, sign: 1 | -1) => {
    const from = Math.floor(second) - row.fromS;
    for (let i = 0; i < logs.length; i += 1) {
      logs[i] = (logs[i] ?? 0) + (row.logs[from + sign * (offsets[i] ?? 0)] ?? row.outside);
    }
  };
  for (const tap of tapsS) add(taps, tap, -1);
  for (const row of rows) for (const burst of burstsS) add(row, burst, 1);
  const weights = shares(logs);
  const best = maxIndex(weights);
  const bestS = offsets[best] ?? 0;
  /** What lies about the best offset. */
  const about = (withinS: number) => {
    const near = offsets.flatMap((offsetS, i) =>
      Math.abs(offsetS - bestS) <= withinS ? [{ offsetS, weight: weights[i] ?? 0 }] : [],
    );
    const share = near.reduce((sum, { weight }) => sum + weight, 0);
    const meanOf = (of: (offsetS: number) => number) =>
      near.reduce((sum, { offsetS, weight }) => sum + weight * of(offsetS), 0) / share;
    const middleS = meanOf((offsetS) => offsetS);
    return { share, middleS, sdS: Math.sqrt(meanOf((offsetS) => (offsetS - middleS) ** 2)) };
  };
  const isSharp = about(SHARP_S).share >= LEAST_SHARE;
  const loose = about(LOOSE_S);
  if (loose.share < LEAST_SHARE) return undefined;
  const middleS = ((endsS[0] ?? 0) + (endsS.at(-1) ?? 0)) / 2;
  const few = !isSharp || tiesAt(ends, tapsMs, () => bestS * 1000).length < FEWEST_TIES;
  const fine: Fine = few
    ? { offsetS: loose.middleS, perDayS: 0, sdS: loose.sdS }
    : refined(endsS, tapsS, middleS, bestS, meanS);
  const offsetS = Math.round(fine.offsetS);
  const { perDayS } = fine;
  const ties = tiesAt(
    ends,
    tapsMs,
    (ms) => 1000 * (offsetS + (perDayS * (ms / 1000 - middleS)) / DAY_S),
  );
  return {
    ...{ offsetS, perDayS, ties, of: tapsMs.length, atMs: Math.round(middleS * 1000) },
    // Half a second is lost by whole ones; people's glances differ.
    withinS: Math.ceil(2 * Math.hypot(fine.sdS, few ? LOOSE_SD_S : (lagS?.sd ?? LAG_SD_S), 0.3)),
  };
}

/** How long taps follow their pictures by a clock that is known: the middle of their logs, and how well that is known. */
export function lagOf(ties: readonly { readonly lagS: number }[]): ClockEvidence['lagS'] {
  const lags = ties.map(({ lagS }) => lagS).filter((lag) => lag > 0.2 && lag <= WITHIN_S);
  if (lags.length < 5) return undefined;
  const mean = Math.exp(lags.reduce((sum, lag) => sum + Math.log(lag), 0) / lags.length);
  return { mean, sd: (mean * LAG_SPREAD) / Math.sqrt(lags.length) };
}
