import { strFromU8 } from 'fflate';
import { pictureHead } from '@/formats/picture-file';
import { MOST_PICTURE_CHARACTERS, type KeptPicture } from '@/records/underlay';

/** A picture made small enough to keep, or why it can't be. */
export type PictureRead =
  | { readonly ok: true; readonly picture: Omit<KeptPicture, 'name'> }
  | { readonly ok: false; readonly reason: string };

/** Long sides and qualities tried, the best first. */
const LONG_SIDES_PX = [1600, 1200, 900, 600];
const QUALITIES = [0.85, 0.7, 0.55];

/**
 * A picture of any size as a small JPEG: upright as it was meant, without whatever else the file said (where and
 * with what it was taken).
 */
export async function shrinkPicture(file: Blob): Promise<PictureRead> {
  const head = pictureHead(new Uint8Array(await file.arrayBuffer()));
  if (!head.ok) return head;
  let bitmap: ImageBitmap;
  try {
    bitmap = await createImageBitmap(file);
  } catch {
    return { ok: false, reason: 'it can’t be opened: it is damaged or cut off' };
  }
  for (const longSidePx of LONG_SIDES_PX) {
    const by = Math.min(1, longSidePx / Math.max(bitmap.width, bitmap.height));
    const widthPx = Math.max(16, Math.round(bitmap.width * by));
    const heightPx = Math.max(16, Math.round(bitmap.height * by));
    const canvas = new OffscreenCanvas(widthPx, heightPx);
    const context = canvas.getContext('2d');
    if (!context) break;
    // What can be seen through is paper.
    context.fillStyle = '#fff';
    context.fillRect(0, 0, widthPx, heightPx);
    context.imageSmoothingQuality = 'high';
    context.drawImage(bitmap, 0, 0, widthPx, heightPx);
    for (const quality of QUALITIES) {
      const blob = await canvas.convertToBlob({ type: 'image/jpeg', quality });
      const jpeg = btoa(strFromU8(new Uint8Array(await blob.arrayBuffer()), true));
      if (jpeg.length <= MOST_PICTURE_CHARACTERS) {
        return { ok: true, picture: { jpeg, widthPx, heightPx } };
      }
    }
  }
  return { ok: false, reason: 'it can’t be made small enough to keep' };
}
