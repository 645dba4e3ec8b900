import { createContext, useContext, type Context } from 'react';
import type { Edits } from './use-edits';
import type { Look, Plan } from './use-plan';

export interface ShootPage extends Edits {
  readonly plan: Plan;
}

/** The edits alone, for what need not be drawn again when the plan changes. */
export const EditsContext = createContext<Edits | undefined>(undefined);
/** What the hand moves: the shoot of this very frame. */
export const LookContext = createContext<Look | undefined>(undefined);
export const ShootContext = createContext<ShootPage | undefined>(undefined);

function useWithinShoot<T>(context: Context<T | undefined>): T {
  const value = useContext(context);
  if (!value) throw new Error('Must be used within a shoot');
  return value;
}

export const useShootEdits = (): Edits => useWithinShoot(EditsContext);

/** The shoot in this frame, for what moves with the hand. */
export const useLooked = (): Look => useWithinShoot(LookContext);

/**
 * The shoot whose page this is, with what to set. While something is dragged it comes some six times
 * a second.
 */
export const useShootPage = (): ShootPage => useWithinShoot(ShootContext);
