import {
  frameReading,
  GROUND_REFLECTANCE,
  lightOnSubject,
  meterReading,
  point3,
  type HeardReading,
  type LitScene,
} from '@/core';
import type { Reading } from '@/records/reading';
import { msOf } from '@/records/times';
import { skyOver, standing, type Setup } from './view';

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

type Measured = Pick<Setup, 'readings' | 'features' | 'place' | 'light' | 'ground'>;

/** A ground as readings were taken on it: each brings its own place and face. */
const openScene = ({ features, place, light, ground }: Measured): LitScene => ({
  place,
  ...skyOver(light),
  groundReflectance: GROUND_REFLECTANCE[ground.surface],
  ...standing(features),
  target: point3(0, 0, 0),
  faceAzimuthDeg: 0,
  lampLux: light.lampLux,
  ...(light.lampsFromLocal && { lampsFromMs: msOf(light.lampsFromLocal, place.timeZone) }),
});

/** A shoot's own readings, each with the scene it was taken in. */
export function measuredIn(setup: Measured): readonly HeardReading[] {
  const { readings, place } = setup;
  if (readings.length === 0) return NOTHING_HEARD;
  const scene = openScene(setup);
  return readings.map((reading) => {
    const { timeMs, ev, sigmaStops } = saidBy(reading, msOf(reading.atLocal, place.timeZone));
    return {
      timeMs,
      ev,
      sigmaStops,
      scene: {
        ...scene,
        target: point3(reading.x, reading.y, reading.upM),
        faceAzimuthDeg: reading.faceDeg,
      },
    };
  });
}

function allHeard(setup: Measured): readonly HeardReading[] {
  const own = measuredIn(setup);
  const { learned = [] } = setup.light;
  if (learned.length === 0) return own;
  const scene = openScene(setup);
  return [
    ...own,
    ...learned.map(({ atLocal, offsetStops, sigmaStops }) => {
      const timeMs = msOf(atLocal, setup.place.timeZone);
      const ev = lightOnSubject(scene, timeMs).ev.expected + offsetStops;
      return { timeMs, ev, sigmaStops, scene, everywhere: true };
    }),
  ];
}

const heardBy = new WeakMap<
  Setup['readings'],
  { readonly asked: readonly unknown[]; readonly heard: readonly HeardReading[] }
>();

/**
 * All that a shoot's light hears: its own readings first, then what earlier shoots at the place taught,
 * said of the venue and of no place in it. The same list as long as nothing of it changes, so that its
 * field is drawn once however the view moves.
 */
export function heardOf(setup: Measured): readonly HeardReading[] {
  const { readings, features, place, light, ground } = setup;
  const asked = [features, place, light, ground];
  const known = heardBy.get(readings);
  if (known?.asked.every((part, i) => part === asked[i])) return known.heard;
  const heard = allHeard(setup);
  heardBy.set(readings, { asked, heard });
  return heard;
}
