import type { ComponentType, ReactNode } from 'react';
import type { Rehearsal } from './rehearsal';

/** How a drill stands on the page: in a shoot's step, or at home. */
export interface DrillFrameProps {
  /** What it is: read out, and where focus lands. */
  readonly title: string;
  /** What is looked at and handled, from edge to edge. */
  readonly picture?: ReactNode;
  /** What is said of it, and pressed. */
  readonly children: ReactNode;
}
export type DrillFrame = ComponentType<DrillFrameProps>;

export interface DrillProps {
  readonly rehearsal: Rehearsal;
  readonly Frame: DrillFrame;
  /** Goes to another drill. */
  readonly onOpen: (drill: DrillId) => void;
}

/** The drills, in the order of a practice. A new one is a line here, one in drills.tsx, and a file. */
export const DRILLS = [
  { id: 'today', name: 'Today' },
  { id: 'pan', name: 'Pan' },
  { id: 'moment', name: 'Moment' },
  { id: 'blur', name: 'Blur' },
  { id: 'stops', name: 'Stops' },
  { id: 'eye', name: 'Eye' },
  { id: 'stand', name: 'Stand' },
] as const;
export type DrillId = (typeof DRILLS)[number]['id'];

const NAMES = new Map<DrillId, string>(DRILLS.map(({ id, name }) => [id, name]));
export const nameOf = (drill: DrillId): string => NAMES.get(drill) ?? drill;
