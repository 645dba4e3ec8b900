import {
  alongBearing,
  groundBehind,
  isSunless,
  GROUND_REFLECTANCE,
  obstaclesOf,
  point3,
  skyBehind,
  skylineDeg,
  uprightBehind,
  type BackdropDetail,
  type BehindLight,
  type SkyDepth,
} from '@/core';
import type { Shoot } from '@/records/shoot';
import type { AlongSight } from './along-sight';
import { sceneOf, type View } from './view';

/** What a subject stands against: what it is, whether it is lit, how bright against the face. */

/** As much light things give back. Usual magnitudes, no source. */
const REFLECTANCE: Readonly<Record<BackdropDetail, number>> = {
  leaf: 0.1,
  trunk: 0.12,
  face: 0.3,
  lettering: 0.3,
};

export type Behind =
  | (BehindLight & { readonly kind: 'thing'; readonly name: string })
  | (BehindLight & { readonly kind: 'ground' })
  /** Looked at so flatly water shows what is beyond it, upside down. */
  | { readonly kind: 'water' }
  | (BehindLight & { readonly kind: 'sky'; readonly depth: SkyDepth });

/** Hills are seen from so far as they stand. */
const HILL_M = 30_000;

type Grounds = Pick<Shoot, 'features' | 'ground'>;

const last = new WeakMap<
  View,
  Grounds & { readonly back: AlongSight['back']; readonly timeMs: number; readonly found?: Behind }
>();

/**
 * What is behind the mark of a view at a minute; nothing under a roof, where all is lit alike. Asked again for the same,
 * by another part of the page, it is what was found before.
 */
export function behindOf(
  { features, ground }: Grounds,
  view: View,
  { back }: Pick<AlongSight, 'back'>,
  timeMs: number,
): Behind | undefined {
  const known = last.get(view);
  if (
    known?.timeMs === timeMs &&
    known.back === back &&
    known.features === features &&
    known.ground === ground
  ) {
    return known.found;
  }
  const found = foundBehind({ features, ground }, view, back, timeMs);
  last.set(view, { features, ground, back, timeMs, ...(found && { found }) });
  return found;
}

function foundBehind(
  { features, ground }: Grounds,
  view: View,
  back: AlongSight['back'],
  timeMs: number,
): Behind | undefined {
  const scene = sceneOf(view, features);
  if (scene.indoors) return undefined;
  const { camera, aim, sight } = view;
  const levelM = Math.hypot(aim.x - camera.x, aim.y - camera.y);
  const rise = (aim.z - camera.z) / levelM;
  const along = (m: number) =>
    point3(
      camera.x + ((aim.x - camera.x) * m) / levelM,
      camera.y + ((aim.y - camera.y) * m) / levelM,
      camera.z + rise * m,
    );
  if (back) {
    const { name, detail } = back.obstacle;
    const lit = uprightBehind(scene, along(back.distanceM), REFLECTANCE[detail], timeMs);
    return { kind: 'thing', name, ...lit };
  }
  // A line that falls comes down on the ground before any hill.
  if (rise < 0) {
    const { surface } = ground;
    if (surface === 'water') return { kind: 'water' };
    const at = along(camera.z / -rise);
    return { kind: 'ground', ...groundBehind(scene, at, GROUND_REFLECTANCE[surface], timeMs) };
  }
  const hill = features.find(
    (feature) =>
      feature.kind === 'hill' &&
      skylineDeg(camera, sight.bearingDeg, obstaclesOf(feature)) > sight.elevationDeg,
  );
  if (hill) {
    const far = { ...along(HILL_M), z: 0 };
    const lit = uprightBehind(scene, far, REFLECTANCE.leaf, timeMs);
    return { kind: 'thing', name: hill.name, ...lit };
  }
  // Under leaves one looks into them: what gaps they have, nobody drew.
  if (isSunless(scene)) return undefined;
  const toward = alongBearing(sight.bearingDeg, Math.max(0.5, sight.elevationDeg));
  return { kind: 'sky', ...skyBehind(scene, toward, timeMs) };
}
