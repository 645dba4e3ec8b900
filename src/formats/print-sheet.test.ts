import fc from 'fast-check';
import { inLines, laidOut, PAGE, type Mark, type Measure, type PrintSheet } from './print-sheet';

/** Every letter half as wide as its size, strong ones a little wider. */
const measure: Measure = (text, strong) => [...text].length * (strong ? 0.55 : 0.5);

const sheetOf = (rows: number, words = 6): PrintSheet => ({
  title: 'A meet of many events: Mara',
  under: ['Saturday 12 June 2027, 10:00 to 18:00'],
  foot: 'A meet, Mara',
  tables: [
    {
      heading: '1. Past the finish',
      note: 'In place by 09:50.',
      columns: [{ share: 1, strong: true }, { share: 4 }, { share: 4 }],
      rows: Array.from({ length: rows }, (_, i) => ({
        cells: [`${10 + i}:00`, `Event ${i}`, 'words '.repeat(words)],
        ...(i % 3 === 0 && { marked: true as const }),
      })),
    },
    {
      heading: 'Not shot',
      columns: [{ share: 1 }],
      rows: [{ cells: ['Nothing more'] }],
    },
  ],
});
const textsOf = (pages: readonly (readonly Mark[])[]) =>
  pages.flatMap((page, at) =>
    page.flatMap((mark) => (mark.kind === 'text' ? [{ ...mark, at }] : [])),
  );

test('words are kept in lines of a width, in order, and none is lost', () => {
  fc.assert(
    fc.property(
      fc.array(
        fc.string({ minLength: 1, maxLength: 30 }).filter((word) => !/\s/.test(word)),
        {
          maxLength: 30,
        },
      ),
      fc.integer({ min: 3, max: 40 }),
      (words, width) => {
        const lines = inLines(words.join('  '), width, (text) => [...text].length);
        lines.forEach((line) => expect([...line].length).toBeLessThanOrEqual(width));
        expect(lines.join('').replaceAll(' ', '')).toBe(words.join(''));
      },
    ),
  );
  expect(inLines('a bb  ccc', 4, (text) => text.length)).toEqual(['a bb', 'ccc']);
  expect(inLines('', 4, (text) => text.length)).toEqual([]);
});

test('all of it stands within the margins, above the foot, whatever its length', () => {
  for (const [rows, words] of [
    [1, 1],
    [60, 6],
    [40, 60],
    [150, 12],
  ] as const) {
    const pages = laidOut(sheetOf(rows, words), measure);
    const texts = textsOf(pages);
    for (const { text, x, y, size, strong } of texts) {
      expect(x).toBeGreaterThanOrEqual(PAGE.margin);
      expect(x + measure(text, strong) * size).toBeLessThanOrEqual(PAGE.width - PAGE.margin + 1e-6);
      expect(y + size).toBeLessThanOrEqual(PAGE.height - PAGE.margin + size * 0.5);
      expect(y).toBeGreaterThanOrEqual(PAGE.margin - 4);
    }
    // Only the foot stands under the margin.
    expect(texts.filter(({ y }) => y < PAGE.margin).map(({ text }) => text)).toEqual(
      pages.map((_, i) => `A meet, Mara · page ${i + 1} of ${pages.length}`),
    );
    const times = texts.flatMap(({ text }) => (/^\d+:00$/.test(text) ? [text] : []));
    expect(times).toEqual(Array.from({ length: rows }, (_, i) => `${10 + i}:00`));
  }
});

test('no two lines of a page stand on each other', () => {
  for (const page of laidOut(sheetOf(25, 30), measure)) {
    const texts = textsOf([page]);
    texts.forEach((a, i) =>
      texts.slice(i + 1).forEach((b) => {
        const over = Math.abs(a.y - b.y) < Math.min(a.size, b.size);
        const [left, right] = a.x < b.x ? [a, b] : [b, a];
        const beside = left.x + measure(left.text, left.strong) * left.size <= right.x;
        expect(!over || beside).toBe(true);
      }),
    );
  }
});

test('the largest type that stays within three pages is taken, else the smallest', () => {
  const size = (rows: number) => {
    const pages = laidOut(sheetOf(rows), measure);
    const row = textsOf(pages).find(({ text }) => text === '10:00');
    return [pages.length, row?.size];
  };
  expect(size(8)).toEqual([1, 10]);
  const [pages, type] = size(130) as [number, number];
  expect(pages).toBeLessThanOrEqual(3);
  expect(type).toBeLessThan(10);
  expect(size(600)[1]).toBe(7);
  expect(size(600)[0]).toBeGreaterThan(3);
});

test('a heading stands with its first row, and what is promised has a bar before it', () => {
  for (let rows = 1; rows < 60; rows += 2) {
    const texts = textsOf(laidOut(sheetOf(rows), measure));
    const pageOf = (text: string) => texts.find((mark) => mark.text === text)?.at;
    expect(pageOf('Not shot')).toBe(pageOf('Nothing more'));
  }
  const bars = laidOut(sheetOf(9), measure)
    .flat()
    .filter((mark) => mark.kind === 'line' && mark.weight === 3);
  expect(bars).toHaveLength(3);
});
