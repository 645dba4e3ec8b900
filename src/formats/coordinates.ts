import Coordinates from 'coordinate-parser';
import { OpenLocationCode } from 'open-location-code';

/**
 * A point on the globe as people write it or copy it from a map: decimal or degrees, minutes and seconds,
 * with letters or signs, decimal points or commas, "geo:" addresses (RFC 5870), full plus codes.
 */
export type WrittenPoint =
  | { readonly kind: 'point'; readonly latitudeDeg: number; readonly longitudeDeg: number }
  /** One of the two is there, and which: the other is missing. */
  | {
      readonly kind: 'half';
      readonly axis: 'latitude' | 'longitude' | 'unknown';
      readonly deg: number;
    }
  | { readonly kind: 'offGlobe'; readonly latitudeDeg: number; readonly longitudeDeg: number }
  /** A plus code that leaves out where on the globe it is. */
  | { readonly kind: 'shortCode'; readonly code: string }
  /** Figures, and no point in them. */
  | { readonly kind: 'unread' }
  /** No coordinates: a name. */
  | { readonly kind: 'name' };

const codes = new OpenLocationCode();

/** Longer than any two coordinates are written. */
const LONGEST = 200;
const PLUS_CODE = /^[23456789CFGHJMPQRVWX]{2,8}\+[23456789CFGHJMPQRVWX]{0,7}$/i;
/** Ten letters and the plus. */
const PLUS_CODE_LETTERS = 11;
const WORDS =
  /\b(?:geo|latitude|longitude|lat|lon|lng|long|deg(?:rees?)?|min(?:utes?)?|sec(?:onds?)?)\b/gi;

/** As the parser takes it: no words, no decimal commas, plain signs. */
function plain(text: string): string {
  const bare = text
    .replace(/^geo:([^;?]*).*$/i, '$1')
    .replace(/(\d\s*)(?:deg(?:rees?)?|d)(?=\W|\d|$)/gi, '$1° ')
    .replace(/(\d\s*)(?:min(?:utes?)?|m)(?=\W|\d|$)/gi, "$1' ")
    .replace(/(\d\s*)(?:sec(?:onds?)?|s)(?=\s*[NSEW])/gi, '$1" ')
    .replace(WORDS, ' ')
    .replace(/north/gi, 'N')
    .replace(/south/gi, 'S')
    .replace(/east/gi, 'E')
    .replace(/west/gi, 'W')
    .replace(/[−–]/g, '-')
    .replace(/[:=](?=\s)/g, ' ')
    .trim();
  // "48,1690; 11,5290" and "48,1690, 11,5290": commas within figures, something else between the two.
  const commas = /^[^\d]*\d+,\d+[^\d,.]*(?:[\s;/]|,\s)[^\d]*\d+,\d+[^\d,.]*$/.test(bare);
  return (commas ? bare.replace(/(\d),(\d)/g, '$1.$2') : bare).replace(/;/g, ', ');
}

/** "11.5290 E 48.1690 N" the usual way round. */
const northFirst = (text: string): string =>
  text
    .replace(/^([^NS]*[EW])[\s,/]*([^EW]*[NS])$/i, '$2 $1')
    .replace(/^([EW][^NS]*?)[\s,/]*([NS][^EW]*)$/i, '$2 $1');

function parsed(
  text: string,
): { readonly latitudeDeg: number; readonly longitudeDeg: number } | undefined {
  try {
    const read = new Coordinates(text);
    const [latitudeDeg, longitudeDeg] = [read.getLatitude(), read.getLongitude()];
    return Number.isFinite(latitudeDeg) && Number.isFinite(longitudeDeg)
      ? { latitudeDeg, longitudeDeg }
      : undefined;
  } catch {
    return undefined;
  }
}

/** One coordinate alone: read with a nought for the other. */
function halfOf(text: string): WrittenPoint {
  const letter = /[NSEW]/i.exec(text)?.[0].toUpperCase();
  const isLongitude = letter === 'E' || letter === 'W';
  const pair = isLongitude ? `0 N ${text}` : letter ? `${text} 0 E` : `${text}, 0`;
  const read = parsed(pair);
  if (!read) return { kind: 'unread' };
  const deg = isLongitude ? read.longitudeDeg : read.latitudeDeg;
  const axis = isLongitude ? 'longitude' : letter ? 'latitude' : 'unknown';
  return { kind: 'half', axis, deg };
}

/** Reads a point; a text that is no attempt at one is a name. */
export function readPoint(written: string): WrittenPoint {
  const text = written.trim();
  if (text.length > LONGEST) return { kind: 'name' };
  const code = text.split(/[\s,]/)[0] as string;
  if (PLUS_CODE.test(code)) {
    if (!codes.isValid(code) || !codes.isFull(code)) return { kind: 'shortCode', code };
    // A square of fourteen metres; the package misreads what divides it further.
    const { latitudeCenter, longitudeCenter } = codes.decode(code.slice(0, PLUS_CODE_LETTERS));
    return { kind: 'point', latitudeDeg: latitudeCenter, longitudeDeg: longitudeCenter };
  }
  const figures = plain(text);
  if (!/\d/.test(figures) || /\p{L}{2,}/u.test(figures)) return { kind: 'name' };
  // Figures of a thousand and more are minutes run together with degrees: only with letters are they meant.
  if (/\d{4,}(?:\D|$)/.test(figures.replace(/\.\d+/g, '')) && !/[NSEW]/i.test(figures)) {
    return { kind: 'unread' };
  }
  if (/\de[+-]?\d/i.test(figures) && !/[NS]/i.test(figures)) return { kind: 'unread' };
  const read = parsed(northFirst(figures));
  if (!read) return halfOf(figures);
  const { latitudeDeg, longitudeDeg } = read;
  const onGlobe = Math.abs(latitudeDeg) <= 90 && Math.abs(longitudeDeg) <= 180;
  return { kind: onGlobe ? 'point' : 'offGlobe', latitudeDeg, longitudeDeg };
}
