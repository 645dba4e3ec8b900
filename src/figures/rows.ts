/** A text to stand over a point of a line. */
interface Wanted {
  readonly x: number;
  /** Half its width. */
  readonly half: number;
}

/** Texts in rows so that none covers another: each in the first row where it has room. */
export function placeRows<T extends Wanted>(
  texts: readonly T[],
  widthPx: number,
): readonly (T & { readonly row: number; readonly textX: number })[] {
  const placed: (T & { readonly row: number; readonly textX: number })[] = [];
  for (const text of texts) {
    const textX = Math.min(widthPx - text.half, Math.max(text.half, text.x));
    let row = 0;
    const clashes = () =>
      placed.some(
        (other) => other.row === row && Math.abs(other.textX - textX) < other.half + text.half + 6,
      );
    while (clashes()) row += 1;
    placed.push({ ...text, row, textX });
  }
  return placed;
}
