import {
  frameReading,
  lightOnSubject,
  meterReading,
  obstaclesOf,
  point3,
  type HeardReading,
} from '@/core';
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

type Measured = Pick<Setup, 'readings' | 'features' | 'place'>;

/** A shoot's own readings, each with the scene it was taken in. */
export function measuredIn(
  { scene }: Pick<View, 'scene'>,
  { readings, features, place }: Measured,
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

/**
 * All that a shoot's light hears: its own readings first, then what earlier shoots at the place taught,
 * as readings of their hour in the scene that is looked at.
 */
export function heardOf(
  view: Pick<View, 'scene'>,
  setup: Measured & Pick<Setup, 'light'>,
): readonly HeardReading[] {
  const own = measuredIn(view, setup);
  const { learned = [] } = setup.light;
  if (learned.length === 0) return own;
  const scene = { ...view.scene, obstacles: setup.features.flatMap(obstaclesOf) };
  return [
    ...own,
    ...learned.map(({ atLocal, offsetStops, sigmaStops }) => {
      const timeMs = msOf(atLocal, setup.place.timeZone);
      const ev = lightOnSubject(scene, timeMs).ev.expected + offsetStops;
      return { timeMs, ev, sigmaStops, scene, everywhere: true };
    }),
  ];
}
