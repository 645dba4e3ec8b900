import { fullCircle } from '../quantity/angles';
import { turned } from './frame';
import { bearingDeg, type Point2 } from './vector';

/** A picture that lies flat under a plan. */
export interface LaidPicture {
  /** Where its middle lies, metres east and north. */
  readonly middle: Point2;
  readonly widthM: number;
  /** True bearing that its top points along. */
  readonly topDeg: number;
  /** Its height as a share of its width. */
  readonly aspect: number;
}

/** A spot of a picture, as shares of its width from the left and of its height from the top. */
export interface Spot {
  readonly across: number;
  readonly down: number;
}

/** Narrowest and widest that a picture can lie, metres. */
export const PICTURE_WIDTH_M = { least: 1, most: 20_000 } as const;

/** Nearer to each other than this share of the width, two spots say nothing of the whole. */
const NEAREST_SPOTS = 0.01;

/** From a picture's middle to a spot of it, for a picture one wide whose top points up. */
const fromMiddle = ({ across, down }: Spot, aspect: number): Point2 => ({
  x: across - 0.5,
  y: (0.5 - down) * aspect,
});

/** Where a spot of a picture lies on the ground, metres. */
export function spotOnGround({ middle, widthM, topDeg, aspect }: LaidPicture, spot: Spot): Point2 {
  const { x, y } = turned(fromMiddle(spot, aspect), topDeg);
  return { x: middle.x + x * widthM, y: middle.y + y * widthM };
}

/** The spot of a picture that lies on a point of the ground; kept within the picture. */
export function spotAt({ middle, widthM, topDeg, aspect }: LaidPicture, point: Point2): Spot {
  const { x, y } = turned({ x: point.x - middle.x, y: point.y - middle.y }, -topDeg);
  const share = (value: number) => Math.min(1, Math.max(0, value));
  return { across: share(0.5 + x / widthM), down: share(0.5 - y / widthM / aspect) };
}

/** A spot of a picture and the point of the ground that it shows. */
export interface Pinned {
  readonly spot: Spot;
  readonly ground: Point2;
}

/**
 * How a picture lies when two of its spots lie on two points of the ground: moved, turned and stretched alike in
 * both directions, never skewed.
 * @throws RangeError for spots too near to each other, and for a picture that would be too narrow or too wide
 */
export function laidByTwo(aspect: number, a: Pinned, b: Pinned): LaidPicture {
  const [from, to] = [fromMiddle(a.spot, aspect), fromMiddle(b.spot, aspect)];
  const apart = Math.hypot(to.x - from.x, to.y - from.y);
  if (apart < NEAREST_SPOTS) {
    throw new RangeError('A and B lie on the same spot of the picture: set them further apart');
  }
  const widthM = Math.hypot(b.ground.x - a.ground.x, b.ground.y - a.ground.y) / apart;
  const { least, most } = PICTURE_WIDTH_M;
  if (widthM < least || widthM > most) {
    throw new RangeError(
      `The picture would be ${widthM.toFixed(1)} m wide: must be from ${least} to ${most} m`,
    );
  }
  const topDeg = fullCircle(bearingDeg(a.ground, b.ground) - bearingDeg(from, to));
  const off = turned(from, topDeg);
  return {
    middle: { x: a.ground.x - off.x * widthM, y: a.ground.y - off.y * widthM },
    widthM,
    topDeg,
    aspect,
  };
}
