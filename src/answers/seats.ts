import {
  cameraAt,
  insidePolygon,
  obstaclesOf,
  onGround,
  raised,
  sightBlocks,
  subjectPoints,
  swingsOf,
  type FeatureOf,
  type SiteFeature,
  type WindowSwing,
} from '@/core';
import { subjectOf } from '@/records/own-subject';
import type { Mark, Position, Shoot } from '@/records/shoot';

/** What is seen from the seats of a hide. */

/** Why a mark is not seen: no window that way, or it lies under the sill or over the head of the one there is. */
export type Hidden = 'wall' | 'sill' | 'head';

export interface Seat {
  readonly position: Position;
  /** Height of the ground under it. */
  readonly underM: number;
  readonly swings: readonly WindowSwing[];
  readonly seen: readonly Mark[];
  readonly hidden: readonly { readonly mark: Mark; readonly by: Hidden }[];
}

/** Whether a bearing lies within a swing. */
const turnsTo = ({ fromDeg, turnDeg }: WindowSwing, bearing: number): boolean =>
  (bearing - fromDeg + 360) % 360 <= turnDeg;

/** The camera height that brings a seat before the middle of its window, where sill or head hide a mark from it. */
export function heightAtWindow({ position, swings, hidden, underM }: Seat): number | undefined {
  const [swing] = swings;
  if (!swing || !hidden.some(({ by }) => by !== 'wall')) return undefined;
  const { sillM, headM } = swing.opening;
  const overSeatM = (sillM + headM) / 2 - underM;
  const middleM = Math.round(overSeatM * 100) / 100;
  return Math.abs(middleM - position.cameraHeightM) < 0.01 ? undefined : middleM;
}

/** Every position within a hide, with the marks that its walls let one see from there. */
export function seatsOf(
  {
    positions,
    marks,
    subjects,
    features,
  }: Pick<Shoot, 'positions' | 'marks' | 'subjects'> & {
    readonly features: readonly SiteFeature[];
  },
  { id }: FeatureOf<'hide'>,
): readonly Seat[] {
  const hide = raised(features).find((feature) => feature.id === id);
  const [solid] = hide ? obstaclesOf(hide) : [];
  if (!hide || !solid) return [];
  return positions
    .filter((position) => insidePolygon(position, hide.points))
    .map((position): Seat => {
      const eye = cameraAt(features, position);
      const swings = swingsOf(eye, solid);
      const looked = marks.map((mark): { mark: Mark; by?: Hidden } => {
        const { aim } = subjectPoints(
          onGround(features, mark),
          subjectOf({ subjects }, mark.subjectId).heightM,
        );
        const level = Math.hypot(aim.x - eye.x, aim.y - eye.y);
        if (level === 0) return { mark };
        const [block] = sightBlocks(eye, aim, [solid]);
        if (!block) return { mark };
        const bearing = (Math.atan2(aim.x - eye.x, aim.y - eye.y) * 180) / Math.PI;
        const swing = swings.find((one) => turnsTo(one, bearing));
        if (!swing) return { mark, by: 'wall' };
        return { mark, by: block.lineHeightM < swing.opening.sillM ? 'sill' : 'head' };
      });
      return {
        ...{ position, swings, underM: eye.z - position.cameraHeightM },
        seen: looked.flatMap(({ mark, by }) => (by ? [] : [mark])),
        hidden: looked.flatMap(({ mark, by }) => (by ? [{ mark, by }] : [])),
      };
    });
}
