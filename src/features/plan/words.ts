import {
  DELIVERED_LONG_SIDE_PX,
  engravedMark,
  formatShutter,
  nearestMark,
  type ExposurePlan,
  type Grade,
  type PartSmear,
  type Settings,
  type Shortfall,
  type WayOut,
} from '@/core';
import type { Answer } from './answer';
import type { View } from './view';
import { shownIn, unitsNow, written } from '@/ui/units';

/** The sentences of the answer. Every number in them is computed; nothing here decides. */

/** "0.7 stop", "1.0 stop", "1.3 stops". */
export const stops = (value: number): string =>
  `${value.toFixed(1)} stop${value < 1.05 ? '' : 's'}`;

/** "right", "0.7 stop dark". */
export function lookedInWords(darkStops: number): string {
  if (Math.abs(darkStops) < 0.1) return 'right';
  return `${stops(Math.abs(darkStops))} ${darkStops > 0 ? 'dark' : 'bright'}`;
}

/** "61 %". */
export const percent = (share: number): string => `${Math.round(share * 100)} %`;

/** Settings as the dials are marked. */
export const engraved = ({ shutterS, aperture, iso }: Settings) => ({
  shutter: engravedMark('shutter', shutterS).label,
  aperture: engravedMark('aperture', aperture).label,
  iso: engravedMark('iso', iso).label,
});

const SHORT_STOPS = 0.05;

function wayInWords({ lever, value, stops: closed }: WayOut, missing: number): string {
  const rest = missing - closed > SHORT_STOPS ? ` (${stops(missing - closed)} still missing)` : '';
  switch (lever) {
    case 'aperture':
      return `open to ${nearestMark('aperture', value).label}${rest}`;
    case 'iso':
      return `${nearestMark('iso', value).label}${rest}`;
    case 'lift':
      return `lift ${stops(value)} afterwards${rest}`;
    case 'shutter':
      return `${formatShutter(value)} with softer motion${rest}`;
  }
}

function orList(parts: readonly string[]): string {
  if (parts.length < 2) return parts.join('');
  return `${parts.slice(0, -1).join(', ')} or ${parts[parts.length - 1]}`;
}

/** A shortage that lasts to the end of the ribbon, and the single levers that would close it. */
export interface Outlook {
  readonly shortfall?: Shortfall;
  readonly waysOut: readonly WayOut[];
}

/** "open to f/2.8, ISO 12800 or 1/800 with softer motion". */
export const waysInWords = (ways: readonly WayOut[], missingStops: number): string =>
  orList(ways.map((way) => wayInWords(way, missingStops)));

/** What the dials as held make of the frame. */
function heldSentence({ stopsDark, stopsBright }: ExposurePlan): string {
  const by = (value: number) => `${stops(value)} with your hand on the dials`;
  if (stopsDark > 1 / 6) return `Too dark by ${by(stopsDark)}.`;
  if (stopsBright > 1 / 6) return `Too bright by ${by(stopsBright)}.`;
  return 'Exposed right with your hand on the dials.';
}

/** "From 20:08 short by 1.1 stops: ISO 12800 or 1/800 with softer motion." */
export function outlookInWords(
  { shortfall, waysOut }: Outlook,
  clock: (ms: number) => string,
): string {
  if (!shortfall) return '';
  const { fromMs, worstStops } = shortfall;
  return `From ${clock(fromMs)} short by ${stops(worstStops)}: ${waysInWords(waysOut, worstStops)}.`;
}

/**
 * The stops in one sentence: short now, short later, in hand, or too bright.
 * "From 20:05 short by 0.7 stop: ISO 10000 or 1/640 with softer motion."
 */
export function stopsSentence(
  plan: ExposurePlan,
  { shortfall, waysOut }: Outlook,
  now: {
    readonly clock: (ms: number) => string;
    readonly atMs: number;
    /** The body's highest usable ISO. */
    readonly usableIso: number;
    /** Whether levers are held by hand: then the frame itself is spoken of. */
    readonly held?: boolean;
  },
): string {
  const { clock, atMs } = now;
  if (now.held) return heldSentence(plan);
  const ceiling = nearestMark('iso', now.usableIso).label;
  if (plan.stopsDark > SHORT_STOPS) {
    return `Too dark by ${stops(plan.stopsDark)} with every lever given: more light, a wider lens or a nearer place is needed.`;
  }
  if (plan.stopsBright > 1 / 6) {
    return `Too bright by ${stops(plan.stopsBright)} even at the fastest and smallest: a neutral filter would hold it.`;
  }
  if (plan.stopsShort > SHORT_STOPS) {
    const since = shortfall && shortfall.fromMs < atMs ? `, since ${clock(shortfall.fromMs)}` : '';
    return `Short by ${stops(plan.stopsShort)} now${since}: ${waysInWords(plan.waysOut, plan.stopsShort)}.`;
  }
  if (shortfall && shortfall.fromMs > atMs) {
    return `${outlookInWords({ shortfall, waysOut }, clock)} Now ${stops(plan.stopsSpare)} in hand.`;
  }
  return `${stops(plan.stopsSpare)} in hand before ${ceiling}, the highest you would use.`;
}

