import {
  alongBearing,
  COLOUR_SURFACE,
  groundBehind,
  isSunless,
  GROUND_REFLECTANCE,
  obstaclesOf,
  point3,
  skyBehind,
  skylineDeg,
  uprightBehind,
  type BroadColour,
  type GroundSurface,
  type BehindLight,
  type SkyDepth,
} from '@/core';
import type { Shoot } from '@/records/shoot';
import type { AlongSight } from './along-sight';
import { sceneOf, type View } from './view';

/** What a subject stands against: what it is, whether it is lit, how bright against the face. */

export type Behind =
  | (BehindLight & {
      readonly kind: 'thing';
      readonly name: string;
      readonly colour: BroadColour;
    })
  | (BehindLight & { readonly kind: 'ground'; readonly surface: GroundSurface })
  /** Looked at so flatly water shows what is beyond it, upside down. */
  | { readonly kind: 'water' }
  | (BehindLight & { readonly kind: 'sky'; readonly depth: SkyDepth });

/** Hills are seen from so far as they stand. */
const HILL_M = 30_000;

type Grounds = Pick<Shoot, 'features'>;

const last = new WeakMap<
  View,
  Grounds & { readonly back: AlongSight['back']; readonly timeMs: number; readonly found?: Behind }
>();

/**
 * What is behind the mark of a view at a minute; nothing under a roof, where all is lit alike. Asked again for the same,
 * by another part of the page, it is what was found before.
 */
export function behindOf(
  { features }: Grounds,
  view: View,
  { back }: Pick<AlongSight, 'back'>,
  timeMs: number,
): Behind | undefined {
  const known = last.get(view);
  if (known?.timeMs === timeMs && known.back === back && known.features === features) {
    return known.found;
  }
  const found = foundBehind({ features }, view, back, timeMs);
  last.set(view, { features, back, timeMs, ...(found && { found }) });
  return found;
}

function foundBehind(
  { features }: Grounds,
  view: View,
  back: AlongSight['back'],
  timeMs: number,
): Behind | undefined {
  const scene = sceneOf(view, features);
  if (scene.indoors) return undefined;
  const { camera, aim, sight } = view;
  const levelM = Math.hypot(aim.x - camera.x, aim.y - camera.y);
  const share = (m: number) => m / levelM;
  const along = (m: number) =>
    point3(
      camera.x + (aim.x - camera.x) * share(m),
      camera.y + (aim.y - camera.y) * share(m),
      camera.z + (aim.z - camera.z) * share(m),
    );
  if (back) {
    const { name, colour, surface } = back.obstacle;
    const at = along(back.distanceM);
    if (surface === 'water') return { kind: 'water' };
    if (surface) {
      const lit = groundBehind(scene, at, GROUND_REFLECTANCE[surface], timeMs);
      return { kind: 'ground', surface, ...lit };
    }
    const lit = uprightBehind(scene, at, COLOUR_SURFACE[colour].reflectance, timeMs);
    return { kind: 'thing', name, colour, ...lit };
  }
  const hill = features.find(
    (feature) =>
      feature.kind === 'hill' &&
      skylineDeg(camera, sight.bearingDeg, obstaclesOf(feature)) > sight.elevationDeg,
  );
  if (hill) {
    const far = { ...along(HILL_M), z: 0 };
    const lit = uprightBehind(scene, far, COLOUR_SURFACE.leaf.reflectance, timeMs);
    return { kind: 'thing', name: hill.name, colour: 'leaf', ...lit };
  }
  // Under leaves one looks into them: what gaps they have, nobody drew.
  if (isSunless(scene)) return undefined;
  const toward = alongBearing(sight.bearingDeg, Math.max(0.5, sight.elevationDeg));
  return { kind: 'sky', ...skyBehind(scene, toward, timeMs) };
}
