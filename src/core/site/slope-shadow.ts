import { polygonHull } from 'd3-polygon';
import { sinDeg, tanDeg } from '../quantity/angles';
import type { Bough } from './bough';
import { clipped } from './clip';
import { requireObstacle, type Obstacle } from './obstacle';
import { boughShadow, shadowOnGround, wayRound } from './shadow';
import { abreastOf, alongOf, cutBetween, slopeCrests, type Slope } from './slope';
import { alongBearing, type Point2, type Point3 } from './vector';

/** Shade on ground that is not level, piece by piece: on each flat piece a shadow is what it is on the whole plane. */

type Polygon = readonly Point2[];
type Sun = { readonly azimuthDeg: number; readonly altitudeDeg: number };

/** A flat piece of the ground between two lines of one height, and how the sun falls on its plane. */
interface Piece {
  readonly fromM: number;
  readonly toM: number;
  /** Height of its plane over a point. */
  readonly overM: (point: Point2) => number;
  /** By how much the sun's rays come nearer to it with each level metre; not above 0 in its own shade. */
  readonly nearerPerM: number;
}

/** A slope under one sun. */
interface Lit {
  readonly sun: Sun;
  /** Level, away from the sun, and how much of that goes along the slope's line. */
  readonly away: Point2;
  readonly down: number;
  readonly pieces: readonly Piece[];
}

function piecesOf(slope: Slope, down: number, tan: number): readonly Piece[] {
  const { corners } = slope;
  const level = { alongM: Infinity, heightM: corners.at(-1)?.heightM ?? 0 };
  const all = [{ alongM: -Infinity, heightM: corners[0]?.heightM ?? 0 }, ...corners, level];
  return all.slice(1).flatMap((to, i) => {
    const from = all[i] as typeof to;
    const lengthM = to.alongM - from.alongM;
    if (lengthM === 0) return [];
    const rise = Number.isFinite(lengthM) ? (to.heightM - from.heightM) / lengthM : 0;
    const [atM, heightM] = Number.isFinite(from.alongM)
      ? [from.alongM, from.heightM]
      : [to.alongM, to.heightM];
    return [
      {
        fromM: from.alongM,
        toM: to.alongM,
        overM: (point) => heightM + rise * (alongOf(slope, point) - atM),
        nearerPerM: tan + rise * down,
      },
    ];
  });
}

const lit = new WeakMap<Slope, Lit>();

/** A slope's pieces under a sun that is up; found once for all that stands on it. */
function litOf(slope: Slope, sun: Sun): Lit {
  const known = lit.get(slope);
  const { azimuthDeg, altitudeDeg } = sun;
  if (known?.sun.azimuthDeg === azimuthDeg && known.sun.altitudeDeg === altitudeDeg) return known;
  const away = alongBearing(azimuthDeg + 180);
  const down = away.x * slope.along.x + away.y * slope.along.y;
  const found = { sun, away, down, pieces: piecesOf(slope, down, tanDeg(altitudeDeg)) };
  lit.set(slope, found);
  return found;
}

/** The pieces that a shadow can fall on: it ends where the sun's rays come down to the lowest ground. */
function reached(
  slope: Slope,
  { sun, down, pieces }: Lit,
  points: readonly Point2[],
  highestM: number,
  roundM = 0,
): readonly Piece[] {
  const throwM = (down * highestM) / tanDeg(sun.altitudeDeg);
  let [least, most] = [Infinity, -Infinity];
  for (const point of points) {
    const alongM = alongOf(slope, point);
    least = Math.min(least, alongM + Math.min(0, throwM) - roundM);
    most = Math.max(most, alongM + Math.max(0, throwM) + roundM);
  }
  return pieces.filter(
    ({ fromM, toM, nearerPerM }) => nearerPerM > 0 && fromM <= most && toM >= least,
  );
}

const within = (slope: Slope, { fromM, toM }: Piece, polygon: Polygon): readonly Polygon[] => {
  const kept = cutBetween(slope, polygon, fromM, toM);
  return kept.length > 2 ? [kept] : [];
};

