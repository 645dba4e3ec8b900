import { above, atLeast, finite, nonEmpty } from '../check';
import { toDegrees } from '../quantity/angles';
import {
  faceAperture,
  nothingToPan,
  pictureMust,
  preparePicture,
  type PreparedPicture,
} from '../exposure/technique';
import { LONGEST_SHUTTER_S } from '../motion/freeze';
import { emptyRates, imageRates, type ImageRates } from '../motion/rates';
import { shakeBy } from '../motion/shake';
import type { MustFound, TimesLens } from '../motion/times';
import { backgroundBlur } from '../optics/blur';
import { depthWithin } from '../optics/depth';
import { diffractionCap } from '../optics/diffraction';
import { focalForFill, imageDistanceMm, imageSize } from '../optics/image';
import { focalRange, widestApertureAt, type Lens } from '../optics/lens';
import { circleOfConfusionMm, cropFactor, frameHeightMm, sensorDiagonalMm } from '../optics/sensor';
import { boughBehind, monthOf, sightThrough } from '../site/bough';
import { skySeen } from '../site/sky-view';
import { footingM, meetsGround } from '../site/slope';
import { subjectPoints } from '../site/subject-points';
import { alongBearing, type Point3 } from '../site/vector';
import { sunWarningDeg } from '../sun/angle';
import {
  backdropDesirability,
  faceDesirability,
  reachDesirability,
  viewDesirability,
  walkDesirability,
} from './desirability';
import { momentsAt, type Moment } from './mark-light';
import { flatten, followSight, type FlatObstacle, type SightFound } from './sight-kernel';
import {
  DEFAULT_WEIGHTS,
  type ScoredKit,
  type ScoredMark,
  type ScoredShot,
  type ScoredSite,
  type ScorePart,
} from './types';

/**
 * The arithmetic of a score, in the order in which it varies: once for a mark and the times, once
 * for a cell, once for a lens, once for a time. One position and a whole search run the very same
 * functions, so they agree to the last bit.
 */

const SKY_SLICE_DEG = 5;
const SKY_SLICES = 360 / SKY_SLICE_DEG;

/** Filled anew for each lens of a cell. */
const MUST: MustFound = { mustS: 0, by: 'class' };

const FROZEN = { technique: 'freeze' } as const;
/** A beginner's pan. Common practice, no source. */
export const BEGINNER_PAN_SIGMA = 0.1;

/** Everything about a mark, its shot and the times that does not depend on where one stands. */
export interface PreparedMark {
  readonly mark: ScoredMark;
  readonly shot: ScoredShot;
  /** The motion of the shot, as the answer takes it. */
  readonly picture: PreparedPicture;
  readonly site: ScoredSite;
  readonly feetZ: number;
  readonly aimZ: number;
  readonly moments: readonly Moment[];
  /** Of the first moment: leaves are taken as they are then. */
  readonly month: number;
  readonly obstacles: readonly FlatObstacle[];
  readonly weights: Readonly<Record<ScorePart, number>>;
  readonly weightSum: number;
  /** Sky view by direction of the face, filled when first asked for. */
  readonly skyView: Float64Array;
  readonly target: Point3;
  readonly faceX: number;
  readonly faceY: number;
}

