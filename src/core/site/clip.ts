import type { Point2 } from './vector';

/** What of a polygon lies where an even measure of the ground is not below 0; may have under three corners. */
export function clipped(
  polygon: readonly Point2[],
  measure: (point: Point2) => number,
): readonly Point2[] {
  const kept: Point2[] = [];
  polygon.forEach((to, i) => {
    const from = polygon.at(i - 1) as Point2;
    const [before, after] = [measure(from), measure(to)];
    if (before >= 0 !== after >= 0) {
      const share = before / (before - after);
      kept.push({ x: from.x + (to.x - from.x) * share, y: from.y + (to.y - from.y) * share });
    }
    if (after >= 0) kept.push(to);
  });
  return kept;
}