/** What upright walls with a flat top shade of a piece: each of their points thrown as far as the piece is under it. */
function onPiece({ footprint, heightM }: Obstacle, piece: Piece, away: Point2): readonly Polygon[] {
  const reachM = (point: Point2) => (heightM - piece.overM(point)) / piece.nearerPerM;
  const standing = clipped(footprint, reachM);
  if (standing.length < 3) return [];
  const thrown = standing.map((point) => {
    const farM = reachM(point);
    return { x: point.x + away.x * farM, y: point.y + away.y * farM };
  });
  if (wayRound(footprint) !== 0) {
    const hull = polygonHull([...standing, ...thrown].map(({ x, y }) => [x, y]));
    return hull ? [hull.map(([x, y]) => ({ x, y }))] : [];
  }
  const sides = standing.map((a, i) => {
    const next = (i + 1) % standing.length;
    return [a, standing[next] as Point2, thrown[next] as Point2, thrown[i] as Point2];
  });
  return [standing, ...sides, thrown];
}

/**
 * What an obstacle shades of a slope, its own footprint included. Pieces that lie in their own shade are left out:
 * {@link slopeShade} has them whole.
 * @param obstacle its height over the ground's lowest, @param slope none where the ground is level
 * @returns polygons in metres, some of which may overlap; none when the sun is on or below the horizon
 * @throws RangeError for an obstacle that is none
 */
export function shadowOnSlope(
  obstacle: Obstacle,
  sun: Sun,
  slope: Slope | undefined,
): readonly Polygon[] {
  if (!slope) return shadowOnGround(obstacle, sun);
  requireObstacle(obstacle);
  if (sun.altitudeDeg <= 0) return [];
  const ground = litOf(slope, sun);
  return reached(slope, ground, obstacle.footprint, obstacle.heightM).flatMap((piece) =>
    onPiece(obstacle, piece, ground.away).flatMap((polygon) => within(slope, piece, polygon)),
  );
}

/** What a slope shades of itself: what its crests throw, and the pieces that look away from the sun. */
export function slopeShade(slope: Slope, sun: Sun): readonly Polygon[] {
  if (sun.altitudeDeg <= 0) return [];
  const own = litOf(slope, sun)
    .pieces.filter(({ nearerPerM }) => nearerPerM <= 0)
    .map(({ fromM, toM }) => abreastOf(slope, fromM, toM));
  return [...own, ...slopeCrests(slope).flatMap((crest) => shadowOnSlope(crest, sun, slope))];
}

/** A branch from where it is over a piece's plane; nothing where all of it is under that. */
function overPiece(bough: Bough, { overM }: Piece): Bough | undefined {
  const { from, to } = bough;
  const [first, last] = [from.z - overM(from), to.z - overM(to)];
  if (first <= 0 && last <= 0) return undefined;
  if (first >= 0 && last >= 0) return bough;
  const share = first / (first - last);
  const cut: Point3 = {
    x: from.x + (to.x - from.x) * share,
    y: from.y + (to.y - from.y) * share,
    z: from.z + (to.z - from.z) * share,
  };
  return { ...bough, from: first < 0 ? cut : from, to: last < 0 ? cut : to };
}

/**
 * The ground of a slope that a branch dapples: its level shadow, taken back along the sun's rays to each piece.
 * @param bough its heights over the ground's lowest, @param month 1 to 12, @param slope none where the ground is level
 * @returns polygons in metres; none while the sun is down
 */
export function boughShadowOnSlope(
  bough: Bough,
  sun: Sun,
  month: number,
  slope: Slope | undefined,
): readonly Polygon[] {
  if (sun.altitudeDeg <= 0) return [];
  if (!slope) return [boughShadow(bough, sun, month)];
  const ground = litOf(slope, sun);
  const { from, to, leafRadiusM, woodM } = bough;
  // As far as its leaves' round shadow is drawn out on the level.
  const roundM = Math.max(leafRadiusM, woodM) / sinDeg(sun.altitudeDeg);
  const highestM = Math.max(from.z, to.z);
  // One shadow serves all pieces that the whole branch is over: most of them.
  const whole = boughShadow(bough, sun, month);
  return reached(slope, ground, [from, to], highestM, roundM).flatMap((piece) => {
    const { nearerPerM, overM } = piece;
    const over = overPiece(bough, piece);
    if (!over) return [];
    const level = over === bough ? whole : boughShadow(over, sun, month);
    const thrown = level.map((point) => {
      const backM = overM(point) / nearerPerM;
      return { x: point.x - ground.away.x * backM, y: point.y - ground.away.y * backM };
    });
    return within(slope, piece, thrown);
  });
}