/** @throws RangeError for a mark, shot or site that makes no sense */
export function prepareMark(
  mark: ScoredMark,
  shot: ScoredShot,
  site: ScoredSite,
  timesMs: readonly number[],
): PreparedMark {
  finite('mark.x', mark.x);
  finite('mark.y', mark.y);
  above('shot.fill', shot.fill, 0);
  atLeast('site.keepAwayM', site.keepAwayM, 0);
  atLeast('site.lampLux', site.lampLux, 0);
  nonEmpty('times', timesMs);
  const { heightM } = mark.subject;
  const { wanted = FROZEN, panSigma = BEGINNER_PAN_SIGMA } = shot;
  const feetM =
    atLeast('mark.feetM', mark.feetM ?? 0, 0) + (site.slope ? footingM(site.slope, mark) : 0);
  above('mark.subject.heightM', heightM, 0);
  const { feet, aim, face: target } = subjectPoints({ x: mark.x, y: mark.y, feetM }, heightM);
  const face = alongBearing(mark.facingDeg);
  const weights = { ...DEFAULT_WEIGHTS, ...shot.weights };
  Object.entries(weights).forEach(([part, weight]) => atLeast(`shot.weights.${part}`, weight, 0));
  const weightSum = Object.values(weights).reduce((a, b) => a + b, 0);
  above('sum of shot.weights', weightSum, 0);
  return {
    mark,
    shot,
    picture: preparePicture(mark.subject, wanted, panSigma),
    site,
    feetZ: feet.z,
    aimZ: aim.z,
    target,
    faceX: face.x,
    faceY: face.y,
    moments: momentsAt(site, target, mark.facingDeg, timesMs),
    month: monthOf(timesMs[0] as number),
    obstacles: flatten(site.obstacles),
    weights,
    weightSum,
    skyView: new Float64Array(SKY_SLICES).fill(NaN),
  };
}

/** What one cell sees of one mark, whatever lens and time. Reused from cell to cell. */
export interface CellView {
  levelM: number;
  distanceM: number;
  /** Level unit vector from camera to mark, and its rise. */
  unitX: number;
  unitY: number;
  risePerM: number;
  faceOffDeg: number;
  walkM: number;
  skyView: number;
  /** Share of the subject that branches leave in view. */
  clear: number;
  /** How fast the subject's image moves. */
  readonly rates: ImageRates;
  readonly sight: SightFound;
}

export const emptyCell = (): CellView => ({
  levelM: 0,
  distanceM: 0,
  unitX: 0,
  unitY: 0,
  risePerM: 0,
  faceOffDeg: 0,
  walkM: 0,
  skyView: 0,
  clear: 1,
  rates: emptyRates(),
  sight: { blocked: false, backdropM: Infinity },
});

function skyViewToward(prepared: PreparedMark, azimuthDeg: number): number {
  const slice = ((Math.round(azimuthDeg / SKY_SLICE_DEG) % SKY_SLICES) + SKY_SLICES) % SKY_SLICES;
  const known = prepared.skyView[slice] as number;
  if (!Number.isNaN(known)) return known;
  const { target, site, month } = prepared;
  const view = skySeen(target, slice * SKY_SLICE_DEG, site, month);
  prepared.skyView[slice] = view;
  return view;
}

/** Fills `cell` for a camera point. Its numbers mean nothing on the mark itself (levelM 0). */
export function viewCell(
  prepared: PreparedMark,
  x: number,
  y: number,
  cameraHeightM: number,
  cell: CellView,
): void {
  const { mark, feetZ, aimZ, faceX, faceY, site, month } = prepared;
  const toX = mark.x - x;
  const toY = mark.y - y;
  const cameraZ = cameraHeightM + (site.slope ? footingM(site.slope, { x, y }) : 0);
  const rise = aimZ - cameraZ;
  cell.levelM = Math.sqrt(toX * toX + toY * toY);
  if (cell.levelM === 0) return;
  cell.distanceM = Math.sqrt(cell.levelM * cell.levelM + rise * rise);
  cell.unitX = toX / cell.levelM;
  cell.unitY = toY / cell.levelM;
  cell.risePerM = rise / cell.levelM;
  const cosFace = -(faceX * cell.unitX + faceY * cell.unitY);
  cell.faceOffDeg = toDegrees(Math.acos(Math.min(1, Math.max(-1, cosFace))));
  cell.walkM = site.start ? Math.hypot(x - site.start.x, y - site.start.y) : 0;
  cell.skyView = skyViewToward(prepared, toDegrees(Math.atan2(-cell.unitX, -cell.unitY)));
  const { picture } = prepared;
  imageRates({ ...mark, subject: picture.subject }, cell, aimZ - feetZ, picture.sharp, cell.rates);
  cell.clear = site.boughs
    ? sightThrough(
        { x, y, z: cameraZ },
        { x: mark.x, y: mark.y, z: aimZ },
        mark.subject.heightM,
        site.boughs,
        month,
      )
    : 1;
  followSight(
    prepared.obstacles,
    x,
    y,
    cameraZ,
    cell.unitX,
    cell.unitY,
    cell.levelM,
    cell.risePerM,
    cell.sight,
  );
  if (!site.slope && !site.boughs) return;
  const aim = { x: mark.x, y: mark.y, z: aimZ };
  const toward = { x: cell.unitX, y: cell.unitY };
  // The slope itself is behind it from where the line meets it, not from its crest.
  const groundM = site.slope && meetsGround(site.slope, aim, toward, cell.risePerM);
  const bough = site.boughs && boughBehind(aim, toward, cell.risePerM, site.boughs, month);
  const behindM = Math.min(groundM ?? Infinity, bough?.behindM ?? Infinity);
  cell.sight.backdropM = Math.min(cell.sight.backdropM, cell.levelM + behindM);
}

