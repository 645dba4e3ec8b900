import { createContext, useContext } from 'react';
import type { StepId } from './steps';

/** Where a step stands: it may be made ready before its address is the page's. */
export interface StepPath {
  /** The step's own address, with the part of it that is open. */
  readonly path: string;
  /** The step that is pressed, which is told of before it stands there. */
  readonly at: StepId | undefined;
}

export const StepPathContext = createContext<StepPath | undefined>(undefined);

export function useStepPath(): StepPath {
  const path = useContext(StepPathContext);
  if (!path) throw new Error('useStepPath: must be used within a step');
  return path;
}
