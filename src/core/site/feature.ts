import type { BackdropDetail } from '../optics/blur';
import { tanDeg } from '../quantity/angles';
import { leafByMonth, requireBough, type Bough } from './bough';
import { openingsOf, type HideWindow } from './hide';
import type { Limit } from './limits';
import type { Obstacle } from './obstacle';
import { treeObstacle, wallObstacles } from './shade';
import { slopeCrests, slopeOf } from './slope';
import { alongBearing, type Point2, type Point3 } from './vector';

/** What each kind of thing on a ground is drawn as: a point, a line or an area; a hill has none. */
export const FEATURE_SHAPE = {
  stand: 'area',
  wall: 'line',
  hide: 'area',
  tree: 'point',
  trees: 'area',
  branch: 'line',
  hill: 'none',
  fence: 'line',
  lamp: 'point',
  perch: 'point',
  cover: 'point',
  food: 'point',
  backdrop: 'line',
  keepOut: 'area',
  path: 'line',
  course: 'line',
  slope: 'line',
  water: 'line',
  lane: 'line',
  outline: 'line',
} as const;
export type FeatureKind = keyof typeof FEATURE_SHAPE;
export type FeatureShape = (typeof FEATURE_SHAPE)[FeatureKind];

/** Fewest points of each shape. */
export const FEWEST_POINTS: Readonly<Record<FeatureShape, number>> = {
  none: 0,
  point: 1,
  line: 2,
  area: 3,
};

interface Drawn {
  readonly id: string;
  readonly name: string;
  readonly points: readonly Point2[];
}

/** A level stick on a post under its middle. */
export interface Stick {
  readonly lengthM: number;
  /** Bearing from its middle to one end; the other lies across. */
  readonly towardDeg: number;
}

/** What something looks like from afar: its broad colour. */
export const BROAD_COLOURS = ['leaf', 'flowers', 'wood', 'stone', 'sand', 'water'] as const;
export type BroadColour = (typeof BROAD_COLOURS)[number];

interface Coloured {
  /** What its kind usually is when absent. */
  readonly colour?: BroadColour | undefined;
}

interface Tall {
  readonly heightM: number;
}

/** The figures that each kind has beside its points. */
interface Figures {
  readonly stand: Tall;
  readonly wall: Tall & Coloured;
  readonly hide: Tall & { readonly windows?: readonly HideWindow[] | undefined };
  readonly trees: Tall;
  readonly lamp: Tall;
  readonly perch: Tall & { readonly stick?: Stick | undefined };
  /** Where birds come from: a bush, a gap in a hedge. */
  readonly cover: Tall;
  /** What they come for. */
  readonly food: Tall;
  readonly tree: Tall & { readonly crownM: number };
  /** From its stem, where it is so high, to its tip. */
  readonly branch: Tall & {
    readonly tipM: number;
    readonly thickMm: number;
    /** Across its leaves; 0 is bare. */
    readonly spreadM: number;
    /** Share of the light that they take straight through, in full leaf. */
    readonly leafTakes: number;
    /** First and last month of full leaf, 1 to 12; half of it in the months beside. */
    readonly leafFrom: number;
    readonly leafTo: number;
  };
  readonly backdrop: Tall & Coloured & { readonly detail: BackdropDetail };
  readonly fence: Tall & {
    readonly meshPitchMm: number;
    readonly wireMm: number;
    readonly postSpacingM: number;
    readonly postWidthMm: number;
  };
  /** Where others pass; on boards so high over the ground, or on the ground. */
  readonly path: { readonly deckM?: number | undefined };
  /** How high the ground is at each of its points, against the others. */
  readonly slope: { readonly heightsM: readonly number[] };
  /** Skyline between two bearings, clockwise, as seen from the ground. */
  readonly hill: {
    readonly fromDeg: number;
    readonly toDeg: number;
    readonly elevationDeg: number;
  };
}

export type FeatureOf<K extends FeatureKind> = Drawn & {
  readonly kind: K;
} & (K extends keyof Figures ? Figures[K] : object);

/** Something that stays where it is on a ground, metres east and north. */
export type SiteFeature = { [K in FeatureKind]: FeatureOf<K> }[FeatureKind];

const WALL_THICKNESS_M = 0.2;
/** A hill is set so far off that its bearing and elevation are those of any point of the ground. */
const HILL_DISTANCE_M = 30_000;
const HILL_STEP_DEG = 5;

