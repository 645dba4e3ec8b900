import type { ClockFound } from '@/answers/camera-clock';
import type { CameraClock } from '@/records/log';
import { offsetInWords } from './log-rows';

/** What is said of cameras' clocks. */

/** Nearer than this, what is set and what is found are one: a glance differs. */
const SAME_S = 5;

type Piece = Omit<CameraClock, 'name'>;

/** Whether a clock is set as it was found: what is set by hand or picture is not corrected by what is known less well. */
export const isAsFound = (set: readonly Piece[], found: readonly Piece[]): boolean => {
  const stands = set.length > 0 ? set : [{ offsetS: 0 }];
  const toleranceS = (i: number) =>
    set.length > 0 ? Math.max(SAME_S, found[i]?.withinS ?? 0) : SAME_S;
  return (
    stands.length === found.length &&
    stands.every(
      ({ offsetS }, i) => Math.abs(offsetS - (found[i]?.offsetS ?? NaN)) <= toleranceS(i),
    )
  );
};

const driftInWords = ({ drift }: Piece): string =>
  drift ? `, ${drift.perDayS > 0 ? 'losing' : 'gaining'} ${Math.abs(drift.perDayS)} s a day` : '';

const pieceInWords = (piece: Piece): string =>
  `${offsetInWords(piece.offsetS)}${driftInWords(piece)}`;

const piecesInWords = (pieces: readonly Piece[]): string =>
  pieces
    .map((piece) =>
      piece.fromFile ? `from ${piece.fromFile} on ${pieceInWords(piece)}` : pieceInWords(piece),
    )
    .join('; ');

const withinInWords = (pieces: readonly Piece[]): string => {
  const most = Math.max(...pieces.map(({ withinS = 0 }) => withinS));
  return `to within ${most} s`;
};

/** How a clock stands, and how that is known: never right when nobody looked. */
export function clockInWords(set: readonly Piece[], found: ClockFound | undefined): string {
  const [first] = set;
  if (!first) return found ? `right ${withinInWords(found.pieces)}` : 'not checked';
  const how =
    first.by === 'picture'
      ? 'by a picture of a clock'
      : first.by === 'taps'
        ? withinInWords(set)
        : 'as you set it';
  return `${piecesInWords(set)}, ${how}`;
}

/** "It looks 3 min 20 s slow, to within 3 s." */
export const foundInWords = ({ pieces }: ClockFound): string =>
  `It looks ${piecesInWords(pieces)}, ${withinInWords(pieces)}.`;

/** What that rests on. */
export function howFoundInWords({ fits }: ClockFound): string {
  const ties = fits.reduce((sum, { fit }) => sum + fit.ties.length, 0);
  const of = Math.max(...fits.map(({ fit }) => fit.of));
  return ties === 0
    ? 'Its pictures then fall into the events of the day, or beside another camera’s. No tap speaks for it.'
    : `${ties} of ${of} keepers tapped in the field then follow a picture of it by some seconds.`;
}
