import { zoneAt } from '@/features/shoot/brief-form';
import { readPoint, type WrittenPoint } from '@/formats/coordinates';

const degrees = (deg: number): string => `${Number(Math.abs(deg).toFixed(5))}°`;

/** "48.169° N, 11.529° E". */
export const pointInWords = (latitudeDeg: number, longitudeDeg: number): string =>
  `${degrees(latitudeDeg)} ${latitudeDeg < 0 ? 'S' : 'N'}, ${degrees(longitudeDeg)} ${longitudeDeg < 0 ? 'W' : 'E'}`;

/** What stands under a place: its point, or, where that is its name already, whose clocks hold there. */
export function underPlace(name: string, latitudeDeg: number, longitudeDeg: number): string {
  const point = pointInWords(latitudeDeg, longitudeDeg);
  return name === point ? `Clocks of ${zoneAt(latitudeDeg, longitudeDeg)}` : point;
}

function halfInWords({ axis, deg }: Extract<WrittenPoint, { kind: 'half' }>): string {
  if (axis === 'longitude') {
    return `${degrees(deg)} ${deg < 0 ? 'west' : 'east'} is understood; the latitude is missing`;
  }
  if (axis === 'latitude') {
    return `${degrees(deg)} ${deg < 0 ? 'south' : 'north'} is understood; the longitude is missing`;
  }
  return `${deg} is understood as one coordinate; the other is missing`;
}

/** What of a text that was to be a point is understood and what is missing; nothing for a name. */
export function pointProblem(text: string): string | undefined {
  const read = readPoint(text);
  switch (read.kind) {
    case 'half':
      return halfInWords(read);
    case 'offGlobe':
      return Math.abs(read.latitudeDeg) > 90
        ? `the latitude ${read.latitudeDeg} lies past the pole: it goes from −90 to 90. The longitude comes second`
        : `the longitude ${read.longitudeDeg} lies past the date line: it goes from −180 to 180`;
    case 'shortCode':
      return `${read.code} leaves out the town; write the whole code, such as 8FVC2222+22`;
    case 'unread':
      return 'figures are there, but not a latitude and a longitude. Write them such as 48.169, 11.529';
    default:
      return undefined;
  }
}
