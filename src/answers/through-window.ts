import {
  bearingDeg,
  glassLossStops,
  obstaclesOf,
  offSquareDeg,
  raised,
  sightLeaves,
  type Opening,
  type Point3,
} from '@/core';
import type { Feature } from '@/records/shoot';

/** What a view looks out of, for one who sits in a hide, a car or a room. */

/** The window that a line of sight goes out by. */
export interface Through {
  readonly hide: string;
  readonly opening: Opening;
  /** How far off its square, 0 to 90. */
  readonly offSquareDeg: number;
  /** Light that its glass costs. */
  readonly lossStops: number;
}

const PANES = { open: 0, net: 0, glass: 1, doubleGlass: 2 } as const;

/** The window that the line from camera to subject goes out by; nothing where it goes out by none. */
export function throughWindow(
  camera: Point3,
  aim: Point3,
  features: readonly Feature[],
): Through | undefined {
  for (const feature of raised(features)) {
    if (feature.kind !== 'hide') continue;
    for (const obstacle of obstaclesOf(feature)) {
      const opening = sightLeaves(camera, aim, obstacle);
      if (!opening) continue;
      const off = offSquareDeg(bearingDeg(camera, aim), opening);
      const panes = PANES[opening.pane];
      const lossStops = panes > 0 ? glassLossStops(panes, off) : 0;
      return { hide: feature.name, opening, offSquareDeg: off, lossStops };
    }
  }
  return undefined;
}
