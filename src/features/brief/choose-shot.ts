import { focalForFill, focalRange } from '@/core';
import { viewOf } from '@/features/plan/view';
import { lensById } from '@/presets/find';
import type { Shot } from '@/records/brief';
import type { Shoot } from '@/records/shoot';

/**
 * The shoot with a shot taken up: its mark, the way the camera is held, its own time and aperture in
 * place of any held by hand, and the lens zoomed to its framing as far as it goes. Without a shot
 * what moves at the mark is frozen.
 */
export function withShot(shoot: Shoot, shot: Shot | undefined): Shoot {
  const { shotId: _before, ...choice } = { ...shoot.choice, held: {} };
  if (!shot) return { ...shoot, choice };
  const taken: Shoot = {
    ...shoot,
    choice: { ...choice, shotId: shot.id, markId: shot.markId, orientation: shot.orientation },
  };
  const seen = viewOf(taken);
  if (!seen.ok) return taken;
  const { subject, sight, body } = seen.view;
  const wantedMm = focalForFill({
    sizeM: subject.heightM,
    distanceM: sight.distanceM,
    fill: shot.fill,
    sensor: body.sensor,
    orientation: shot.orientation,
  });
  const { shortestMm, longestMm } = focalRange(lensById(shoot.kit.lensId));
  const focalMm = Math.min(longestMm, Math.max(shortestMm, wantedMm / shoot.kit.converter));
  return { ...taken, kit: { ...shoot.kit, focalMm: Math.round(focalMm) } };
}
