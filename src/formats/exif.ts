import { DOMParser } from '@xmldom/xmldom';
import { load, type XmpTag } from 'exifreader';
// All of the core would follow into the worker.
import { isPictureTime } from '@/core/log/bursts';
import type { Frame } from '@/records/frames';
import { LONGEST_NAME } from '@/records/picture-name';

/**
 * What a picture says of itself: JPEG, TIFF and the raw containers built on TIFF (DNG among them), HEIC,
 * PNG and WebP, by the exifreader package. Only read, never written.
 */

/** A frame as its file says it, before its clock is set right. */
export interface PictureFigures {
  readonly frame: Frame;
  /** How far ahead of UTC the camera says it was, in minutes; most cameras don't say. */
  readonly zoneMin?: number;
  /** The small JPEG that the camera put into the file. */
  readonly thumbnail?: Uint8Array;
}

type Read =
  | { readonly ok: true; readonly picture: PictureFigures }
  | { readonly ok: false; readonly reason: string };

const LONGEST_CAMERA = 80;
const LARGEST_THUMBNAIL_BYTES = 200_000;

type Tag = { readonly value?: unknown; readonly description?: unknown } | undefined;

/** A figure of a tag within what is possible: what lies outside is as good as not there. */
function figure(tag: Tag, least: number, most: number): number | undefined {
  const raw = tag?.value;
  const number = Array.isArray(raw)
    ? raw.length === 2 && raw[1] !== 1
      ? Number(raw[0]) / Number(raw[1])
      : Number(raw[0])
    : Number(raw);
  return Number.isFinite(number) && number >= least && number <= most ? number : undefined;
}

const words = (tag: Tag): string =>
  // Control characters end a name for whoever reads it on.
  String(Array.isArray(tag?.value) ? tag.value.join('') : (tag?.value ?? ''))
    .replace(/\p{C}/gu, '')
    .trim();

/** "2027:04:16 19:02:11" and hundredths as milliseconds as if of UTC. */
function momentOf(taken: string, hundredths: string): number | undefined {
  const parts = /^(\d{4})[:-](\d\d)[:-](\d\d)[ T](\d\d):(\d\d):(\d\d)/.exec(taken);
  if (!parts) return undefined;
  const [year, month, day, hour, minute, second] = parts.slice(1).map(Number) as number[];
  const ms = Date.UTC(year ?? 0, (month ?? 1) - 1, day, hour, minute, second);
  const fraction = /^\d+$/.test(hundredths) ? Number(`0.${hundredths}`) * 1000 : 0;
  // 29:99:99 would roll over into another day: what is no time is none.
  const written = `${parts.slice(1, 4).join('-')}T${parts.slice(4).join(':')}`;
  const real = Number.isFinite(ms) && new Date(ms).toISOString().startsWith(written);
  return real && isPictureTime(ms) ? ms + Math.round(fraction) : undefined;
}

function zoneOf(text: string): number | undefined {
  const parts = /^([+-])(\d\d):(\d\d)$/.exec(text);
  if (!parts) return undefined;
  const minutes = Number(parts[2]) * 60 + Number(parts[3]);
  return minutes > 14 * 60 ? undefined : parts[1] === '-' ? -minutes : minutes;
}

/** Sideways by the camera's own account: 5 to 8. */
const isUpright = (orientation: number | undefined, tall: boolean): boolean =>
  orientation === undefined ? tall : orientation >= 5 || tall;

/**
 * Reads one picture. @param bytes the whole file, or its head: the figures stand at the beginning
 * @returns the figures, or why there are none
 */
export function readPicture(name: string, bytes: ArrayBuffer): Read {
  let tags;
  try {
    tags = load(bytes, {
      expanded: true,
      domParser: new DOMParser({ onError: () => undefined }),
    });
  } catch {
    return { ok: false, reason: 'no picture that can be read' };
  }
  const exif = (tags.exif ?? {}) as Record<string, Tag>;
  const xmp = (tags.xmp ?? {}) as Record<string, XmpTag | undefined>;
  const taken = words(exif.DateTimeOriginal) || words(exif.DateTime);
  const cameraMs = momentOf(taken, words(exif.SubSecTimeOriginal));
  if (cameraMs === undefined) return { ok: false, reason: 'it does not say when it was taken' };
  const zoneMin = zoneOf(words(exif.OffsetTimeOriginal) || words(exif.OffsetTime));
  const stars = figure(xmp.Rating as Tag, -1, 5) ?? figure(exif.Rating, 0, 5);
  const [width, height] = [
    figure(exif.PixelXDimension, 1, 1e6) ?? 0,
    figure(exif.PixelYDimension, 1, 1e6) ?? 0,
  ];
  const optional = {
    shutterS: figure(exif.ExposureTime, 1e-6, 3600),
    aperture: figure(exif.FNumber, 0.5, 128),
    iso: figure(exif.ISOSpeedRatings, 1, 1e7),
    focalMm: figure(exif.FocalLength, 0.5, 5000),
    rating: stars === undefined ? undefined : Math.round(stars),
    rollDeg: figure(xmp.PoseRollDegrees as Tag, -180, 180),
  };
  const gps = (tags.gps ?? {}) as { readonly Latitude?: unknown; readonly Longitude?: unknown };
  // The package gives degrees with their sign; both or neither.
  const [latitudeDeg, longitudeDeg] = [
    figure({ value: gps.Latitude }, -90, 90),
    figure({ value: gps.Longitude }, -180, 180),
  ];
  const isPlaced = latitudeDeg !== undefined && longitudeDeg !== undefined;
  // Magnetic bearings would need the place's declination: most cameras that tell one say it is true.
  const bearingDeg = figure(exif.GPSImgDirection, 0, 360);
  const isTrue = words(exif.GPSImgDirectionRef) !== 'M';
  const image = (tags.Thumbnail as { readonly image?: ArrayBuffer } | undefined)?.image;
  const thumbnail =
    image && image.byteLength > 0 && image.byteLength <= LARGEST_THUMBNAIL_BYTES
      ? new Uint8Array(image)
      : undefined;
  return {
    ok: true,
    picture: {
      frame: {
        name: name.slice(0, LONGEST_NAME),
        cameraMs,
        camera: words(exif.Model).slice(0, LONGEST_CAMERA),
        ...(Object.fromEntries(
          Object.entries(optional).filter(([, value]) => value !== undefined),
        ) as Partial<Frame>),
        ...(isPlaced && { latitudeDeg, longitudeDeg }),
        ...(bearingDeg !== undefined && isTrue && { bearingDeg }),
        ...(isUpright(figure(exif.Orientation, 1, 8), height > width) && { upright: true }),
      },
      ...(zoneMin !== undefined && { zoneMin }),
      ...(thumbnail && { thumbnail }),
    },
  };
}
