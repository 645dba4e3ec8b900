import {
  boughsOf,
  fenceInSight,
  firstBackdrop,
  HIDES_FROM,
  insidePolygon,
  obstaclesOf,
  sightBlocks,
  sightThrough,
  swingsOf,
  type Backdrop,
  type BackdropDetail,
  type Block,
  type FeatureOf,
  type FenceInSight,
  type Obstacle,
  type SiteFeature,
  type WindowSwing,
} from '@/core';
import type { View } from './view';

/** What lies along the line of sight: in the way, looked through, behind. */

/** An obstacle that knows what it is called and what makes it busy to look at. */
export interface Named extends Obstacle {
  readonly name: string;
  readonly detail: BackdropDetail;
}

export interface AlongSight {
  readonly blocks: readonly Block<Named>[];
  /** Branches before the subject, the one that hides most first. */
  readonly branches: readonly BranchInSight[];
  readonly fence: FenceInSight | undefined;
  readonly back: Backdrop<Named> | undefined;
  /** How far a lens can swing in each window of the hide it is in; none in the open, or where one sees out all round. */
  readonly swings: readonly WindowSwing[];
}

/** A branch that hides part of a subject. */
export interface BranchInSight {
  readonly id: string;
  readonly name: string;
  /** Share of the subject that it hides. */
  readonly hidesShare: number;
}

/** Branches before what a view looks at, as they are in a month, 1 to 12. */
export const branchesBefore = (
  { camera, aim, subject }: Pick<View, 'camera' | 'aim' | 'subject'>,
  features: readonly SiteFeature[],
  month: number,
): readonly BranchInSight[] =>
  features
    .flatMap((feature): readonly BranchInSight[] => {
      const boughs = boughsOf(feature);
      if (boughs.length === 0) return [];
      const { id, name } = feature;
      const hidesShare = 1 - sightThrough(camera, aim, subject.heightM, boughs, month);
      return hidesShare < HIDES_FROM ? [] : [{ id, name, hidesShare }];
    })
    .sort((a, b) => b.hidesShare - a.hidesShare);

/** What one sees on things of each kind. Common practice, no source. */
const DETAIL: Partial<Record<SiteFeature['kind'], BackdropDetail>> = {
  stand: 'face',
  wall: 'lettering',
  hide: 'lettering',
};
const detailOf = (feature: SiteFeature): BackdropDetail =>
  feature.kind === 'backdrop' ? feature.detail : (DETAIL[feature.kind] ?? 'leaf');

const named = new WeakMap<SiteFeature, readonly Named[]>();
const lists = new WeakMap<readonly SiteFeature[], readonly Named[]>();

function namedOf(feature: SiteFeature): readonly Named[] {
  if (feature.kind === 'hill') return [];
  const known = named.get(feature);
  if (known) return known;
  const { name } = feature;
  const made = obstaclesOf(feature).map((solid) => ({ ...solid, name, detail: detailOf(feature) }));
  named.set(feature, made);
  return made;
}

/** Everything solid, hills apart: they are further off than any background. */
export function thingsOf(features: readonly SiteFeature[]): readonly Named[] {
  const known = lists.get(features);
  if (known) return known;
  const made = features.flatMap(namedOf);
  lists.set(features, made);
  return made;
}

const isFence = (feature: SiteFeature): feature is FeatureOf<'fence'> => feature.kind === 'fence';

/** What a view looks past, through and at. @param month 1 to 12: leaves are as they are in it */
export function alongSight(
  view: View,
  features: readonly SiteFeature[],
  month: number,
): AlongSight {
  const { camera, aim } = view;
  const things = thingsOf(features);
  return {
    blocks: sightBlocks(camera, aim, things),
    branches: branchesBefore(view, features, month),
    fence: fenceInSight(camera, aim, features.filter(isFence)),
    back: firstBackdrop(camera, aim, things),
    swings: things
      .filter(({ footprint, openings }) => openings?.length && insidePolygon(camera, footprint))
      .flatMap((thing) => swingsOf(camera, thing)),
  };
}
