/** Sizes of a frame on the page: three by two, held level or upright. */

const LONG_TO_SHORT = 3 / 2;
/** The long side of a picture among others. */
const AMONG_OTHERS_PX = 150;

type Orientation = 'level' | 'upright';

export interface FrameSize {
  readonly widthPx: number;
  readonly heightPx: number;
}

/** A frame whose long side is so long. */
export function sizeOf(orientation: Orientation, longPx: number = AMONG_OTHERS_PX): FrameSize {
  const shortPx = Math.round(longPx / LONG_TO_SHORT);
  return orientation === 'level'
    ? { widthPx: longPx, heightPx: shortPx }
    : { widthPx: shortPx, heightPx: longPx };
}

/** The largest frame in a box; as high as its width asks where the box has no end. */
export function sizeIn(orientation: Orientation, widthPx: number, heightPx = Infinity): FrameSize {
  const across = orientation === 'level' ? LONG_TO_SHORT : 1 / LONG_TO_SHORT;
  const width = Math.floor(Math.min(widthPx, heightPx * across));
  return { widthPx: width, heightPx: Math.floor(width / across) };
}
