import { usePathname } from 'expo-router';
import { memo, useMemo } from 'react';
import { View } from 'react-native';
import { exposedEv } from '@/core';
import { legsOf, routeDrawn } from '@/features/day/route-legs';
import { useDay } from '@/features/day/use-day';
import { groundClicks } from '@/answers/light-plan';
import { clicksInWords } from './light-words';
import { twoBodies } from '@/answers/two-bodies';
import { bodyRings } from '@/features/kit/two-bodies-words';
import { focusZone, panSwing } from '@/features/settings/instruments';
import { Instruments } from '@/figures/Instruments';
import type { PlanScale } from '@/figures/plan-scale';
import { useShootPage } from './ShootContext';
import type { Plan } from './use-plan';

interface SheetProps {
  readonly scale: PlanScale;
  readonly widthPx: number;
  readonly heightPx: number;
}

/**
 * What a step lays over the plan: the ground in clicks while the light is looked at, the depth of
 * focus and the swing of a pan with the settings, where two bodies change over with the kit. A sheet of its own, so that the plan is not drawn
 * again when a figure changes.
 */
export const PlanOverlays = memo(function PlanOverlays(sheet: SheetProps) {
  const path = usePathname();
  if (path.endsWith('/light')) return <ClicksOverlay {...sheet} />;
  if (path.endsWith('/settings')) return <DialsOverlay {...sheet} />;
  if (path.endsWith('/kit')) return <KitOverlay {...sheet} />;
  return path.endsWith('/day') ? <RouteOverlay {...sheet} /> : null;
});

type Seen = Extract<Plan['seen'], { ok: true }>;

function useSeen(): Seen | undefined {
  const { seen } = useShootPage().plan;
  return seen.ok ? seen : undefined;
}

function ClicksOverlay(sheet: SheetProps) {
  const { setup, atMs } = useShootPage().plan;
  const seen = useSeen();
  const clicks = useMemo(() => {
    if (!seen || setup.readings.length === 0) return undefined;
    const { settings } = seen.answer.exposure;
    return groundClicks(setup, seen.view, atMs, exposedEv(settings)).map(
      ({ x, y, clicks: off }) => ({ at: { x, y }, text: clicksInWords(off) }),
    );
  }, [setup, seen, atMs]);
  return <Overlay {...sheet} clicks={clicks} />;
}

function DialsOverlay(sheet: SheetProps) {
  const seen = useSeen();
  const drawn = useMemo(() => {
    if (!seen) return {};
    const { view, answer } = seen;
    return {
      zone: focusZone(view, answer.exposure.settings),
      swing: view.wanted.technique === 'pan' ? panSwing(view) : undefined,
    };
  }, [seen]);
  return <Overlay {...sheet} {...drawn} />;
}

function KitOverlay(sheet: SheetProps) {
  const { kit } = useShootPage().plan.setup;
  const seen = useSeen();
  const rings = useMemo(() => {
    const both = seen && twoBodies(kit, seen.view);
    return both && seen && bodyRings(both, seen.view);
  }, [seen, kit]);
  return <Overlay {...sheet} rings={rings} />;
}

function RouteOverlay(sheet: SheetProps) {
  const { shoot, atMs } = useShootPage().plan;
  const { positions } = shoot;
  const { lines } = useDay();
  const legs = useMemo(() => legsOf(lines, positions), [lines, positions]);
  const route = useMemo(() => routeDrawn(legs, positions, atMs), [legs, positions, atMs]);
  return <Overlay {...sheet} route={route} />;
}

function Overlay(props: Parameters<typeof Instruments>[0]) {
  return (
    <View
      aria-hidden
      style={{ position: 'absolute', inset: 0, pointerEvents: 'none', willChange: 'transform' }}
    >
      <Instruments {...props} />
    </View>
  );
}
