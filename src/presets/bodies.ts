import type { IsoLandmarks, Sensor } from '@/core';

/** A generic camera body. Every value: common practice, no source; named after no maker's. */
export interface Body {
  readonly id: string;
  readonly name: string;
  readonly sensor: Sensor;
  readonly iso: IsoLandmarks;
  readonly fastestShutterS: number;
  readonly stabilisationStops: number;
}

const FULL_FRAME = { widthMm: 36, heightMm: 24 };
const CROP_1_5 = { widthMm: 23.5, heightMm: 15.7 };
const EIGHT_THOUSANDTH_S = 2 ** -13;

export const BODIES: readonly Body[] = [
  {
    id: 'full-frame-24',
    name: 'Full-frame body, 24 MP',
    sensor: { ...FULL_FRAME, widthPx: 6000, heightPx: 4000 },
    iso: { base: 100, good: 3200, usable: 6400, last: 25600 },
    fastestShutterS: EIGHT_THOUSANDTH_S,
    stabilisationStops: 3,
  },
  {
    id: 'full-frame-45',
    name: 'Full-frame body, 45 MP',
    sensor: { ...FULL_FRAME, widthPx: 8256, heightPx: 5504 },
    iso: { base: 64, good: 2500, usable: 6400, last: 25600 },
    fastestShutterS: EIGHT_THOUSANDTH_S,
    stabilisationStops: 3,
  },
  {
    id: 'crop-1.5-20',
    name: '1.5x crop body, 20 MP',
    sensor: { ...CROP_1_5, widthPx: 5568, heightPx: 3712 },
    iso: { base: 100, good: 1600, usable: 4000, last: 25600 },
    fastestShutterS: EIGHT_THOUSANDTH_S,
    stabilisationStops: 0,
  },
  {
    id: 'two-x-20',
    name: '2x crop body, 20 MP',
    sensor: { widthMm: 17.3, heightMm: 13, widthPx: 5184, heightPx: 3888 },
    iso: { base: 200, good: 1600, usable: 3200, last: 25600 },
    fastestShutterS: EIGHT_THOUSANDTH_S,
    stabilisationStops: 4,
  },
];
