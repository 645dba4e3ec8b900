import { least } from 'd3-array';
import {
  boughsOf,
  distanceToLine,
  distanceToPath,
  FEEDER_M,
  landsAt,
  lastStops,
  onGround,
  perchEnds,
  point3,
  preFocus,
  projector,
  raised,
  scorePosition,
  squareToLens,
  subjectPoints,
  type FeatureOf,
  type LandsAt,
  type Point2,
  type Point3,
  type PreFocus,
  type ScoredShot,
} from '@/core';
import type { Feature, Mark, Shoot } from '@/records/shoot';
import { scoredKit, scoredMark, scoredSite } from './scored';
import type { Setup, View } from './view';

/** What a perch does between cover and food: who rivals it, which end is landed on, where it would better stand. */

type Perch = FeatureOf<'perch'>;
type Ground = Pick<Shoot, 'features'>;

/** The perch that a mark sits on; nothing where it is carried by none. */
export const perchUnder = (
  { features }: { readonly features: readonly Feature[] },
  { carriedBy }: Pick<Mark, 'carriedBy'>,
): Extract<Feature, { kind: 'perch' }> | undefined =>
  carriedBy === undefined
    ? undefined
    : features.filter((feature) => feature.kind === 'perch').find(({ id }) => id === carriedBy);

const ofKind = <K extends 'cover' | 'food'>({ features }: Ground, kind: K) =>
  raised(features).filter(
    (feature): feature is Extract<Feature, { kind: K }> => feature.kind === kind,
  );

const apartM = (a: Point2, b: Point2): number => Math.hypot(a.x - b.x, a.y - b.y);

const nearest = <F extends { readonly points: readonly Point2[] }>(
  things: readonly F[],
  to: Point2,
): F | undefined => least(things, ({ points }) => apartM(points[0] as Point2, to));

/** The way birds come to a place: the food nearest to it, and the cover nearest to that. */
export function wayTo(
  ground: Ground,
  at: Point2,
): { readonly cover: FeatureOf<'cover'>; readonly food: FeatureOf<'food'> } | undefined {
  const food = nearest(ofKind(ground, 'food'), at);
  const cover = food && nearest(ofKind(ground, 'cover'), food.points[0] as Point2);
  return food && cover ? { cover, food } : undefined;
}

/** Food that stands in the frame. */
export function foodInFrame(
  {
    camera,
    aim,
    focalMm,
    body,
    orientation,
  }: Pick<View, 'camera' | 'aim' | 'focalMm' | 'body' | 'orientation'>,
  ground: Ground,
): readonly FeatureOf<'food'>[] {
  const project = projector({ position: camera, aim, focalMm, sensor: body.sensor });
  const { widthMm, heightMm } = body.sensor;
  const [acrossMm, upMm] = orientation === 'level' ? [widthMm, heightMm] : [heightMm, widthMm];
  return ofKind(ground, 'food').filter(({ points: [at], heightM }) => {
    if (!at) return false;
    const middle = project(point3(at.x, at.y, heightM - FEEDER_M.down / 2));
    const top = project(point3(at.x, at.y, heightM));
    if (!middle || !top) return false;
    const mmPerM = Math.abs(top.y - middle.y) / (FEEDER_M.down / 2);
    return (
      Math.abs(middle.x) <= (acrossMm + mmPerM * FEEDER_M.across) / 2 &&
      Math.abs(middle.y) <= (upMm + mmPerM * FEEDER_M.down) / 2
    );
  });
}

/** Something else to land on. */
export interface Rival {
  readonly id: string;
  readonly name: string;
  readonly kind: 'perch' | 'branch';
  /** How far from where the bird should, or from its food where only that is near. */
  readonly awayM: number;
  readonly food?: string;
}

/** A hop: what is so near to the perch or its food is landed on instead. Common practice, no source. */
const RIVAL_M = 1.5;
/** Lengths of the bird that a landing place wants clear of the next twig. Common practice, no source. */
const CLEAR_LENGTHS = 2.5;

/** What a bird could land on: a perch's stick, a branch's wood. */
function landing(feature: Feature): readonly Point3[] {
  if (feature.kind === 'perch') return perchEnds(feature);
  return boughsOf(feature).flatMap(({ from, to }) => [from, to]);
}

/** Other things to land on within a hop of where the bird should, or of its food; the nearest first. */
export function rivalsOf({ mark }: Pick<View, 'mark'>, ground: Ground): readonly Rival[] {
  const { feetM = 0 } = onGround(ground.features, mark);
  const lands = point3(mark.x, mark.y, feetM);
  const food = nearest(ofKind(ground, 'food'), mark);
  const [at] = food?.points ?? [];
  const feeds = food && at ? { at: point3(at.x, at.y, food.heightM), name: food.name } : undefined;
  return raised(ground.features)
    .filter(({ id }) => id !== mark.carriedBy)
    .flatMap((feature): readonly Rival[] => {
      const { id, name, kind } = feature;
      if (kind !== 'perch' && kind !== 'branch') return [];
      const path = landing(feature);
      const awayM = distanceToPath(lands, path);
      if (awayM <= RIVAL_M) return [{ id, name, kind, awayM }];
      const fromFoodM = feeds ? distanceToPath(feeds.at, path) : Infinity;
      return feeds && fromFoodM <= RIVAL_M
        ? [{ id, name, kind, awayM: fromFoodM, food: feeds.name }]
        : [];
    })
    .sort((a, b) => a.awayM - b.awayM);
}

