/** Why there is no answer: what stands in its way, for the features to say. */
export type Trouble =
  | { readonly kind: 'tooNear'; readonly distanceM: number; readonly nearestFocusM: number }
  | { readonly kind: 'straightOver'; readonly position: string; readonly mark: string }
  /** What the core refuses: the value and what it must be, as its error names them. */
  | { readonly kind: 'refused'; readonly what: string }
  /** The view holds, its light is not known yet. */
  | { readonly kind: 'noLight' };

/** What was computed, or what stands in the way. */
export type Told<T> =
  { readonly ok: true; readonly value: T } | { readonly ok: false; readonly trouble: Trouble };

/** Does some arithmetic; what the core refuses becomes a trouble. Any other fault is thrown on. */
export function told<T>(work: () => T): Told<T> {
  try {
    return { ok: true, value: work() };
  } catch (error) {
    if (!(error instanceof RangeError)) throw error;
    return { ok: false, trouble: { kind: 'refused', what: error.message } };
  }
}

/** As {@link told}, where there is something to show without it. */
export function toldOr<T>(work: () => T, without: T): T {
  const result = told(work);
  return result.ok ? result.value : without;
}
