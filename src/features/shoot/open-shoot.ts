import { createContext, startTransition, useContext, useState } from 'react';
import { useShootActions } from '@/records/queries';
import { openEdits, type Edits, type Undoable } from './edits';
import { openSearch, type Search, type Searching } from './search';
import { storeOf, useStore, type Store } from './store';
import type { Look, Plan } from './use-plan';
import { FIRST_LOOKING, type Looking } from './use-plan-view';
import { openWalk, type Walking, type WalkTool } from './walk';

/**
 * The shoot whose page this is: one object for as long as it is open, from which readers pick what they show.
 * @example
 * const { shoot, clock } = useShown('shoot', 'clock');
 */
export interface OpenShoot {
  readonly edits: Edits;
  readonly undoable: Store<Undoable>;
  /** The shoot of this very frame, as the hand moves it. */
  readonly looked: Store<Look>;
  /** The same with what to set: while something is dragged some six times a second. */
  readonly shown: Store<Plan>;
  /** How its plan is looked at, whichever step shows it. */
  readonly looking: Store<Looking>;
  /** Whether one looks through the lens, at whichever step. */
  readonly lens: Store<LensUse>;
  readonly search: Search;
  readonly walk: WalkTool;
}

interface LensUse {
  readonly open: boolean;
  /** What is laid beside the picture taken; nothing by default. */
  readonly beside: string | undefined;
  /** Whether it is looked at as it is delivered: cropped where the lens does not reach. */
  readonly crop: boolean;
}

export const OpenShootContext = createContext<OpenShoot | undefined>(undefined);

/** Opens a shoot: nothing is shown of it yet. */
export function useOpening(id: string): OpenShoot {
  const { update } = useShootActions();
  const [open] = useState((): OpenShoot => {
    const { edits, undoable } = openEdits((change, how) => update(id, change, how));
    return {
      edits,
      undoable,
      looked: storeOf<Look>(),
      shown: storeOf<Plan>(),
      looking: storeOf(FIRST_LOOKING),
      lens: storeOf<LensUse>({ open: false, beside: undefined, crop: false }),
      search: openSearch(),
      walk: openWalk(),
    };
  });
  return open;
}

export function useOpenShoot(): OpenShoot {
  const open = useContext(OpenShootContext);
  if (!open) throw new Error('Must be used within a shoot');
  return open;
}

/** What changes the shoot: the same functions for as long as it is open. */
export const useEdits = (): Edits => useOpenShoot().edits;

export const useUndoable = <K extends keyof Undoable>(...keys: readonly K[]): Pick<Undoable, K> =>
  useStore(useOpenShoot().undoable, ...keys);

/** Of the shoot as it is shown with what to set. */
export const useShown = <K extends keyof Plan>(...keys: readonly K[]): Pick<Plan, K> =>
  useStore(useOpenShoot().shown, ...keys);

/** Of the shoot in this frame, for what moves with the hand. */
export const useLooked = <K extends keyof Look>(...keys: readonly K[]): Pick<Look, K> =>
  useStore(useOpenShoot().looked, ...keys);

/** Of the search for places, and of the comparison. */
export const useSearch = <K extends keyof Searching>(...keys: readonly K[]): Pick<Searching, K> =>
  useStore(useOpenShoot().search.now, ...keys);

/** Of a walk over the ground with a meter. */
export const useWalk = (): Walking => useStore(useOpenShoot().walk.now, 'walk');

/** How one looks through the lens, and what changes that. */
export function useLensUse(): readonly [LensUse, (change: Partial<LensUse>) => void] {
  const { lens } = useOpenShoot();
  const use = useStore(lens, 'open', 'beside', 'crop');
  // In slices: what stands in the place of a plan takes longer to draw than a press may hold the page.
  return [use, (change) => startTransition(() => lens.set({ ...lens.get(), ...change }))];
}
