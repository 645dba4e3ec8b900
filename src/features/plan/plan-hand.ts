import type { Point2 } from '@/core';
import type { Gestured } from '@/figures/plan-scale';

/** A drag that began on something that can be moved. */
export interface ItemDrag {
  readonly move: (byPx: Point2) => void;
  readonly end: () => void;
}

export const STILL: Gestured = { about: { x: 0, y: 0 }, by: { x: 0, y: 0 }, zoom: 1, turnDeg: 0 };

/** The hand on the plan: what it has done since it came down, and what it holds. */
export interface PlanHand {
  readonly down: () => void;
  /** One finger up. @returns whether it was the last, and what the hand did to the plan */
  readonly up: () => { readonly last: boolean; readonly done: Gestured | undefined };
  readonly take: (item: ItemDrag | undefined) => void;
  readonly held: () => ItemDrag | undefined;
  /** Whether the plan has been moved since the hand came down. */
  readonly moved: () => boolean;
  readonly now: () => Gestured;
  readonly change: (by: Partial<Gestured>) => Gestured;
  readonly forget: () => void;
}

export function planHand(): PlanHand {
  let fingers = 0;
  let now = STILL;
  let item: ItemDrag | undefined;
  return {
    down: () => {
      fingers += 1;
    },
    up: () => {
      fingers = Math.max(0, fingers - 1);
      return { last: fingers === 0, done: now === STILL ? undefined : now };
    },
    take: (taken) => {
      item = taken;
    },
    held: () => item,
    moved: () => now !== STILL,
    now: () => now,
    change: (by) => {
      now = { ...now, ...by };
      return now;
    },
    forget: () => {
      now = STILL;
      item = undefined;
    },
  };
}
