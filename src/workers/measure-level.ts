import { JPG } from 'image-size/types/jpg';
import { levelOf } from '@/core/log/level';

/** More than a camera puts into a file as its small picture: such a one is not opened. */
const MOST_PIXELS = 2_000_000;
/** Pixels of the long side that are looked at. */
const LONG_SIDE_PX = 80;

/** How bright a small JPEG is, in stops over or under mid-grey; nothing where it can't be opened. */
export async function measuredLevel(jpeg: Uint8Array): Promise<number | undefined> {
  try {
    const { width, height } = JPG.calculate(jpeg);
    if (width * height > MOST_PIXELS) return undefined;
    const bitmap = await createImageBitmap(new Blob([new Uint8Array(jpeg)]));
    const by = Math.min(1, LONG_SIDE_PX / Math.max(width, height));
    const [widthPx, heightPx] = [width, height].map((px) => Math.max(1, Math.round(px * by))) as [
      number,
      number,
    ];
    const canvas = new OffscreenCanvas(widthPx, heightPx);
    const context = canvas.getContext('2d', { willReadFrequently: true });
    context?.drawImage(bitmap, 0, 0, widthPx, heightPx);
    bitmap.close();
    const rgba = context?.getImageData(0, 0, widthPx, heightPx).data;
    // A hundredth of a stop is more than anyone sees, and is kept in little room.
    return rgba && Math.round(levelOf(rgba) * 100) / 100;
  } catch {
    return undefined;
  }
}
