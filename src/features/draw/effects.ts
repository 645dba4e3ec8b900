import {
  baseM,
  DECK_WIDE_M,
  BACKDROP_DETAIL_M,
  backdropVerdict,
  bearingDeg,
  boughsOf,
  distanceToLine,
  FEATURE_SHAPE,
  firstBackdrop,
  FLECKS,
  insidePolygon,
  leafByMonth,
  measure,
  meshThrough,
  monthOf,
  nearestOnSegment,
  obstaclesOf,
  point3,
  postShadeWidth,
  segmentsOf,
  shadowLength,
  sightBlocks,
  sunBlocked,
  sunThrough,
  type FeatureOf,
  type Point2,
  type SiteFeature,
} from '@/core';
import { branchesBefore } from '@/answers/along-sight';
import type { Answer } from '@/answers/answer';
import type { View } from '@/answers/view';
import { BEFORE_CUTTING } from '@/features/shoot/hide-words';
import { bearingInWords, metres, percent, smallLength } from '@/features/shoot/words';
import { written } from '@/ui/units';

/** What one thing on the ground does to the picture just now, in sentences of computed figures. */

interface Seen {
  readonly view: View;
  readonly answer: Answer;
}

/** Nearer than this a camera is on a level with what it looks at. */
const LEVEL_WITH_M = 0.1;

const sunUp = ({ answer }: Seen): boolean =>
  answer.light.sun.altitudeDeg > 0 && !answer.light.indoors && !answer.light.underLeaves;

function shadowWords(heightM: number, seen: Seen): readonly string[] {
  if (!sunUp(seen)) return [];
  const { altitudeDeg, azimuthDeg } = seen.answer.light.sun;
  const lengthM = shadowLength(heightM, altitudeDeg);
  return [
    `Its shadow is ${metres(lengthM)} long, towards ${bearingInWords((azimuthDeg + 180) % 360)}.`,
  ];
}

/** Whether something solid keeps the sun off the mark, or stands in the line of sight. */
function solidWords(
  feature: SiteFeature,
  seen: Seen,
  as: 'thing' | 'ground' = 'thing',
): readonly string[] {
  const { view, answer } = seen;
  const obstacles = obstaclesOf(feature);
  const { target } = view.scene;
  const shades = sunUp(seen) && sunBlocked(target, answer.light.sun, obstacles);
  const [block] = sightBlocks(view.camera, view.aim, obstacles);
  // Where the line comes down on the ground is told by what is behind, not by its crest.
  const backdrop = as === 'thing' && firstBackdrop(view.camera, view.aim, obstacles);
  return [
    ...(shades ? [`It keeps the sun off ${view.mark.name} now.`] : []),
    ...(block
      ? [
          block.fromWithin
            ? `Its wall is in the way, ${smallLength(block.distanceM)} from the camera.`
            : `It stands in the line of sight, ${metres(block.distanceM)} from the camera and ${smallLength(block.overM)} over the line.`,
        ]
      : []),
    ...(backdrop
      ? [`It is behind ${view.mark.name}, ${metres(backdrop.behindSubjectM)} further off.`]
      : []),
  ];
}

const LOOKS = {
  washed: 'washed out',
  soft: 'soft',
  readable: 'still readable',
} as const;

function backdropWords(feature: FeatureOf<'backdrop'>, seen: Seen): readonly string[] {
  const { view, answer } = seen;
  const behind = firstBackdrop(view.camera, view.aim, obstaclesOf(feature));
  if (!behind) return [`Not behind ${view.mark.name} from here.`];
  const { aperture } = answer.exposure.settings;
  const { look } = backdropVerdict({
    focalMm: view.focalMm,
    aperture,
    subjectM: view.sight.distanceM,
    backgroundM: Math.max(behind.distanceM, view.sight.distanceM),
    detailM: BACKDROP_DETAIL_M[feature.detail],
  });
  return [`At f/${Number(aperture.toFixed(1))} it is ${LOOKS[look]}.`];
}

