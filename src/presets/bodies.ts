import type { IsoLandmarks, Sensor } from '@/core';

/** A generic camera body. Every value: common practice, no source; named after no maker's. */
export interface Body {
  readonly id: string;
  readonly name: string;
  readonly sensor: Sensor;
  readonly iso: IsoLandmarks;
  readonly fastestShutterS: number;
  readonly stabilisationStops: number;
  readonly framesPerS: number;
  readonly bufferMb: number;
  /** A raw file, and how fast a good card takes it. */
  readonly fileMb: number;
  /** A fine JPEG. */
  readonly jpegMb: number;
  readonly writeMbS: number;
  readonly framesPerBattery: number;
  /** The silent shutter: how long it reads down the frame. Lamps band, and fast things lean. */
  readonly silentReadoutS: number;
  /** Fastest time with flash. */
  readonly syncS: number;
}

const FULL_FRAME = { widthMm: 36, heightMm: 24 };
const CROP_1_5 = { widthMm: 23.5, heightMm: 15.7 };
const CROP_1_6 = { widthMm: 22.3, heightMm: 14.9 };
const TWO_X = { widthMm: 17.3, heightMm: 13 };
const ONE_INCH = { widthMm: 13.2, heightMm: 8.8 };
const EIGHT_THOUSANDTH_S = 2 ** -13;
const FOUR_THOUSANDTH_S = 2 ** -12;
const TWO_FIFTIETH_S = 2 ** -8;

/** Whoever has not said theirs is taken to have this one. */
export const USUAL_BODY_ID = 'full-frame-24';

export const BODIES: readonly Body[] = [
  {
    id: USUAL_BODY_ID,
    name: 'Full-frame body, 24 MP',
    sensor: { ...FULL_FRAME, widthPx: 6000, heightPx: 4000 },
    iso: { base: 100, good: 3200, usable: 6400, last: 25600 },
    fastestShutterS: EIGHT_THOUSANDTH_S,
    stabilisationStops: 3,
    framesPerS: 12,
    bufferMb: 3000,
    fileMb: 28,
    jpegMb: 11,
    writeMbS: 250,
    framesPerBattery: 1200,
    silentReadoutS: 1 / 60,
    syncS: TWO_FIFTIETH_S,
  },
  {
    id: 'full-frame-33',
    name: 'Full-frame body, 33 MP',
    sensor: { ...FULL_FRAME, widthPx: 7008, heightPx: 4672 },
    iso: { base: 100, good: 3200, usable: 6400, last: 25600 },
    fastestShutterS: EIGHT_THOUSANDTH_S,
    stabilisationStops: 4,
    framesPerS: 10,
    bufferMb: 3000,
    fileMb: 36,
    jpegMb: 15,
    writeMbS: 250,
    framesPerBattery: 900,
    silentReadoutS: 1 / 16,
    syncS: TWO_FIFTIETH_S,
  },
  {
    id: 'full-frame-45',
    name: 'Full-frame body, 45 MP',
    sensor: { ...FULL_FRAME, widthPx: 8256, heightPx: 5504 },
    iso: { base: 64, good: 2500, usable: 6400, last: 25600 },
    fastestShutterS: EIGHT_THOUSANDTH_S,
    stabilisationStops: 3,
    framesPerS: 20,
    bufferMb: 4000,
    fileMb: 40,
    jpegMb: 20,
    writeMbS: 700,
    framesPerBattery: 900,
    silentReadoutS: 1 / 250,
    syncS: TWO_FIFTIETH_S,
  },
  {
    id: 'crop-1.5-20',
    name: '1.5x crop body, 20 MP',
    sensor: { ...CROP_1_5, widthPx: 5568, heightPx: 3712 },
    iso: { base: 100, good: 1600, usable: 6400, last: 25600 },
    fastestShutterS: EIGHT_THOUSANDTH_S,
    stabilisationStops: 0,
    framesPerS: 10,
    bufferMb: 1500,
    fileMb: 24,
    jpegMb: 9,
    writeMbS: 180,
    framesPerBattery: 1000,
    silentReadoutS: 1 / 20,
    syncS: TWO_FIFTIETH_S,
  },
  {
    id: 'crop-1.5-26',
    name: '1.5x crop body, 26 MP',
    sensor: { ...CROP_1_5, widthPx: 6240, heightPx: 4160 },
    iso: { base: 160, good: 1600, usable: 6400, last: 12800 },
    fastestShutterS: EIGHT_THOUSANDTH_S,
    stabilisationStops: 4,
    framesPerS: 15,
    bufferMb: 2000,
    fileMb: 30,
    jpegMb: 12,
    writeMbS: 250,
    framesPerBattery: 600,
    silentReadoutS: 1 / 45,
    syncS: TWO_FIFTIETH_S,
  },
  {
    id: 'crop-1.6-24',
    name: '1.6x crop body, 24 MP',
    sensor: { ...CROP_1_6, widthPx: 6000, heightPx: 4000 },
    iso: { base: 100, good: 1600, usable: 6400, last: 25600 },
    fastestShutterS: FOUR_THOUSANDTH_S,
    stabilisationStops: 0,
    framesPerS: 7,
    bufferMb: 700,
    fileMb: 28,
    jpegMb: 11,
    writeMbS: 90,
    framesPerBattery: 800,
    silentReadoutS: 1 / 25,
    syncS: TWO_FIFTIETH_S,
  },
  {
    id: 'two-x-20',
    name: '2x crop body, 20 MP',
    sensor: { ...TWO_X, widthPx: 5184, heightPx: 3888 },
    iso: { base: 200, good: 1600, usable: 6400, last: 25600 },
    fastestShutterS: EIGHT_THOUSANDTH_S,
    stabilisationStops: 4,
    framesPerS: 18,
    bufferMb: 1800,
    fileMb: 18,
    jpegMb: 9,
    writeMbS: 200,
    framesPerBattery: 500,
    silentReadoutS: 1 / 60,
    syncS: TWO_FIFTIETH_S,
  },
  {
    id: 'two-x-25',
    name: '2x crop body, 25 MP',
    sensor: { ...TWO_X, widthPx: 5776, heightPx: 4336 },
    iso: { base: 200, good: 1600, usable: 6400, last: 25600 },
    fastestShutterS: EIGHT_THOUSANDTH_S,
    stabilisationStops: 5,
    framesPerS: 20,
    bufferMb: 2500,
    fileMb: 26,
    jpegMb: 11,
    writeMbS: 220,
    framesPerBattery: 400,
    silentReadoutS: 1 / 50,
    syncS: TWO_FIFTIETH_S,
  },
  {
    id: 'one-inch-20',
    name: 'One-inch body, 20 MP',
    sensor: { ...ONE_INCH, widthPx: 5472, heightPx: 3648 },
    iso: { base: 125, good: 800, usable: 3200, last: 12800 },
    fastestShutterS: FOUR_THOUSANDTH_S,
    stabilisationStops: 3,
    framesPerS: 20,
    bufferMb: 2500,
    fileMb: 20,
    jpegMb: 9,
    writeMbS: 90,
    framesPerBattery: 350,
    silentReadoutS: 1 / 150,
    syncS: FOUR_THOUSANDTH_S,
  },
];
