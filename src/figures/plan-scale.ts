import type { Point2 } from '@/core';

/** Maps metres east and north to pixels right and down, north at the top. */
export interface PlanScale {
  readonly pxPerM: number;
  readonly toPx: (point: Point2) => Point2;
  readonly toMetres: (px: Point2) => Point2;
}

const PADDING_PX = 22;

/** The scale at which all points fit a picture. A single point is shown amid 20 m. */
export function planScale(
  points: readonly Point2[],
  widthPx: number,
  heightPx: number,
  paddingPx = PADDING_PX,
): PlanScale {
  const xs = points.map((point) => point.x);
  const ys = points.map((point) => point.y);
  const [west, east] = [Math.min(...xs), Math.max(...xs)];
  const [south, north] = [Math.min(...ys), Math.max(...ys)];
  const spanM = (low: number, high: number) => Math.max(high - low, 20);
  const pxPerM = Math.min(
    (widthPx - 2 * paddingPx) / spanM(west, east),
    (heightPx - 2 * paddingPx) / spanM(south, north),
  );
  const middle = { x: (west + east) / 2, y: (south + north) / 2 };
  return {
    pxPerM,
    toPx: ({ x, y }) => ({
      x: widthPx / 2 + (x - middle.x) * pxPerM,
      y: heightPx / 2 - (y - middle.y) * pxPerM,
    }),
    toMetres: ({ x, y }) => ({
      x: middle.x + (x - widthPx / 2) / pxPerM,
      y: middle.y - (y - heightPx / 2) / pxPerM,
    }),
  };
}

/** "M1 2L3 4" through points in metres. */
export function pathThrough(
  points: readonly Point2[],
  { toPx }: PlanScale,
  closed = false,
): string {
  const steps = points.map((point) => {
    const { x, y } = toPx(point);
    return `${x.toFixed(1)} ${y.toFixed(1)}`;
  });
  return `M${steps.join('L')}${closed ? 'Z' : ''}`;
}

const NICE_LENGTHS_M = [1, 2, 5, 10, 20, 50, 100, 200, 500];

/** The longest round length whose bar is at most this wide. */
export function scaleBarM(pxPerM: number, widestPx: number): number {
  return NICE_LENGTHS_M.filter((m) => m * pxPerM <= widestPx).at(-1) ?? 1;
}
