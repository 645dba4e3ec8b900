import { useCallback } from 'react';
import { useEdits } from '@/features/shoot/open-shoot';
import type { Shoot } from '@/records/shoot';

/** How to change the kit of the shoot whose page this is. */
export function useChangeKit() {
  const { update } = useEdits();
  return useCallback(
    (how: (kit: Shoot['kit']) => Shoot['kit'], step?: string) =>
      update((current) => ({ ...current, kit: how(current.kit) }), step),
    [update],
  );
}
