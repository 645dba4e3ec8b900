import { startTransition, useLayoutEffect, useState } from 'react';

/** A value whose readers are told when it changes. */
export interface Store<T> {
  /** @throws Error before anything was put in */
  readonly get: () => T;
  readonly set: (next: T) => void;
  /** Calls when it changes, until it is told to stop. */
  readonly subscribe: (hear: () => void) => () => void;
}

/** @param first what it holds at first; nothing yet when left out */
export function storeOf<T extends object>(first?: T): Store<T> {
  let value = first;
  const readers = new Set<() => void>();
  return {
    get: () => {
      if (value === undefined) throw new Error('Must be used within a shoot that is shown');
      return value;
    },
    set: (next) => {
      if (next === value) return;
      value = next;
      readers.forEach((hear) => hear());
    },
    subscribe: (hear) => {
      readers.add(hear);
      return () => void readers.delete(hear);
    },
  };
}

/**
 * Parts of what a store holds; drawn again only when one of them is another. Told within a transition, the
 * reader is drawn in it: that is why this is no external store to React, whose readers are always drawn at once.
 */
export function useStore<T extends object, K extends keyof T>(
  store: Store<T>,
  ...keys: readonly K[]
): Pick<T, K> {
  const [read] = useState(keys);
  const [held, setHeld] = useState(store.get);
  useLayoutEffect(() => {
    const hear = () => {
      const next = store.get();
      setHeld((was) => (read.some((key) => was[key] !== next[key]) ? next : was));
    };
    // It may have changed since this was drawn.
    hear();
    return store.subscribe(hear);
  }, [store, read]);
  return held;
}

/**
 * Puts what was computed while drawing into a store, for readers below.
 * @param inSlices whether its readers may be drawn in slices: nothing under the hand waits for them
 */
export function usePublished<T extends object>(
  store: Store<T>,
  value: T,
  inSlices: (before: T) => boolean,
): void {
  // The readers' first drawing is part of this one.
  useState(() => store.set(value));
  useLayoutEffect(() => {
    const before = store.get();
    if (before === value) return;
    if (inSlices(before)) startTransition(() => store.set(value));
    else store.set(value);
  }, [store, value, inSlices]);
}
