import {
  bearingDeg,
  insidePolygon,
  openingsOf,
  rectangleCorners,
  type HideWindow,
  type Point2,
} from '@/core';
import { chosenMark } from '@/answers/view';
import { HIDES, type HideForm } from '@/presets/hides';
import type { Feature, Position, Shoot } from '@/records/shoot';

/** A new hide, its window towards the mark in hand, and the seat in it. */

type Hide = Extract<Feature, { kind: 'hide' }>;

/** The wall that looks along a rectangle's depth. */
const FRONT = 2;
/** A lens is so far within its window, so that nothing of it shows. Common practice, no source. */
const BEHIND_WINDOW_M = 0.3;

/** @param name what it is called, not taken yet */
export function newHide(
  form: HideForm,
  {
    shoot,
    id,
    at,
    name,
  }: { readonly shoot: Shoot; readonly id: string; readonly at: Point2; readonly name: string },
): Hide {
  const { widthM, depthM, heightM, window } = HIDES[form];
  const mark = chosenMark(shoot);
  const onIt = Math.hypot(mark.x - at.x, mark.y - at.y) < 1e-6;
  const looksDeg = onIt ? shoot.ground.bearingDeg : bearingDeg(at, mark);
  return {
    ...{ id, name, kind: 'hide', heightM },
    points: rectangleCorners({ middle: at, widthM, depthM, bearingDeg: looksDeg }),
    windows: [{ wall: FRONT, asideM: 0, ...window }],
  };
}

/** Where one sits at the first window of a hide: the lens just within it, half way up. */
export function seatIn(hide: Hide, id: string, name: string): Position | undefined {
  const [opening] = openingsOf(hide.points, hide.windows ?? []);
  if (!opening) return undefined;
  const { left, right, sillM, headM } = opening;
  const lengthM = Math.hypot(right.x - left.x, right.y - left.y);
  // To the left of the way from left to right is out: within is to the right of it.
  const within = {
    x: ((right.y - left.y) / lengthM) * BEHIND_WINDOW_M,
    y: (-(right.x - left.x) / lengthM) * BEHIND_WINDOW_M,
  };
  const at = { x: (left.x + right.x) / 2 + within.x, y: (left.y + right.y) / 2 + within.y };
  return {
    ...{ id, name, ...at, carriedBy: hide.id },
    cameraHeightM: Math.round(((sillM + headM) / 2) * 100) / 100,
  };
}

/** Whether anybody's place lies within a hide already. */
export const isSatIn = ({ points }: Hide, { positions }: Pick<Shoot, 'positions'>): boolean =>
  positions.some((position) => insidePolygon(position, points));

/** A window more, in the first wall that has none; like the last, or as a hide usually has it. */
export function windowMore({ points, windows = [] }: Hide): HideWindow {
  const wall = points.findIndex((_, i) => !windows.some((window) => window.wall === i));
  const like = windows.at(-1) ?? HIDES.hide.window;
  return { ...like, asideM: 0, wall: Math.max(0, windows.length === 0 ? FRONT : wall) };
}
