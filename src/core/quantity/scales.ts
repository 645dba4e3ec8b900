import { above, oneOf } from '../check';

export type ScaleKind = 'shutter' | 'aperture' | 'iso';
/** How finely a dial turns: thirds, halves or whole stops. */
export type Dial = 'third' | 'half' | 'whole';
export type Rounding = 'nearest' | 'up' | 'down';

/** One click position of a dial: its exact value and what is engraved on it. */
export interface Mark {
  readonly kind: ScaleKind;
  readonly dial: Dial;
  /** Clicks from 1 s, f/1 or ISO 100. */
  readonly click: number;
  /** Exact value, 2^(stops): seconds, aperture number or ISO. */
  readonly value: number;
  /** "1/1600", "f/6.3", "ISO 2500". */
  readonly label: string;
}

export const CLICKS_PER_STOP: Readonly<Record<Dial, number>> = { third: 3, half: 2, whole: 1 };

/**
 * Engraved figures where they differ from plain rounding of the exact value, by doubling.
 * Common practice: every maker rounds alike. Index: position within the whole stops, per dial.
 */
const SHUTTER_DENOMINATORS: Readonly<Record<Dial, readonly number[]>> = {
  whole: [1, 2, 4, 8, 15, 30, 60, 125, 250, 500, 1000, 2000, 4000, 8000, 16000, 32000],
  half: [
    1, 1.5, 2, 3, 4, 6, 8, 10, 15, 20, 30, 45, 60, 90, 125, 180, 250, 350, 500, 750, 1000, 1500,
    2000, 3000, 4000, 6000, 8000, 12000, 16000, 24000, 32000,
  ],
  third: [
    1, 1.3, 1.6, 2, 2.5, 3, 4, 5, 6, 8, 10, 13, 15, 20, 25, 30, 40, 50, 60, 80, 100, 125, 160, 200,
    250, 320, 400, 500, 640, 800, 1000, 1250, 1600, 2000, 2500, 3200, 4000, 5000, 6400, 8000, 10000,
    12800, 16000, 20000, 25600, 32000,
  ],
};
/** Times of a second and longer, from 1 s up; those shorter than a second are shown as fractions. */
const SHUTTER_SECONDS: Readonly<Record<Dial, readonly number[]>> = {
  whole: [1, 2, 4, 8, 15, 30],
  half: [1, 1.5, 2, 3, 4, 6, 8, 10, 15, 20, 30],
  third: [1, 1.3, 1.6, 2, 2.5, 3.2, 4, 5, 6, 8, 10, 13, 15, 20, 25, 30],
};
const APERTURES: Readonly<Record<Dial, readonly number[]>> = {
  whole: [1, 1.4, 2, 2.8, 4, 5.6, 8, 11, 16, 22, 32, 45, 64],
  half: [
    1, 1.2, 1.4, 1.7, 2, 2.4, 2.8, 3.3, 4, 4.8, 5.6, 6.7, 8, 9.5, 11, 13, 16, 19, 22, 27, 32, 38,
    45, 54, 64,
  ],
  third: [
    1, 1.1, 1.2, 1.4, 1.6, 1.8, 2, 2.2, 2.5, 2.8, 3.2, 3.5, 4, 4.5, 5, 5.6, 6.3, 7.1, 8, 9, 10, 11,
    13, 14, 16, 18, 20, 22, 25, 29, 32, 36, 40, 45, 51, 57, 64,
  ],
};
/** From ISO 25 (two stops under 100) upwards. */
const ISOS: Readonly<Record<Dial, readonly number[]>> = {
  whole: [
    25, 50, 100, 200, 400, 800, 1600, 3200, 6400, 12800, 25600, 51200, 102400, 204800, 409600,
  ],
  half: [
    25, 35, 50, 70, 100, 140, 200, 280, 400, 560, 800, 1100, 1600, 2200, 3200, 4500, 6400, 9000,
    12800, 18000, 25600, 36000, 51200, 72000, 102400, 144000, 204800, 288000, 409600,
  ],
  third: [
    25, 32, 40, 50, 64, 80, 100, 125, 160, 200, 250, 320, 400, 500, 640, 800, 1000, 1250, 1600,
    2000, 2500, 3200, 4000, 5000, 6400, 8000, 10000, 12800, 16000, 20000, 25600, 32000, 40000,
    51200, 64000, 80000, 102400, 128000, 160000, 204800, 256000, 320000, 409600,
  ],
};
const ISO_STOPS_BELOW_100 = 2;

function clickRange(kind: ScaleKind, dial: Dial): { first: number; last: number } {
  if (kind === 'shutter') {
    return {
      first: 1 - SHUTTER_DENOMINATORS[dial].length,
      last: SHUTTER_SECONDS[dial].length - 1,
    };
  }
  if (kind === 'aperture') return { first: 0, last: APERTURES[dial].length - 1 };
  const first = -ISO_STOPS_BELOW_100 * CLICKS_PER_STOP[dial];
  return { first, last: first + ISOS[dial].length - 1 };
}

function engraved(kind: ScaleKind, dial: Dial, click: number): string {
  if (kind === 'aperture') return `f/${APERTURES[dial][click]}`;
  if (kind === 'iso') {
    return `ISO ${ISOS[dial][click + ISO_STOPS_BELOW_100 * CLICKS_PER_STOP[dial]]}`;
  }
  if (click >= 0) return `${SHUTTER_SECONDS[dial][click]} s`;
  const denominator = SHUTTER_DENOMINATORS[dial][-click] as number;
  return Number.isInteger(denominator) ? `1/${denominator}` : `${(1 / denominator).toFixed(1)} s`;
}

