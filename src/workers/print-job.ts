import type { ContactSheet } from '@/formats/contact-sheet';
import type { PrintSheet } from '@/formats/print-sheet';
import { contactPdf, sheetPdf, type SheetFonts } from '@/formats/sheet-pdf';

/** Sheets for paper, made where they hold up nothing. */
export interface PrintService {
  pdf: (sheet: PrintSheet, fonts: SheetFonts, madeAtMs: number) => Promise<Uint8Array>;
  contacts: (sheet: ContactSheet, fonts: SheetFonts, madeAtMs: number) => Promise<Uint8Array>;
}

export const printService: PrintService = {
  pdf: (sheet, fonts, madeAtMs) => sheetPdf(sheet, fonts, new Date(madeAtMs)),
  contacts: (sheet, fonts, madeAtMs) => contactPdf(sheet, fonts, new Date(madeAtMs)),
};
