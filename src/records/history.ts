import { changedOnto } from './changes';

/**
 * What can be undone and done again: steps, each what changed from one state to another. Undo takes back
 * its own step and nothing that another tab has done meanwhile. Changes that follow one another under the
 * same name (one drag, one key held down) are one step.
 */
export interface Step<T> {
  readonly before: T;
  readonly after: T;
}

export interface History<T> {
  /** Steps that undo takes back, oldest first. */
  readonly past: readonly Step<T>[];
  /** Steps that redo does again, nearest first. */
  readonly future: readonly Step<T>[];
  /** Name of the step that is still open. */
  readonly group: string | undefined;
}

/** Steps that are kept. */
export const MOST_STEPS = 200;

export const noHistory = <T>(): History<T> => ({ past: [], future: [], group: undefined });

/** The history after a change; under an open step's own name it goes on with that step. */
export function recorded<T>(history: History<T>, step: Step<T>, group?: string): History<T> {
  const last = history.past.at(-1);
  // What another tab did in the midst of it begins a step of its own.
  const goesOn = group !== undefined && group === history.group && last?.after === step.before;
  const past = goesOn
    ? [...history.past.slice(0, -1), { before: last.before, after: step.after }]
    : [...history.past, step].slice(-MOST_STEPS);
  return { past, future: [], group };
}

/** The history with its open step closed: the next change begins another, whatever its name. */
export const closed = <T>(history: History<T>): History<T> =>
  history.group === undefined ? history : { ...history, group: undefined };

export interface Moved<T> {
  readonly history: History<T>;
  readonly state: T;
}

/** One step back from the present state; the same when there is none. */
export function undone<T extends object>(history: History<T>, present: T): Moved<T> {
  const { past, future } = history;
  const step = past.at(-1);
  if (!step) return { history, state: present };
  return {
    state: changedOnto(step.after, step.before, present),
    history: { past: past.slice(0, -1), future: [step, ...future], group: undefined },
  };
}

/** One step forward again; the same when there is none. */
export function redone<T extends object>(history: History<T>, present: T): Moved<T> {
  const { past, future } = history;
  const [step, ...rest] = future;
  if (!step) return { history, state: present };
  return {
    state: changedOnto(step.before, step.after, present),
    history: { past: [...past, step], future: rest, group: undefined },
  };
}
