import {
  boughBehind,
  boughsOf,
  fenceInSight,
  colourOf,
  firstBackdrop,
  HIDES_FROM,
  insidePolygon,
  meetsGround,
  obstaclesOf,
  raised,
  sightBlocks,
  sightThrough,
  slopeIn,
  swingsOf,
  type Backdrop,
  type BackdropDetail,
  type Block,
  type Bough,
  type BroadColour,
  type FeatureOf,
  type FenceInSight,
  type GroundSurface,
  type Obstacle,
  type SiteFeature,
  type WindowSwing,
} from '@/core';
import { SURFACES } from '@/presets/surfaces';
import type { View } from './view';

/** What lies along the line of sight: in the way, looked through, behind. */

/** An obstacle that knows what it is called and what makes it busy to look at. */
export interface Named extends Obstacle {
  readonly name: string;
  readonly detail: BackdropDetail;
  readonly colour: BroadColour;
  /** What it is made of, where it is the ground itself. */
  readonly surface?: GroundSurface;
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
  raised(features)
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
  const made = obstaclesOf(feature).map((solid) => ({
    ...solid,
    name,
    detail: detailOf(feature),
    colour: colourOf(feature),
    ...(feature.kind === 'slope' && { surface: BANK }),
  }));
  named.set(feature, made);
  return made;
}

/** Everything solid, hills apart: they are further off than any background. */
export function thingsOf(features: readonly SiteFeature[]): readonly Named[] {
  const known = lists.get(features);
  if (known) return known;
  const made = raised(features).flatMap(namedOf);
  lists.set(features, made);
  return made;
}

const isFence = (feature: SiteFeature): feature is FeatureOf<'fence'> => feature.kind === 'fence';

const GROUND_COLOUR: Readonly<Record<GroundSurface, BroadColour>> = {
  grass: 'leaf',
  water: 'water',
  drySand: 'sand',
  clayTrack: 'sand',
  hallWood: 'wood',
  snow: 'stone',
  ice: 'stone',
};
/** What stands out on the ground itself: tufts, ripples, tracks. Common practice, no source. */
const GROUND_DETAIL: BackdropDetail = 'leaf';
/** Water lies no higher than this over the lowest of a slope; what rises from it is its bank. */
const SHORE_M = 0.02;
export const BANK: GroundSurface = 'grass';

const grounds = new Map<GroundSurface, Named>();
function groundOf(surface: GroundSurface): Named {
  const known = grounds.get(surface);
  if (known) return known;
  const made = {
    ...{ name: SURFACES.find(({ id }) => id === surface)?.name ?? '', surface },
    ...{ detail: GROUND_DETAIL, colour: GROUND_COLOUR[surface], footprint: [], heightM: 0 },
  };
  grounds.set(surface, made);
  return made;
}

/** A branch as what something stands before: its leaves, or bare wood. */
function branchAsBackdrop({ id }: Bough, features: readonly SiteFeature[], month: number): Named {
  const branch = raised(features).find((feature) => feature.id === id);
  const inLeaf = branch && boughsOf(branch).some(({ leafTakes }) => leafTakes[month - 1]);
  return {
    ...{ name: branch?.name ?? '', detail: 'leaf', colour: inLeaf ? 'leaf' : 'wood' },
    ...{ footprint: [], heightM: 0 },
  };
}

/** What is first behind the subject: something that stands or hangs, or the ground where the line comes down on it. */
function behindIt(
  { camera, aim, surface }: View,
  features: readonly SiteFeature[],
  things: readonly Named[],
  month: number,
): AlongSight['back'] {
  const standing = firstBackdrop(camera, aim, things);
  const slope = slopeIn(features);
  const levelM = Math.hypot(aim.x - camera.x, aim.y - camera.y);
  const toward = { x: (aim.x - camera.x) / levelM, y: (aim.y - camera.y) / levelM };
  const rise = (aim.z - camera.z) / levelM;
  const hanging = boughBehind(aim, toward, rise, raised(features).flatMap(boughsOf), month);
  const back =
    hanging && hanging.behindM < (standing?.behindSubjectM ?? Infinity)
      ? {
          obstacle: branchAsBackdrop(hanging.bough, features, month),
          distanceM: levelM + hanging.behindM,
          behindSubjectM: hanging.behindM,
        }
      : standing;
  const behindM = slope
    ? meetsGround(slope, aim, toward, rise)
    : rise < 0
      ? aim.z / -rise
      : undefined;
  if (behindM === undefined || (back && back.behindSubjectM < behindM)) return back;
  const isBank = surface === 'water' && aim.z + rise * behindM > SHORE_M;
  const obstacle = groundOf(isBank ? BANK : surface);
  return { obstacle, distanceM: levelM + behindM, behindSubjectM: behindM };
}

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
    fence: fenceInSight(camera, aim, raised(features).filter(isFence)),
    back: behindIt(view, features, things, month),
    swings: things
      .filter(({ footprint, openings }) => openings?.length && insidePolygon(camera, footprint))
      .flatMap((thing) => swingsOf(camera, thing)),
  };
}
