import { distanceToLine, FEATURE_SHAPE, insidePolygon, type Point2 } from '@/core';
import type { ItemRef } from '@/records/edit-site';
import type { Shoot } from '@/records/shoot';

type Drawn = Pick<Shoot, 'marks' | 'positions' | 'features'>;

/** How near a tap must come, in pixels, to each shape. */
const NEAR_PX = { sign: 26, point: 24, line: 18 } as const;

/** Area of the box round some points: a smaller thing lies over a larger one. */
function boxArea(points: readonly Point2[]): number {
  const xs = points.map(({ x }) => x);
  const ys = points.map(({ y }) => y);
  return (Math.max(...xs) - Math.min(...xs)) * (Math.max(...ys) - Math.min(...ys));
}

const nearest = <T extends { readonly awayM: number }>(found: readonly T[]): T | undefined =>
  [...found].sort((a, b) => a.awayM - b.awayM)[0];

/**
 * What a tap on the plan means: the nearest mark, position or single thing; else the nearest line
 * or edge; else the smallest solid area under it. Keep-outs are taken by their edge alone, since
 * they may lie over everything.
 */
export function itemAt(at: Point2, pxPerM: number, shoot: Drawn): ItemRef | undefined {
  const within = (px: number) => px / pxPerM;
  const away = (point: Point2) => Math.hypot(point.x - at.x, point.y - at.y);
  const signs = (['positions', 'marks'] as const).flatMap((list) =>
    shoot[list].map((entry) => ({ list, id: entry.id, awayM: away(entry) })),
  );
  const points = shoot.features
    .filter(({ kind }) => FEATURE_SHAPE[kind] === 'point')
    .map((feature) => ({
      list: 'features' as const,
      id: feature.id,
      awayM: Math.min(...feature.points.map(away)),
    }));
  const sign =
    nearest(signs.filter(({ awayM }) => awayM <= within(NEAR_PX.sign))) ??
    nearest(points.filter(({ awayM }) => awayM <= within(NEAR_PX.point)));
  if (sign) return { list: sign.list, id: sign.id };

  const edges = shoot.features
    .filter(({ kind }) => FEATURE_SHAPE[kind] === 'line' || FEATURE_SHAPE[kind] === 'area')
    .map(({ id, kind, points: corners }) => {
      const [first] = corners;
      const closed = FEATURE_SHAPE[kind] === 'area' && first ? [...corners, first] : corners;
      return { list: 'features' as const, id, awayM: distanceToLine(at, closed) };
    });
  const edge = nearest(edges.filter(({ awayM }) => awayM <= within(NEAR_PX.line)));
  if (edge) return { list: edge.list, id: edge.id };

  const [area] = shoot.features
    .filter(({ kind }) => FEATURE_SHAPE[kind] === 'area' && kind !== 'keepOut')
    .filter(({ points: corners }) => insidePolygon(at, corners))
    .sort((a, b) => boxArea(a.points) - boxArea(b.points));
  return area && { list: 'features', id: area.id };
}
