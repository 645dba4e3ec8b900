import { correctedOffsets } from '../light/corrected';
import { skyAt } from '../light/cloud';
import type { Daylight } from '../light/daylight';
import { lampsAt, sunShareOn } from '../light/subject';
import { daylightOver, isSunless } from '../light/windows';
import { SUNLIT_SHARE } from '../site/bough';
import { alongBearing, type Point3 } from '../site/vector';
import { sunPosition } from '../sun/position';
import { heardAt } from './heard-at';
import type { ScoredSite } from './types';

/** The light on a mark at one moment, whichever way one looks at it. */
export interface Moment {
  readonly sunX: number;
  readonly sunY: number;
  readonly sunZ: number;
  readonly daylight: Daylight;
  readonly lampLux: number;
  /** What readings say the light stands off its forecast. */
  readonly offsetStops: number;
  /** How much of the sun reaches the mark, 0 to 1; 0 while it is down. */
  readonly sunShare: number;
  /** Whether half of it does. */
  readonly sunlit: boolean;
}

/** The moments with what readings say of them at the mark, whichever way one looks at it. */
export function momentsAt(
  site: ScoredSite,
  target: Point3,
  facingDeg: number,
  timesMs: readonly number[],
): readonly Moment[] {
  const offsetAt = correctedOffsets({ ...site, target, faceAzimuthDeg: facingDeg }, heardAt(site));
  return timesMs.map((time) => momentAt(site, target, time, offsetAt(time)));
}

function momentAt(site: ScoredSite, target: Point3, timeMs: number, offsetStops: number): Moment {
  const sun = sunPosition({ time: timeMs, ...site.place });
  const toward = alongBearing(sun.azimuthDeg, sun.altitudeDeg);
  const sunShare = isSunless(site) ? 0 : sunShareOn({ ...site, target }, sun, timeMs);
  return {
    sunX: toward.x,
    sunY: toward.y,
    sunZ: toward.z,
    daylight: daylightOver(site, sun.altitudeDeg, skyAt(site, timeMs)),
    lampLux: lampsAt(site, timeMs),
    offsetStops,
    sunShare,
    sunlit: sunShare >= SUNLIT_SHARE,
  };
}