/** A twig too near to the landing place for a clean picture, and how clear it should be; nothing where it is clear. */
export function twigNear(
  { mark, subject }: Pick<View, 'mark' | 'subject'>,
  rivals: readonly Rival[],
): { readonly name: string; readonly awayM: number; readonly clearM: number } | undefined {
  const clearM = CLEAR_LENGTHS * subject.heightM;
  const twig = rivals.find(({ food }) => food === undefined);
  return twig && mark.carriedBy !== undefined && twig.awayM < clearM
    ? { ...twig, clearM }
    : undefined;
}

/** The end that a bird likely lands on: that towards the cover it comes from. Common practice, no source. */
export function likelyEnd(perch: Perch, ground: Ground): LandsAt | undefined {
  const [tip, root] = perchEnds(perch);
  const cover = perch.points[0] && nearest(ofKind(ground, 'cover'), perch.points[0]);
  const from = cover?.points[0];
  if (!tip || !root || !from) return undefined;
  const [toTip, toRoot] = [apartM(from, tip), apartM(from, root)];
  if (Math.abs(toTip - toRoot) < 0.01) return undefined;
  return toTip < toRoot ? 1 : -1;
}

/** Focus on the end it lands on, and what the other end then is. */
export interface Ends extends PreFocus {
  readonly perch: Perch;
  readonly landsAt: 1 | -1;
  /** Bearing to turn the stick to for both ends to be sharp. */
  readonly squareDeg: number | undefined;
}

/** Focus set before a bird comes to a stick; nothing on a post, or where it sits in the middle. */
export function endsInFocus(view: View, ground: Ground, aperture: number): Ends | undefined {
  const { mark, camera, aim, focalMm, cocMm } = view;
  const features = raised(ground.features);
  const perch = perchUnder({ features }, mark);
  if (!perch?.stick) return undefined;
  const at = landsAt(perch, mark);
  if (at === 0) return undefined;
  const [tip, root] = perchEnds(perch) as readonly [Point3, Point3];
  const across = at === 1 ? root : tip;
  const rise = aim.z - (onGround(features, mark).feetM ?? 0);
  return {
    ...preFocus({
      ...{ camera, focalMm, aperture, cocMm },
      landing: aim,
      other: { ...across, z: across.z + rise },
    }),
    perch,
    landsAt: at,
    squareDeg: squareToLens(perch, camera, at),
  };
}

/** Where a perch would stand best on the way from cover to food. */
export interface LastStop {
  readonly cover: string;
  readonly food: string;
  /** How far before the food. */
  readonly beforeM: number;
  /** Where the subject then is. */
  readonly markAt: Point2;
  /** What the place scores with the subject there, and what it scores now. */
  readonly total: number;
  readonly now: number;
  /** Food is in the frame even there; or it is now, and there no longer. */
  readonly foodInFrame: boolean;
  readonly foodLeaves: boolean;
}

/** So near to the straight way, a hop before the food, it stands at a last stop already. */
const ON_WAY_M = 0.3;
/** Less than this is not worth moving it for. */
const LEAST_GAIN = 0.02;

/**
 * The last stop before the food from which the picture is best, food out of the frame before all; each place is tried
 * with the score's own arithmetic, the camera where it is. Nothing without cover and food, or where the subject is at
 * such a stop and no other is better.
 */
export function lastStopFor(
  setup: Setup,
  view: View,
  shot: ScoredShot,
  atMs: number,
): LastStop | undefined {
  const way = wayTo(setup, view.mark);
  if (!way) return undefined;
  const { mark: from, position, body, lens, subject, camera, focalMm, orientation } = view;
  const [cover, food] = [way.cover, way.food].map(({ points }) => points[0] as Point2) as [
    Point2,
    Point2,
  ];
  const kit = scoredKit(body, lens, { orientation, support: setup.kit.support });
  const site = scoredSite(setup);
  const mark = scoredMark(setup, from);
  const isFoodSeen = (aim: Point3) =>
    foodInFrame({ camera, aim, focalMm, body, orientation }, setup).length > 0;
  // A perch that goes along shades and hides nothing: the site stays.
  const scoredAt = (at: Point2) => ({
    at,
    total: scorePosition(position, { ...mark, ...at }, shot, atMs, site, kit).total,
    inFrame: isFoodSeen(
      subjectPoints(onGround(setup.features, { ...from, ...at }), subject.heightM).aim,
    ),
  });
  const stops = lastStops(cover, food);
  const [best] = stops
    .map(scoredAt)
    .sort((a, b) => Number(a.inFrame) - Number(b.inFrame) || b.total - a.total);
  const [nearest, furthest] = [stops[0], stops.at(-1)];
  if (!best || !nearest || !furthest || best.total === 0) return undefined;
  const now = scoredAt({ x: from.x, y: from.y });
  const onWay = distanceToLine(from, [nearest, furthest]) <= ON_WAY_M;
  const foodLeaves = now.inFrame && !best.inFrame;
  const better = foodLeaves || best.total - now.total >= LEAST_GAIN;
  if (onWay && !(better && (now.inFrame || !best.inFrame))) return undefined;
  return {
    ...{ cover: way.cover.name, food: way.food.name, beforeM: apartM(best.at, food) },
    ...{ markAt: best.at, total: best.total, now: now.total },
    ...{ foodInFrame: best.inFrame, foodLeaves },
  };
}
