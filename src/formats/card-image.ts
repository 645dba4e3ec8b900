import { escaped } from './plan-image';

/** The settings card as a picture for a phone's lock screen. */

export interface CardSheet {
  readonly title: string;
  readonly under: readonly string[];
  readonly lines: readonly {
    readonly time: string;
    readonly shutter: string;
    readonly aperture: string;
    readonly iso: string;
    readonly turn: string;
    readonly why: string;
  }[];
  readonly notes: readonly string[];
}

/** A tall phone's screen, its clock left free above. */
export const LOCK_SCREEN = { widthPx: 1080, heightPx: 2340, topPx: 760 } as const;

const INK = '#1b1a16';
const QUIET = '#575143';
const PAPER = '#f4eedf';
const FONT = '"Perch Figures", Georgia, serif';
const MARGIN = 70;
const FOOT = 90;
const MEAN_LETTER = 0.52;
/** Rows are no lower than this; from here on there is room for what to turn and why. */
const LEAST_ROW_PX = 54;
const ROW_WITH_REASON_PX = 84;

/** A text cut to a width, with an ellipsis where it was longer. */
function fitted(text: string, sizePx: number, widthPx: number): string {
  const most = Math.floor(widthPx / (sizePx * MEAN_LETTER));
  return text.length <= most ? text : `${text.slice(0, Math.max(1, most - 1)).trimEnd()}…`;
}

function write(
  x: number,
  y: number,
  text: string,
  {
    size,
    weight = 400,
    ink = INK,
    anchor = 'start',
  }: {
    readonly size: number;
    readonly weight?: number;
    readonly ink?: string;
    readonly anchor?: 'start' | 'end';
  },
): string {
  return `<text x="${x}" y="${y.toFixed(0)}" font-size="${size}" font-weight="${weight}" fill="${ink}" text-anchor="${anchor}" font-family='${FONT}'>${escaped(text)}</text>`;
}

/** Rows spread evenly over all of them, the first and the last always among them. */
function spread<T>(rows: readonly T[], most: number): readonly T[] {
  if (rows.length <= most) return rows;
  const last = rows.length - 1;
  return Array.from({ length: most }, (_, i) =>
    most === 1 ? (rows[last] as T) : (rows[Math.round((i * last) / (most - 1))] as T),
  );
}

/**
 * A card as an SVG file that stands alone. Rows shrink until all fit; where they still do not, rows are
 * taken out evenly, so that the card covers the shoot to its end, and it says so.
 */
export function cardSvg({ title, under, lines, notes }: CardSheet): string {
  const { widthPx, heightPx, topPx } = LOCK_SCREEN;
  const wide = widthPx - 2 * MARGIN;
  const head = topPx + 60 + under.length * 40;
  const room = heightPx - FOOT - head - notes.length * 44;
  const rowPx = Math.max(LEAST_ROW_PX, Math.min(190, room / Math.max(1, lines.length)));
  const reasons = rowPx >= ROW_WITH_REASON_PX;
  const shown = spread(lines, Math.max(1, Math.floor(room / rowPx)));
  const big = Math.min(64, rowPx * (reasons ? 0.42 : 0.62));
  const small = Math.min(30, rowPx * 0.2);
  const rows = shown.flatMap((line, i) => {
    const y = head + 30 + i * rowPx;
    const base = y + big;
    return [
      `<path d="M${MARGIN} ${y}H${widthPx - MARGIN}" stroke="${INK}" stroke-width="2"/>`,
      write(MARGIN, base, line.time, { size: big, weight: 600 }),
      write(MARGIN + wide * 0.46, base, line.shutter, { size: big, weight: 600, anchor: 'end' }),
      write(MARGIN + wide * 0.67, base, line.aperture, { size: big, weight: 600, anchor: 'end' }),
      write(widthPx - MARGIN, base, line.iso, { size: big, weight: 600, anchor: 'end' }),
      ...(reasons
        ? [
            write(MARGIN, base + small * 1.35, fitted(`${line.turn}: ${line.why}`, small, wide), {
              size: small,
              ink: QUIET,
            }),
          ]
        : []),
    ];
  });
  const left = lines.length - shown.length;
  const foot = head + 30 + shown.length * rowPx + 50;
  const ends = [...(left > 0 ? [`${left} turns between are in the app`] : []), ...notes];
  return [
    '<?xml version="1.0" encoding="UTF-8"?>',
    `<svg xmlns="http://www.w3.org/2000/svg" width="${widthPx}" height="${heightPx}" viewBox="0 0 ${widthPx} ${heightPx}" role="img">`,
    `<title>${escaped(title)}</title>`,
    `<rect width="${widthPx}" height="${heightPx}" fill="${PAPER}"/>`,
    write(MARGIN, topPx, fitted(title, 52, wide), { size: 52, weight: 600 }),
    ...under.map((text, i) =>
      write(MARGIN, topPx + 46 + i * 40, fitted(text, 30, wide), { size: 30, ink: QUIET }),
    ),
    ...rows,
    ...ends.map((text, i) =>
      write(MARGIN, foot + i * 44, fitted(text, 32, wide), { size: 32, weight: 600 }),
    ),
    '</svg>',
    '',
  ].join('\n');
}
