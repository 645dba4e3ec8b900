import { ownSpeedMs, partTrack, type MovingPart } from '../motion/subject';
import {
  add,
  alongBearing,
  cross,
  length,
  scale,
  subtract,
  unit,
  UP,
  type Point3,
} from '../site/vector';
import type { Figure, Joint } from './types';

/** A figure at an instant of the exposure: each piece's two ends, in metres. */

export interface PlacedPiece {
  readonly from: Point3;
  readonly to: Point3;
}

/** The even course of the body, for joints that share no part's motion. */
const COURSE: MovingPart = {
  name: '',
  role: 'body',
  aheadM: 0,
  leftM: 0,
  upM: 0,
  bodyShare: 1,
};

const MOMENT_S = 1e-4;

/**
 * What a part does of itself besides, at its steadiest pace: at right angles to its way and to the line it is seen
 * along, which is the worst, as {@link motionSmear} reckons it.
 */
function ownMotion(
  { subject }: Figure,
  part: MovingPart,
  track: (timeS: number) => Point3,
  eye: Point3,
): Point3 {
  const speedMs = ownSpeedMs(subject, part);
  if (speedMs === 0) return { x: 0, y: 0, z: 0 };
  const way = subtract(track(MOMENT_S), track(-MOMENT_S));
  const aside = cross(way, subtract(track(0), eye));
  return scale(length(aside) > 1e-12 ? unit(aside) : UP, speedMs);
}

/**
 * A figure's pieces through the exposure: each joint goes where the part does whose motion it shares.
 * @param eye where it is seen from
 */
export function figureThrough(
  figure: Figure,
  eye: Point3,
): (timeS: number) => readonly PlacedPiece[] {
  const { subject, parts, path, pieces, phasesRad = {} } = figure;
  const moves = new Map(
    [COURSE, ...parts].map((part) => {
      const whole = partTrack(subject, part, path);
      const track = (timeS: number) =>
        whole(timeS, phasesRad[part.name] ?? part.swing?.phaseRad ?? 0);
      const own = ownMotion(figure, part, track, eye);
      const rest = track(0);
      return [
        part.name,
        (timeS: number) => add(subtract(track(timeS), rest), scale(own, timeS)),
      ] as const;
    }),
  );
  const { facingDeg, pitchDeg = 0 } = figure;
  const ahead = alongBearing(facingDeg, pitchDeg);
  const left = alongBearing(facingDeg - 90);
  const upward = cross(ahead, left);
  // What is tilted turns about its middle.
  const middleM = pitchDeg === 0 ? 0 : subject.heightM / 2;
  const restOf = ({ aheadM, leftM, upM }: Joint): Point3 =>
    [
      scale(ahead, aheadM),
      scale(left, leftM),
      scale(upward, upM - middleM),
      scale(UP, middleM),
    ].reduce(add, path.position);
  const movedBy = ({ part = '' }: Joint) =>
    moves.get(part) ?? (moves.get('') as (timeS: number) => Point3);
  const ends = pieces.map(({ from, to }) => {
    const [a, b] = [restOf(from), restOf(to)];
    const [moveA, moveB] = [movedBy(from), movedBy(to)];
    return (timeS: number) => ({ from: add(a, moveA(timeS)), to: add(b, moveB(timeS)) });
  });
  return (timeS) => ends.map((at) => at(timeS));
}
