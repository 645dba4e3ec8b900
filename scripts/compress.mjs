/**
 * Writes each built text beside itself compressed, once, for the server to send as it is.
 */
import { readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { brotliCompressSync, constants, gzipSync } from 'node:zlib';
import { ROOT } from './prepare.mjs';

/** What is compressed already is not compressed again; what is tiny gains nothing. */
const TEXT = /\.(?:js|css|html|svg|json|webmanifest|ttf)$/;
const LEAST_BYTES = 400;

const under = (folder) =>
  readdirSync(folder).flatMap((name) => {
    const place = path.join(folder, name);
    return statSync(place).isDirectory() ? under(place) : [place];
  });

let before = 0;
let after = 0;
for (const file of under(path.join(ROOT, 'dist')).filter((name) => TEXT.test(name))) {
  const text = readFileSync(file);
  if (text.length < LEAST_BYTES) continue;
  const brotli = brotliCompressSync(text, {
    params: {
      [constants.BROTLI_PARAM_QUALITY]: constants.BROTLI_MAX_QUALITY,
      [constants.BROTLI_PARAM_SIZE_HINT]: text.length,
    },
  });
  writeFileSync(`${file}.br`, brotli);
  writeFileSync(`${file}.gz`, gzipSync(text, { level: 9 }));
  before += text.length;
  after += brotli.length;
}
console.log(`Compressed once: ${(before / 1e6).toFixed(1)} MB to ${(after / 1e6).toFixed(1)} MB`);
