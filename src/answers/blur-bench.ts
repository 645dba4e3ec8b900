import {
  gradeOf,
  motionSmear,
  nearestMark,
  windowOn,
  type Grade,
  type PartSmear,
  type Scene,
} from '@/core';
import type { Pictured } from './pictured';

/** A blur bench: the same moment at one time or another, before a camera that stands on a tripod. */

/** A ladder a stop apart, from the slow end. Common practice. */
export const BENCH_S: readonly number[] = [15, 30, 60, 125, 250, 500, 1000, 2000, 4000, 8000].map(
  (mark) => nearestMark('shutter', 1 / mark).value,
);
/** Fainter than this nobody sees it, and longer than this everything is gone. In circles. No source. */
const SEEN_FROM = 1.5;
const SEEN_TO = 150;
const HELD_GRADES = ['crisp', 'slight'] as const;

/** Nothing shakes it. */
const TRIPOD_S = 1e9;

/** The picture at a time, as light as at any other: opening and ISO answer elsewhere. */
export function benchScene({ scene }: Pictured, shutterS: number): Scene {
  const { pan: _pan, ...camera } = scene.camera;
  return { ...scene, camera: { ...camera, shutterS, shakeS: TRIPOD_S } };
}

/** The same, near round a part: a drawn pixel is one of the picture as delivered. */
export function loupeOn(
  scene: Scene,
  part: string,
  { widthPx, heightPx }: { readonly widthPx: number; readonly heightPx: number },
  mmPerPx: number,
): Scene {
  const window = windowOn(scene, part, { widthPx, heightPx, mmPerPx });
  return { ...scene, camera: { ...scene.camera, window } };
}

const smearAt = ({ view: { running } }: Pictured, shutterS: number): readonly PartSmear[] =>
  motionSmear({ ...running, shutterS });

export interface Question {
  readonly task: 'name' | 'hold';
  readonly part: string;
  /** The grade that the part is to be held to, where it is to be. */
  readonly grade?: Grade;
  /** The time of the frame, or the slowest that holds. */
  readonly shutterS: number;
}

const timesOf = ({ view }: Pictured): readonly number[] =>
  BENCH_S.filter((shutterS) => shutterS >= view.body.fastestShutterS);

/** The one of a list that a chance falls on. */
const fallsOn = <T>(list: readonly T[], chance: number): T | undefined =>
  list[Math.min(list.length - 1, Math.floor(chance * list.length))];

/**
 * A question about this subject: a time to be named by its smear, or the slowest that holds a part to a grade. Nothing
 * where nothing moves enough.
 * @param chances two, each from 0 up to 1
 */
export function questionOf(
  picture: Pictured,
  task: Question['task'],
  [first, second]: readonly [number, number],
): Question | undefined {
  const times = timesOf(picture);
  const [slowest = 0] = times;
  const most = [...smearAt(picture, slowest)].sort((a, b) => b.circles - a.circles);
  if (task === 'name') {
    const [part] = most;
    const seen = times.filter((shutterS) => {
      const circles =
        smearAt(picture, shutterS).find((one) => one.part === part?.part)?.circles ?? 0;
      return circles >= SEEN_FROM && circles <= SEEN_TO;
    });
    const shutterS = fallsOn(seen, first);
    return part && shutterS !== undefined ? { task, part: part.part, shutterS } : undefined;
  }
  const part = fallsOn(most, first)?.part;
  const grade = fallsOn(HELD_GRADES, second);
  if (part === undefined || grade === undefined) return undefined;
  const shutterS = times.find((time) => holds(picture, part, grade, time));
  // What even the fastest does not hold, or the slowest does, is no question.
  return shutterS === undefined || shutterS === slowest
    ? undefined
    : { task, part, grade, shutterS };
}

const GRADES: readonly Grade[] = ['still', 'crisp', 'slight', 'plain'];

/** Whether a time holds a part to a grade, or better. */
export const holds = (picture: Pictured, part: string, grade: Grade, shutterS: number): boolean =>
  GRADES.indexOf(gradeAt(picture, part, shutterS)) <= GRADES.indexOf(grade);

/** How a part comes out at a time. */
export const gradeAt = (picture: Pictured, part: string, shutterS: number): Grade =>
  gradeOf(smearAt(picture, shutterS).find((one) => one.part === part)?.circles ?? 0);

/** How far an answer is off: above 0 it is slower than right. Stops. */
export const benchOff = ({ shutterS }: Question, answerS: number): number =>
  Math.round(Math.log2(answerS / shutterS));
