import { useCallback } from 'react';
import { useShootEdits } from '@/features/shoot/ShootContext';
import type { Shoot } from '@/records/shoot';

/** How to change the kit of the shoot whose page this is. */
export function useChangeKit() {
  const { update } = useShootEdits();
  return useCallback(
    (how: (kit: Shoot['kit']) => Shoot['kit'], step?: string) =>
      update((current) => ({ ...current, kit: how(current.kit) }), step),
    [update],
  );
}
