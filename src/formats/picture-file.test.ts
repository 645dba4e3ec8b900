import { readFileSync, readdirSync } from 'node:fs';
import path from 'node:path';
import ExifReader from 'exifreader';
import fc from 'fast-check';
import { jpegBytes } from '@/records/fixtures/jpeg';
import { pictureHead } from './picture-file';

/** A PNG's signature and header chunk, without its sum (ISO/IEC 15948, 5.2 and 11.2.2). */
const pngBytes = (widthPx: number, heightPx: number): Uint8Array => {
  const bytes = new Uint8Array(33);
  bytes.set([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a, 0, 0, 0, 13, 0x49, 0x48, 0x44, 0x52]);
  const view = new DataView(bytes.buffer);
  view.setUint32(16, widthPx);
  view.setUint32(20, heightPx);
  return bytes;
};

/** A WebP of the extended kind: its canvas less one, 24 bits each (WebP container specification). */
const webpBytes = (widthPx: number, heightPx: number): Uint8Array => {
  const bytes = new Uint8Array(40);
  const text = (at: number, said: string) =>
    bytes.set(
      [...said].map((letter) => letter.charCodeAt(0)),
      at,
    );
  text(0, 'RIFF');
  text(8, 'WEBPVP8X');
  const less = (at: number, value: number) =>
    bytes.set([value & 255, (value >> 8) & 255, value >> 16], at);
  less(24, widthPx - 1);
  less(27, heightPx - 1);
  return bytes;
};

const KINDS = { JPEG: jpegBytes, PNG: pngBytes, WebP: webpBytes };

test.each(Object.entries(KINDS))('the size of a %s is read from its head', (_, bytesOf) => {
  expect(pictureHead(bytesOf(1200, 900))).toEqual({ ok: true, widthPx: 1200, heightPx: 900 });
  expect(pictureHead(bytesOf(64, 64))).toMatchObject({ ok: true });
});

test.each([
  ['a PNG of nine hundred million pixels', pngBytes(30_000, 30_000), /30000 × 30000 pixels: save/],
  ['just over the most', jpegBytes(8001, 8000), /up to 64 million/],
  ['a stamp', pngBytes(63, 200), /63 × 200 pixels: it must be 64 or more/],
  ['a ribbon', jpegBytes(2000, 90), /too narrow for a map/],
  ['nothing', new Uint8Array(), /no picture that can be laid/],
  ['a page of text', Uint8Array.from(Buffer.from('<svg onload="alert(1)">')), /JPEG, PNG or WebP/],
  ['a JPEG cut off in its head', jpegBytes(800, 600).subarray(0, 12), /JPEG but is damaged/],
  [
    'a PNG with no header',
    Uint8Array.from([...pngBytes(9, 9).subarray(0, 12), 1, 2, 3, 4]),
    /PNG but/,
  ],
] as const)('%s is refused with a reason', (_, bytes, reason) => {
  const head = pictureHead(bytes);
  expect(head.ok ? 'taken' : head.reason).toMatch(reason);
});

test('whatever bytes follow, it is an answer and never a throw', () => {
  const begun = fc.constantFrom(...Object.values(KINDS).map((of) => [...of(300, 300)]), []);
  fc.assert(
    fc.property(begun, fc.nat(40), fc.uint8Array({ maxLength: 200 }), (start, upTo, rest) => {
      const head = pictureHead(Uint8Array.from([...start.slice(0, upTo), ...rest]));
      expect(typeof head.ok).toBe('boolean');
    }),
  );
});

test('the demo’s own pictures are as large as another package reads them', () => {
  const folder = path.join(__dirname, '../../public/demo-pictures');
  const names = readdirSync(folder).filter((name) => name.endsWith('.jpg'));
  expect(names.length).toBeGreaterThan(3);
  for (const name of names.slice(0, 4)) {
    const bytes = readFileSync(path.join(folder, name));
    const { 'Image Width': width, 'Image Height': height } = ExifReader.load(bytes);
    expect(pictureHead(bytes)).toEqual({
      ok: true,
      widthPx: width?.value,
      heightPx: height?.value,
    });
  }
});
