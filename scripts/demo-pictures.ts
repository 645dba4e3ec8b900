/**
 * Draws the demo's invented scenes as small JPEGs and writes their figures into them with piexifjs (and XMP
 * by hand, as raw converters do): `npm run demo-pictures`. What is written is committed and ships.
 */
import { chromium, type Page } from '@playwright/test';
import { mkdirSync, rmSync, writeFileSync } from 'node:fs';
import piexif from 'piexifjs';
import { DEMO_LOGS, type DemoPicture } from '@/demo/pictures';
import { CHROMIUM } from './chromium';
import { sceneSvg, SCENE_SIZE } from './demo-scenes';
import { rational } from './rational';

const OUT = 'public/demo-pictures';
const QUALITY = 0.55;
const THUMBNAIL_PX = 120;

/** A drawing as JPEG bytes, in a binary string as piexifjs takes it. */
async function jpegOf(page: Page, svg: string, widthPx: number, heightPx: number) {
  const url = await page.evaluate(
    async ([drawing, width, height, quality]) => {
      const image = new Image();
      image.src = `data:image/svg+xml;base64,${btoa(drawing)}`;
      await image.decode();
      const canvas = document.createElement('canvas');
      canvas.width = width;
      canvas.height = height;
      canvas.getContext('2d')?.drawImage(image, 0, 0, width, height);
      return canvas.toDataURL('image/jpeg', quality);
    },
    [svg, widthPx, heightPx, QUALITY] as const,
  );
  return Buffer.from(url.split(',')[1] as string, 'base64').toString('latin1');
}

function exifOf(picture: DemoPicture, camera: string, clockOffsetS: number, thumbnail: string) {
  const { takenLocal, shutterS, aperture, iso, focalMm, rating, ratedIn, upright } = picture;
  const [second, tenth] = takenLocal.split('.') as [string, string];
  const cameraMs = Date.parse(`${second}Z`) - clockOffsetS * 1000;
  const stamp = new Date(cameraMs).toISOString().slice(0, 19).replace(/-/g, ':').replace('T', ' ');
  const { width, height } = SCENE_SIZE;
  return piexif.dump({
    '0th': {
      [piexif.ImageIFD.Model]: camera,
      [piexif.ImageIFD.DateTime]: stamp,
      ...(rating !== undefined && ratedIn === 'exif' && { [piexif.ImageIFD.Rating]: rating }),
    },
    Exif: {
      [piexif.ExifIFD.DateTimeOriginal]: stamp,
      [piexif.ExifIFD.SubSecTimeOriginal]: tenth,
      [piexif.ExifIFD.ExposureTime]: rational(shutterS),
      [piexif.ExifIFD.FNumber]: rational(aperture),
      [piexif.ExifIFD.ISOSpeedRatings]: iso,
      [piexif.ExifIFD.FocalLength]: [focalMm, 1],
      [piexif.ExifIFD.PixelXDimension]: upright ? height : width,
      [piexif.ExifIFD.PixelYDimension]: upright ? width : height,
    },
    // A thumbnail stands in a directory of its own: this one says that it is a JPEG.
    '1st': { [piexif.ImageIFD.Compression]: 6 },
    thumbnail,
  });
}

/** An XMP packet with stars, as its own segment after the first two bytes. */
function withXmpRating(jpeg: string, rating: number): string {
  const packet = `http://ns.adobe.com/xap/1.0/\0<x:xmpmeta xmlns:x="adobe:ns:meta/"><rdf:RDF xmlns:rdf="http://www.w3.org/1999/02/22-rdf-syntax-ns#"><rdf:Description rdf:about="" xmlns:xmp="http://ns.adobe.com/xap/1.0/" xmp:Rating="${rating}"/></rdf:RDF></x:xmpmeta>`;
  const length = packet.length + 2;
  const segment = `\xff\xe1${String.fromCharCode(length >> 8, length & 255)}${packet}`;
  return jpeg.slice(0, 2) + segment + jpeg.slice(2);
}

async function main() {
  rmSync(OUT, { recursive: true, force: true });
  mkdirSync(OUT, { recursive: true });
  const browser = await chromium.launch(CHROMIUM);
  const page = await browser.newPage();
  let count = 0;
  for (const { camera, clockOffsetS, pictures } of Object.values(DEMO_LOGS)) {
    for (const [i, picture] of pictures.entries()) {
      const svg = sceneSvg(picture, i);
      const { width, height } = SCENE_SIZE;
      const [w, h] = picture.upright ? [height, width] : [width, height];
      const small = THUMBNAIL_PX / Math.max(w, h);
      const thumbnail = await jpegOf(page, svg, Math.round(w * small), Math.round(h * small));
      const exif = exifOf(picture, camera, clockOffsetS, thumbnail);
      const plain = piexif.insert(exif, await jpegOf(page, svg, w, h));
      const jpeg =
        picture.rating !== undefined && picture.ratedIn === 'xmp'
          ? withXmpRating(plain, picture.rating)
          : plain;
      writeFileSync(`${OUT}/${picture.file}`, Buffer.from(jpeg, 'latin1'));
      count += 1;
    }
  }
  await browser.close();
  console.log(`${count} pictures in ${OUT}`);
}

void main();
