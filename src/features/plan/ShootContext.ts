import { createContext, useContext } from 'react';
import type { Shoot } from '@/records/shoot';
import type { Plan } from './use-plan';

export interface ShootPage {
  readonly plan: Plan;
  readonly update: (change: (shoot: Shoot) => Shoot) => void;
}

export const ShootContext = createContext<ShootPage | undefined>(undefined);

/** The shoot whose page this is. */
export function useShootPage(): ShootPage {
  const page = useContext(ShootContext);
  if (!page) throw new Error('useShootPage: must be used within a shoot');
  return page;
}
