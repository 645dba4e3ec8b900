import type { Point2 } from '@/core';

/** Corners of an upright rectangle, round from its south-west one. */
export const rectangle = (minX: number, minY: number, maxX: number, maxY: number): Point2[] => [
  { x: minX, y: minY },
  { x: maxX, y: minY },
  { x: maxX, y: maxY },
  { x: minX, y: maxY },
];

/** Points from pairs of metres. */
export const through = (...pairs: readonly (readonly [number, number])[]): Point2[] =>
  pairs.map(([x, y]) => ({ x, y }));
