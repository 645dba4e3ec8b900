/** Names under a drawing from the side. */

const LETTER_PX = 6.3;
const BETWEEN_PX = 8;

/** Middles of names from left to right so that none lies on the next: what has no room gives way to the left. */
export function apartFrom(
  names: readonly { readonly name: string; readonly at: number }[],
  widthPx: number,
): readonly number[] {
  let limit = widthPx;
  return names
    .toReversed()
    .map(({ name, at }) => {
      const half = (name.length * LETTER_PX) / 2;
      const middle = Math.min(at, limit - half);
      limit = middle - half - BETWEEN_PX;
      return middle;
    })
    .toReversed();
}
