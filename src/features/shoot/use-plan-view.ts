import { useMemo, useState } from 'react';
import type { Point2 } from '@/core';
import { fitView, scaleOf, type PlanView } from '@/figures/plan-scale';

/** What is fitted into the picture while nobody has moved it. */
export type Framing = 'whole' | 'close';

interface Looking {
  readonly framing: Framing;
  readonly upDeg: number;
  /** A view of the person's own, or one kept while something is dragged. */
  readonly own: PlanView | undefined;
  /** Whether something is being dragged, and whether its view must be let go of after. */
  readonly held: false | 'own' | 'kept';
}

export interface PlanLook {
  readonly view: PlanView;
  readonly framing: Framing | 'own';
  readonly setOwn: (view: PlanView) => void;
  readonly frame: (framing: Framing) => void;
  readonly turnTo: (upDeg: number) => void;
  /** Keeps the scale while something is dragged, and lets it go after. */
  readonly hold: (held: boolean) => void;
  /** Whether something is being dragged. */
  readonly held: boolean;
}

const LEAST_CLOSE_M = 2;
/** Where the buttons and the scale bar are. */
const FOOT_PX = 26;
const NO_VIEW: PlanView = { middle: { x: 0, y: 0 }, pxPerM: 1, upDeg: 0 };

/** How the plan is looked at: fitted to the whole or close, or as the person has moved it. */
export function usePlanView(
  extentOf: (framing: Framing) => readonly Point2[],
  widthPx: number,
  heightPx: number,
): PlanLook {
  const [look, setLook] = useState<Looking>({
    framing: 'whole',
    upDeg: 0,
    own: undefined,
    held: false,
  });
  const { framing, upDeg, own } = look;
  // Nothing is fitted while the view is the person's own, or held.
  const fit = own ? undefined : extentOf;
  const fitted = useMemo(
    () =>
      fit &&
      fitView(fit(framing), Math.max(1, widthPx), Math.max(1, heightPx), {
        upDeg,
        footPx: FOOT_PX,
        ...(framing === 'close' && { leastSpanM: LEAST_CLOSE_M }),
      }),
    [fit, widthPx, heightPx, upDeg, framing],
  );
  const view = own ?? fitted ?? NO_VIEW;
  return {
    view,
    held: look.held !== false,
    framing: own && look.held !== 'kept' ? 'own' : framing,
    setOwn: (next) => setLook({ ...look, own: next, upDeg: next.upDeg, held: false }),
    frame: (next) => setLook({ ...look, framing: next, own: undefined }),
    turnTo: (next) => {
      const middlePx = { x: widthPx / 2, y: heightPx / 2 };
      const middle = scaleOf(view, widthPx, heightPx).toMetres(middlePx);
      setLook({ ...look, upDeg: next, own: own && { ...own, middle, upDeg: next } });
    },
    hold: (held) =>
      setLook((was) => {
        if (held) return was.own ? { ...was, held: 'own' } : { ...was, own: view, held: 'kept' };
        return was.held === 'kept'
          ? { ...was, own: undefined, held: false }
          : { ...was, held: false };
      }),
  };
}
