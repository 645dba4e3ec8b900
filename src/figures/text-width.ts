/** How wide words are as drawn, so that names can be kept apart. */

const SIZE_PX = 13;
/** Where nothing can be measured: the mean letter of the body face, generously. */
const MEAN_LETTER_PX = 6.8;

const known = new Map<string, number>();
let canvas: CanvasRenderingContext2D | null | undefined;

function context(): CanvasRenderingContext2D | null {
  if (canvas === undefined) {
    canvas =
      typeof document === 'undefined' ? null : document.createElement('canvas').getContext('2d');
  }
  return canvas ?? null;
}

/** Width of a label in px, in the face and size that labels over drawings have. */
export function textWidthPx(text: string, strong = false): number {
  const key = `${strong} ${text}`;
  const had = known.get(key);
  if (had !== undefined) return had;
  const pen = context();
  if (!pen) return text.length * MEAN_LETTER_PX;
  pen.font = `${strong ? 600 : 400} ${SIZE_PX}px "Perch Body", "Helvetica Neue", Arial, sans-serif`;
  const widthPx = pen.measureText(text).width;
  // Before the face has come another was measured.
  if (document.fonts.check(`${SIZE_PX}px "Perch Body"`)) known.set(key, widthPx);
  return widthPx;
}
