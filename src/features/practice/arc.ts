import { fullCircle } from '@/core';
import type { FrameSize } from '@/figures/frame/size';

/** An arc that is laid over a picture: its hub as shares of the picture, from where, and how far round. */
export interface Arc {
  readonly acrossShare: number;
  readonly downShare: number;
  /** From the top, with the hands of a clock. */
  readonly fromDeg: number;
  readonly sweepDeg: number;
}

export const FIRST_ARC: Arc = { acrossShare: 0.5, downShare: 0.5, fromDeg: 0, sweepDeg: 60 };
export const LEAST_SWEEP_DEG = 1;
export const MOST_SWEEP_DEG = 359;

/** What of an arc is in the hand. */
export type Grip = 'hub' | 'from' | 'to';

const RADIUS_SHARE = 0.38;
/** A finger takes hold of an end from this far. */
const HOLD_PX = 28;

interface Px {
  readonly x: number;
  readonly y: number;
}

export interface DrawnArc {
  readonly hub: Px;
  readonly from: Px;
  readonly to: Px;
  readonly radiusPx: number;
}

/** Where an arc lies on a picture of that size. */
export function drawnArc(
  { acrossShare, downShare, fromDeg, sweepDeg }: Arc,
  { widthPx, heightPx }: FrameSize,
): DrawnArc {
  const hub = { x: acrossShare * widthPx, y: downShare * heightPx };
  const radiusPx = RADIUS_SHARE * Math.min(widthPx, heightPx);
  const at = (deg: number): Px => ({
    x: hub.x + radiusPx * Math.sin((deg * Math.PI) / 180),
    y: hub.y - radiusPx * Math.cos((deg * Math.PI) / 180),
  });
  return { hub, from: at(fromDeg), to: at(fromDeg + sweepDeg), radiusPx };
}

/** What a touch takes hold of: the nearer end within reach, or else the hub, which comes to it. */
export function gripAt(arc: Arc, size: FrameSize, touch: Px): Grip {
  const drawn = drawnArc(arc, size);
  const apart = ({ x, y }: Px) => Math.hypot(x - touch.x, y - touch.y);
  const grip: Grip = apart(drawn.from) < apart(drawn.to) ? 'from' : 'to';
  return apart(drawn[grip]) <= HOLD_PX ? grip : 'hub';
}

const sweepBetween = (fromDeg: number, toDeg: number): number =>
  Math.min(MOST_SWEEP_DEG, Math.max(LEAST_SWEEP_DEG, Math.round(fullCircle(toDeg - fromDeg))));

/** An arc with what is in the hand brought to a place; the other end stays where it is. */
export function broughtTo(arc: Arc, grip: Grip, { widthPx, heightPx }: FrameSize, to: Px): Arc {
  if (grip === 'hub') {
    const share = (value: number) => Math.min(1, Math.max(0, value));
    return { ...arc, acrossShare: share(to.x / widthPx), downShare: share(to.y / heightPx) };
  }
  const { hub } = drawnArc(arc, { widthPx, heightPx });
  const deg = (Math.atan2(to.x - hub.x, hub.y - to.y) * 180) / Math.PI;
  if (grip === 'to') return { ...arc, sweepDeg: sweepBetween(arc.fromDeg, deg) };
  const fromDeg = Math.round(fullCircle(deg)) % 360;
  return { ...arc, fromDeg, sweepDeg: sweepBetween(fromDeg, arc.fromDeg + arc.sweepDeg) };
}
