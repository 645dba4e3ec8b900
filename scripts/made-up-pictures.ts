/**
 * The made-up meet's pictures as JPEGs with their figures in them, and its shoot as a file:
 * `npm run made-up-pictures -- DIRECTORY [SEED] [PICTURES]`. What is in each is known (`truth.csv`).
 */
import { mkdirSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import piexif from 'piexifjs';
import { writeCells } from '@/formats/csv';
import { writeShootFile } from '@/formats/shoot-json';
import { madeUpDay, type MadeUpPicture } from './made-up-day';
import { rational } from './rational';

const SCENE = path.join(__dirname, '../public/demo-pictures/TRN_0001.jpg');

/** A drawing with a picture's figures in it, and its small picture: its own where none is given. */
export function madeUpJpeg(
  scene: string,
  { frame }: Pick<MadeUpPicture, 'frame'>,
  small?: string,
): Buffer {
  const { cameraMs, camera, shutterS = 1, aperture = 1, iso = 100, focalMm = 50, rating } = frame;
  const iso8601 = new Date(cameraMs).toISOString();
  const stamp = iso8601.slice(0, 19).replace(/-/g, ':').replace('T', ' ');
  const before = piexif.load(scene);
  const thumbnail = small ?? before.thumbnail;
  const exif = piexif.dump({
    '0th': {
      [piexif.ImageIFD.Model]: camera,
      ...(rating !== undefined && { [piexif.ImageIFD.Rating]: rating }),
    },
    Exif: {
      [piexif.ExifIFD.DateTimeOriginal]: stamp,
      [piexif.ExifIFD.SubSecTimeOriginal]: iso8601.slice(20, 23),
      [piexif.ExifIFD.ExposureTime]: rational(shutterS),
      [piexif.ExifIFD.FNumber]: rational(aperture),
      [piexif.ExifIFD.ISOSpeedRatings]: iso,
      [piexif.ExifIFD.FocalLength]: [focalMm, 1],
    },
    // A thumbnail stands in a directory of its own: this one says that it is a JPEG.
    '1st': { ...before['1st'], [piexif.ImageIFD.Compression]: 6 },
    ...(thumbnail && { thumbnail }),
  });
  return Buffer.from(piexif.insert(exif, scene), 'latin1');
}

export const madeUpScene = (): string => readFileSync(SCENE).toString('latin1');

function main([directory, seed = '17', pictures = '300']: readonly string[]) {
  if (!directory) throw new Error('say where to write: npm run made-up-pictures -- DIRECTORY');
  const day = madeUpDay(Number(seed), Number(pictures));
  mkdirSync(directory, { recursive: true });
  if (readdirSync(directory).length > 0) throw new Error(`${directory}: must be empty`);
  const scene = madeUpScene();
  for (const picture of day.pictures) {
    writeFileSync(path.join(directory, picture.frame.name), madeUpJpeg(scene, picture));
  }
  writeFileSync(path.join(directory, 'spring-meet.shoot.json'), writeShootFile(day.shoot));
  const truth = day.pictures.map(({ frame, eventId, lane, who, press }) => [
    ...[frame.name, frame.camera, eventId, lane, who, press],
  ]);
  const heads = ['File', 'Camera', 'Event', 'Lane', 'Who', 'Press'];
  writeFileSync(path.join(directory, 'truth.csv'), writeCells([heads, ...truth]));
  console.log(`${day.pictures.length} pictures in ${directory}`);
}

if (require.main === module) main(process.argv.slice(2));