const GRADE_WORDS: Readonly<Record<Grade, string>> = {
  still: 'still',
  crisp: 'crisp',
  slight: 'slightly soft',
  plain: 'plainly blurred',
};
export const gradeInWords = (grade: Grade): string => GRADE_WORDS[grade];

/** Wider than this share of the picture, a streak's length says nothing more. */
const ALL_STREAK_SHARE = 0.25;

/** "Head rules: 3.1 px at 1/1250; the foot moves 4.0 px." */
export function shutterReason(view: View, { exposure }: Pick<Answer, 'exposure'>): string {
  const { smear = [], settings } = exposure;
  const shutter = formatShutter(settings.shutterS);
  const ruling = smear.find(({ part }) => part === view.demand.ruledBy);
  const most = [...smear].sort((a, b) => b.deliveredPx - a.deliveredPx)[0];
  const px = ({ deliveredPx }: PartSmear) => `${deliveredPx.toFixed(1)} px`;
  if (view.wanted.technique === 'pan' && smear[0]) {
    const [rung] = view.ladder.rungs;
    const share = rung ? (rung.streakShare * settings.shutterS) / rung.shutterS : 0;
    return `Panned at ${shutter}: the ${smear[0].part} moves ${px(smear[0])} in a swing as even as yours, the background ${(share * 100).toFixed(1)} % of the frame.`;
  }
  if (view.wanted.technique === 'streak' && most) {
    return `Streaks at ${shutter}: the ${most.part} moves ${px(most)}.`;
  }
  if (most && most.deliveredPx > ALL_STREAK_SHARE * DELIVERED_LONG_SIDE_PX) {
    return `At ${shutter} all that moves is a streak.`;
  }
  if (!ruling) {
    const next = most ? `; the ${most.part} moves ${px(most)}` : '';
    return `Your own hands rule: steady to ${formatShutter(view.shakeS)}${next}.`;
  }
  const name = `${ruling.part[0]?.toUpperCase()}${ruling.part.slice(1)}`;
  const first = `${name} rules: ${px(ruling)} at ${shutter}`;
  return most && most.part !== ruling.part
    ? `${first}; the ${most.part} moves ${px(most)}.`
    : `${first}.`;
}

/** Front, side or back light, or none to speak of. */
export function lightInWords({ light, sunAngle }: Answer): string {
  if (light.lampLux > light.daylightLux) return 'Lamplight';
  if (light.indoors) return 'Dark: no lamps';
  if (light.sun.altitudeDeg <= 0) return 'Twilight';
  if (!light.sunlit) return light.daylight.directNormalLux > 0 ? 'In shade' : 'Overcast';
  const { phaseDeg, side } = sunAngle;
  const from = side === 'centre' ? '' : ` from the ${side}`;
  if (phaseDeg < 45) return `Front light${from}`;
  if (phaseDeg < 75) return `Front-side light${from}`;
  if (phaseDeg <= 105) return `Side light${from}`;
  return phaseDeg <= 135 ? `Back-side light${from}` : `Back light${from}`;
}

/** How much of the subject's face the camera sees. */
export function faceSeen(faceOffDeg: number): string {
  if (faceOffDeg <= 20) return 'faces you';
  if (faceOffDeg <= 60) return 'three-quarter face';
  if (faceOffDeg <= 110) return 'in profile';
  return 'turned away';
}

const COMPASS = ['N', 'NE', 'E', 'SE', 'S', 'SW', 'W', 'NW'];
/** "074° E": a true bearing as written on a chart. */
export function bearingInWords(bearing: number): string {
  const whole = Math.round(bearing) % 360;
  return `${String(whole).padStart(3, '0')}° ${COMPASS[Math.round(whole / 45) % 8]}`;
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
export const metres = (m: number): string => written(m, 'm', m * shownIn('m').each < 100 ? 1 : 0);

/** "1.2 m", "14 cm"; "3.9 ft", "5.5 in". */
export function smallLength(m: number): string {
  if (m === Infinity) return 'endless';
  if (unitsNow() === 'imperial') {
    const inches = m / 0.0254;
    return inches < 24 ? `${inches.toFixed(inches < 10 ? 1 : 0)} in` : metres(m);
  }
  return m < 1 ? `${Math.round(m * 100)} cm` : metres(m);
}
