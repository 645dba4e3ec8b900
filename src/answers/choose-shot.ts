import { focalForFill, focalRange } from '@/core';
import { viewOf, type View, type Viewed } from './view';
import { WANTED_FILL } from './wanted';
import { USUAL_BODY_ID } from '@/presets/bodies';
import { groundById } from '@/presets/grounds';
import type { Shot } from '@/records/brief';
import { lensOf } from '@/records/kit';
import type { Shoot } from '@/records/shoot';

/** Less of the framing wanted than this, and one is in the wrong place for the shot. No source. */
const REACHED_SHARE = 0.6;

type Framing = Pick<Shot, 'fill' | 'orientation'>;

/** Focal length that the framing wants from a view, converter and all. */
const wantedMm = ({ subject, sight, body }: View, shot: Framing): number =>
  focalForFill({
    sizeM: subject.heightM,
    distanceM: sight.distanceM,
    fill: shot.fill,
    sensor: body.sensor,
    orientation: shot.orientation,
  });

/** The kit zoomed to a shot's framing from a view, as far as its lens goes. */
export function zoomedFor(kit: Shoot['kit'], view: View, shot: Framing): Shoot['kit'] {
  const { shortestMm, longestMm } = focalRange(lensOf(kit));
  const focalMm = wantedMm(view, shot) / kit.converter;
  return { ...kit, focalMm: Math.round(Math.min(longestMm, Math.max(shortestMm, focalMm))) };
}

/** How much of the framing wanted the lens reaches from a position; 0 where there is no such picture. */
function reached(shoot: Shoot, positionId: string, shot: Shot): number {
  const seen = viewOf({ ...shoot, choice: { ...shoot.choice, positionId } });
  if (!seen.ok) return 0;
  // From where it comes at one there is nothing to pan.
  if (seen.view.times.comesAtYou) return 0;
  const { longestMm } = focalRange(lensOf(shoot.kit));
  return Math.min(1, (longestMm * shoot.kit.converter) / wantedMm(seen.view, shot));
}

/**
 * The shoot with another mark or position taken up, the zoom fitted to the framing wanted from there:
 * that of the shot worked on, else well filled. A prime stays what it is.
 */
export function withPlace<S extends Viewed>(
  shoot: S,
  place: Partial<Pick<Shoot['choice'], 'markId' | 'positionId'>>,
): S {
  const there = { ...shoot, choice: { ...shoot.choice, ...place } };
  const seen = viewOf(there);
  if (!seen.ok) return there;
  const { orientation } = shoot.choice;
  const framing = seen.view.shot ?? { fill: WANTED_FILL, orientation };
  return { ...there, kit: zoomedFor(shoot.kit, seen.view, framing) };
}

/**
 * A new shoot with the zoom fitted to its first place: a ground knows the focal length of the lens that suits it,
 * not of one that somebody brings along.
 */
export function zoomedToBegin(shoot: Shoot): Shoot {
  const usual = groundById(shoot.ground.template);
  const { bodyId, lensId } = shoot.kit;
  return bodyId === USUAL_BODY_ID && lensId === usual.lensId ? shoot : withPlace(shoot, {});
}

/** Where to stand for a shot: where one stands, if the lens reaches it; else where it best does. */
function positionFor(shoot: Shoot, shot: Shot): string {
  const here = shoot.choice.positionId;
  if (reached(shoot, here, shot) >= REACHED_SHARE) return here;
  const scored = shoot.positions.map(({ id }) => ({ id, reach: reached(shoot, id, shot) }));
  return scored.reduce((a, b) => (b.reach > a.reach ? b : a)).id;
}

/**
 * The shoot with a shot taken up: its mark, the way the camera is held, its own time and aperture in
 * place of any held by hand, a position that the lens reaches it from, and the lens zoomed to its
 * framing as far as it goes. Without a shot what moves at the mark is frozen.
 */
export function withShot(shoot: Shoot, shot: Shot | undefined): Shoot {
  const { shotId: _before, ...choice } = { ...shoot.choice, held: {} };
  if (!shot) return { ...shoot, choice };
  const taken: Shoot = {
    ...shoot,
    choice: { ...choice, shotId: shot.id, markId: shot.markId, orientation: shot.orientation },
  };
  const positionId = positionFor(taken, shot);
  const standing = { ...taken, choice: { ...taken.choice, positionId } };
  const seen = viewOf(standing);
  if (!seen.ok) return standing;
  return { ...standing, kit: zoomedFor(shoot.kit, seen.view, shot) };
}
