import type { Point2 } from '@/core';

/** A name to be written beside a point of a drawing. */
export interface LabelWish {
  readonly text: string;
  readonly at: Point2;
  /** Clear space around the point, half of it in px. */
  readonly clearPx: number;
  /** Written even where it must overlap; the others are left out rather than overlap. */
  readonly must: boolean;
}

export interface PlacedLabel {
  readonly text: string;
  /** Middle of the text's foot. */
  readonly x: number;
  readonly y: number;
}

export interface BoxPx {
  readonly left: number;
  readonly right: number;
  readonly top: number;
  readonly bottom: number;
}

const LETTER_PX = 6.6;
const TEXT_PX = 13;
const GAP_PX = 4;

const overlap = (a: BoxPx, b: BoxPx): boolean =>
  a.left < b.right && b.left < a.right && a.top < b.bottom && b.top < a.bottom;

const areaShared = (a: BoxPx, b: BoxPx): number =>
  Math.max(0, Math.min(a.right, b.right) - Math.max(a.left, b.left)) *
  Math.max(0, Math.min(a.bottom, b.bottom) - Math.max(a.top, b.top));

const boxAround = ({ x, y }: Point2, half: number): BoxPx => ({
  left: x - half,
  right: x + half,
  top: y - half,
  bottom: y + half,
});

/** Below, above, right and left of the point, kept within the picture. */
function candidates({ text, at, clearPx }: LabelWish, widthPx: number, heightPx: number) {
  const half = (text.length * LETTER_PX) / 2;
  const beside = clearPx + GAP_PX + half;
  const feet: Point2[] = [
    { x: at.x, y: at.y + clearPx + TEXT_PX },
    { x: at.x, y: at.y - clearPx - GAP_PX },
    { x: at.x + beside, y: at.y + TEXT_PX / 3 },
    { x: at.x - beside, y: at.y + TEXT_PX / 3 },
  ];
  return feet.map((foot) => {
    const x = Math.max(half + 2, Math.min(widthPx - half - 2, foot.x));
    const y = Math.max(TEXT_PX + 2, Math.min(heightPx - 4, foot.y));
    return { x, y, box: { left: x - half, right: x + half, top: y - TEXT_PX, bottom: y + 3 } };
  });
}

/**
 * Places names so that they cover neither each other nor the points they name: each takes the
 * first free side of its point, in the order given.
 * @param taken further boxes to keep clear of
 */
export function placeLabels(
  wishes: readonly LabelWish[],
  widthPx: number,
  heightPx: number,
  taken: readonly BoxPx[] = [],
): readonly PlacedLabel[] {
  const boxes = [...taken, ...wishes.map(({ at, clearPx }) => boxAround(at, clearPx))];
  const placed: PlacedLabel[] = [];
  for (const wish of wishes) {
    const sides = candidates(wish, widthPx, heightPx);
    const crowding = sides.map(({ box }) =>
      boxes.reduce((sum, other) => sum + (overlap(box, other) ? areaShared(box, other) : 0), 0),
    );
    const least = Math.min(...crowding);
    const side = sides[crowding.indexOf(least)];
    if (!side || (least > 0 && !wish.must)) continue;
    boxes.push(side.box);
    placed.push({ text: wish.text, x: side.x, y: side.y });
  }
  return placed;
}
