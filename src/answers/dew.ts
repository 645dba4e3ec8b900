import { dewOnLens, skyAt, sunPosition, type DewSpan } from '@/core';
import { airAt } from '@/records/air';
import type { Shoot } from '@/records/shoot';
import { hoursOf } from '@/records/times';
import { skyOver } from './view';

/** Dew on a lens that stands open through a shoot's hours. */

const STEP_MS = 600_000;
/** Less cloud than this lets a night's warmth out; a named sky, when it is clear. No source. */
const OPEN_CLOUD = 0.4;

/** When dew lies on what is left open, from the night to the dawn and after; none under a roof. */
export function dewOf(
  shoot: Pick<Shoot, 'air' | 'light' | 'place' | 'startLocal' | 'endLocal'>,
): readonly DewSpan[] {
  const { air, light, place } = shoot;
  if (light.indoors) return [];
  const { startMs, endMs } = hoursOf(shoot);
  const over = skyOver(light);
  const steps = Array.from({ length: Math.floor((endMs - startMs) / STEP_MS) + 1 }, (_, i) => {
    const timeMs = startMs + i * STEP_MS;
    const { temperatureC, humidityPct } = airAt({ air, light }, timeMs);
    const sky = skyAt(over, timeMs);
    const isClear = typeof sky === 'number' ? sky < OPEN_CLOUD : sky === 'clear';
    const isNight = sunPosition({ time: timeMs, ...place }).altitudeDeg < 0;
    return {
      timeMs,
      // A forecast may say what the formula for dew does not reach.
      temperatureC: Math.min(60, Math.max(-45, temperatureC)),
      relativeHumidityPct: Math.max(1, humidityPct),
      openNight: isNight && isClear && light.canopyShare === undefined,
    };
  });
  return dewOnLens(steps, air.kitC);
}
