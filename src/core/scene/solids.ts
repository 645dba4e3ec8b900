import { boughsOf, obstaclesOf, type FeatureOf, type SiteFeature } from '../site/feature';
import { wallPieces, type HideWindow } from '../site/hide';
import { wallObstacles } from '../site/shade';
import type { Bough } from '../site/bough';
import { FEEDER_M, perchEnds } from '../site/perch';
import { baseM, decksOf, raised, slopeIn } from '../site/raised';
import { slopeFaces, slopeOf } from '../site/slope';
import { alongBearing, type Point2, type Point3 } from '../site/vector';
import { COLOUR_SURFACE, colourOf } from './colours';
import type { Solid, Surface } from './types';

/** What stands on a ground, as plain solids. Reflectances: usual magnitudes, no source. */

const LEAVES: Surface = { material: 'leaf', reflectance: 0.1 };
const TRUNK: Surface = { material: 'wood', reflectance: 0.12 };
const STANDS: Surface = { material: 'stone', reflectance: 0.3 };
const WIRE: Surface = { material: 'stone', reflectance: 0.25 };
const WATER: Surface = { material: 'water', reflectance: 0.08 };
const PAINT: Surface = { material: 'line', reflectance: 0.7 };

/** A crown begins at this share of a tree's height. */
const CROWN_FROM = 0.35;
const TRUNK_SHARE = 0.06;
const PERCH_RADIUS_M = 0.015;
const LAMP_POST_RADIUS_M = 0.12;

const legsOf = (points: readonly Point2[]): readonly (readonly [Point2, Point2])[] =>
  points.slice(1).map((to, i) => [points[i] as Point2, to]);

const BOARD_M = 0.04;

/** A hide with its walls round their windows, and its roof. */
function hollow(
  { points, heightM }: FeatureOf<'hide'>,
  windows: readonly HideWindow[],
): readonly Solid[] {
  const boards = wallPieces(points, heightM - BOARD_M, windows).flatMap(
    ({ from, to, lowM, highM }): readonly Solid[] =>
      wallObstacles([from, to], BOARD_M, highM).map(({ footprint }) => ({
        ...{ shape: 'prism', footprint, fromM: lowM, toM: highM },
        ...TRUNK,
      })),
  );
  const roof = {
    shape: 'prism',
    footprint: points,
    fromM: heightM - BOARD_M,
    toM: heightM,
  } as const;
  return [...boards, { ...roof, ...TRUNK }];
}

/** Leaves are drawn as so many balls at the most, and each turns so far round the wood from the one before. */
const MOST_CLUMPS = 60;
const CLUMP_M = 0.04;
const GOLDEN_DEG = 137.5;
/** The mean way through a round of leaves, as a share of the way through its middle. */
const MEAN_WAY = Math.PI / 4;

/**
 * A branch as a rod and balls of leaves about it, which cover as much of what is behind as the leaves take of a line:
 * of n balls of area a over an area A, e^(−n·a/A) is seen.
 */
function leafy(
  { from, to, woodM, leafRadiusM, leafTakes }: Bough,
  month: number,
): readonly Solid[] {
  const wood: Solid = { shape: 'rod', from, to, radiusM: woodM / 2, ...TRUNK };
  const takes = leafTakes[month - 1] ?? 0;
  if (takes <= 0 || leafRadiusM <= 0) return [wood];
  const lengthM = Math.hypot(to.x - from.x, to.y - from.y, to.z - from.z);
  const coverM2 = -Math.log(1 - takes) * MEAN_WAY * 2 * leafRadiusM * lengthM;
  const count = Math.min(MOST_CLUMPS, Math.ceil(coverM2 / (Math.PI * CLUMP_M ** 2)));
  const radiusM = Math.sqrt(coverM2 / count / Math.PI);
  const clumps = Array.from({ length: count }, (_, i): Solid => {
    const along = (i + 0.5) / count;
    // Evenly over the round: as many within each ring as its area.
    const offM = leafRadiusM * Math.sqrt(((i * 0.618) % 1) * 0.999);
    const round = alongBearing(i * GOLDEN_DEG);
    return {
      shape: 'ellipsoid',
      middle: {
        x: from.x + (to.x - from.x) * along + round.x * offM,
        y: from.y + (to.y - from.y) * along + round.y * offM * 0.7,
        z: Math.max(radiusM, from.z + (to.z - from.z) * along + round.y * offM),
      },
      radiiM: { x: radiusM, y: radiusM, z: radiusM },
      ...LEAVES,
    };
  });
  return [wood, ...clumps];
}

