import { above } from '../check';

export interface Sensor {
  readonly widthMm: number;
  readonly heightMm: number;
  readonly widthPx: number;
  readonly heightPx: number;
}

/** Long side of full frame. */
export const FULL_FRAME_WIDTH_MM = 36;

export type FrameOrientation = 'level' | 'upright';

export const sensorDiagonalMm = ({ widthMm, heightMm }: Sensor): number =>
  Math.hypot(above('widthMm', widthMm, 0), above('heightMm', heightMm, 0));

export const pixelPitchMm = ({ widthMm, widthPx }: Sensor): number =>
  above('widthMm', widthMm, 0) / above('widthPx', widthPx, 0);

/** Long side of full frame (36 mm) over this sensor's. */
export const cropFactor = ({ widthMm }: Sensor): number =>
  FULL_FRAME_WIDTH_MM / above('widthMm', widthMm, 0);

/** Height of the frame as held: the sensor's short side level, its long side upright. */
export const frameHeightMm = (sensor: Sensor, orientation: FrameOrientation): number =>
  orientation === 'level' ? sensor.heightMm : sensor.widthMm;

/**
 * Circle of confusion in mm: the sensor's diagonal/1500 (common practice), or two pixel pitches.
 */
export function circleOfConfusionMm(
  sensor: Sensor,
  rule: 'diagonal' | 'pixel' = 'diagonal',
): number {
  return rule === 'pixel' ? 2 * pixelPitchMm(sensor) : sensorDiagonalMm(sensor) / 1500;
}
