import { JPG } from 'image-size/types/jpg';
import { PNG } from 'image-size/types/png';
import { WEBP } from 'image-size/types/webp';

/** Pictures of other people's as files: what may be opened at all, told from their first bytes. */

export const LARGEST_PICTURE_BYTES = 30_000_000;
export const PICTURE_FILES = 'image/jpeg,image/png,image/webp';
/** More than a browser on a phone can hold at once. */
const MOST_PIXELS = 64_000_000;
const LEAST_PX = 64;
/** Longer than this many times its width, a picture is no map. */
const MOST_ASPECT = 20;

const KINDS = { JPEG: JPG, PNG, WebP: WEBP } as const;

export type PictureHead =
  | { readonly ok: true; readonly widthPx: number; readonly heightPx: number }
  | { readonly ok: false; readonly reason: string };

/** Which picture a file begins as, and how large that says it is; or why it is refused, before it is opened. */
export function pictureHead(bytes: Uint8Array): PictureHead {
  const refuse = (reason: string): PictureHead => ({ ok: false, reason });
  for (const [name, kind] of Object.entries(KINDS)) {
    try {
      if (!kind.validate(bytes)) continue;
      const { width: widthPx, height: heightPx } = kind.calculate(bytes);
      const said = `${widthPx} × ${heightPx} pixels`;
      if (Math.min(widthPx, heightPx) < LEAST_PX) {
        return refuse(`it is ${said}: it must be ${LEAST_PX} or more either way`);
      }
      if (widthPx * heightPx > MOST_PIXELS) {
        return refuse(`it is ${said}: save it smaller, up to ${MOST_PIXELS / 1e6} million pixels`);
      }
      if (Math.max(widthPx / heightPx, heightPx / widthPx) > MOST_ASPECT) {
        return refuse(`it is ${said}: it is too narrow for a map`);
      }
      return { ok: true, widthPx, heightPx };
    } catch {
      return refuse(`it begins as a ${name} but is damaged or cut off`);
    }
  }
  return refuse('it is no picture that can be laid: choose a JPEG, PNG or WebP');
}
