/** What goes on: the first and the last of a run of neighbours that are alike. */
export interface Run<T> {
  readonly first: T;
  readonly last: T;
}

/** A list as runs of neighbours that are alike, in its order. */
export function runsOf<T>(list: readonly T[], alike: (a: T, b: T) => boolean): readonly Run<T>[] {
  const runs: { first: T; last: T }[] = [];
  for (const one of list) {
    const run = runs.at(-1);
    if (run && alike(run.last, one)) run.last = one;
    else runs.push({ first: one, last: one });
  }
  return runs;
}
