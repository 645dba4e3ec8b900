/** A sheet to be printed: a title, tables under it, laid out on pages of paper. */

export interface PrintColumn {
  /** Its share of the width, against those of the others. */
  readonly share: number;
  readonly strong?: true;
}

export interface PrintTable {
  readonly heading: string;
  readonly note?: string;
  readonly columns: readonly PrintColumn[];
  readonly rows: readonly {
    readonly cells: readonly string[];
    /** With a bar before it: what is promised. */
    readonly marked?: true;
  }[];
}

export interface PrintSheet {
  readonly title: string;
  readonly under: readonly string[];
  readonly tables: readonly PrintTable[];
  /** At the foot of each page, before its number. */
  readonly foot: string;
}

/** How wide a text is at size 1, of either weight. */
export type Measure = (text: string, strong: boolean) => number;

/** Something on a page, in points from its lower left corner. */
export type Mark =
  | {
      readonly kind: 'text';
      readonly text: string;
      readonly x: number;
      readonly y: number;
      readonly size: number;
      readonly strong: boolean;
    }
  | {
      readonly kind: 'line';
      readonly x: number;
      readonly y: number;
      readonly toX: number;
      readonly toY: number;
      readonly weight: number;
    }
  /** One of the pictures that go with the pages; scaled to fit, in the middle of its place. */
  | {
      readonly kind: 'picture';
      readonly picture: number;
      readonly x: number;
      readonly y: number;
      readonly width: number;
      readonly height: number;
    };

/** A4, in points. ISO 216: 210 mm by 297 mm. */
export const PAGE = { width: 595.28, height: 841.89, margin: 40 } as const;
/** Sizes that are tried, the largest that stays within so many pages is taken. */
const SIZES = [10, 9, 8, 7] as const;
const MOST_PAGES = 3;
const LEADING = 1.25;
const GAP = 8;

/** A word in pieces no wider than that: whole where it fits. */
function pieces(word: string, width: number, widthOf: (text: string) => number): string[] {
  if (widthOf(word) <= width) return [word];
  const letters = [...word];
  let count = 1;
  while (count < letters.length && widthOf(letters.slice(0, count + 1).join('')) <= width) {
    count += 1;
  }
  const rest = letters.slice(count).join('');
  return [letters.slice(0, count).join(''), ...(rest ? pieces(rest, width, widthOf) : [])];
}

/** A text in lines no wider than that; a word too long for one is broken. */
export function inLines(
  text: string,
  width: number,
  widthOf: (text: string) => number,
): readonly string[] {
  const space = widthOf(' ');
  const lines: string[] = [];
  let used = Infinity;
  const words = text.split(/\s+/).filter((word) => word !== '');
  for (const piece of words.flatMap((word) => pieces(word, width, widthOf))) {
    const wide = widthOf(piece);
    if (used + space + wide <= width) {
      lines.push(`${lines.pop() ?? ''} ${piece}`);
      used += space + wide;
    } else {
      lines.push(piece);
      used = wide;
    }
  }
  return lines;
}

/** The pages of a sheet at one size of its type. */
function atSize(sheet: PrintSheet, measure: Measure, size: number): readonly (readonly Mark[])[] {
  const { width, height, margin } = PAGE;
  const inner = width - 2 * margin;
  const pages: Mark[][] = [[]];
  let y = height - margin;
  const leading = size * LEADING;
  const page = () => pages.at(-1) as Mark[];
  const turn = () => {
    pages.push([]);
    y = height - margin;
  };
  /** Whether so much still stands over the foot. */
  const fits = (high: number) => y - high >= margin + leading;
  const write = (text: string, x: number, at: number, strong: boolean, of: number) =>
    page().push({ kind: 'text', text, x, y: at, size: of, strong });
  const paragraph = (text: string, of: number, strong: boolean): void => {
    const widthOf = (part: string) => measure(part, strong) * of;
    for (const line of inLines(text, inner, widthOf)) {
      if (!fits(of * LEADING)) turn();
      y -= of * LEADING;
      write(line, margin, y, strong, of);
    }
  };
  paragraph(sheet.title, size * 1.7, true);
  sheet.under.forEach((text) => paragraph(text, size, false));
  for (const { heading, note, columns, rows } of sheet.tables) {
    const shares = columns.reduce((sum, { share }) => sum + share, 0);
    const room = inner - GAP * columns.length;
    const lefts = columns.map(
      (_, i) =>
        margin +
        GAP * (i + 1) +
        (room * columns.slice(0, i).reduce((sum, { share }) => sum + share, 0)) / shares,
    );
    const laid = rows.map(({ cells, marked }) => {
      const lines = columns.map(({ share, strong = false }, i) =>
        inLines(cells[i] ?? '', (room * share) / shares, (text) => measure(text, strong) * size),
      );
      const high = Math.max(1, ...lines.map(({ length }) => length)) * leading + size * 0.5;
      return { lines, high, marked };
    });
    // A heading never stands alone at the foot of a page.
    const headHigh = size * 1.2 * LEADING * 2 + (note ? leading : 0);
    if (!fits(headHigh + (laid[0]?.high ?? 0))) turn();
    y -= size * 0.9;
    paragraph(heading, size * 1.2, true);
    if (note) paragraph(note, size, false);
    y -= size * 0.3;
    page().push({ kind: 'line', x: margin, y, toX: width - margin, toY: y, weight: 1 });
    for (const { lines, high, marked } of laid) {
      if (!fits(high)) turn();
      const top = y;
      columns.forEach(({ strong = false }, i) =>
        (lines[i] as readonly string[]).forEach((line, k) =>
          write(line, lefts[i] as number, top - leading * (k + 1), strong, size),
        ),
      );
      y -= high;
      if (marked) {
        page().push({
          ...{ kind: 'line', x: margin + 1.5, y: top - size * 0.25, toX: margin + 1.5 },
          ...{ toY: y + size * 0.1, weight: 3 },
        });
      }
      page().push({ kind: 'line', x: margin, y, toX: width - margin, toY: y, weight: 0.4 });
    }
  }
  const footSize = Math.min(8, size);
  pages.forEach((marks, i) => {
    const text = `${sheet.foot} · page ${i + 1} of ${pages.length}`;
    marks.push({ kind: 'text', text, x: margin, y: margin - 4, size: footSize, strong: false });
  });
  return pages;
}

/** A sheet's pages: in the largest type in which it stays within three, or in the smallest. */
export function laidOut(sheet: PrintSheet, measure: Measure): readonly (readonly Mark[])[] {
  let pages: readonly (readonly Mark[])[] = [];
  for (const size of SIZES) {
    pages = atSize(sheet, measure, size);
    if (pages.length <= MOST_PAGES) break;
  }
  return pages;
}
