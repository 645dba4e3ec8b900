import { illuminanceFromEv, lampsAt, lightOnSubject } from '@/core';
import { measuredIn } from './heard';
import type { Setup } from './view';

/** What leaves let through, by a reading taken under them. */

type Measured = Pick<Setup, 'readings' | 'features' | 'place' | 'light' | 'ground'>;

const LEAST = 0.001;
const MOST = 0.9;

/**
 * The share of daylight that leaves let through, so that the light computed for the newest reading is what was read:
 * light on a face goes as the share. Nothing without a reading, by night, or where lamps gave it all.
 */
export function canopyByReading(setup: Measured): number | undefined {
  const [newest] = [...measuredIn(setup)].sort((a, b) => b.timeMs - a.timeMs);
  if (!newest) return undefined;
  const { windowShare: _roof, ...over } = newest.scene;
  const whole = lightOnSubject({ ...over, indoors: false, canopyShare: 1 }, newest.timeMs);
  const lux = illuminanceFromEv(newest.ev) - lampsAt(newest.scene, newest.timeMs);
  if (lux <= 0 || whole.daylightLux <= 0) return undefined;
  return Math.min(MOST, Math.max(LEAST, lux / whole.daylightLux));
}
