import {
  closed,
  noHistory,
  recorded,
  redone,
  undone,
  type History,
  type Moved,
} from '@/records/history';
import { settled } from '@/records/guesses';
import type { Shoot } from '@/records/shoot';
import { storeOf, type Store } from './store';

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
}

export interface Undoable {
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

/** Changes the open shoot; answers with its states before and after, or nothing when they are the same. */
type Change = (
  how: (shoot: Shoot) => Shoot,
  options?: { readonly checkLater?: boolean },
) => { readonly before: Shoot; readonly after: Shoot } | undefined;

/** Changes of one shoot, with what can be undone since its page was opened. */
export function openEdits(change: Change): {
  readonly edits: Edits;
  readonly undoable: Store<Undoable>;
} {
  let history: History<Shoot> = noHistory();
  const undoable = storeOf<Undoable>({ held: false, canUndo: false, canRedo: false });
  const keep = (next: History<Shoot>) => {
    history = next;
    const [canUndo, canRedo] = [next.past.length > 0, next.future.length > 0];
    const was = undoable.get();
    if (was.canUndo !== canUndo || was.canRedo !== canRedo) {
      undoable.set({ ...was, canUndo, canRedo });
    }
  };
  const move = (go: typeof undone<Shoot>) => {
    let moved: Moved<Shoot> | undefined;
    change((present) => {
      moved = go(history, present);
      return moved.state === present ? present : broughtBack(moved.state, present);
    });
    if (moved) keep(moved.history);
  };
  return {
    undoable,
    edits: {
      update: (how, step) => {
        const changed = change((present) => settled(present, how(present)), {
          checkLater: undoable.get().held,
        });
        if (changed && !onlyLooksElsewhere(changed.before, changed.after)) {
          keep(recorded(history, changed, step));
        }
      },
      undo: () => move(undone),
      redo: () => move(redone),
      hold: (held) => {
        keep(closed(history));
        undoable.set({ ...undoable.get(), held });
      },
    },
  };
}
