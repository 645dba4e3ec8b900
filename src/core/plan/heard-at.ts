import type { HeardReading } from '../light/corrected';
import type { ScoredReading, ScoredSite } from './types';

const known = new WeakMap<readonly ScoredReading[], readonly HeardReading[]>();

/** A site's readings in their scenes, one list for each list: thousands of single scores share its field. */
export function heardAt({ heard, ...site }: ScoredSite): readonly HeardReading[] | undefined {
  if (!heard) return undefined;
  const made =
    known.get(heard) ??
    heard.map(({ target, faceAzimuthDeg, ...reading }) => ({
      ...reading,
      scene: { ...site, target, faceAzimuthDeg },
    }));
  known.set(heard, made);
  return made;
}
