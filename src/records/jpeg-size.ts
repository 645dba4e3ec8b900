import { JPG } from 'image-size/types/jpg';

/** A JPEG says how large it is within its first bytes, where nothing was put before that. */
const HEAD_CHARACTERS = 8192;

/** Width and height that a JPEG in base64 says it has; nothing where it says none. */
export function jpegSize(
  base64: string,
): { readonly widthPx: number; readonly heightPx: number } | undefined {
  try {
    const head = atob(base64.slice(0, HEAD_CHARACTERS).replace(/=+$/, ''));
    const { width, height } = JPG.calculate(Uint8Array.from(head, (byte) => byte.charCodeAt(0)));
    return { widthPx: width, heightPx: height };
  } catch {
    return undefined;
  }
}
