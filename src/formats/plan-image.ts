import { xmlText } from './xml-text';

/** A drawn plan as a picture file: SVG that stands alone, and PNG made from it. */

/** Seen where the app's own fonts are not. */
const FONT_FAMILY = '"Perch Body", "Source Sans 3", "Helvetica Neue", Arial, sans-serif';

/** A text as it may stand in markup. */
export const escaped = (text: string) =>
  xmlText(text)
    .replace(/&/g, '&amp;')
    .replace(/</g, '&lt;')
    .replace(/>/g, '&gt;')
    .replace(/"/g, '&quot;');

/**
 * A whole SVG file round the drawing's own markup.
 * @param inner markup within the drawing's svg element, as a browser serialises it
 */
export function planSvg(
  inner: string,
  {
    title,
    widthPx,
    heightPx,
    paper,
  }: {
    readonly title: string;
    readonly widthPx: number;
    readonly heightPx: number;
    readonly paper: string;
  },
): string {
  const body = inner.replaceAll(/font-family="[^"]*"/g, `font-family='${FONT_FAMILY}'`);
  return [
    '<?xml version="1.0" encoding="UTF-8"?>',
    `<svg xmlns="http://www.w3.org/2000/svg" width="${widthPx}" height="${heightPx}" viewBox="0 0 ${widthPx} ${heightPx}" role="img">`,
    `<title>${escaped(title)}</title>`,
    `<rect width="${widthPx}" height="${heightPx}" fill="${escaped(paper)}"/>`,
    `<svg width="${widthPx}" height="${heightPx}" overflow="hidden">${body}</svg>`,
    '</svg>',
    '',
  ].join('\n');
}

/** An SVG file as PNG, some times as large. @throws Error when the browser can't draw it */
export async function pngOf(
  svg: string,
  { widthPx, heightPx }: { readonly widthPx: number; readonly heightPx: number },
  times: number,
): Promise<Blob> {
  const url = URL.createObjectURL(new Blob([svg], { type: 'image/svg+xml' }));
  try {
    const image = new Image();
    image.src = url;
    await image.decode();
    const canvas = document.createElement('canvas');
    canvas.width = widthPx * times;
    canvas.height = heightPx * times;
    canvas.getContext('2d')?.drawImage(image, 0, 0, canvas.width, canvas.height);
    return await new Promise<Blob>((resolve, reject) =>
      canvas.toBlob(
        (blob) => (blob ? resolve(blob) : reject(new Error('the picture could not be drawn'))),
        'image/png',
      ),
    );
  } finally {
    URL.revokeObjectURL(url);
  }
}