/** A hill as an obstacle: an upright band along its bearings, as high as it looks. */
export function hillObstacle({ fromDeg, toDeg, elevationDeg }: FeatureOf<'hill'>): Obstacle {
  const width = (toDeg - fromDeg + 360) % 360 || 360;
  const steps = Math.ceil(width / HILL_STEP_DEG);
  const edge = (distanceM: number) =>
    Array.from({ length: steps + 1 }, (_, i) => {
      const { x, y } = alongBearing(fromDeg + (width * i) / steps);
      return { x: x * distanceM, y: y * distanceM };
    });
  return {
    heightM: HILL_DISTANCE_M * tanDeg(elevationDeg),
    footprint: [...edge(HILL_DISTANCE_M), ...edge(HILL_DISTANCE_M * 1.01).reverse()],
  };
}

function solidOf(feature: SiteFeature): readonly Obstacle[] {
  switch (feature.kind) {
    case 'stand':
    case 'trees':
      return [{ footprint: feature.points, heightM: feature.heightM }];
    case 'hide': {
      const { points, heightM, windows = [] } = feature;
      return [{ footprint: points, heightM, openings: openingsOf(points, windows) }];
    }
    case 'wall':
    case 'backdrop':
      return wallObstacles(feature.points, WALL_THICKNESS_M, feature.heightM);
    case 'tree':
      return feature.points.map((at) => treeObstacle(at, feature.crownM, feature.heightM));
    case 'hill':
      return [hillObstacle(feature)];
    case 'slope':
      return slopeCrests(slopeOf(feature));
    default:
      return [];
  }
}

const solids = new WeakMap<SiteFeature, readonly Obstacle[]>();

/**
 * What a feature hides and shades: none for lines, lamps, perches and wire one sees through. The
 * same feature gives the same obstacles, so that what rests on them need not be made again.
 */
export function obstaclesOf(feature: SiteFeature): readonly Obstacle[] {
  const known = solids.get(feature);
  if (known) return known;
  const made = solidOf(feature);
  solids.set(feature, made);
  return made;
}

/** Says what a thing hides and shades where it stands on more than level ground. */
export const standsAs = (feature: SiteFeature, solid: readonly Obstacle[]): void => {
  solids.set(feature, solid);
};

const boughs = new WeakMap<SiteFeature, readonly Bough[]>();
const NO_BOUGHS: readonly Bough[] = [];

/** The pieces of a branch, its height changing evenly along it; none for anything else. */
export function boughsOf(feature: SiteFeature): readonly Bough[] {
  if (feature.kind !== 'branch') return NO_BOUGHS;
  const known = boughs.get(feature);
  if (known) return known;
  const { id, points, heightM, tipM, thickMm, spreadM, leafTakes, leafFrom, leafTo } = feature;
  const byMonth = leafByMonth(leafFrom, leafTo).map((share) => share * leafTakes);
  const along = [0];
  points.slice(1).forEach((to, i) => {
    const from = points[i] as Point2;
    along.push((along[i] as number) + Math.hypot(to.x - from.x, to.y - from.y));
  });
  const lengthM = along.at(-1) as number;
  const at = (i: number): Point3 => ({
    ...(points[i] as Point2),
    z: heightM + ((tipM - heightM) * (along[i] as number)) / lengthM,
  });
  const made = points.slice(1).flatMap((_, i): readonly Bough[] =>
    along[i + 1] === along[i]
      ? []
      : [
          {
            ...{ id, from: at(i), to: at(i + 1), woodM: thickMm / 1000 },
            ...{ leafRadiusM: spreadM / 2, leafTakes: byMonth },
          },
        ],
  );
  made.forEach(requireBough);
  boughs.set(feature, made);
  return made;
}

/** One may be in, on or under these. */
const NEVER_KEPT_OUT: ReadonlySet<FeatureKind> = new Set(['hill', 'hide', 'slope']);

/** Ground that features forbid: keep-outs, and where something solid stands. */
export const limitsOf = (features: readonly SiteFeature[]): readonly Limit[] =>
  features.flatMap((feature): readonly Limit[] => {
    if (feature.kind === 'keepOut') {
      return [{ name: feature.name, keep: 'out', area: feature.points }];
    }
    if (NEVER_KEPT_OUT.has(feature.kind)) return [];
    return obstaclesOf(feature).map(({ footprint }) => ({
      name: feature.name,
      keep: 'out',
      area: footprint,
    }));
  });
