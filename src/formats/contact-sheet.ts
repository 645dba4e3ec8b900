import { inLines, PAGE, type Mark, type Measure } from './print-sheet';

/** Pictures small, in rows, each with its name and its words: for a client to choose from. */

export interface ContactPicture {
  readonly name: string;
  readonly caption: string;
  /** 0 to 5. */
  readonly stars?: number;
  /** A small JPEG; its place stays empty without. */
  readonly thumbnail?: Uint8Array;
}

export interface ContactSheet {
  readonly title: string;
  readonly under: readonly string[];
  readonly pictures: readonly ContactPicture[];
  /** At the foot of each page, before its number. */
  readonly foot: string;
}

const ACROSS = 4;
const GAP = 12;
const PICTURE_HIGH = 80;
const NAME_SIZE = 8;
const CAPTION_SIZE = 7;
const CAPTION_LINES = 3;
const LEADING = 1.25;
const CELL_HIGH = PICTURE_HIGH + (NAME_SIZE + CAPTION_LINES * CAPTION_SIZE) * LEADING + GAP;

/** Words in so many lines; what does not fit is said to go on. */
function heldTo(lines: readonly string[], most: number): readonly string[] {
  if (lines.length <= most) return lines;
  return [...lines.slice(0, most - 1), `${lines[most - 1] ?? ''} …`];
}

/** The pages, as marks in points from the lower left corner. */
export function contactPages(
  { title, under, pictures, foot }: ContactSheet,
  measure: Measure,
): readonly (readonly Mark[])[] {
  const { width, height, margin } = PAGE;
  const inner = width - 2 * margin;
  const cellWide = (inner - (ACROSS - 1) * GAP) / ACROSS;
  const pages: Mark[][] = [[]];
  const page = () => pages.at(-1) as Mark[];
  let y = height - margin;
  const write = (text: string, x: number, at: number, size: number, strong: boolean) =>
    page().push({ kind: 'text', text, x, y: at, size, strong });
  const paragraph = (text: string, size: number, strong: boolean) => {
    for (const line of inLines(text, inner, (part) => measure(part, strong) * size)) {
      y -= size * LEADING;
      write(line, margin, y, size, strong);
    }
  };
  paragraph(title, 16, true);
  under.forEach((text) => paragraph(text, 9, false));
  y -= GAP;
  for (let at = 0; at < pictures.length; at += ACROSS) {
    if (y - CELL_HIGH < margin) {
      pages.push([]);
      y = height - margin;
    }
    const top = y;
    pictures.slice(at, at + ACROSS).forEach(({ name, caption, stars }, i) => {
      const x = margin + i * (cellWide + GAP);
      const foot = top - PICTURE_HIGH;
      page().push({
        ...{ kind: 'picture', picture: at + i, x, y: foot },
        ...{ width: cellWide, height: PICTURE_HIGH },
      });
      const said = stars === undefined ? name : `${name}, ${stars} of 5`;
      const lines = (text: string, size: number, strong: boolean, most: number) =>
        heldTo(
          inLines(text, cellWide, (part) => measure(part, strong) * size),
          most,
        );
      let below = foot;
      lines(said, NAME_SIZE, true, 1).forEach((line) => {
        below -= NAME_SIZE * LEADING;
        write(line, x, below, NAME_SIZE, true);
      });
      lines(caption, CAPTION_SIZE, false, CAPTION_LINES).forEach((line) => {
        below -= CAPTION_SIZE * LEADING;
        write(line, x, below, CAPTION_SIZE, false);
      });
    });
    y -= CELL_HIGH;
  }
  pages.forEach((marks, i) => {
    const text = `${foot} · page ${i + 1} of ${pages.length}`;
    marks.push({ kind: 'text', text, x: margin, y: margin - 4, size: 8, strong: false });
  });
  return pages;
}