/** Doublings of the value per click; the aperture number doubles only every two stops. */
function doublingsPerClick(kind: ScaleKind, dial: Dial): number {
  return (kind === 'aperture' ? 0.5 : 1) / CLICKS_PER_STOP[dial];
}

const unitValue = (kind: ScaleKind) => (kind === 'iso' ? 100 : 1);

/**
 * The mark at a click position, counted from 1 s, f/1 or ISO 100.
 * @throws RangeError outside the engraved scale (30 s to 1/32000, f/1 to f/64, ISO 25 to 409600).
 */
export function markAt(kind: ScaleKind, click: number, dial: Dial = 'third'): Mark {
  oneOf('kind', kind, ['shutter', 'aperture', 'iso']);
  oneOf('dial', dial, ['third', 'half', 'whole']);
  const { first, last } = clickRange(kind, dial);
  if (!Number.isInteger(click) || click < first || click > last) {
    throw new RangeError(`click ${click}: must be a whole number from ${first} to ${last}`);
  }
  const value = unitValue(kind) * 2 ** (click * doublingsPerClick(kind, dial));
  return { kind, dial, click, value, label: engraved(kind, dial, click) };
}

/**
 * The engraved mark for a value. `up` and `down` speak of the value itself: `down` gives the
 * shorter time, the smaller aperture number, the lower ISO. Values within a ten-thousandth of a
 * click of a mark are that mark; values off the ends of the scale take its end.
 * @throws RangeError if the value is not above 0, or the kind or dial is unknown.
 */
export function nearestMark(
  kind: ScaleKind,
  value: number,
  rounding: Rounding = 'nearest',
  dial: Dial = 'third',
): Mark {
  above('value', value, 0);
  oneOf('kind', kind, ['shutter', 'aperture', 'iso']);
  oneOf('dial', dial, ['third', 'half', 'whole']);
  oneOf('rounding', rounding, ['nearest', 'up', 'down']);
  const { first, last } = clickRange(kind, dial);
  const clicks = Math.log2(value / unitValue(kind)) / doublingsPerClick(kind, dial);
  const whole = Math.round(clicks);
  const onMark = Math.abs(clicks - whole) < 1e-4 || rounding === 'nearest';
  const chosen = onMark ? whole : rounding === 'up' ? Math.ceil(clicks) : Math.floor(clicks);
  return markAt(kind, Math.min(last, Math.max(first, chosen)), dial);
}

/**
 * Clicks to turn a dial from one mark to another, positive towards the larger value.
 * @throws RangeError if the marks are of different kinds or dials.
 */
export function clicksBetween(a: Mark, b: Mark): number {
  if (a.kind !== b.kind || a.dial !== b.dial) {
    throw new RangeError(
      `b ${b.label} on the ${b.dial} dial: must be of the kind and dial of a, ${a.kind} on the ${a.dial} dial`,
    );
  }
  return b.click - a.click;
}

/** Seconds that a text such as "1/1600", "0.8 s" or "2" says; NaN if it says none. */
function secondsSaid(text: string): number {
  const found = /^\s*(?:1\s*\/\s*(\d+(?:\.\d+)?)|(\d+(?:\.\d+)?))\s*(?:s|"|″)?\s*$/i.exec(text);
  if (!found) return NaN;
  return found[1] ? 1 / Number(found[1]) : Number(found[2]);
}

/**
 * Reads a shutter time: "1/1600", "0.5", "2 s". Returns the exact time of the mark where the text
 * names one (1/1600 is 2^(−32/3) s), else the time as written.
 * @throws RangeError if the text is no time above 0.
 */
export function parseShutter(text: string): number {
  const said = secondsSaid(text);
  if (!(said > 0) || !Number.isFinite(said)) {
    throw new RangeError(`shutter "${text}": must be a time such as 1/1600, 0.5 or 2 s`);
  }
  const engravings = (['third', 'half', 'whole'] as const).map((dial) =>
    nearestMark('shutter', said, 'nearest', dial),
  );
  return (
    engravings.find((mark) => Math.abs(secondsSaid(mark.label) / said - 1) < 1e-6)?.value ?? said
  );
}

/**
 * The mark that a value is engraved as: of the dial it stands on, thirds before halves; the nearest
 * third where it stands on none.
 * @throws RangeError if the value is not above 0
 */
export function engravedMark(kind: ScaleKind, value: number): Mark {
  const third = nearestMark(kind, value);
  const half = nearestMark(kind, value, 'nearest', 'half');
  const onHalf = Math.abs(Math.log2(value / half.value)) < 1e-3;
  return onHalf && Math.abs(Math.log2(value / third.value)) >= 1e-3 ? half : third;
}

/** The engraved time nearest to `shutterS`: "1/1600", "2 s"; on the dial it stands on unless one is named. */
export function formatShutter(shutterS: number, dial?: Dial): string {
  above('shutterS', shutterS, 0);
  return dial
    ? nearestMark('shutter', shutterS, 'nearest', dial).label
    : engravedMark('shutter', shutterS).label;
}
