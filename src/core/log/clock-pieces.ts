import { fitClock, type ClockEvidence, type ClockFit } from './clock';

/** A stretch of a camera's pictures through which its clock ran on, and how it stood. */
export interface ClockPiece {
  /** Its first picture, as a place in the order in which they were taken. */
  readonly from: number;
  /** Whether that place is in the order of the frames as given; in order of time without. */
  readonly isByFile: boolean;
  readonly fit: ClockFit;
}

/** A clock set back while shooting shows as a time before the one that stood on the picture before. */
const SET_BACK_MS = 60_000;
/** Times that go back more often are of pictures whose names say nothing of their order. */
const MOST_SET_BACK = 3;
/** A clock set on: so many taps agree on another offset, further away than glances differ. */
const FEWEST_TAPS = 4;
const APART_S = 60;
/** Of taps on either side of the cut this share may stand on the wrong one. */
const MOST_MIXED = 0.1;

/** Where times go back. */
function setBacks(framesMs: readonly number[]): readonly number[] {
  const backs = framesMs.flatMap((ms, i) =>
    i > 0 && ms < (framesMs[i - 1] ?? 0) - SET_BACK_MS ? [i] : [],
  );
  return backs.length > MOST_SET_BACK ? [] : backs;
}

/** A second offset that the taps left over speak for, before or after a cut; nothing without such a cut. */
function setOn(evidence: ClockEvidence, fit: ClockFit): readonly ClockPiece[] | undefined {
  const { framesMs, tapsMs } = evidence;
  const tied = new Set(fit.ties.map(({ tapMs }) => tapMs));
  const left = tapsMs.filter((ms) => !tied.has(ms));
  if (left.length < FEWEST_TAPS) return undefined;
  const other = fitClock({ ...evidence, tapsMs: left });
  if (!other || other.ties.length < FEWEST_TAPS) return undefined;
  if (Math.abs(other.offsetS - fit.offsetS) <= APART_S) return undefined;
  const marks = [
    ...fit.ties.map(({ frameMs }) => ({ frameMs, isOther: false })),
    ...other.ties.map(({ frameMs }) => ({ frameMs, isOther: true })),
  ].sort((a, b) => a.frameMs - b.frameMs);
  const otherFirst = Boolean(marks[0]?.isOther);
  // How many stand on the wrong side of each cut.
  const wrongAt = marks.map(
    (_, cut) => marks.filter(({ isOther }, i) => (isOther === otherFirst) !== i < cut).length,
  );
  const cut = wrongAt.indexOf(Math.min(...wrongAt));
  if ((wrongAt[cut] ?? 0) > MOST_MIXED * marks.length) return undefined;
  const lastBeforeMs = marks[cut - 1]?.frameMs ?? 0;
  // Between two ties the longest pause is the likeliest moment to set a clock.
  let from = framesMs.findIndex((ms) => ms > lastBeforeMs);
  const toMs = marks[cut]?.frameMs ?? Infinity;
  for (let i = from; i < framesMs.length && (framesMs[i] ?? 0) <= toMs; i += 1) {
    const pause = (at: number) => (framesMs[at] ?? 0) - (framesMs[at - 1] ?? 0);
    if (pause(i) > pause(from)) from = i;
  }
  const parts = [framesMs.slice(0, from), framesMs.slice(from)];
  const fits = parts.map((part) =>
    part.length > 0 ? fitClock({ ...evidence, framesMs: part }) : undefined,
  );
  const [before, after] = fits;
  if (!before || !after) return undefined;
  return [
    { from: 0, isByFile: false, fit: before },
    { from, isByFile: false, fit: after },
  ];
}

/**
 * A camera's clock through a day on which it may have been set: back, which its pictures' own order shows, or on, which
 * the taps show. Pieces in order; none where too little agrees.
 * @param evidence with its frames in the order in which they were taken
 */
export function fitClockPieces(evidence: ClockEvidence): readonly ClockPiece[] {
  const { framesMs } = evidence;
  if (framesMs.length === 0) return [];
  const cuts = [0, ...setBacks(framesMs)];
  if (cuts.length > 1) {
    const pieces = cuts.flatMap((from, i): readonly ClockPiece[] => {
      const fit = fitClock({ ...evidence, framesMs: framesMs.slice(from, cuts[i + 1]) });
      return fit ? [{ from, isByFile: true, fit }] : [];
    });
    // Some pictures of another day among them are no clock that was set: then all are looked at by their times.
    const differ = pieces.every(
      ({ fit }, i) => Math.abs(fit.offsetS - (pieces[i - 1]?.fit.offsetS ?? Infinity)) > APART_S,
    );
    if (differ && pieces.length === cuts.length) return pieces;
  }
  const whole = { ...evidence, framesMs: [...framesMs].sort((a, b) => a - b) };
  const fit = fitClock(whole);
  if (!fit) return [];
  return setOn(whole, fit) ?? [{ from: 0, isByFile: false, fit }];
}
