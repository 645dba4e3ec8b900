import { alongBearing, type Point2 } from '@/core';
import { polyline } from './line-work';

/** Which piece of ground is shown: its middle, how large, and the true bearing that points up. */
export interface PlanView {
  readonly middle: Point2;
  readonly pxPerM: number;
  readonly upDeg: number;
}

/** Maps metres east and north to pixels right and down. */
export interface PlanScale extends PlanView {
  readonly toPx: (point: Point2) => Point2;
  readonly toMetres: (px: Point2) => Point2;
}

/** Closest and widest that one may look. */
const MOST_PX_PER_M = 400;
const LEAST_PX_PER_M = 0.02;

const PADDING_PX = 22;
/** A single point is shown amid this much ground. */
const LEAST_SPAN_M = 20;

/** Right and up on the picture, as directions on the ground. */
const axes = (upDeg: number) => ({ up: alongBearing(upDeg), right: alongBearing(upDeg + 90) });

/**
 * The view in which all points fit a picture.
 * @param footPx kept clear at the foot, beyond the padding
 */
export function fitView(
  points: readonly Point2[],
  widthPx: number,
  heightPx: number,
  { upDeg = 0, paddingPx = PADDING_PX, footPx = 0, leastSpanM = LEAST_SPAN_M } = {},
): PlanView {
  const { up, right } = axes(upDeg);
  const across = points.map(({ x, y }) => x * right.x + y * right.y);
  const along = points.map(({ x, y }) => x * up.x + y * up.y);
  const [left, far] = [Math.min(...across), Math.max(...across)];
  const [low, high] = [Math.min(...along), Math.max(...along)];
  // A picture lower than its own padding has no scale yet: it is being laid out.
  const pxPerM = Math.max(
    LEAST_PX_PER_M,
    Math.min(
      (widthPx - 2 * paddingPx) / Math.max(far - left, leastSpanM),
      (heightPx - 2 * paddingPx - footPx) / Math.max(high - low, leastSpanM),
    ),
  );
  // Raised by half of what is kept clear at the foot.
  const [a, b] = [(left + far) / 2, (low + high) / 2 - footPx / 2 / pxPerM];
  return {
    middle: { x: a * right.x + b * up.x, y: a * right.y + b * up.y },
    pxPerM,
    upDeg,
  };
}

/** Turned for less than this gain in size, a plan only loses north from the top of the page. */
const WORTH_TURNING = 1.08;
/** Two turns that differ in size by less are as good as each other. */
const AS_GOOD = 1.06;
/** Turns tried from the way the ground lies, besides along and across it. */
const TURN_STEP_DEG = 15;

/**
 * As {@link fitView}, turned so that the points fill the picture: north up unless a turn shows the ground larger,
 * and never with north below the horizontal.
 * @param alongDeg the way the ground lies: along it and across it are tried first
 */
export function fitTurned(
  points: readonly Point2[],
  widthPx: number,
  heightPx: number,
  alongDeg: number,
  options: {
    readonly paddingPx?: number;
    readonly footPx?: number;
    readonly leastSpanM?: number;
  } = {},
): PlanView {
  const halfTurn = (deg: number) => ((((deg + 90) % 180) + 180) % 180) - 90;
  const turns = Array.from({ length: 180 / TURN_STEP_DEG }, (_, i) =>
    halfTurn(alongDeg + i * TURN_STEP_DEG),
  );
  const fitted = (upDeg: number) =>
    fitView(points, widthPx, heightPx, { ...options, upDeg: (upDeg + 360) % 360 });
  const north = fitted(0);
  const views = turns.map((deg) => ({ deg, view: fitted(deg) }));
  const largest = Math.max(...views.map(({ view }) => view.pxPerM));
  if (largest < north.pxPerM * WORTH_TURNING) return north;
  // Of turns that show it about as large, the one that leaves north nearest to the top.
  return views
    .filter(({ view }) => view.pxPerM > largest / AS_GOOD)
    .reduce((a, b) => (Math.abs(b.deg) < Math.abs(a.deg) ? b : a)).view;
}

/** A view as a scale for a picture of some size. */
export function scaleOf(view: PlanView, widthPx: number, heightPx: number): PlanScale {
  const { middle, pxPerM, upDeg } = view;
  const { up, right } = axes(upDeg);
  return {
    ...view,
    toPx: ({ x, y }) => {
      const [east, north] = [x - middle.x, y - middle.y];
      return {
        x: widthPx / 2 + (east * right.x + north * right.y) * pxPerM,
        y: heightPx / 2 - (east * up.x + north * up.y) * pxPerM,
      };
    },
    toMetres: ({ x, y }) => {
      const [across, along] = [(x - widthPx / 2) / pxPerM, (heightPx / 2 - y) / pxPerM];
      return {
        x: middle.x + across * right.x + along * up.x,
        y: middle.y + across * right.y + along * up.y,
      };
    },
  };
}

/** How a picture has been dragged, pinched and turned since it was drawn. */
export interface Gestured {
  /** Where the fingers took hold, and how far they have gone since. */
  readonly about: Point2;
  readonly by: Point2;
  readonly zoom: number;
  /** Clockwise on the picture. */
  readonly turnDeg: number;
}

/** The zoom that a view can still take. */
export const zoomWithin = ({ pxPerM }: PlanView, zoom: number): number =>
  Math.min(MOST_PX_PER_M / pxPerM, Math.max(LEAST_PX_PER_M / pxPerM, zoom));

/** The view after a gesture: the ground that was taken hold of is still under the fingers. */
export function viewAfter(
  view: PlanView,
  { about, by, zoom, turnDeg }: Gestured,
  widthPx: number,
  heightPx: number,
): PlanView {
  const held = scaleOf(view, widthPx, heightPx).toMetres(about);
  const turned = {
    ...view,
    pxPerM: view.pxPerM * zoomWithin(view, zoom),
    upDeg: (((view.upDeg - turnDeg) % 360) + 360) % 360,
  };
  const now = scaleOf(turned, widthPx, heightPx).toMetres({
    x: about.x + by.x,
    y: about.y + by.y,
  });
  return {
    ...turned,
    middle: { x: view.middle.x + held.x - now.x, y: view.middle.y + held.y - now.y },
  };
}

/** "M1 2L3 4" through points in metres. */
export const pathThrough = (
  points: readonly Point2[],
  { toPx }: PlanScale,
  closed = false,
): string => polyline(points.map(toPx), closed);

const NICE_LENGTHS_M = [0.1, 0.2, 0.5, 1, 2, 5, 10, 20, 50, 100, 200, 500, 1000, 2000];

/** The longest round length whose bar is at most this wide. */
export function scaleBarM(pxPerM: number, widestPx: number): number {
  return NICE_LENGTHS_M.filter((m) => m * pxPerM <= widestPx).at(-1) ?? 0.1;
}
