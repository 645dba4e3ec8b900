import { useCallback, useMemo, useRef, useState } from 'react';
import {
  closed,
  noHistory,
  recorded,
  redone,
  undone,
  type History,
  type Moved,
} from '@/records/history';
import { useShootActions } from '@/records/queries';
import type { Shoot } from '@/records/shoot';

/**
 * A change of the shoot. Changes under one name that follow each other (a drag, a slider held) are
 * one step to undo; without a name each is its own.
 */
export type Update = (change: (shoot: Shoot) => Shoot, step?: string) => void;

export interface Edits {
  readonly update: Update;
  readonly undo: () => void;
  readonly redo: () => void;
  /**
   * Told when something is taken hold of and let go again. Each hold is a step of its own: what
   * follows is another, even under the same name.
   */
  readonly hold: (held: boolean) => void;
  /** Whether something is being dragged. */
  readonly held: boolean;
  readonly canUndo: boolean;
  readonly canRedo: boolean;
}

const LOOKED_AT: ReadonlySet<string> = new Set(['atLocal', 'updatedAt']);
const LOOKED_WITH: ReadonlySet<string> = new Set(['markId', 'positionId', 'slot']);
const PLACED: ReadonlySet<string> = new Set(['markId', 'positionId']);

const differing = <T extends object>(a: T, b: T): readonly string[] =>
  (Object.keys(b) as (keyof T & string)[]).filter((key) => a[key] !== b[key]);

/** Whether only the minute, mark or position looked at differ: that is no edit. */
export const onlyLooksElsewhere = (before: Shoot, after: Shoot): boolean => {
  const chosen = differing(before.choice, after.choice);
  return differing(before, after).every(
    (key) =>
      LOOKED_AT.has(key) ||
      (key === 'choice' && chosen.every((part) => LOOKED_WITH.has(part))) ||
      // A zoom that was fitted to what is now looked at goes with the look.
      (key === 'kit' &&
        chosen.some((part) => PLACED.has(part)) &&
        differing(before.kit, after.kit).every((part) => part === 'focalMm')),
  );
};

/** An earlier state brought back; the minute looked at stays, unless the hours differ. */
export const broughtBack = (state: Shoot, present: Shoot): Shoot =>
  state.startLocal === present.startLocal && state.endLocal === present.endLocal
    ? { ...state, atLocal: present.atLocal }
    : state;

/** Changes of one shoot, with what can be undone since its page was opened. */
export function useEdits(id: string): Edits {
  const { update: change } = useShootActions();
  const history = useRef<History<Shoot>>(noHistory());
  const [canUndo, setCanUndo] = useState(false);
  const [canRedo, setCanRedo] = useState(false);
  const [held, setHeld] = useState(false);
  const keep = useCallback((next: History<Shoot>) => {
    history.current = next;
    setCanUndo(next.past.length > 0);
    setCanRedo(next.future.length > 0);
  }, []);
  const update = useCallback<Update>(
    (how, step) => {
      const changed = change(id, how, { checkLater: held });
      if (changed && !onlyLooksElsewhere(changed.before, changed.after)) {
        keep(recorded(history.current, changed, step));
      }
    },
    [change, id, keep, held],
  );
  const move = useCallback(
    (go: typeof undone<Shoot>) => {
      let moved: Moved<Shoot> | undefined;
      change(id, (present) => {
        moved = go(history.current, present);
        return moved.state === present ? present : broughtBack(moved.state, present);
      });
      if (moved) keep(moved.history);
    },
    [change, id, keep],
  );
  return useMemo(
    () => ({
      update,
      undo: () => move(undone),
      redo: () => move(redone),
      hold: (holding: boolean) => {
        keep(closed(history.current));
        setHeld(holding);
      },
      held,
      canUndo,
      canRedo,
    }),
    [update, move, keep, held, canUndo, canRedo],
  );
}
