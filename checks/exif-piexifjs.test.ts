/**
 * Pictures' figures against a second package: the demo's JPEGs were written by piexifjs (stars by EXIF or,
 * as raw converters do, by XMP), and here raw containers and damaged files are made with it.
 */
import { readFileSync } from 'node:fs';
import path from 'node:path';
import piexif from 'piexifjs';
import { DEMO_LOGS } from '@/demo/pictures';
import { readPicture } from '@/formats/exif';

const bytesOf = (buffer: Buffer): ArrayBuffer => new Uint8Array(buffer).buffer;
const shipped = (file: string) =>
  bytesOf(readFileSync(path.join(__dirname, '../public/demo-pictures', file)));

test.each(Object.entries(DEMO_LOGS))(
  'every picture of %s is read as it was written',
  (_id, { pictures, camera, clockOffsetS }) => {
    for (const wanted of pictures) {
      const read = readPicture(wanted.file, shipped(wanted.file));
      if (!read.ok) throw new Error(`${wanted.file}: ${read.reason}`);
      const { frame, thumbnail, zoneMin } = read.picture;
      expect(frame.cameraMs).toBe(Date.parse(`${wanted.takenLocal}Z`) - clockOffsetS * 1000);
      expect(frame).toMatchObject({ name: wanted.file, camera });
      expect(frame.shutterS).toBeCloseTo(wanted.shutterS, 9);
      expect(frame.aperture).toBeCloseTo(wanted.aperture, 9);
      expect(frame.iso).toBe(wanted.iso);
      expect(frame.focalMm).toBe(wanted.focalMm);
      expect(frame.rating).toBe(wanted.rating);
      expect(frame.upright).toBe(wanted.upright);
      expect(zoneMin).toBeUndefined();
      // A whole JPEG: begins and ends as one.
      expect([...(thumbnail?.slice(0, 2) ?? [])]).toEqual([0xff, 0xd8]);
      expect([...(thumbnail?.slice(-2) ?? [])]).toEqual([0xff, 0xd9]);
    }
  },
);

/** The figures alone, in the container that most raw files are built on. */
const rawFile = (exif: Record<string, Record<number, unknown>>) =>
  bytesOf(Buffer.from(piexif.dump(exif).slice('Exif\0\0'.length), 'latin1'));

const TAKEN = piexif.ExifIFD.DateTimeOriginal;

test('a raw container built on TIFF is read', () => {
  const read = readPicture(
    'A_0001.dng',
    rawFile({
      '0th': { [piexif.ImageIFD.Model]: 'Crop body', [piexif.ImageIFD.Rating]: 5 },
      Exif: {
        [TAKEN]: '2027:04:16 18:02:11',
        [piexif.ExifIFD.ExposureTime]: [1, 1600],
        [piexif.ExifIFD.FNumber]: [28, 10],
        [piexif.ExifIFD.ISOSpeedRatings]: 6400,
        [piexif.ExifIFD.FocalLength]: [200, 1],
      },
    }),
  );
  expect(read).toEqual({
    ok: true,
    picture: {
      frame: {
        name: 'A_0001.dng',
        cameraMs: Date.parse('2027-04-16T18:02:11Z'),
        camera: 'Crop body',
        shutterS: 1 / 1600,
        aperture: 2.8,
        iso: 6400,
        focalMm: 200,
        rating: 5,
      },
    },
  });
});

const SOUTH_EAST = {
  ...{
    1: 'S',
    2: [
      [33, 1],
      [51, 1],
      [360, 10],
    ],
    3: 'E',
    4: [
      [151, 1],
      [12, 1],
      [0, 1],
    ],
  },
  ...{ 16: 'T', 17: [4550, 100] },
};

test('a camera that says where it was, and which way it looked, is heard; a magnetic bearing is not', () => {
  const taken = { [TAKEN]: '2027:04:16 18:02:11' };
  const frameOf = (gps: Record<number, unknown>) => {
    const read = readPicture('a.dng', rawFile({ Exif: taken, GPS: gps }));
    if (!read.ok) throw new Error(read.reason);
    return read.picture.frame;
  };
  const frame = frameOf(SOUTH_EAST);
  // 33° 51′ 36″ south, 151° 12′ east.
  expect(frame.latitudeDeg).toBeCloseTo(-33.86, 6);
  expect(frame.longitudeDeg).toBeCloseTo(151.2, 6);
  expect(frame.bearingDeg).toBeCloseTo(45.5, 9);
  expect(frameOf({ ...SOUTH_EAST, 16: 'M' }).bearingDeg).toBeUndefined();
  // Half of a place is none.
  expect(frameOf({ 1: 'S', 2: SOUTH_EAST[2] })).not.toHaveProperty('latitudeDeg');
});

