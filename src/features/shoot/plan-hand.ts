import { halfCircle, type Point2 } from '@/core';
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
  /** Where two fingers came down, while they are. */
  readonly put: (fingers: TwoFingers | undefined) => void;
  readonly pair: () => TwoFingers | undefined;
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
  let pair: TwoFingers | undefined;
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
    put: (fingers) => {
      pair = fingers;
    },
    pair: () => pair,
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

export type TwoFingers = readonly [Point2, Point2];

/** Fingers that pinch never hold quite still: a turn under this is none. */
const LEAST_TURN_DEG = 9;
const NEAREST_PX = 8;

/** What two fingers have done: drawn along with their middle, apart, and round. */
export function byTwoFingers(start: TwoFingers, now: TwoFingers): Gestured {
  const middle = ([a, b]: TwoFingers) => ({ x: (a.x + b.x) / 2, y: (a.y + b.y) / 2 });
  const span = ([a, b]: TwoFingers) => Math.max(NEAREST_PX, Math.hypot(b.x - a.x, b.y - a.y));
  const angle = ([a, b]: TwoFingers) => (Math.atan2(b.y - a.y, b.x - a.x) * 180) / Math.PI;
  const [from, to] = [middle(start), middle(now)];
  const turn = halfCircle(angle(now) - angle(start));
  return {
    about: from,
    by: { x: to.x - from.x, y: to.y - from.y },
    zoom: span(now) / span(start),
    turnDeg: Math.sign(turn) * Math.max(0, Math.abs(turn) - LEAST_TURN_DEG),
  };
}
