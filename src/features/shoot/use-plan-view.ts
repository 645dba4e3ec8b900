import { useMemo } from 'react';
import type { Point2 } from '@/core';
import { fitTurned, fitView, scaleOf, type PlanView } from '@/figures/plan-scale';
import { useOpenShoot } from './open-shoot';
import { useStore } from './store';

/** What is fitted into the picture while nobody has moved it. */
export type Framing = 'whole' | 'close';

/** How the plan of a shoot's page is looked at, whichever of its steps shows it. */
export interface Looking {
  readonly framing: Framing;
  /** Which way is up: a bearing, or whichever lets the ground fill the picture. */
  readonly up: number | 'fitted';
  /** A view of the person's own, or one kept while something is dragged. */
  readonly own: PlanView | undefined;
  /** Whether something is being dragged, and whether its view must be let go of after. */
  readonly held: false | 'own' | 'kept';
}

export const FIRST_LOOKING: Looking = {
  framing: 'whole',
  up: 'fitted',
  own: undefined,
  held: false,
};

export interface PlanLook {
  readonly view: PlanView;
  readonly framing: Framing | 'own';
  /** Whether the ground is turned so that it fills the picture. */
  readonly fitted: boolean;
  readonly setOwn: (view: PlanView) => void;
  readonly frame: (framing: Framing) => void;
  readonly turnTo: (up: number | 'fitted') => void;
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
  /** The way the ground lies, to be turned so that it fills the picture; none for north up until one turns it. */
  alongDeg: number | undefined,
  {
    width: widthPx,
    height: heightPx,
    tallest: tallestPx,
  }: {
    readonly width: number;
    readonly height: number;
    /** As high as it has been at this width: the turn is chosen for that. */
    readonly tallest: number;
  },
): PlanLook {
  const { looking } = useOpenShoot();
  const look = useStore(looking, 'framing', 'up', 'own', 'held');
  const setLook = looking.set;
  const { framing, up, own } = look;
  // Nothing is fitted while the view is the person's own, or held.
  const fit = own ? undefined : extentOf;
  const fitted = useMemo(() => {
    if (!fit) return undefined;
    const [width, height] = [Math.max(1, widthPx), Math.max(1, heightPx)];
    const points = fit(framing);
    const options = {
      footPx: FOOT_PX,
      ...(framing === 'close' && { leastSpanM: LEAST_CLOSE_M }),
    };
    if (up !== 'fitted') return fitView(points, width, height, { ...options, upDeg: up });
    if (alongDeg === undefined) return fitView(points, width, height, options);
    const { upDeg } = fitTurned(points, width, Math.max(1, tallestPx), alongDeg, options);
    return fitView(points, width, height, { ...options, upDeg });
  }, [fit, widthPx, heightPx, tallestPx, up, framing, alongDeg]);
  const view = own ?? fitted ?? NO_VIEW;
  return {
    view,
    held: look.held !== false,
    framing: own && look.held !== 'kept' ? 'own' : framing,
    fitted: up === 'fitted' && !own,
    setOwn: (next) => setLook({ ...look, own: next, up: next.upDeg, held: false }),
    frame: (next) => setLook({ ...look, framing: next, own: undefined }),
    turnTo: (next) => {
      const middlePx = { x: widthPx / 2, y: heightPx / 2 };
      const middle = scaleOf(view, widthPx, heightPx).toMetres(middlePx);
      setLook({
        ...look,
        up: next,
        // To be fitted is to let go of a view of one's own.
        own: own && next !== 'fitted' ? { ...own, middle, upDeg: next } : undefined,
      });
    },
    hold: (held) => {
      const was = looking.get();
      if (held) setLook(was.own ? { ...was, held: 'own' } : { ...was, own: view, held: 'kept' });
      else setLook({ ...was, held: false, ...(was.held === 'kept' && { own: undefined }) });
    },
  };
}
