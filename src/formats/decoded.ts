import chardet from 'chardet';

/** Text of a file in whatever encoding it was saved. */

/** Enough of a file to tell its encoding by. */
const SAMPLE_BYTES = 200_000;

/**
 * UTF-8 where it is that, UTF-16 by its byte-order mark or its noughts, else the likeliest of the old encodings
 * (Windows-1252 and its kin).
 */
export function decoded(bytes: Uint8Array): string {
  try {
    if (!(bytes[0] === 0xff && bytes[1] === 0xfe) && !(bytes[0] === 0xfe && bytes[1] === 0xff)) {
      const text = new TextDecoder('utf-8', { fatal: true }).decode(bytes);
      // Latin letters in UTF-16 are sound UTF-8 with a nought after each.
      if (!text.includes('\u0000')) return text;
    }
  } catch {
    // Not UTF-8: asked below.
  }
  const guess = chardet.detect(bytes.subarray(0, SAMPLE_BYTES)) ?? 'windows-1252';
  const name = /^(?:utf-?16|iso-8859-(?!1$)|windows-)/i.test(guess) ? guess : 'windows-1252';
  return new TextDecoder(name).decode(bytes);
}
