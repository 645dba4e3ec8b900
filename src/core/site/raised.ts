import { obstaclesOf, standsAs, type SiteFeature } from './feature';
import { treeObstacle, wallObstacles } from './shade';
import { footingM, groundHeightM, slopeOf, upTheSlope, type Slope } from './slope';
import type { Standing } from './subject-points';
import { point3, type Point2, type Point3 } from './vector';

/** What stands on ground that is not level, as high as it stands over the ground's lowest. */

const slopes = new WeakMap<SiteFeature, Slope>();
const found = new WeakMap<readonly SiteFeature[], { readonly slope: Slope | undefined }>();

/** The ground under a thing: the mean under its points. */
const meanUnderM = (slope: Slope, points: readonly Point2[]): number =>
  points.reduce((sum, point) => sum + groundHeightM(slope, point), 0) / points.length;

const LEVEL: Slope = {
  ...{ from: { x: 0, y: 0 }, along: { x: 0, y: 1 } },
  corners: [{ alongM: 0, heightM: 0 }],
};

/** A boardwalk is so wide. Common practice, no source. */
export const DECK_WIDE_M = 1.2;

/** The decks of a boardwalk, from corner to corner: level each, so high over the ground under it. */
export function decksOf(
  feature: SiteFeature,
  slope: Slope,
): readonly { readonly footprint: readonly Point2[]; readonly heightM: number }[] {
  if (feature.kind !== 'path' || !feature.deckM) return [];
  const { points, deckM } = feature;
  return points.slice(1).flatMap((to, i) => {
    const leg = [points[i] as Point2, to];
    const heightM = deckM + meanUnderM(slope, leg);
    return wallObstacles(leg, DECK_WIDE_M, heightM);
  });
}

/** The slope of a ground, with the floors of the hides and the decks on it; nothing where it is level and bare. */
export function slopeIn(features: readonly SiteFeature[]): Slope | undefined {
  const known = found.get(features);
  if (known) return known.slope;
  const line = features.find((feature) => feature.kind === 'slope');
  const bare = line && (slopes.get(line) ?? slopeOf(line));
  if (line && bare) slopes.set(line, bare);
  const decks = features.flatMap((feature) => decksOf(feature, bare ?? LEVEL));
  const floors = features.flatMap(({ kind, points }) =>
    bare && kind === 'hide' ? [{ footprint: points, heightM: meanUnderM(bare, points) }] : [],
  );
  const ground = bare ?? (decks.length > 0 ? LEVEL : undefined);
  const slope = ground && { ...ground, floors: [...floors, ...decks] };
  found.set(features, { slope });
  return slope;
}

/** How high one stands at a point over the ground's lowest, in metres; 0 where it is level. */
export function groundUnderM(features: readonly SiteFeature[], at: Point2): number {
  const slope = slopeIn(features);
  return slope ? footingM(slope, at) : 0;
}

/** The slope that a ground has of its own; nothing where it is level, boards on it or not. */
export function bareSlope(features: readonly SiteFeature[]): Slope | undefined {
  const slope = slopeIn(features);
  return slope?.corners === LEVEL.corners ? undefined : slope;
}

const bases = new WeakMap<SiteFeature, number>();

/** Height of the ground under a thing of a raised list; 0 where that is level. */
export const baseM = (feature: SiteFeature): number => bases.get(feature) ?? 0;

/** Built or grown along the ground; a stand and a hide are level all over. */
const FOLLOWS_THE_GROUND: ReadonlySet<SiteFeature['kind']> = new Set(['wall', 'backdrop', 'trees']);

/**
 * Something with the ground under it added to its heights: the mean under its points. What it hides and shades goes up
 * the ground with it.
 */
function lifted<F extends SiteFeature>(feature: F, slope: Slope): F {
  const { points } = feature;
  const [first, last] = [points[0], points.at(-1)];
  if (!('heightM' in feature) || !first || !last) return feature;
  if (feature.kind === 'branch') {
    const heightM = feature.heightM + groundHeightM(slope, first);
    return { ...feature, heightM, tipM: feature.tipM + groundHeightM(slope, last) };
  }
  const base = meanUnderM(slope, points);
  const high: F = {
    ...feature,
    heightM: feature.heightM + base,
    ...(feature.kind === 'hide' &&
      feature.windows && {
        windows: feature.windows.map((hole) => ({ ...hole, sillM: hole.sillM + base })),
      }),
  };
  bases.set(high, base);
  if (feature.kind === 'tree') {
    const { crownM, heightM } = feature;
    const grown = (at: Point2) => treeObstacle(at, crownM, heightM + groundHeightM(slope, at));
    standsAs(high, points.map(grown));
  } else if (FOLLOWS_THE_GROUND.has(feature.kind)) {
    const pieces = obstaclesOf(feature).flatMap((solid) => upTheSlope(slope, solid));
    standsAs(high, pieces);
  }
  return high;
}

const one = new WeakMap<
  SiteFeature,
  { readonly corners: Slope['corners']; readonly made: SiteFeature }
>();
const all = new WeakMap<readonly SiteFeature[], readonly SiteFeature[]>();

/**
 * All things of a ground with their heights over its lowest, for what is seen, lit and shaded; the same list where
 * the ground is level, and where it was raised before. A wire fence is as high all along: over the mean of the ground
 * under its corners.
 */
export function raised<F extends SiteFeature>(features: readonly F[]): readonly F[] {
  // Boards over level ground lift nobody but who is on them.
  const slope = bareSlope(features);
  if (!slope) return features;
  const known = all.get(features);
  if (known) return known as readonly F[];
  const made = features.map((feature) => {
    const before = one.get(feature);
    if (before?.corners === slope.corners) return before.made as F;
    const high = lifted(feature, slope);
    one.set(feature, { corners: slope.corners, made: high });
    return high;
  });
  all.set(features, made);
  all.set(made, made);
  return made;
}

/** Who stands or sits somewhere, its feet over the ground's lowest. */
export function onGround<S extends Standing>(features: readonly SiteFeature[], standing: S): S {
  const under = groundUnderM(features, standing);
  return under === 0 ? standing : { ...standing, feetM: (standing.feetM ?? 0) + under };
}

/** A camera held so high over the ground where it stands. */
export const cameraAt = (
  features: readonly SiteFeature[],
  { x, y, cameraHeightM }: Point2 & { readonly cameraHeightM: number },
): Point3 => point3(x, y, cameraHeightM + groundUnderM(features, { x, y }));
