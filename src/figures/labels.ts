import type { Point2 } from '@/core';
import { textWidthPx } from './text-width';

/** A name to be written beside a point of a drawing. */
export interface LabelWish {
  readonly text: string;
  readonly at: Point2;
  /** Clear space around the point, half of it in px. */
  readonly clearPx: number;
  /** Looked for farther off, too: what is in hand is named. The others are left out where there is no room. */
  readonly must: boolean;
}

export interface PlacedLabel {
  readonly text: string;
  /** Middle of the text's foot. */
  readonly x: number;
  readonly y: number;
  readonly box: BoxPx;
}

export interface BoxPx {
  readonly left: number;
  readonly right: number;
  readonly top: number;
  readonly bottom: number;
}

const TEXT_PX = 13;
const GAP_PX = 4;
/** Paper left between two names. */
const APART_PX = 3;

export const overlap = (a: BoxPx, b: BoxPx): boolean =>
  a.left < b.right && b.left < a.right && a.top < b.bottom && b.top < a.bottom;

export const boxAround = ({ x, y }: Point2, half: number): BoxPx => ({
  left: x - half,
  right: x + half,
  top: y - half,
  bottom: y + half,
});

/** How much of a line one box keeps clear. */
const LINE_STEP_PX = 10;

/** Boxes along a line, so that no name is written over it. */
export function boxesAlong(from: Point2, to: Point2): readonly BoxPx[] {
  const steps = Math.max(1, Math.ceil(Math.hypot(to.x - from.x, to.y - from.y) / LINE_STEP_PX));
  return Array.from({ length: steps + 1 }, (_, i) =>
    boxAround(
      {
        x: from.x + ((to.x - from.x) * i) / steps,
        y: from.y + ((to.y - from.y) * i) / steps,
      },
      LINE_STEP_PX / 2,
    ),
  );
}

/** How far off its point a name may stand, nearest first; only what must be named goes past the first. */
const OFF_PX = [0, 12, 26, 42] as const;

/** Below, above, right, left and aslant of the point, kept within the picture. */
function candidates({ text, at, clearPx, must }: LabelWish, widthPx: number, heightPx: number) {
  const half = textWidthPx(text) / 2;
  return OFF_PX.slice(0, must ? OFF_PX.length : 1).flatMap((off) => {
    const beside = clearPx + GAP_PX + half + off;
    const under = at.y + clearPx + TEXT_PX + off;
    const over = at.y - clearPx - GAP_PX - off;
    const level = at.y + TEXT_PX / 3;
    const feet: readonly Point2[] = [
      { x: at.x, y: under },
      { x: at.x, y: over },
      { x: at.x + beside, y: level },
      { x: at.x - beside, y: level },
      { x: at.x + beside, y: under },
      { x: at.x - beside, y: under },
      { x: at.x + beside, y: over },
      { x: at.x - beside, y: over },
    ];
    return feet.map((foot) => {
      const x = Math.max(half + 2, Math.min(widthPx - half - 2, foot.x));
      const y = Math.max(TEXT_PX + 2, Math.min(heightPx - 4, foot.y));
      return { x, y, box: { left: x - half, right: x + half, top: y - TEXT_PX, bottom: y + 3 } };
    });
  });
}

const padded = ({ left, right, top, bottom }: BoxPx): BoxPx => ({
  left: left - APART_PX,
  right: right + APART_PX,
  top: top - APART_PX,
  bottom: bottom + APART_PX,
});

/**
 * Places names so that they touch neither each other nor the points they name nor what else is to be kept clear:
 * each takes the first free side of its point, in the order given. What finds no room is not written.
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
    const free = candidates(wish, widthPx, heightPx).find(
      ({ box }) => !boxes.some((other) => overlap(padded(box), other)),
    );
    if (!free) continue;
    boxes.push(free.box);
    placed.push({ text: wish.text, ...free });
  }
  return placed;
}
