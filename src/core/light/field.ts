import { median } from 'd3-array';
import type { LightKind } from './readings';

/**
 * Readings as a field: how far the light at a place and minute stands off the forecast. A Gaussian
 * process (kriging; Rasmussen & Williams 2006, ch. 2, from memory) over place, time and kind of light:
 * an offset that the whole venue shares and a local one on top, conditioned on readings that have
 * errors of their own. A reading at a mark is that mark's light within its error; a place far off
 * moves by what is shared. Every constant: common practice, no source.
 */

/** A place and minute of the field. `everywhere` is what holds for the venue and no place of it. */
export interface FieldPoint {
  readonly x: number;
  readonly y: number;
  readonly timeMs: number;
  /** How far each kind of light is at work here, adding up to 1. */
  readonly kinds: Partial<Readonly<Record<LightKind, number>>>;
  readonly everywhere?: boolean;
}

export interface FieldReading extends FieldPoint {
  /** Reading less forecast. */
  readonly offsetStops: number;
  /** How far the reading itself may be off. */
  readonly sigmaStops: number;
}

/** The venue's shared offset before anything was read: wide, so that what is read rules. */
const COMMON_STOPS = 1;
const LOCAL_STOPS = 0.5;
const LOCAL_LENGTH_M = 12;
/** Readings fade with time by these hours. */
const FADES_AFTER_HOURS: Readonly<Record<LightKind, number>> = {
  sun: 1.5,
  shade: 1,
  overcast: 0.5,
  twilight: 0.5,
  lamps: 200,
};
/** What a reading of one kind of light says about another, and by when that has faded. */
const OTHER_KIND_SHARE = 0.15;
const OTHER_KIND_HOURS = 1;
/** Readings nearer to each other than this that disagree are less sure than they say. */
const SAME_PLACE_M = 2;

const MS_PER_HOUR = 3_600_000;
const KINDS = Object.keys(FADES_AFTER_HOURS) as readonly LightKind[];

/** How alike two moments are, 0 to 1: a sum of products of both sides, so that it is a covariance. */
function alike(a: FieldPoint, b: FieldPoint): number {
  const hours = Math.abs(a.timeMs - b.timeMs) / MS_PER_HOUR;
  const same = KINDS.reduce((sum, kind) => {
    const both = (a.kinds[kind] ?? 0) * (b.kinds[kind] ?? 0);
    return both > 0 ? sum + Math.sqrt(both) * Math.exp(-hours / FADES_AFTER_HOURS[kind]) : sum;
  }, 0);
  return OTHER_KIND_SHARE * Math.exp(-hours / OTHER_KIND_HOURS) + (1 - OTHER_KIND_SHARE) * same;
}

const apartM = (a: FieldPoint, b: FieldPoint) => Math.hypot(a.x - b.x, a.y - b.y);

function covariance(a: FieldPoint, b: FieldPoint): number {
  const local =
    a.everywhere || b.everywhere ? 0 : LOCAL_STOPS ** 2 * Math.exp(-apartM(a, b) / LOCAL_LENGTH_M);
  return alike(a, b) * (COMMON_STOPS ** 2 + local);
}

/** Lower triangle L of a covariance K = L·Lᵀ (Cholesky). The errors on its diagonal keep it definite. */
function cholesky(matrix: readonly (readonly number[])[]): readonly (readonly number[])[] {
  const lower: number[][] = [];
  matrix.forEach((row, i) => {
    const next: number[] = [];
    for (let j = 0; j <= i; j += 1) {
      const other = j === i ? next : (lower[j] as number[]);
      let sum = row[j] as number;
      for (let k = 0; k < j; k += 1) sum -= (next[k] as number) * (other[k] as number);
      next.push(j === i ? Math.sqrt(Math.max(1e-9, sum)) : sum / (other[j] as number));
    }
    lower.push(next);
  });
  return lower;
}

/** L·x = b. */
function forward(lower: readonly (readonly number[])[], b: readonly number[]): readonly number[] {
  const x: number[] = [];
  lower.forEach((row, i) => {
    let sum = b[i] as number;
    for (let k = 0; k < i; k += 1) sum -= (row[k] as number) * (x[k] as number);
    x.push(sum / (row[i] as number));
  });
  return x;
}

const dot = (a: readonly number[], b: readonly number[]) =>
  a.reduce((sum, value, i) => sum + value * (b[i] as number), 0);

/**
 * A reading's own error, as variance: what it says of itself, and half of what it differs from most
 * readings of the same place and minute by beyond that. So two that disagree widen each other, and one
 * bad reading among several speaks low.
 */
function errorOf(reading: FieldReading, all: readonly FieldReading[]): number {
  const near = all.filter((other) => other !== reading && apartM(other, reading) < SAME_PLACE_M);
  const excess = near.map((other) => {
    const prior = (COMMON_STOPS ** 2 + LOCAL_STOPS ** 2) * 2 * (1 - alike(reading, other));
    const explained = prior + reading.sigmaStops ** 2 + other.sigmaStops ** 2;
    return Math.max(0, (reading.offsetStops - other.offsetStops) ** 2 - explained);
  });
  return reading.sigmaStops ** 2 + (median(excess) ?? 0) / 2;
}

export interface OffsetField {
  /** Offset from the forecast at a point, and how unsure it is. */
  readonly at: (point: FieldPoint) => { readonly offsetStops: number; readonly sigmaStops: number };
  /** How unsure the difference between two points is: what they share drops out. */
  readonly apartStops: (a: FieldPoint, b: FieldPoint) => number;
}

/** The field that readings draw. @param readings at least one */
export function offsetField(readings: readonly FieldReading[]): OffsetField {
  const lower = cholesky(
    readings.map((a, i) =>
      readings.map((b, j) => covariance(a, b) + (i === j ? errorOf(a, readings) : 0)),
    ),
  );
  const whitened = forward(
    lower,
    readings.map(({ offsetStops }) => offsetStops),
  );
  const seenFrom = (point: FieldPoint) =>
    forward(
      lower,
      readings.map((reading) => covariance(point, reading)),
    );
  return {
    at: (point) => {
      const seen = seenFrom(point);
      return {
        offsetStops: dot(seen, whitened),
        sigmaStops: Math.sqrt(Math.max(0, covariance(point, point) - dot(seen, seen))),
      };
    },
    apartStops: (a, b) => {
      const [fromA, fromB] = [seenFrom(a), seenFrom(b)];
      const difference = fromA.map((value, i) => value - (fromB[i] as number));
      const prior = covariance(a, a) + covariance(b, b) - 2 * covariance(a, b);
      return Math.sqrt(Math.max(0, prior - dot(difference, difference)));
    },
  };
}
