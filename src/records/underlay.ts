import { z } from 'zod';
import {
  laidByTwo,
  PICTURE_WIDTH_M,
  spotAt,
  spotOnGround,
  type LaidPicture,
  type Point2,
  type Spot,
} from '@/core';
import { jpegSize } from './jpeg-size';
import { bearing, metres, REACH_M, text } from './shape';

/**
 * A picture laid under the plan, to trace over: an aerial picture, a venue's own map, a photograph of the
 * board at the gate. It is kept small, in the shoot, and goes where the shoot goes.
 */

/** Longest that a picture may be in base64: 300 kB. */
export const MOST_PICTURE_CHARACTERS = 400_000;
export const MOST_PICTURE_PX = 2048;

/** Nearer to each other, two pins would swing the picture at a touch. */
const PINS_APART = 0.03;
const spotsApart = (a: Spot, b: Spot): boolean =>
  Math.hypot(a.across - b.across, a.down - b.down) >= PINS_APART;

const share = z.number().min(0).max(1);
const spot = z.strictObject({ across: share, down: share });
const side = z.int().min(16).max(MOST_PICTURE_PX);

export const underlaySchema = z
  .strictObject({
    name: text(120),
    /** A JPEG in base64. */
    jpeg: z
      .string()
      .max(MOST_PICTURE_CHARACTERS)
      .regex(/^\/9j\/[A-Za-z0-9+/]+={0,2}$/, 'must be a JPEG in base64'),
    widthPx: side,
    heightPx: side,
    /** Where its middle lies. */
    x: metres,
    y: metres,
    widthM: z.number().min(PICTURE_WIDTH_M.least).max(PICTURE_WIDTH_M.most),
    /** True bearing that its top points along. */
    topDeg: bearing,
    shown: z.boolean(),
    /** How much of it is seen, from faint to whole. */
    opacity: z.number().min(0.1).max(1),
    /** Two spots of it that one knows on the ground. */
    pins: z
      .tuple([spot, spot])
      .refine(([a, b]) => spotsApart(a, b), 'must be apart from each other'),
  })
  .superRefine(({ jpeg, widthPx, heightPx }, context) => {
    // One that says less than it is would be opened at whatever size it has.
    const size = jpegSize(jpeg);
    if (size?.widthPx === widthPx && size.heightPx === heightPx) return;
    const found = size ? `${size.widthPx} × ${size.heightPx}` : 'none';
    const message = `must be a JPEG of ${widthPx} × ${heightPx} pixels; its own size is ${found}`;
    context.addIssue({ code: 'custom', path: ['jpeg'], message });
  });
export type Underlay = z.infer<typeof underlaySchema>;

/** A picture as it was read: what is kept of a file. */
export type KeptPicture = Pick<Underlay, 'name' | 'jpeg' | 'widthPx' | 'heightPx'>;

const FIRST_PINS: Underlay['pins'] = [
  { across: 0.25, down: 0.5 },
  { across: 0.75, down: 0.5 },
];
const FIRST_OPACITY = 0.6;

/** How a picture lies, for the computation. */
export const laid = ({ x, y, widthM, topDeg, widthPx, heightPx }: Underlay): LaidPicture => ({
  middle: { x, y },
  widthM,
  topDeg,
  aspect: heightPx / widthPx,
});

const relaid = (underlay: Underlay, { middle, widthM, topDeg }: LaidPicture): Underlay => ({
  ...underlay,
  x: middle.x,
  y: middle.y,
  widthM,
  topDeg,
});

/** A picture newly laid, its top to the north: it reaches over all of the points. */
export function newUnderlay(picture: KeptPicture, points: readonly Point2[]): Underlay {
  const [xs, ys] = [points.map(({ x }) => x), points.map(({ y }) => y)];
  const [west, east] = [Math.min(...xs), Math.max(...xs)];
  const [south, north] = [Math.min(...ys), Math.max(...ys)];
  const aspect = picture.heightPx / picture.widthPx;
  return {
    ...picture,
    ...{ x: (west + east) / 2, y: (south + north) / 2, topDeg: 0 },
    widthM: Math.max(PICTURE_WIDTH_M.least, east - west, (north - south) / aspect),
    ...{ shown: true, opacity: FIRST_OPACITY, pins: FIRST_PINS },
  };
}

