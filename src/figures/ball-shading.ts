import { illuminanceOnFace, type Daylight } from '@/core';

/** The light that falls on a ball, and where it is seen from. */
export interface BallLight {
  readonly daylight: Daylight;
  readonly sun: { readonly azimuthDeg: number; readonly altitudeDeg: number };
  readonly sunShare: number;
  readonly groundReflectance: number;
  readonly lampLux: number;
  /** Direction from the ball to the camera. */
  readonly toCameraDeg: number;
}

/** What nobody sees on a small ball: two degrees of the sun, a twentieth of a stop of its strength. */
const UNSEEN_DEG = 2;
const UNSEEN_STOPS = 0.05;

const stopsApart = (a: number, b: number): number => Math.abs(Math.log2((a + 1e-9) / (b + 1e-9)));

/** Whether two lights draw the same ball, as far as one can see. */
export function looksAlike(a: BallLight, b: BallLight): boolean {
  const sunShare = ({ daylight }: BallLight) =>
    daylight.directNormalLux / daylight.globalHorizontalLux;
  const lampShare = ({ lampLux, daylight }: BallLight) => lampLux / daylight.globalHorizontalLux;
  return (
    a.sunShare === b.sunShare &&
    a.groundReflectance === b.groundReflectance &&
    Math.abs(a.toCameraDeg - b.toCameraDeg) < UNSEEN_DEG &&
    Math.abs(a.sun.azimuthDeg - b.sun.azimuthDeg) < UNSEEN_DEG &&
    Math.abs(a.sun.altitudeDeg - b.sun.altitudeDeg) < UNSEEN_DEG &&
    stopsApart(sunShare(a), sunShare(b)) < UNSEEN_STOPS &&
    stopsApart(lampShare(a), lampShare(b)) < UNSEEN_STOPS
  );
}

const DEGREES = 180 / Math.PI;
/** Stops from the brightest point at which a stroke is as heavy as it gets. */
const DARKEST_STOPS = 3.5;

/** Tone of a point on the ball: 0 as bright as the ball gets, 1 dark. */
export const ballTone = (lux: number, brightestLux: number): number =>
  Math.min(1, Math.max(0, Math.log2(brightestLux / lux) / DARKEST_STOPS));

/** A point of the ball, and which way it looks. */
interface Spot {
  /** −1 to 1 across the ball, and up; within the unit circle. */
  readonly right: number;
  readonly up: number;
  /** Of the way it looks off the direction to the camera, and off level. */
  readonly asideDeg: number;
  readonly tiltDeg: number;
}

export function spotAt(right: number, up: number): Spot {
  const toward = Math.sqrt(Math.max(0, 1 - right * right - up * up));
  return {
    ...{ right, up },
    // Seen from the camera, "right" on the ball is 90° anticlockwise of the direction to the camera.
    asideDeg: Math.atan2(-right, toward) * DEGREES,
    tiltDeg: Math.acos(Math.min(1, Math.max(-1, up))) * DEGREES,
  };
}

/** Illuminance of a point of the ball, by the same rules as a subject's face. */
export const ballLux = (light: BallLight, { asideDeg, tiltDeg }: Spot): number =>
  illuminanceOnFace({
    daylight: light.daylight,
    sun: light.sun,
    faceAzimuthDeg: light.toCameraDeg + asideDeg,
    faceTiltDeg: tiltDeg,
    groundReflectance: light.groundReflectance,
    directShare: light.sunShare,
  }) + light.lampLux;

export interface Stroke {
  /** Points along the stroke with its half-width there, in ball radii. */
  readonly points: readonly { readonly x: number; readonly y: number; readonly half: number }[];
}

const STROKES = 11;
const POINTS_A_STROKE = 22;

/** Where every stroke goes, whatever the light. */
const SPOTS: readonly (readonly Spot[])[] = Array.from({ length: STROKES }, (_, row) => {
  const up = -1 + (2 * (row + 0.5)) / STROKES;
  const halfWidth = Math.sqrt(1 - up * up) * 0.995;
  return Array.from({ length: POINTS_A_STROKE + 1 }, (_, i) =>
    spotAt(halfWidth * (-1 + (2 * i) / POINTS_A_STROKE), up),
  );
});

/**
 * The ball as an engraver would: level strokes bowed over the sphere, swelling where it is dark.
 * @returns strokes in ball radii, x right and y down
 */
export function ballStrokes(light: BallLight): readonly Stroke[] {
  const luxes = SPOTS.map((row) => row.map((spot) => ballLux(light, spot)));
  const brightest = Math.max(...luxes.flat());
  const fullest = (1 / STROKES) * 0.92;
  return SPOTS.map((row, i) => ({
    points: row.map(({ right, up }, j) => ({
      x: right,
      y: -up,
      half: Math.max(0.012, fullest * ballTone(luxes[i]?.[j] as number, brightest)),
    })),
  }));
}
