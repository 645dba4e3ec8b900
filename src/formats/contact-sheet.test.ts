import { readFileSync } from 'node:fs';
import path from 'node:path';
import { contactPages, type ContactSheet } from './contact-sheet';
import { PAGE, type Mark, type Measure } from './print-sheet';
import { contactPdf } from './sheet-pdf';

/** Every letter half as wide as its size. */
const measure: Measure = (text) => [...text].length * 0.5;
const SMALL = new Uint8Array(
  readFileSync(path.join(__dirname, '../../public/demo-pictures/TRN_0001.jpg')),
);

const sheetOf = (count: number, caption = 'Ada Finch (4, Westmere), 100 m'): ContactSheet => ({
  title: 'Spring meet: Westmere',
  under: ['Saturday 22 May 2027', `${count} pictures`],
  foot: 'Spring meet',
  pictures: Array.from({ length: count }, (_, i) => ({
    ...{ name: `FFA_${1000 + i}.jpg`, caption, thumbnail: SMALL },
    ...(i === 0 && { stars: 4 }),
  })),
});
const textsOf = (pages: readonly (readonly Mark[])[]) =>
  pages.flatMap((page) => page.flatMap((mark) => (mark.kind === 'text' ? [mark] : [])));

test('every picture has its place on a page, its name and its words, and nothing lies over another', () => {
  const pages = contactPages(sheetOf(40), measure);
  expect(pages.length).toBeGreaterThan(1);
  const places = pages.map((page) =>
    page.flatMap((mark) => (mark.kind === 'picture' ? [mark] : [])),
  );
  expect(places.flat().map(({ picture }) => picture)).toEqual(
    Array.from({ length: 40 }, (_, i) => i),
  );
  for (const page of places) {
    for (const [i, one] of page.entries()) {
      expect(one.x).toBeGreaterThanOrEqual(PAGE.margin);
      expect(one.x + one.width).toBeLessThanOrEqual(PAGE.width - PAGE.margin + 0.01);
      expect(one.y).toBeGreaterThan(PAGE.margin);
      expect(one.y + one.height).toBeLessThanOrEqual(PAGE.height - PAGE.margin);
      for (const other of page.slice(i + 1)) {
        const apart =
          other.x >= one.x + one.width ||
          other.x + other.width <= one.x ||
          other.y + other.height <= one.y;
        expect(apart).toBe(true);
      }
    }
  }
  const texts = textsOf(pages).map(({ text }) => text);
  expect(texts).toContain('FFA_1000.jpg, 4 of 5');
  expect(texts).toContain('FFA_1039.jpg');
  expect(texts.filter((text) => text.startsWith('Spring meet · page'))).toHaveLength(pages.length);
  // The foot stands under all of it.
  for (const { text, y } of textsOf(pages)) {
    if (text.startsWith('Spring meet · page')) expect(y).toBeLessThan(PAGE.margin);
  }
  // Words under a picture stay over the next row and over the foot.
  const lowest = Math.min(
    ...textsOf(pages).flatMap(({ text, y }) => (text.includes('page') ? [] : [y])),
  );
  expect(lowest).toBeGreaterThan(PAGE.margin);
});

test('a caption too long is held to its lines and says that it goes on', () => {
  const pages = contactPages(sheetOf(1, 'a very long caption indeed '.repeat(20)), measure);
  const under = textsOf(pages).filter(({ size }) => size === 7);
  expect(under).toHaveLength(3);
  expect(under.at(-1)?.text.endsWith('…')).toBe(true);
});

// What another program reads in it: e2e/names.spec.ts.
test('a damaged small picture loses nothing of the rest of a PDF', async () => {
  const fonts = {
    plain: new Uint8Array(
      readFileSync(path.join(__dirname, '../../public/fonts/source-sans-3-400.ttf')),
    ),
    strong: new Uint8Array(
      readFileSync(path.join(__dirname, '../../public/fonts/source-sans-3-600.ttf')),
    ),
  };
  const sheet = sheetOf(4, 'Zoë Åsgård & Müller, 100 m');
  const damaged = sheet.pictures.map((picture, i) =>
    i === 1 ? { ...picture, thumbnail: new Uint8Array([0xff, 0xd8, 1, 2, 3]) } : picture,
  );
  const bytes = await contactPdf({ ...sheet, pictures: damaged }, fonts, new Date(0));
  const said = Buffer.from(bytes).toString('latin1');
  expect(said.startsWith('%PDF-')).toBe(true);
  expect(said.match(/\/Subtype \/Image/g)).toHaveLength(3);
});