test('a camera that says how far off level it was is heard', () => {
  const packet =
    'http://ns.adobe.com/xap/1.0/\0<x:xmpmeta xmlns:x="adobe:ns:meta/"><rdf:RDF xmlns:rdf="http://www.w3.org/1999/02/22-rdf-syntax-ns#"><rdf:Description rdf:about="" xmlns:GPano="http://ns.google.com/photos/1.0/panorama/" GPano:PoseRollDegrees="-1.2"/></rdf:RDF></x:xmpmeta>';
  const jpeg = readFileSync(path.join(__dirname, '../public/demo-pictures/LMR_0001.jpg'));
  const length = packet.length + 2;
  const segment = Buffer.from(
    `\xff\xe1${String.fromCharCode(length >> 8, length & 255)}${packet}`,
    'latin1',
  );
  const read = readPicture(
    'a.jpg',
    bytesOf(Buffer.concat([jpeg.subarray(0, 2), segment, jpeg.subarray(2)])),
  );
  expect(read.ok && read.picture.frame.rollDeg).toBeCloseTo(-1.2, 9);
});

test.each([
  ['no time', { Exif: { [piexif.ExifIFD.ISOSpeedRatings]: 100 } }, 'when it was taken'],
  ['a time that no picture has', { Exif: { [TAKEN]: '9999:12:31 23:59:59' } }, 'when it was taken'],
  ['a time that is none', { Exif: { [TAKEN]: '2027:19:44 99:00:00' } }, 'when it was taken'],
] as const)('a picture with %s is left out with its reason', (_what, exif, reason) => {
  const read = readPicture('x.dng', rawFile(exif));
  expect(read.ok ? '' : read.reason).toContain(reason);
});

test('figures that can’t be are left out, the rest is kept', () => {
  const read = readPicture(
    `${'n'.repeat(300)}.jpg`,
    rawFile({
      '0th': { [piexif.ImageIFD.Model]: `Body\u0007${'x'.repeat(200)}` },
      Exif: {
        [TAKEN]: '2027:04:16 18:02:11',
        [piexif.ExifIFD.ExposureTime]: [1, 0],
        [piexif.ExifIFD.FNumber]: [0, 10],
        [piexif.ExifIFD.ISOSpeedRatings]: 800,
      },
    }),
  );
  if (!read.ok) throw new Error(read.reason);
  const { frame } = read.picture;
  expect(frame.shutterS).toBeUndefined();
  expect(frame.aperture).toBeUndefined();
  expect(frame.iso).toBe(800);
  expect(frame.name.length).toBeLessThanOrEqual(255);
  expect(frame.camera).toMatch(/^Bodyx+$/);
});

test('text, an empty file and a JPEG cut off anywhere never throw', () => {
  expect(readPicture('a.txt', bytesOf(Buffer.from('hello there'))).ok).toBe(false);
  expect(readPicture('a.jpg', new ArrayBuffer(0)).ok).toBe(false);
  const whole = shipped('LMR_0003.jpg');
  for (let at = 1; at < whole.byteLength; at += 97) {
    expect(() => readPicture('a.jpg', whole.slice(0, at))).not.toThrow();
  }
});

test.each([
  '2027:04:16 29:99:99',
  '2027:02:30 10:00:00',
  '2027:04:16 24:00:00',
  '2027:00:16 10:00:00',
])('taken at %s, it does not say when', (taken) => {
  const read = readPicture('a.dng', rawFile({ '0th': {}, Exif: { [TAKEN]: taken } }));
  expect(read).toEqual({ ok: false, reason: 'it does not say when it was taken' });
});

// Orientation as EXIF 2.32 has it (quoted from memory): 1 to 4 upright or upside down, 5 to 8 on its side.
test.each([
  [1, 6000, 4000, undefined],
  [3, 6000, 4000, undefined],
  [6, 6000, 4000, true],
  [8, 6000, 4000, true],
  [1, 4000, 6000, true],
])('orientation %d of %d x %d: held upright %p', (orientation, width, height, upright) => {
  const read = readPicture(
    'a.dng',
    rawFile({
      '0th': { [piexif.ImageIFD.Orientation]: orientation },
      Exif: {
        [TAKEN]: '2027:04:16 18:02:11',
        [piexif.ExifIFD.PixelXDimension]: width,
        [piexif.ExifIFD.PixelYDimension]: height,
      },
    }),
  );
  expect(read.ok && read.picture.frame.upright).toBe(upright);
});
