/** What was computed, or why it can't be, with what to change. */
export type Told<T> =
  { readonly ok: true; readonly value: T } | { readonly ok: false; readonly problem: string };

/** Does some arithmetic; what the core refuses becomes a problem in words. Any other fault is thrown on. */
export function told<T>(work: () => T): Told<T> {
  try {
    return { ok: true, value: work() };
  } catch (error) {
    if (!(error instanceof RangeError)) throw error;
    return { ok: false, problem: `This can’t be computed. Change ${error.message}.` };
  }
}

/** As {@link told}, where there is something to show without it. */
export function toldOr<T>(work: () => T, without: T): T {
  const result = told(work);
  return result.ok ? result.value : without;
}
