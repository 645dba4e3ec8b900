import { framedFrom, slopeIn } from '@/core';
import { combinationsOf, type Worn } from './bag';
import { zoomedFor } from './choose-shot';
import type { pictureOf } from './day-request';
import { viewOf, type Setup, type Viewed } from './view';
import { PLAIN_FRAMING } from './wanted';
import { takenInHand } from '@/records/edit-kit';
import { subjectOf } from '@/records/own-subject';
import type { Shoot } from '@/records/shoot';

type Picture = Pick<ReturnType<typeof pictureOf>, 'shot' | 'markId'>;

/** A setup with the bag of one of those who shoot. */
export function withBagOf<S extends Pick<Shoot, 'kit' | 'shooters'>>(
  setup: S,
  shooterId: string | undefined,
): S {
  const theirs = setup.shooters.find(({ id }) => id === shooterId)?.kit;
  return theirs ? { ...setup, kit: theirs } : setup;
}

/** A setup with a picture looked at from a position, with what is in the hands. */
export function lookingAt<S extends Viewed>(
  setup: S,
  { shot, markId }: Picture,
  positionId: string,
): S {
  const { shotId: _other, ...choice } = setup.choice;
  return {
    ...setup,
    choice: {
      ...choice,
      markId,
      positionId,
      held: {},
      orientation: (shot ?? PLAIN_FRAMING).orientation,
      ...(shot && { shotId: shot.id }),
    },
  };
}

/** What of the bag frames a picture best from a position, as the day is planned; nothing where either is gone. */
export function bestWorn(
  setup: Viewed,
  { shot, markId }: Picture,
  positionId: string,
): Worn | undefined {
  const mark = setup.marks.find(({ id }) => id === markId);
  const position = setup.positions.find(({ id }) => id === positionId);
  if (!mark || !position) return undefined;
  const framing = shot ?? PLAIN_FRAMING;
  const combinations = combinationsOf(setup.kit);
  const { index } = framedFrom(combinations, position, mark, {
    heightM: subjectOf(setup, mark.subjectId).heightM,
    fill: framing.fill,
    orientation: framing.orientation,
    slope: slopeIn(setup.features),
  });
  return combinations[index];
}

/** A setup with a picture taken up from a position: what it takes in hand, zoomed to the framing wanted. */
export function takenWith<S extends Viewed>(
  setup: S,
  picture: Picture,
  positionId: string,
  worn: Worn | undefined,
): S {
  const there = lookingAt(setup, picture, positionId);
  const looking: S = worn ? { ...there, kit: takenInHand(there.kit, worn.hands) } : there;
  const seen = viewOf(looking);
  if (!seen.ok) return looking;
  return { ...looking, kit: zoomedFor(looking.kit, seen.view, picture.shot ?? PLAIN_FRAMING) };
}

/** A setup with a picture taken up as the day plans it: from there, with what of the bag frames it best. */
export const asDayPlans = <S extends Viewed>(setup: S, picture: Picture, positionId: string): S =>
  takenWith(setup, picture, positionId, bestWorn(setup, picture, positionId));

/** What is seen of a picture from a position, as the day plans it. */
export function viewFor(setup: Setup, picture: Picture, positionId: string) {
  const looking = asDayPlans(setup, picture, positionId);
  return { looking, seen: viewOf(looking) };
}
