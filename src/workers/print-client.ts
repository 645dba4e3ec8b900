import type { Remote } from 'comlink';
import type { ContactSheet } from '@/formats/contact-sheet';
import type { PrintSheet } from '@/formats/print-sheet';
import type { SheetFonts } from '@/formats/sheet-pdf';
import { apart } from './apart';
import type { PrintService } from './print-job';

const LONGEST_MS = 30_000;

/** The type of a sheet: shipped with the app, and kept for use without a network. */
const FONTS = {
  plain: '/fonts/source-sans-3-400.ttf',
  strong: '/fonts/source-sans-3-600.ttf',
} as const;

async function bytesOf(address: string): Promise<Uint8Array> {
  const reply = await fetch(address);
  if (!reply.ok)
    throw new Error('the type for paper could not be loaded: open it once with a network');
  return new Uint8Array(await reply.arrayBuffer());
}

const typed = async (): Promise<SheetFonts> => {
  const [plain, strong] = await Promise.all([bytesOf(FONTS.plain), bytesOf(FONTS.strong)]);
  return { plain, strong };
};

const inWorker = (ask: (service: Remote<PrintService>) => Promise<Uint8Array>) =>
  apart<PrintService, Uint8Array>(
    () => new Worker(new URL('./print.worker.ts', import.meta.url)),
    ask,
    { longestMs: LONGEST_MS, what: 'put on paper' },
  );

/** A sheet as a PDF. @throws Error in words */
export async function printed(sheet: PrintSheet): Promise<Uint8Array> {
  const fonts = await typed();
  return inWorker((service) => service.pdf(sheet, fonts, Date.now()));
}

/** A contact sheet as a PDF. @throws Error in words */
export async function contactsPrinted(sheet: ContactSheet): Promise<Uint8Array> {
  const fonts = await typed();
  return inWorker((service) => service.contacts(sheet, fonts, Date.now()));
}
