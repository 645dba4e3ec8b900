import {
  engravedMark,
  FLECKS,
  lightSide,
  type BackdropLook,
  type BroadColour,
  type Grade,
  type Settings,
} from '@/core';
import type { Answer } from '@/answers/answer';
import type { Trouble } from '@/answers/told';
import { shownIn, unitsNow, written } from '@/ui/units';

/** The sentences of the answer. Every number in them is computed; nothing here decides. */

/** "Panned at 1/60." of "panned at 1/60". */
export const sentence = (text: string): string =>
  `${text[0]?.toUpperCase() ?? ''}${text.slice(1)}.`;

/** "0.7 stop", "1.0 stop", "1.3 stops". */
export const stops = (value: number): string =>
  `${value.toFixed(1)} stop${value < 1.05 ? '' : 's'}`;

/** "9.6 MP left", "16 MP left": of a crop. */
export const megapixelsLeft = ({ megapixels }: { readonly megapixels: number }): string =>
  `${megapixels.toFixed(megapixels < 10 ? 1 : 0)} MP left`;

/** "right", "2 stops dark", "0.7 stop bright": a frame judged by eye, in words and never by a sign. */
export function lookedInWords(darkStops: number): string {
  const by = Math.abs(darkStops);
  if (by < 0.1) return 'right';
  const whole = Math.abs(by - Math.round(by)) < 0.05;
  const said = whole ? `${Math.round(by)} stop${Math.round(by) === 1 ? '' : 's'}` : stops(by);
  return `${said} ${darkStops > 0 ? 'dark' : 'bright'}`;
}

/** "61 %". */
export const percent = (share: number): string => `${Math.round(share * 100)} %`;

/** Settings as the dials are marked. */
export const engraved = ({ shutterS, aperture, iso }: Settings) => ({
  shutter: engravedMark('shutter', shutterS).label,
  aperture: engravedMark('aperture', aperture).label,
  iso: engravedMark('iso', iso).label,
});

const GRADE_WORDS: Readonly<Record<Grade, string>> = {
  still: 'still',
  crisp: 'crisp',
  slight: 'slightly soft',
  plain: 'plainly blurred',
};
export const gradeInWords = (grade: Grade): string => GRADE_WORDS[grade];

const SIDE_WORDS = { front: 'Front light', side: 'Side light', back: 'Back light' } as const;

/** Under this a hall is dark: a corridor by night has more. */
const DARK_LUX = 1;

/** Front, side or back light, a high sun, or none to speak of. */
export function lightInWords({ light, sunAngle }: Pick<Answer, 'light' | 'sunAngle'>): string {
  if (light.lampLux > light.daylightLux) return 'Lamplight';
  if (light.indoors) return light.daylightLux >= DARK_LUX ? 'Window light' : 'Dark: no lamps';
  if (light.sun.altitudeDeg <= 0) return 'Twilight';
  if (light.underLeaves) return 'Under the canopy';
  const { sunShare, daylight } = light;
  if (daylight.directNormalLux > 0 && sunShare > FLECKS.from && sunShare < FLECKS.to) {
    return 'Dappled light';
  }
  if (!light.sunlit) return daylight.directNormalLux > 0 ? 'In shade' : 'Overcast';
  const { phaseDeg, side } = sunAngle;
  const named = lightSide(phaseDeg, light.sun.altitudeDeg);
  if (named === 'high') return 'High sun, eyes in shade';
  return `${SIDE_WORDS[named]}${side === 'centre' ? '' : ` from the ${side}`}`;
}

/** How what is behind a subject looks. */
export const LOOK_WORDS: Readonly<Record<BackdropLook, string>> = {
  washed: 'washed out',
  soft: 'soft',
  readable: 'readable',
};

/** How much of the subject's face the camera sees. */
export function faceSeen(faceOffDeg: number): string {
  if (faceOffDeg <= 20) return 'faces you';
  if (faceOffDeg <= 60) return 'three-quarter face';
  if (faceOffDeg <= 110) return 'in profile';
  return 'turned away';
}

const COMPASS = ['N', 'NE', 'E', 'SE', 'S', 'SW', 'W', 'NW'];
/** The nearest of eight points of the compass. */
export const compassPoint = (bearing: number): string =>
  COMPASS[Math.round(bearing / 45) % 8] ?? '';

/** "074° E": a true bearing as written on a chart. */
export function bearingInWords(bearing: number): string {
  const whole = Math.round(bearing) % 360;
  return `${String(whole).padStart(3, '0')}° ${compassPoint(whole)}`;
}

/** "Sun 271° W, 11° high". */
export function sunInWords(sun: {
  readonly azimuthDeg: number;
  readonly altitudeDeg: number;
}): string {
  const height = Math.abs(sun.altitudeDeg).toFixed(0);
  const side = sun.altitudeDeg > 0 ? 'high' : 'below the horizon';
  return `Sun ${bearingInWords(sun.azimuthDeg)}, ${height}° ${side}`;
}

/** "21.4 m" near, "214 m" far. */
export const metres = (m: number): string => written(m, 'm', m * shownIn('m').each < 99.95 ? 1 : 0);

/** "1.2 m", "14 cm"; "3.9 ft", "5.5 in". */
export function smallLength(m: number): string {
  if (m === Infinity) return 'endless';
  if (unitsNow() === 'imperial') {
    const inches = m / 0.0254;
    return inches < 24 ? `${inches.toFixed(inches < 9.95 ? 1 : 0)} in` : metres(m);
  }
  if (m < 0.0195) return `${(m * 1000).toFixed(m < 0.00995 ? 1 : 0)} mm`;
  return m < 0.995 ? `${Math.round(m * 100)} cm` : metres(m);
}

/** Why there is no answer, and what to change. */
export function troubleInWords(trouble: Trouble): string {
  switch (trouble.kind) {
    case 'tooNear':
      return `The position is ${written(trouble.distanceM, 'm', 1)} from the mark; this lens focuses from ${written(trouble.nearestFocusM, 'm', 1)}. Move the position back or take another lens.`;
    case 'straightOver':
      return `${trouble.position} is straight over ${trouble.mark}: move one of them aside.`;
    case 'refused':
      return `This can’t be computed. Change ${trouble.what}.`;
    case 'noLight':
      return 'The light here is not known yet.';
  }
}

/** Broad colours as one says them. */
export const COLOUR_WORDS: Readonly<Record<BroadColour, string>> = {
  leaf: 'leaf green',
  flowers: 'flowers',
  wood: 'wood brown',
  stone: 'stone grey',
  sand: 'sand',
  water: 'water',
};