/** A kit's constants for the kernel. */
export interface PreparedLens {
  readonly lens: Lens;
  readonly shortestMm: number;
  readonly longestMm: number;
  readonly kit: ScoredKit;
  readonly circleMm: number;
  readonly frameHeightMm: number;
  readonly diagonalMm: number;
  /** Longest time that hands hold at a focal length. */
  readonly shakeAt: (focalMm: number) => number;
  /** What a lens makes of a rate; distance and hands are filled in for each cell. */
  readonly hands: { -readonly [K in keyof TimesLens]: TimesLens[K] };
  /** Closing past this costs more than it gives. */
  readonly cap: number;
}

/** @throws RangeError for a body or lens that makes no sense */
export function prepareLens(kit: ScoredKit): PreparedLens {
  above('kit.iso.usable', kit.iso.usable, 0);
  above('kit.fastestShutterS', kit.fastestShutterS, 0);
  const { sensor, orientation, stabilisationStops, support } = kit;
  const circleMm = circleOfConfusionMm(sensor);
  return {
    lens: kit.lens,
    ...focalRange(kit.lens),
    kit,
    circleMm,
    frameHeightMm: frameHeightMm(sensor, orientation),
    diagonalMm: sensorDiagonalMm(sensor),
    shakeAt: shakeBy({ crop: cropFactor(sensor), stabilisationStops, support }),
    hands: {
      imageMm: 0,
      circleMm,
      frameWidthMm: orientation === 'level' ? sensor.widthMm : sensor.heightMm,
      shakeS: 0,
      // Careful hands are a wish: a search asks for the must alone.
      carefulS: Infinity,
    },
    cap: diffractionCap(circleMm),
  };
}

/** What one lens makes of a cell, whatever the time. Reused from lens to lens. */
export interface LensView {
  focalMm: number;
  fill: number;
  /** Must of time and opening: what is never knowingly given up. */
  shutterS: number;
  aperture: number;
  widest: number;
  blurShare: number;
  /** Light that the must and the lens wide open need at the highest usable ISO. */
  evNeeded: number;
  /** Half the frame's diagonal with the warning round it. */
  sunNearDeg: number;
  comesAtYou: boolean;
  reach: number;
  face: number;
  backdrop: number;
  view: number;
  walk: number;
  /** Weighted sum of the logarithms of the parts above. −Infinity when one is 0. */
  logSum: number;
}

export const emptyLens = (): LensView => ({
  focalMm: 0,
  fill: 0,
  shutterS: 0,
  aperture: 0,
  widest: 0,
  blurShare: 0,
  evNeeded: 0,
  sunNearDeg: 0,
  comesAtYou: false,
  reach: 0,
  face: 0,
  backdrop: 0,
  view: 0,
  walk: 0,
  logSum: 0,
});

