import { cosDeg, sinDeg } from '../quantity/angles';
import { joint, partJoint, type Modelled } from './pieces';
import { upright } from './people';
import type { Joint, Piece } from './types';

/** Figures as they are at a moment: wings raised, a head turned, a runner within a step. */

const moved = (piece: Piece, how: (at: Joint) => Joint): Piece => ({
  ...piece,
  from: how(piece.from),
  to: how(piece.to),
});

/**
 * A bird with its wings so far above level, about where they grow; below 0 they hang. What is no wing stays.
 * @param angleDeg of the wings' own length, root to tip
 */
export const wingsAt = (pieces: readonly Piece[], angleDeg: number): readonly Piece[] =>
  pieces.map((piece) => {
    const { from, to } = piece;
    if (from.leftM === 0 || Math.abs(to.leftM) <= Math.abs(from.leftM)) return piece;
    const lengthM = Math.hypot(to.leftM - from.leftM, to.upM - from.upM);
    return {
      ...piece,
      to: {
        ...to,
        leftM: from.leftM + Math.sign(to.leftM) * lengthM * cosDeg(angleDeg),
        upM: from.upM + lengthM * sinDeg(angleDeg),
      },
    };
  });

/** What lies wholly above this share of a figure's height is its head: of a bird, of one who stands. */
const NECK_SHARE = 0.68;

/**
 * A figure with its head turned to its left by so much, about the upright through the head's middle.
 * @throws nothing; where nothing lies so high it is as it was
 */
export function headTurned(
  pieces: readonly Piece[],
  { heightM }: Pick<Modelled, 'heightM'>,
  turnDeg: number,
): readonly Piece[] {
  const isHead = ({ from, to }: Piece) => Math.min(from.upM, to.upM) >= NECK_SHARE * heightM;
  const skull = pieces
    .filter((piece) => isHead(piece) && piece.shape === 'ball')
    .sort((a, b) => b.fromRadiusM - a.fromRadiusM)[0];
  if (!skull) return pieces;
  const pivotM = (skull.from.aheadM + skull.to.aheadM) / 2;
  const turned = (at: Joint): Joint => {
    const aheadM = at.aheadM - pivotM;
    return {
      ...at,
      aheadM: pivotM + aheadM * cosDeg(turnDeg) - at.leftM * sinDeg(turnDeg),
      leftM: aheadM * sinDeg(turnDeg) + at.leftM * cosDeg(turnDeg),
    };
  };
  return pieces.map((piece) => (isHead(piece) ? moved(piece, turned) : piece));
}

/** A foot swings so far ahead and behind, and so high, as shares of the height; hands against it. No source. */
const STRIDE_SHARE = 0.3;
const LIFT_SHARE = 0.2;
const HAND_SHARE = 0.16;
/** The foot that rises is here at 0: most of the way through its swing, the knee at its highest. */
const RISEN_DEG = 60;

/**
 * A runner within a step: at 0 one knee is at its highest and the other leg pushes off; a step on it is the other knee.
 * @param steps since then
 */
export function striding(model: Modelled, steps: number): readonly Piece[] {
  const { heightM: h, parts } = model;
  const footPart = partJoint(parts, 'foot')?.part;
  const foot = (left: 1 | -1): Joint => {
    const turn = RISEN_DEG - 180 * (steps + (left === 1 ? 0 : 1));
    return joint(
      STRIDE_SHARE * h * cosDeg(turn),
      left * 0.08,
      0.02 + LIFT_SHARE * h * Math.max(0, sinDeg(turn)),
      footPart,
    );
  };
  const [leftFoot, rightFoot] = [foot(1), foot(-1)];
  const hand = (left: 1 | -1, against: Joint): Joint =>
    joint((HAND_SHARE * against.aheadM) / STRIDE_SHARE + 0.12, left * 0.22, 0.6 * h);
  return upright(model, {
    hands: [hand(1, rightFoot), hand(-1, leftFoot)],
    feet: [leftFoot, rightFoot],
  });
}
