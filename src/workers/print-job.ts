import type { PrintSheet } from '@/formats/print-sheet';
import { sheetPdf, type SheetFonts } from '@/formats/sheet-pdf';

/** Sheets for paper, made where they hold up nothing. */
export interface PrintService {
  pdf: (sheet: PrintSheet, fonts: SheetFonts, madeAtMs: number) => Promise<Uint8Array>;
}

export const printService: PrintService = {
  pdf: (sheet, fonts, madeAtMs) => sheetPdf(sheet, fonts, new Date(madeAtMs)),
};
