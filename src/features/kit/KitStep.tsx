import { useCallback } from 'react';
import { useShootEdits, useShootPage } from '@/features/plan/ShootContext';
import type { Shoot } from '@/records/shoot';
import { KitControls } from './KitControls';

/** The kit of a shoot. */
export function KitStep() {
  const { plan } = useShootPage();
  const { update } = useShootEdits();
  const change = useCallback(
    (how: (kit: Shoot['kit']) => Shoot['kit'], step?: string) =>
      update((current) => ({ ...current, kit: how(current.kit) }), step),
    [update],
  );
  return <KitControls kit={plan.setup.kit} onChange={change} />;
}
