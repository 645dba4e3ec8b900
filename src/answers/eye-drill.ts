import { alongBearing, bearingDeg, fullCircle, halfCircle, sunPosition } from '@/core';
import { pictured, standingAt, type Pictured } from './pictured';
import type { Setup } from './view';

/**
 * An eye for light: where the sun stands, how high, how much light there is and which hour it is, read from a picture;
 * and from which side of a ground faces are lit from the front, told by the hour.
 */

export const EYE_TASKS = ['side', 'hour', 'height', 'ground', 'ev'] as const;
export type EyeTask = (typeof EYE_TASKS)[number];

/** Where the sun may stand, from behind the camera round by the right. */
export const SUN_SIDES = ['behind', 'right', 'ahead', 'left'] as const;
export type SunSide = (typeof SUN_SIDES)[number];
/** Heights of the sun to choose from, degrees, and light to choose from, EV: steps that can be told apart. */
export const HEIGHTS_DEG = [5, 15, 30, 45, 60] as const;
export const EVS = [5, 7, 9, 11, 13, 15] as const;
/** Half of the widest step between them. */
const HALF_HEIGHT_DEG = 7.5;
const HALF_EV = 1;

export interface EyeQuestion {
  readonly task: EyeTask;
  /** What is looked at; for a side of a ground, what is seen from the right one. */
  readonly picture: Pictured;
  readonly setup: Setup;
  readonly atMs: number;
  /** The place in the list of answers that is right. */
  readonly right: number;
  /** The true figure: degrees of the sun from behind the camera to its right, its height, the EV, or its azimuth. */
  readonly truth: number;
  /** What may be answered: degrees, EV, minutes as epoch ms, or the bearings of a ground's sides. */
  readonly choices: readonly number[];
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

/** As far from the mark as before, on a bearing from it. */
export function placedTowards(setup: Setup, { view }: Pictured, fromMarkDeg: number): Setup {
  const { mark, position } = view;
  const distanceM = Math.hypot(position.x - mark.x, position.y - mark.y);
  const { x, y } = alongBearing(fromMarkDeg);
  return standingAt(setup, { x: mark.x + distanceM * x, y: mark.y + distanceM * y });
}

/** Degrees that the sun stands to the right of behind the camera, −180 to 180. */
export function sunFromBehindDeg({ view, answer }: Pictured): number {
  const lookedDeg = bearingDeg(view.camera, view.aim);
  return halfCircle(answer.light.sun.azimuthDeg - (lookedDeg + 180)) * -1;
}

/** Whether the sun throws shadows that can be read. */
const shines = ({ sun, daylight, indoors }: Pictured['answer']['light']): boolean =>
  !indoors && daylight.directNormalLux > 0 && sun.apparentAltitudeDeg >= LEAST_HEIGHT_DEG;

type Found = Pick<EyeQuestion, 'truth' | 'right' | 'choices'>;

/** The quarter that a bearing lies in, from one of four on; nothing where it lies between two. */
function quarterOf(deg: number): number | undefined {
  const quarter = ((Math.round(deg / 90) % 4) + 4) % 4;
  return Math.abs(halfCircle(deg - 90 * quarter)) > 45 - CLEAR_SIDE_DEG ? undefined : quarter;
}

/** What is asked of a picture as it is. */
function asked(task: EyeTask, picture: Pictured): Found | undefined {
  const { light } = picture.answer;
  // What lies beyond all answers is not asked: none would be right.
  const among = (choices: readonly number[], truth: number, within: number): Found | undefined => {
    const right = nearest(choices, truth);
    const apart = Math.abs((choices[right] as number) - truth);
    return apart > within ? undefined : { truth, right, choices };
  };
  if (task === 'ev') return among(EVS, light.ev.expected, HALF_EV);
  if (!shines(light)) return undefined;
  if (task === 'height') return among(HEIGHTS_DEG, light.sun.apparentAltitudeDeg, HALF_HEIGHT_DEG);
  const truth = sunFromBehindDeg(picture);
  const right = quarterOf(truth);
  return right === undefined ? undefined : { truth, right, choices: [0, 90, 180, 270] };
}

interface Hours {
  readonly fromMs: number;
  readonly toMs: number;
}
const HOUR_MS = 3_600_000;
const HOURS_APART = 2;
const FEWEST_HOURS = 3;

/** Hours of the clock, two apart, with the sun up; nothing where there are too few to choose from. */
function sunlitHours(
  { place }: Setup,
  { fromMs, toMs }: Hours,
  chance: number,
): readonly number[] | undefined {
  const first = Math.ceil(fromMs / HOUR_MS) + Math.floor(chance * HOURS_APART);
  const hours: number[] = [];
  for (let hour = first; hour * HOUR_MS <= toMs; hour += HOURS_APART) {
    const { apparentAltitudeDeg } = sunPosition({ ...place, time: hour * HOUR_MS });
    if (apparentAltitudeDeg >= LEAST_HEIGHT_DEG) hours.push(hour * HOUR_MS);
  }
  return hours.length < FEWEST_HOURS ? undefined : hours;
}

/** Bearings that the sides of a ground lie on from its middle. */
export const sidesOf = ({ ground }: Pick<Setup, 'ground'>): readonly number[] =>
  [0, 90, 180, 270].map((deg) => fullCircle(ground.bearingDeg + deg));

/** Where and when to look, and what is asked of what is seen then. */
interface Posed {
  readonly atMs: number;
  /** The bearing from the mark that it is seen from. */
  readonly fromDeg: number;
  readonly found: (seen: Pictured) => Found | undefined;
}

/** What is known before it is looked at stands only where the sun shines. */
const inSun =
  (found: Found) =>
  ({ answer }: Pictured): Found | undefined =>
    shines(answer.light) ? found : undefined;

function posed(setup: Setup, hours: Hours, task: EyeTask, chance: () => number): Posed | undefined {
  if (task === 'hour') {
    const choices = sunlitHours(setup, hours, chance());
    if (!choices) return undefined;
    const right = Math.floor(chance() * choices.length);
    const atMs = choices[right] as number;
    return { atMs, fromDeg: 360 * chance(), found: inSun({ truth: atMs, right, choices }) };
  }
  const atMs = hours.fromMs + chance() * (hours.toMs - hours.fromMs);
  if (task !== 'ground') {
    return { atMs, fromDeg: 360 * chance(), found: (seen) => asked(task, seen) };
  }
  const choices = sidesOf(setup);
  const { azimuthDeg: truth } = sunPosition({ ...setup.place, time: atMs });
  const right = quarterOf(truth - setup.ground.bearingDeg);
  return right === undefined
    ? undefined
    : { atMs, fromDeg: choices[right] as number, found: inSun({ truth, right, choices }) };
}

/**
 * A question about light: the same mark from somewhere round it, at some minute between two.
 * @param chance gives numbers from 0 up to 1
 */
export function eyeQuestion(
  setup: Setup,
  picture: Pictured,
  hours: Hours,
  task: EyeTask,
  chance: () => number,
): EyeQuestion | undefined {
  for (let i = 0; i < TRIES; i += 1) {
    const pose = posed(setup, hours, task, chance);
    if (!pose) continue;
    const { atMs, fromDeg, found } = pose;
    const there = placedTowards(setup, picture, fromDeg);
    const seen = pictured(there, atMs);
    const known = seen && found(seen);
    if (known) return { task, picture: seen, setup: there, atMs, ...known };
  }
  return undefined;
}

/** Tasks whose answers go round. */
const ROUND: ReadonlySet<EyeTask> = new Set(['side', 'ground']);

/** How many steps an answer is from the right one; round the compass the shorter way. */
export function eyeOff(
  { task, right, choices }: Pick<EyeQuestion, 'task' | 'right' | 'choices'>,
  answer: number,
): number {
  const apart = Math.abs(answer - right);
  return ROUND.has(task) ? Math.min(apart, choices.length - apart) : apart;
}
