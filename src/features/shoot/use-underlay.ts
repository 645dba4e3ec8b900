import { useMemo } from 'react';
import type { PlanUnderlay } from '@/figures/Underlay';
import { laid, type Underlay } from '@/records/underlay';
import { useBrightnessNow, type Brightness } from '@/ui/theme';

/** A bright picture would light up the hide. */
const SEEN: Readonly<Record<Brightness, number>> = { day: 1, dusk: 0.6, hide: 0.25 };

let last: { readonly jpeg: string; readonly href: string } | undefined;

/** A picture as an address of its own, which the browser need not read again at every drawing. One is kept. */
function hrefOf(jpeg: string): string {
  if (last?.jpeg !== jpeg) {
    if (last) URL.revokeObjectURL(last.href);
    const bytes = Uint8Array.from(atob(jpeg), (character) => character.charCodeAt(0));
    last = { jpeg, href: URL.createObjectURL(new Blob([bytes], { type: 'image/jpeg' })) };
  }
  return last.href;
}

/** The picture under the plan as it is drawn; nothing where there is none, or where it is not shown. */
export function useUnderlay(underlay: Underlay | undefined): PlanUnderlay | undefined {
  const brightness = useBrightnessNow();
  return useMemo(
    () =>
      underlay?.shown
        ? {
            href: hrefOf(underlay.jpeg),
            laid: laid(underlay),
            opacity: underlay.opacity * SEEN[brightness],
            on: brightness,
          }
        : undefined,
    [underlay, brightness],
  );
}
