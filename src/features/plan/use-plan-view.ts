import { useMemo, useState } from 'react';
import type { Point2 } from '@/core';
import { fitView, scaleOf, type PlanView } from '@/figures/plan-scale';

/** What is fitted into the picture while nobody has moved it. */
export type Framing = 'whole' | 'close';

interface Looking {
  readonly framing: Framing;
  readonly upDeg: number;
  /** A view of the person's own, or one held while something is dragged. */
  readonly own: PlanView | undefined;
  readonly held: boolean;
}

export interface PlanLook {
  readonly view: PlanView;
  readonly framing: Framing | 'own';
  readonly setOwn: (view: PlanView) => void;
  readonly frame: (framing: Framing) => void;
  readonly turnTo: (upDeg: number) => void;
  /** Keeps the scale while something is dragged, and lets it go after. */
  readonly hold: (held: boolean) => void;
}

const LEAST_CLOSE_M = 2;

/** How the plan is looked at: fitted to the whole or close, or as the person has moved it. */
export function usePlanView(
  extents: Readonly<Record<Framing, readonly Point2[] | undefined>>,
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
  const fitted = useMemo(
    () =>
      fitView(
        extents[framing] ?? extents.whole ?? [],
        Math.max(1, widthPx),
        Math.max(1, heightPx),
        {
          upDeg,
          ...(framing === 'close' && { leastSpanM: LEAST_CLOSE_M }),
        },
      ),
    [extents, widthPx, heightPx, upDeg, framing],
  );
  const view = own ?? fitted;
  return {
    view,
    framing: own && !look.held ? 'own' : framing,
    setOwn: (next) => setLook({ ...look, own: next, upDeg: next.upDeg, held: false }),
    frame: (next) => setLook({ ...look, framing: next, own: undefined }),
    turnTo: (next) => {
      const middlePx = { x: widthPx / 2, y: heightPx / 2 };
      const middle = scaleOf(view, widthPx, heightPx).toMetres(middlePx);
      setLook({ ...look, upDeg: next, own: own && { ...own, middle, upDeg: next } });
    },
    hold: (held) =>
      setLook((was) =>
        held
          ? was.own
            ? was
            : { ...was, own: view, held: true }
          : was.held
            ? { ...was, own: undefined, held: false }
            : was,
      ),
  };
}
