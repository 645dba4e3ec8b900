import { createContext, useContext } from 'react';
import type { Edits } from './use-edits';
import type { Plan } from './use-plan';

export interface ShootPage extends Edits {
  readonly plan: Plan;
}

/** The edits alone, for what need not be drawn again when the plan changes. */
export const EditsContext = createContext<Edits | undefined>(undefined);

export function useShootEdits(): Edits {
  const edits = useContext(EditsContext);
  if (!edits) throw new Error('useShootEdits: must be used within a shoot');
  return edits;
}

export const ShootContext = createContext<ShootPage | undefined>(undefined);

/** The shoot whose page this is. */
export function useShootPage(): ShootPage {
  const page = useContext(ShootContext);
  if (!page) throw new Error('useShootPage: must be used within a shoot');
  return page;
}
