import { readFile } from 'node:fs/promises';
import { inflateSync } from 'node:zlib';
import type { Page } from '@playwright/test';
import { extractText, getDocumentProxy, getMeta } from 'unpdf';

/** All that is said in a PDF of its objects, unpacked. */
function objectsOf(bytes: Buffer): string {
  const text = bytes.toString('latin1');
  const packed = [...text.matchAll(/stream\r?\n/g)].map(({ index, 0: begins }) => {
    try {
      return inflateSync(bytes.subarray(index + begins.length)).toString('latin1');
    } catch {
      return '';
    }
  });
  return [text, ...packed].join('\n');
}

/** A PDF that a press saves, read back by another program than made it. */
export async function pdfOf(page: Page, press: () => Promise<void>) {
  const [download] = await Promise.all([page.waitForEvent('download'), press()]);
  const bytes = await readFile(await download.path());
  const pdf = await getDocumentProxy(new Uint8Array(bytes));
  const { info } = await getMeta(pdf);
  const { text } = await extractText(pdf, { mergePages: false });
  return {
    name: download.suggestedFilename(),
    path: await download.path(),
    title: info.Title as string,
    language: info.Language as string,
    pages: text,
    /** Types that lie in it, so that no reader needs to have them. */
    embedded: objectsOf(bytes).match(/\/FontFile[23]? /g)?.length ?? 0,
  };
}
