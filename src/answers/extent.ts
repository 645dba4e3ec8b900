import { polygonHull } from 'd3-polygon';
import type { Point2, SiteFeature } from '@/core';
import { groundLines } from '@/presets/grounds';
import type { Shoot } from '@/records/shoot';

/** What stands still on a ground, and how far it reaches. */

export interface StillGround {
  readonly lines: ReturnType<typeof groundLines>;
  readonly features: readonly SiteFeature[];
}

/** What is painted on a shoot's ground. */
export const planLines = ({ template, bearingDeg }: Shoot['ground']): StillGround['lines'] =>
  groundLines(template, bearingDeg);

/** What stands still on a shoot's ground. */
export const planGround = ({
  ground,
  features,
}: Pick<Shoot, 'ground' | 'features'>): StillGround => ({ lines: planLines(ground), features });

/** The corners of all that stands still: what is within them need not be asked for the extent. */
export function groundExtent({ lines, features }: StillGround): readonly Point2[] {
  const points = [...lines, ...features].flatMap((entry) => entry.points);
  const hull = polygonHull(points.map(({ x, y }): [number, number] => [x, y]));
  return hull ? hull.map(([x, y]) => ({ x, y })) : points;
}

/** Every point that must be on the picture. */
export const planExtent = (
  ground: StillGround,
  { marks, positions }: Pick<Shoot, 'marks' | 'positions'>,
): readonly Point2[] => [...groundExtent(ground), ...marks, ...positions];