/** The point of a line that the line of sight crosses, and the bearing of the piece it is on. */
function crossedAt(feature: FeatureOf<'fence'>, { view }: Seen) {
  const { camera, aim } = view;
  for (const [a, b] of segmentsOf(feature.points, false)) {
    const side = (p: Point2) => (p.x - a.x) * (b.y - a.y) - (p.y - a.y) * (b.x - a.x);
    const along = (p: Point2) =>
      (p.x - camera.x) * (aim.y - camera.y) - (p.y - camera.y) * (aim.x - camera.x);
    const [from, to, one, other] = [side(camera), side(aim), along(a), along(b)];
    if (from > 0 === to > 0 || one > 0 === other > 0) continue;
    const share = from / (from - to);
    return { fenceM: share * view.sight.distanceM, bearing: bearingDeg(a, b) };
  }
  return undefined;
}

function fenceWords(feature: FeatureOf<'fence'>, seen: Seen): readonly string[] {
  const { view, answer } = seen;
  const words: string[] = [];
  const crossed = crossedAt(feature, seen);
  if (crossed) {
    const { aperture } = answer.exposure.settings;
    const { patternContrast, lossStops } = meshThrough({
      focalMm: view.focalMm,
      aperture,
      fenceM: crossed.fenceM,
      subjectM: view.sight.distanceM,
      pitchMm: feature.meshPitchMm,
      wireMm: feature.wireMm,
    });
    words.push(
      `You shoot through it, ${smallLength(crossed.fenceM)} before the lens: it takes ${lossStops.toFixed(1)} stop and leaves a pattern of ${(patternContrast * 100).toFixed(1)} %.`,
    );
  }
  const [piece] = segmentsOf(feature.points, false);
  const fenceBearingDeg = crossed?.bearing ?? (piece && bearingDeg(piece[0], piece[1]));
  if (sunUp(seen) && fenceBearingDeg !== undefined) {
    const sunAzimuthDeg = answer.light.sun.azimuthDeg;
    const along = Math.abs(((sunAzimuthDeg - fenceBearingDeg + 270) % 180) - 90);
    words.push(
      along < 2
        ? 'The sun shines along the wire: no post shades it.'
        : `A post shades ${smallLength(
            postShadeWidth({
              widthM: feature.postWidthMm / 1000,
              fenceBearingDeg,
              sunAzimuthDeg,
            }),
          )} of the wire: put the lens there against glare.`,
    );
  }
  return words;
}

/** What a branch leaves of the sun and of the sight. */
function branchWords(feature: FeatureOf<'branch'>, seen: Seen, atMs: number): readonly string[] {
  const { view, answer } = seen;
  const { mark, scene } = view;
  const boughs = boughsOf(feature);
  if (boughs.length === 0)
    return ['Its points lie on each other: move its tip away from its stem.'];
  const month = monthOf(atMs);
  const share = sunUp(seen) ? sunThrough(scene.target, answer.light.sun, boughs, month) : 1;
  const [inSight] = branchesBefore(view, [feature], month);
  const leaf = leafByMonth(feature.leafFrom, feature.leafTo)[month - 1] ?? 0;
  return [
    feature.spreadM === 0 || feature.leafTakes === 0 || leaf === 0
      ? 'Bare now.'
      : `${leaf === 1 ? 'In full leaf' : 'Half in leaf'} now.`,
    share < FLECKS.to
      ? `It leaves ${percent(share)} of the sun on ${mark.name} now${share > FLECKS.from ? ': dappled' : ''}.`
      : `It takes no sun from ${mark.name} now.`,
    inSight
      ? `It hides ${percent(inSight.hidesShare)} of ${mark.name} from ${view.position.name}.`
      : `It is not in the way from ${view.position.name}.`,
    BEFORE_CUTTING,
  ];
}

const awayWords = (points: readonly Point2[], { view }: Seen, closed: boolean): string => {
  const [first] = points;
  const round = closed && first ? [...points, first] : points;
  return `${metres(distanceToLine(view.camera, round))} from ${view.position.name}.`;
};

