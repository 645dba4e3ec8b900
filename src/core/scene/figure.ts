import { partTrack, type MovingPart, type PartTrack } from '../motion/subject';
import { add, alongBearing, cross, scale, subtract, UP, type Point3 } from '../site/vector';
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

/** A figure's pieces through the exposure: each joint goes where the part does whose motion it shares. */
export function figureThrough(figure: Figure): (timeS: number) => readonly PlacedPiece[] {
  const { subject, parts, path, pieces } = figure;
  const tracks = new Map<string | undefined, PartTrack>(
    [COURSE, ...parts].map((part) => [part.name, partTrack(subject, part, path)]),
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
  const movedBy = ({ part = '' }: Joint): ((timeS: number) => Point3) => {
    const track = tracks.get(part) ?? (tracks.get('') as PartTrack);
    const rest = track(0, 0);
    return (timeS) => subtract(track(timeS, 0), rest);
  };
  const ends = pieces.map(({ from, to }) => {
    const [a, b] = [restOf(from), restOf(to)];
    const [moveA, moveB] = [movedBy(from), movedBy(to)];
    return (timeS: number) => ({ from: add(a, moveA(timeS)), to: add(b, moveB(timeS)) });
  });
  return (timeS) => ends.map((at) => at(timeS));
}
