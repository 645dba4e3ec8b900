import { frameReading, meterReading, obstaclesOf, point3, type HeardReading } from '@/core';
import type { Reading } from '@/records/reading';
import { msOf } from '@/records/times';
import type { Setup, View } from './view';

/** One list for every shoot without readings. */
export const NOTHING_HEARD: readonly HeardReading[] = [];

/** EV that a reading says. */
export const evSaid = (reading: Reading): number => saidBy(reading, 0).ev;

function saidBy(reading: Reading, timeMs: number) {
  const at = { timeMs, zone: reading.id };
  return reading.by === 'meter'
    ? meterReading({ ...at, ev: reading.ev })
    : frameReading({ ...at, ...reading.frame });
}

/** A shoot's readings as its light hears them, each with the scene it was taken in. */
export function heardOf(
  { scene }: Pick<View, 'scene'>,
  { readings, features, place }: Pick<Setup, 'readings' | 'features' | 'place'>,
): readonly HeardReading[] {
  if (readings.length === 0) return NOTHING_HEARD;
  const obstacles = features.flatMap(obstaclesOf);
  return readings.map((reading) => {
    const { timeMs, ev, sigmaStops } = saidBy(reading, msOf(reading.atLocal, place.timeZone));
    return {
      timeMs,
      ev,
      sigmaStops,
      scene: {
        ...scene,
        obstacles,
        target: point3(reading.x, reading.y, reading.upM),
        faceAzimuthDeg: reading.faceDeg,
      },
    };
  });
}