/** A stick on its post, its top where the bird's feet are. */
function stickOf(perch: FeatureOf<'perch'>): readonly Solid[] {
  const [from, to] = perchEnds(perch);
  if (!from || !to) return [];
  const down = (end: Point3): Point3 => ({ ...end, z: end.z - PERCH_RADIUS_M });
  return [{ shape: 'rod', from: down(from), to: down(to), radiusM: PERCH_RADIUS_M, ...TRUNK }];
}

/** A feeder at the top of its post. */
const feeder =
  (heightM: number) =>
  ({ x, y }: Point2): Solid => {
    const radiiM = { x: FEEDER_M.across / 2, y: FEEDER_M.across / 2, z: FEEDER_M.down / 2 };
    const middle = { x, y, z: Math.max(0, heightM - radiiM.z) };
    return { shape: 'ellipsoid', middle, radiiM, ...STANDS };
  };

/** The boards of boardwalks. */
function boards(features: readonly SiteFeature[]): readonly Solid[] {
  const slope = slopeIn(features);
  return slope
    ? features
        .flatMap((feature) => decksOf(feature, slope))
        .map(({ footprint, heightM }): Solid => ({
          ...{ shape: 'prism', footprint, fromM: heightM - BOARD_M, toM: heightM },
          ...TRUNK,
        }))
    : [];
}

/** The solids of a feature; none for what only limits or names a place. */
function solidsOf(feature: SiteFeature, month: number, ground: Surface): readonly Solid[] {
  const walls = (surface: Surface): readonly Solid[] =>
    obstaclesOf(feature).map(({ footprint, heightM }) => ({
      ...{ shape: 'prism', footprint, fromM: 0, toM: heightM },
      ...surface,
    }));
  switch (feature.kind) {
    case 'stand':
    case 'wall':
    case 'backdrop':
      return walls(COLOUR_SURFACE[colourOf(feature)]);
    case 'hide':
      // Without a window one sees out all round: from outside it is solid, from within it is not there.
      return feature.windows ? hollow(feature, feature.windows) : walls(TRUNK);
    case 'trees':
    case 'hill':
      return walls(LEAVES);
    case 'tree':
      return feature.points.flatMap(({ x, y }, i): readonly Solid[] => {
        // Each of a row stands on its own ground.
        const topM = obstaclesOf(feature)[i]?.heightM ?? feature.heightM;
        const crownM = topM - (feature.heightM - baseM(feature)) * (1 - CROWN_FROM);
        const middleM = (crownM + topM) / 2;
        const halfM = (topM - crownM) / 2;
        return [
          {
            ...{ shape: 'rod', from: { x, y, z: 0 }, to: { x, y, z: middleM } },
            ...{ radiusM: (feature.crownM * TRUNK_SHARE) / 2, ...TRUNK },
          },
          {
            ...{ shape: 'ellipsoid', middle: { x, y, z: middleM } },
            ...{ radiiM: { x: feature.crownM / 2, y: feature.crownM / 2, z: halfM }, ...LEAVES },
          },
        ];
      });
    case 'branch':
      return boughsOf(feature).flatMap((bough) => leafy(bough, month));
    case 'perch':
    case 'food':
    case 'lamp': {
      const post = feature.points.map(({ x, y }): Solid => ({
        ...{ shape: 'rod', from: { x, y, z: 0 }, to: { x, y, z: feature.heightM } },
        radiusM: feature.kind === 'lamp' ? LAMP_POST_RADIUS_M : PERCH_RADIUS_M,
        ...(feature.kind === 'lamp' ? STANDS : TRUNK),
      }));
      if (feature.kind === 'food') return [...post, ...feature.points.map(feeder(feature.heightM))];
      return feature.kind === 'perch' ? [...post, ...stickOf(feature)] : post;
    }
    case 'fence':
      return legsOf(feature.points).map(([from, to]) => ({
        ...{ shape: 'mesh', from, to, heightM: feature.heightM },
        ...{ pitchM: feature.meshPitchMm / 1000, wireM: feature.wireMm / 1000, ...WIRE },
      }));
    case 'slope':
      return slopeFaces(slopeOf(feature)).map((corners) => ({ shape: 'slab', corners, ...ground }));
    case 'water':
      return [{ shape: 'painted', points: feature.points, widthM: 0.3, ...WATER }];
    default:
      return [];
  }
}

/**
 * Everything that stands on a ground and is painted on it, and the ground itself where it is not level.
 * @param month 1 to 12: leaves are as they are in it, @param ground what it is made of
 */
export const siteSolids = (
  features: readonly SiteFeature[],
  lines: readonly { readonly points: readonly Point2[]; readonly widthM: number }[],
  month: number,
  ground: Surface,
): readonly Solid[] => [
  ...raised(features).flatMap((feature) => solidsOf(feature, month, ground)),
  ...boards(features),
  ...lines.map((line) => ({ shape: 'painted' as const, ...line, ...PAINT })),
];
