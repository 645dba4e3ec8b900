import { createContext, useContext } from 'react';
import type { Edits } from './use-edits';
import type { Plan } from './use-plan';

export interface ShootPage extends Edits {
  readonly plan: Plan;
}

export const ShootContext = createContext<ShootPage | undefined>(undefined);

/** The shoot whose page this is. */
export function useShootPage(): ShootPage {
  const page = useContext(ShootContext);
  if (!page) throw new Error('useShootPage: must be used within a shoot');
  return page;
}
