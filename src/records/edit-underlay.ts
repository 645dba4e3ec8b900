import { fullCircle } from '@/core';
import { turnGround, within } from './edit-ground';
import { confirmed } from './guesses';
import type { Shoot } from './shoot';
import type { Underlay } from './underlay';

/** Changes of the picture under a plan. */

/** The shoot with its picture changed; as it is where there is none. */
export const withUnderlay = (shoot: Shoot, change: (underlay: Underlay) => Underlay): Shoot =>
  shoot.underlay ? { ...shoot, underlay: within(change(shoot.underlay)) } : shoot;

export const laidUnder = (shoot: Shoot, underlay: Underlay): Shoot => ({
  ...shoot,
  underlay: within(underlay),
});

/** The shoot without its picture; what was traced over it stays. */
export function withoutUnderlay({ underlay: _gone, ...shoot }: Shoot): Shoot {
  return shoot;
}

/**
 * The top of the picture is north: the whole ground is turned with it until that is so. Which way the ground
 * lies is no guess any more.
 */
export function topIsNorth(shoot: Shoot): Shoot {
  if (!shoot.underlay) return shoot;
  const turned = turnGround(shoot, fullCircle(shoot.ground.bearingDeg - shoot.underlay.topDeg));
  return confirmed(
    withUnderlay(turned, (underlay) => ({ ...underlay, topDeg: 0 })),
    'bearing',
  );
}
