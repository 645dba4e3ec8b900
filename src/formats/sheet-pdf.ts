import fontkit from '@cantoo/fontkit';
import { PDFDocument, rgb } from '@cantoo/pdf-lib';
import { contactPages, type ContactSheet } from './contact-sheet';
import { laidOut, PAGE, type Mark, type Measure, type PrintSheet } from './print-sheet';

/** Sheets as PDFs: their type embedded, with a title and a language, for readers and for screen readers. */

export interface SheetFonts {
  readonly plain: Uint8Array;
  readonly strong: Uint8Array;
}

const INK = rgb(0.1, 0.1, 0.09);
const UNKNOWN = '?';

/** Pages to be drawn: laid out by how wide the type is, with small JPEGs where they have any. */
interface Pages {
  readonly title: string;
  readonly lay: (measure: Measure) => readonly (readonly Mark[])[];
  readonly pictures?: readonly (Uint8Array | undefined)[];
}

async function pagesPdf(
  { title, lay, pictures = [] }: Pages,
  fonts: SheetFonts,
  madeAt: Date,
): Promise<Uint8Array> {
  const pdf = await PDFDocument.create();
  pdf.registerFontkit(fontkit);
  const [plain, strong] = (await Promise.all(
    [fonts.plain, fonts.strong].map((font) => pdf.embedFont(font, { subset: true })),
  )) as [Awaited<ReturnType<typeof pdf.embedFont>>, Awaited<ReturnType<typeof pdf.embedFont>>];
  pdf.setTitle(title, { showInWindowTitleBar: true });
  pdf.setLanguage('en-GB');
  pdf.setProducer('Bright Perch');
  pdf.setCreator('Bright Perch');
  pdf.setCreationDate(madeAt);
  pdf.setModificationDate(madeAt);
  const drawable = new Set(plain.getCharacterSet());
  /** A text in letters that the type has. */
  const written = (text: string): string =>
    [...text.normalize('NFC')]
      .map((letter) => (drawable.has(letter.codePointAt(0) as number) ? letter : UNKNOWN))
      .join('');
  const fontOf = (bold: boolean) => (bold ? strong : plain);
  const known = { plain: new Map<string, number>(), strong: new Map<string, number>() };
  /** Words come again and again, at each size that is tried. */
  const measure = (text: string, bold: boolean): number => {
    const widths = bold ? known.strong : known.plain;
    const width = widths.get(text) ?? fontOf(bold).widthOfTextAtSize(written(text), 1);
    widths.set(text, width);
    return width;
  };
  const pages = lay(measure);
  // A small picture that is damaged is left out: its name and words stand without it.
  const images = await Promise.all(
    pictures.map((bytes) => (bytes ? pdf.embedJpg(bytes).catch(() => undefined) : undefined)),
  );
  for (const marks of pages) {
    const page = pdf.addPage([PAGE.width, PAGE.height]);
    const draw = (mark: Mark): void => {
      if (mark.kind === 'line') {
        const { x, y, toX, toY, weight } = mark;
        page.drawLine({
          ...{ start: { x, y }, end: { x: toX, y: toY } },
          ...{ thickness: weight, color: INK },
        });
        return;
      }
      if (mark.kind === 'picture') {
        const image = images[mark.picture];
        if (!image) return;
        const scale = Math.min(mark.width / image.width, mark.height / image.height);
        const [width, height] = [image.width * scale, image.height * scale];
        page.drawImage(image, {
          ...{ x: mark.x + (mark.width - width) / 2, y: mark.y + (mark.height - height) / 2 },
          ...{ width, height },
        });
        return;
      }
      const { text, x, y, size } = mark;
      page.drawText(written(text), { x, y, size, font: fontOf(mark.strong), color: INK });
    };
    marks.forEach(draw);
  }
  return pdf.save();
}

/** A sheet of tables. @param madeAt when it is made */
export const sheetPdf = (sheet: PrintSheet, fonts: SheetFonts, madeAt: Date): Promise<Uint8Array> =>
  pagesPdf({ title: sheet.title, lay: (measure) => laidOut(sheet, measure) }, fonts, madeAt);

/** A contact sheet. @param madeAt when it is made */
export const contactPdf = (
  sheet: ContactSheet,
  fonts: SheetFonts,
  madeAt: Date,
): Promise<Uint8Array> =>
  pagesPdf(
    {
      title: sheet.title,
      lay: (measure) => contactPages(sheet, measure),
      pictures: sheet.pictures.map(({ thumbnail }) => thumbnail),
    },
    fonts,
    madeAt,
  );
