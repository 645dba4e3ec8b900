import { bearingDeg, halfCircle, type Point2 } from '@/core';
import { pictured, standingAt, type Pictured } from './pictured';
import type { Setup } from './view';

/** An eye for light: where the sun stands, how high, and how much light there is, read from a picture. */

export const EYE_TASKS = ['side', 'height', 'ev'] as const;
export type EyeTask = (typeof EYE_TASKS)[number];

/** Where the sun may stand, from behind the camera round by the right. */
export const SUN_SIDES = ['behind', 'right', 'ahead', 'left'] as const;
export type SunSide = (typeof SUN_SIDES)[number];
/** Heights of the sun to choose from, degrees, and light to choose from, EV: steps that can be told apart. */
export const HEIGHTS_DEG = [5, 15, 30, 45, 60] as const;
export const EVS = [5, 7, 9, 11, 13, 15] as const;

export interface EyeQuestion {
  readonly task: EyeTask;
  readonly picture: Pictured;
  readonly setup: Setup;
  readonly atMs: number;
  /** The place in the list of answers that is right. */
  readonly right: number;
  /** The true figure: degrees of the sun from behind the camera to its right, its height, or the EV. */
  readonly truth: number;
}

const nearest = (list: readonly number[], value: number): number =>
  list.reduce(
    (best, one, i) => (Math.abs(one - value) < Math.abs((list[best] as number) - value) ? i : best),
    0,
  );

/** A question no answer is near to is not asked: the sun within this of half-way between two sides. */
const CLEAR_SIDE_DEG = 12;
/** Lower the sun casts nothing that can be read. */
const LEAST_HEIGHT_DEG = 2;
const TRIES = 12;

/** Somewhere about the mark, as far off as before. */
function placedAbout(setup: Setup, picture: Pictured, turnDeg: number): Setup {
  const { mark, position } = picture.view;
  const [dx, dy] = [position.x - mark.x, position.y - mark.y];
  const turn = (turnDeg * Math.PI) / 180;
  const to: Point2 = {
    x: mark.x + dx * Math.cos(turn) - dy * Math.sin(turn),
    y: mark.y + dx * Math.sin(turn) + dy * Math.cos(turn),
  };
  return standingAt(setup, to);
}

/** Degrees that the sun stands to the right of behind the camera, −180 to 180. */
export function sunFromBehindDeg({ view, answer }: Pictured): number {
  const lookedDeg = bearingDeg(view.camera, view.aim);
  return halfCircle(answer.light.sun.azimuthDeg - (lookedDeg + 180)) * -1;
}

function asked(
  task: EyeTask,
  { answer, ...rest }: Pictured,
): { truth: number; right: number } | undefined {
  const { sun, daylight, indoors, ev } = answer.light;
  if (task === 'ev') return { truth: ev.expected, right: nearest(EVS, ev.expected) };
  if (indoors || daylight.directNormalLux <= 0 || sun.apparentAltitudeDeg < LEAST_HEIGHT_DEG) {
    return undefined;
  }
  if (task === 'height') {
    return { truth: sun.apparentAltitudeDeg, right: nearest(HEIGHTS_DEG, sun.apparentAltitudeDeg) };
  }
  const truth = sunFromBehindDeg({ answer, ...rest });
  const quarter = ((Math.round(truth / 90) % 4) + 4) % 4;
  const off = Math.abs(halfCircle(truth - 90 * quarter));
  return off > 45 - CLEAR_SIDE_DEG ? undefined : { truth, right: quarter };
}

/**
 * A question about light: the same mark from somewhere round it, at some minute between two.
 * @param chance gives numbers from 0 up to 1
 */
export function eyeQuestion(
  setup: Setup,
  picture: Pictured,
  hours: { readonly fromMs: number; readonly toMs: number },
  task: EyeTask,
  chance: () => number,
): EyeQuestion | undefined {
  for (let i = 0; i < TRIES; i += 1) {
    const atMs = hours.fromMs + chance() * (hours.toMs - hours.fromMs);
    const there = placedAbout(setup, picture, 360 * chance());
    const seen = pictured(there, atMs);
    const found = seen && asked(task, seen);
    if (seen && found) return { task, picture: seen, setup: there, atMs, ...found };
  }
  return undefined;
}

/** How many steps an answer is from the right one; round the compass the shorter way. */
export function eyeOff(
  { task, right }: Pick<EyeQuestion, 'task' | 'right'>,
  answer: number,
): number {
  const apart = Math.abs(answer - right);
  return task === 'side' ? Math.min(apart, SUN_SIDES.length - apart) : apart;
}
