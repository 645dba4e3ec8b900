import { createContext, useContext, useMemo, useReducer, useRef } from 'react';
import type { PlanView } from '@/figures/plan-scale';
import { drawn, FIRST_DRAW, type DrawAction, type DrawState } from './draw-state';

/** The drawing tool of one shoot's page. */
export interface DrawTool {
  readonly state: DrawState;
  readonly act: (action: DrawAction) => void;
  /** What the plan shows just now; its middle is where the cross is. */
  readonly seen: () => PlanView;
  readonly show: (view: PlanView) => void;
}

const NOWHERE: PlanView = { middle: { x: 0, y: 0 }, pxPerM: 1, upDeg: 0 };

export function useDraw(): DrawTool {
  const [state, act] = useReducer(drawn, FIRST_DRAW);
  const view = useRef<PlanView>(NOWHERE);
  return useMemo(
    () => ({
      state,
      act,
      seen: () => view.current,
      show: (next) => {
        view.current = next;
      },
    }),
    [state],
  );
}

/** The drawing tool of the page that is open. */
export const DrawContext = createContext<DrawTool | undefined>(undefined);

/** The drawing tool of the shoot whose page this is. */
export function useDrawTool(): DrawTool {
  const tool = useContext(DrawContext);
  if (!tool) throw new Error('useDrawTool: must be used within a shoot');
  return tool;
}
