const HOUR_MS = 3_600_000;

/** EV that the chart runs between: whole pairs of stops round everything drawn. */
export function evSpan(values: readonly number[]): readonly [number, number] {
  const low = Math.floor(Math.min(...values) / 2) * 2;
  const high = Math.ceil(Math.max(...values) / 2) * 2;
  return [low, Math.max(high, low + 4)];
}

/** Whole hours within a span, sparse enough for a narrow chart. */
export function hoursWithin(fromMs: number, toMs: number): readonly number[] {
  const step = HOUR_MS * Math.max(1, Math.ceil((toMs - fromMs) / HOUR_MS / 6));
  const first = Math.ceil(fromMs / HOUR_MS) * HOUR_MS;
  return Array.from(
    { length: Math.max(0, Math.floor((toMs - first) / step) + 1) },
    (_, i) => first + i * step,
  );
}
