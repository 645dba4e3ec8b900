import type { ReactNode } from 'react';
import type { Point2 } from '@/core';
import type { BoxPx } from '@/figures/labels';
import type { PlanScale } from '@/figures/plan-scale';
import type { PlanDraft } from '@/figures/plan-types';
import type { ItemRef } from '@/records/edit-site';
import type { ItemDrag } from './plan-hand';

/** The sheet over the plan that a step draws on. */
export interface PlanSheet {
  readonly scale: PlanScale;
  readonly widthPx: number;
  readonly heightPx: number;
  /** Where the plan has names of its own. */
  readonly named: readonly BoxPx[];
}

/** What a finger does on the plan. */
export interface PlanUse {
  /** Whether marks and positions can be picked: not while points are put down. */
  readonly picking: boolean;
  /** Whether a cross stands in the middle, for what is put there. */
  readonly crossed: boolean;
  readonly draft: PlanDraft | undefined;
  readonly label: string;
  readonly tap: (at: Point2) => void;
  /** What is picked is taken hold of, too. */
  readonly picked: (item: ItemRef) => void;
  /** Moves a thing so that its anchor comes to where it is wished. */
  readonly place: (item: ItemRef, to: Point2) => void;
  readonly grab: (at: Point2, hold: (held: boolean) => void) => ItemDrag | undefined;
  /** Handles of one's own over those of marks and positions. */
  readonly handles?: ((sheet: PlanSheet, hold: (held: boolean) => void) => ReactNode) | undefined;
}

/** A use of the plan, tied to its scale. The same function for as long as a plan stands. */
export type UsePlanUse = (scale: PlanScale) => PlanUse;
