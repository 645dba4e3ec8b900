import { useEffect } from 'react';
import type { PlanUse } from '@/features/shoot/plan-use';
import type { PlanScale } from '@/figures/plan-scale';
import { DrawHandles } from './DrawHandles';
import { UnderlayPins } from './UnderlayPins';
import { useDrawTool } from './use-draw';
import { useDrawing } from './use-drawing';

/** What a finger does on the plan while the ground is drawn. */
export function usePlanDrawing(scale: PlanScale): PlanUse {
  const drawing = useDrawing(scale);
  const { show } = useDrawTool();
  useEffect(() => show(scale), [scale, show]);
  return {
    ...drawing,
    handles: (sheet, hold) => (
      <>
        <DrawHandles scale={sheet.scale} drawing={drawing} onHold={hold} />
        <UnderlayPins scale={sheet.scale} drawing={drawing} onHold={hold} />
      </>
    ),
  };
}