/** Where both pins lie on the ground. */
export function pinsOnGround(underlay: Underlay): readonly [Point2, Point2] {
  const picture = laid(underlay);
  const [a, b] = underlay.pins;
  return [spotOnGround(picture, a), spotOnGround(picture, b)];
}

/** What moves when a pin is dragged: the pin over the picture, or the picture with it. */
export const HANDS = ['set', 'turn', 'stretch'] as const;
export type Hand = (typeof HANDS)[number];

/** Which of the two pins: A carries the picture, B turns it about A. */
export type Pin = 0 | 1;

const reached = ({ x, y }: Underlay): boolean => Math.max(Math.abs(x), Math.abs(y)) <= REACH_M;

/** A picture that can't lie as it is dragged stays as it lay. */
function orStays(underlay: Underlay, make: () => Underlay): Underlay {
  try {
    const made = make();
    return reached(made) && spotsApart(...made.pins) ? made : underlay;
  } catch (error) {
    if (error instanceof RangeError) return underlay;
    throw error;
  }
}

/** With both pins on points of the ground. */
function pinned(underlay: Underlay, a: Point2, b: Point2): Underlay {
  const [spotA, spotB] = underlay.pins;
  const { aspect } = laid(underlay);
  return relaid(
    underlay,
    laidByTwo(aspect, { spot: spotA, ground: a }, { spot: spotB, ground: b }),
  );
}

/** From one point towards another, `by` times as far. */
const along = (from: Point2, to: Point2, by: number): Point2 => ({
  x: from.x + (to.x - from.x) * by,
  y: from.y + (to.y - from.y) * by,
});

/**
 * After a pin was dragged to a point of the ground. Set: it shows another spot. Turn: A takes the picture along,
 * B turns it about A at its size. Stretch: B stretches it, too. Where the picture can't lie so, it stays.
 */
export function withPinAt(underlay: Underlay, pin: Pin, to: Point2, hand: Hand): Underlay {
  const [a] = pinsOnGround(underlay);
  return orStays(underlay, () => {
    if (hand === 'set') {
      const set = spotAt(laid(underlay), to);
      const [spotA, spotB] = underlay.pins;
      return { ...underlay, pins: pin === 0 ? [set, spotB] : [spotA, set] };
    }
    if (pin === 0) return { ...underlay, x: underlay.x + to.x - a.x, y: underlay.y + to.y - a.y };
    const wishedM = Math.hypot(to.x - a.x, to.y - a.y);
    const by = hand === 'stretch' ? 1 : pinsApartM(underlay) / wishedM;
    return wishedM === 0 ? underlay : pinned(underlay, a, along(a, to, by));
  });
}

/** Stretched about A until B is so far from it; where it can't be, it stays. */
export function withPinsApart(underlay: Underlay, apartM: number): Underlay {
  const [a, b] = pinsOnGround(underlay);
  const by = apartM / pinsApartM(underlay);
  return orStays(underlay, () => pinned(underlay, a, along(a, b, by)));
}

/** Least and most that A and B can be apart, metres: the picture is then as narrow or as wide as one can be. */
export function apartLimitsM(underlay: Underlay): {
  readonly least: number;
  readonly most: number;
} {
  const perWidth = pinsApartM(underlay) / underlay.widthM;
  const { least, most } = PICTURE_WIDTH_M;
  return { least: least * perWidth, most: most * perWidth };
}

/** How far A is from B on the ground, metres. */
export function pinsApartM(underlay: Underlay): number {
  const [a, b] = pinsOnGround(underlay);
  return Math.hypot(b.x - a.x, b.y - a.y);
}

/** Turned about A until the top points along a bearing. */
export function withTop(underlay: Underlay, topDeg: number): Underlay {
  const [a] = pinsOnGround(underlay);
  const next = { ...underlay, topDeg };
  const [moved] = pinsOnGround(next);
  return orStays(underlay, () => ({
    ...next,
    x: next.x + a.x - moved.x,
    y: next.y + a.y - moved.y,
  }));
}