function hillWords(feature: FeatureOf<'hill'>, { answer }: Seen): readonly string[] {
  const { sun, indoors } = answer.light;
  if (indoors || sun.altitudeDeg <= 0) return [];
  const behind = sunBlocked(point3(0, 0), sun, obstaclesOf(feature));
  return [
    behind
      ? 'The sun is behind it now: the whole ground lies in shade.'
      : `The sun stands clear of it, ${sun.altitudeDeg.toFixed(0)}° high at ${bearingInWords(sun.azimuthDeg)}.`,
  ];
}

function courseWords({ points }: SiteFeature, { view }: Seen): readonly string[] {
  const { lengthM } = measure(points);
  const { speedMs } = view.subject;
  const nearest = segmentsOf(points, false)
    .map((piece) => nearestOnSegment(view.camera, piece))
    .map((at) => Math.hypot(at.x - view.camera.x, at.y - view.camera.y));
  const time =
    speedMs > 0
      ? `: ${(lengthM / speedMs).toFixed(1)} s at ${written(speedMs, 'm/s', Number.isInteger(speedMs) ? 0 : 1)}`
      : '';
  return [
    `${metres(lengthM)} long${time}.`,
    `It passes ${metres(Math.min(...nearest))} from ${view.position.name}.`,
  ];
}

/** What boards do to who stands on them. */
function boardWords(feature: FeatureOf<'path'>, { view }: Seen): readonly string[] {
  const { position } = view;
  const isOn = feature.deckM ? distanceToLine(position, feature.points) <= DECK_WIDE_M / 2 : false;
  return isOn
    ? [
        `${position.name} stands on its boards: every step of others shakes them. Wait until they stand still, or hold the camera in the hands.`,
      ]
    : [];
}

/** How high the camera is by it against what it looks at. */
function slopeWords({ view }: Seen): readonly string[] {
  const { camera, aim, position, mark, running } = view;
  const under = camera.z - position.cameraHeightM;
  const at = running.path.position.z - (mark.feetM ?? 0);
  const overM = camera.z - aim.z;
  return [
    `${position.name} stands ${written(under, 'm', 1)} over the lowest ground, the ground under ${mark.name} ${written(at, 'm', 1)}.`,
    Math.abs(overM) < LEVEL_WITH_M
      ? `The camera is level with ${mark.name}.`
      : `The camera is ${smallLength(Math.abs(overM))} ${overM > 0 ? 'over' : 'under'} ${mark.name}.`,
  ];
}

/**
 * What a thing does now, for the position and mark that are chosen.
 * @param feature as high as it stands: of `raised`
 */
export function effectsOf(feature: SiteFeature, seen: Seen, atMs: number): readonly string[] {
  switch (feature.kind) {
    case 'stand':
    case 'wall':
    case 'hide':
    case 'tree':
    case 'trees':
      return [...shadowWords(feature.heightM - baseM(feature), seen), ...solidWords(feature, seen)];
    case 'slope':
      return [...slopeWords(seen), ...solidWords(feature, seen, 'ground')];
    case 'branch':
      return branchWords(feature, seen, atMs);
    case 'backdrop':
      return [...solidWords(feature, seen), ...backdropWords(feature, seen)];
    case 'fence':
      return fenceWords(feature, seen);
    case 'hill':
      return hillWords(feature, seen);
    case 'course':
      return courseWords(feature, seen);
    case 'keepOut': {
      const inside = insidePolygon(seen.view.camera, feature.points);
      return [
        inside
          ? `Caution: ${seen.view.position.name} lies inside it.`
          : awayWords(feature.points, seen, true),
      ];
    }
    case 'path':
      return [...boardWords(feature, seen), awayWords(feature.points, seen, false)];
    case 'lamp':
    case 'perch':
    case 'cover':
    case 'food':
    case 'water':
    case 'lane':
    case 'outline':
      return [awayWords(feature.points, seen, FEATURE_SHAPE[feature.kind] === 'point')];
  }
}