/** A part's share of the sum; one that counts for nothing can't rule a position out. */
export const weighed = (weight: number, desirability: number): number =>
  weight === 0 ? 0 : weight * Math.log(desirability);

const clamp = (value: number, low: number, high: number) => Math.min(high, Math.max(low, value));

/** Fills `out` for a lens at a cell; a cell nearer than the lens focuses gets reach 0. */
export function viewLens(
  { mark, shot, weights, weightSum, picture }: PreparedMark,
  prepared: PreparedLens,
  cell: CellView,
  out: LensView,
): void {
  const { lens, kit, circleMm } = prepared;
  const { subject } = mark;
  const { distanceM } = cell;
  out.face = faceDesirability(cell.faceOffDeg, shot.face);
  out.comesAtYou = nothingToPan(picture, cell.rates);
  out.view = viewDesirability(cell.sight.blocked, out.comesAtYou) * cell.clear;
  out.walk = walkDesirability(cell.walkM);
  if (distanceM < lens.nearestFocusM) {
    out.reach = 0;
    out.fill = 0;
    out.logSum = -Infinity;
    return;
  }
  const sizeM = subject.heightM;
  const wanted = focalForFill({
    sizeM,
    distanceM,
    sensor: kit.sensor,
    fill: shot.fill,
    orientation: kit.orientation,
  });
  out.focalMm = clamp(wanted, prepared.shortestMm, prepared.longestMm);
  const { focalMm } = out;
  out.fill = imageSize({ sizeM, distanceM, focalMm }) / prepared.frameHeightMm;
  const widest = widestApertureAt(lens, out.focalMm);
  out.widest = widest;
  out.aperture = faceAperture(picture.technique, shot.backdrop, {
    focalMm,
    distanceM,
    depthM: depthWithin(subject.depthM, distanceM, focalMm),
    cocMm: circleMm,
    widest,
    cap: Math.min(prepared.cap, lens.smallestAperture),
  });
  const { hands } = prepared;
  hands.imageMm = imageDistanceMm(focalMm, distanceM);
  hands.shakeS = prepared.shakeAt(focalMm);
  const mustS = pictureMust(picture, cell.rates, hands, MUST);
  out.shutterS = clamp(mustS, kit.fastestShutterS, LONGEST_SHUTTER_S);
  out.evNeeded = Math.log2(widest ** 2 / out.shutterS) - Math.log2(kit.iso.usable / 100);
  out.blurShare =
    cell.sight.backdropM <= cell.levelM
      ? 0
      : backgroundBlur({
          focalMm: out.focalMm,
          aperture: out.aperture,
          subjectM: distanceM,
          backgroundM: (cell.sight.backdropM / cell.levelM) * distanceM,
          frameWidthMm: Math.max(kit.sensor.widthMm, kit.sensor.heightMm),
        }).shareOfFrame;
  out.sunNearDeg = sunWarningDeg(prepared.diagonalMm, focalMm);
  out.reach = reachDesirability(out.fill, shot.fill);
  out.backdrop = backdropDesirability(out.blurShare, shot.backdrop);
  out.logSum =
    (out.view === 0 ? -Infinity : weightSum * Math.log(out.view)) +
    weighed(weights.reach, out.reach) +
    weighed(weights.face, out.face) +
    weighed(weights.backdrop, out.backdrop) +
    weighed(weights.walk, out.walk);
}

export const totalOf = ({ weightSum }: PreparedMark, log: number): number =>
  log === -Infinity ? 0 : Math.exp(log / weightSum);

/** Where a cell stands to its mark's safety distance. */
export const tooClose = (cell: CellView, { keepAwayM }: ScoredSite): boolean =>
  cell.levelM === 0 || cell.levelM < keepAwayM;
