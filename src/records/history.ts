/**
 * What can be undone and done again. Changes that follow one another under the same name (one
 * drag, one key held down) are one step.
 */
export interface History<T> {
  /** States that undo goes back to, oldest first. */
  readonly past: readonly T[];
  /** States that redo goes on to, nearest first. */
  readonly future: readonly T[];
  /** Name of the step that is still open. */
  readonly group: string | undefined;
}

/** Steps that are kept. */
export const MOST_STEPS = 200;

export const noHistory = <T>(): History<T> => ({ past: [], future: [], group: undefined });

/** The history after a change away from `before`; under an open step's own name it adds none. */
export function recorded<T>(history: History<T>, before: T, group?: string): History<T> {
  if (group !== undefined && group === history.group) {
    return history.future.length === 0 ? history : { ...history, future: [] };
  }
  return { past: [...history.past, before].slice(-MOST_STEPS), future: [], group };
}

/** The history with its open step closed: the next change begins another, whatever its name. */
export const closed = <T>(history: History<T>): History<T> =>
  history.group === undefined ? history : { ...history, group: undefined };

export interface Moved<T> {
  readonly history: History<T>;
  readonly state: T;
}

/** One step back from the present state; the same when there is none. */
export function undone<T>({ past, future, group }: History<T>, present: T): Moved<T> {
  const state = past.at(-1);
  if (state === undefined) return { history: { past, future, group }, state: present };
  return {
    state,
    history: { past: past.slice(0, -1), future: [present, ...future], group: undefined },
  };
}

/** One step forward again; the same when there is none. */
export function redone<T>({ past, future, group }: History<T>, present: T): Moved<T> {
  const [state, ...rest] = future;
  if (state === undefined) return { history: { past, future, group }, state: present };
  return { state, history: { past: [...past, present], future: rest, group: undefined } };
}
