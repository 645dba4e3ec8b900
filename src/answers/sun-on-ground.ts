import {
  bareSlope,
  distanceToLine,
  groundUnderM,
  insidePolygon,
  onGround,
  personObstacle,
  point3,
  eachPostStrip,
  shadowOnSlope,
  subjectPoints,
  sunBlocked,
  SUNLIT_SHARE,
  sunShareOn,
  type Obstacle,
  type Point2,
  type PostStrip,
  type SiteFeature,
  type SubjectLight,
} from '@/core';
import { subjectOf } from '@/records/own-subject';
import type { Mark, Position, Shoot } from '@/records/shoot';
import { standing } from './view';

/** Where the sun falls at one minute, beside the shadows of what stands: on marks, off oneself. */

type Sun = Pick<SubjectLight['sun'], 'azimuthDeg' | 'altitudeDeg'>;

/** Ids of the marks whose subject has the sun on its middle. */
export function marksInSun(
  { marks, subjects }: Pick<Shoot, 'marks' | 'subjects'>,
  features: readonly SiteFeature[],
  sun: Sun,
  timeMs: number,
): readonly string[] {
  const scene = standing(features);
  return marks
    .filter((mark) => {
      const { aim } = subjectPoints(
        onGround(features, mark),
        subjectOf({ subjects }, mark.subjectId).heightM,
      );
      return sunShareOn({ ...scene, target: aim }, sun, timeMs) >= SUNLIT_SHARE;
    })
    .map(({ id }) => id);
}

/** One who stands nearer to a hide's wall than this works from within. */
const AT_THE_WINDOW_M = 1;

/** Whether somebody is in a hide or at its window, whose shadow swallows theirs. */
export const isHidden = (position: Point2, features: readonly SiteFeature[]): boolean =>
  features.some(
    ({ kind, points }) =>
      kind === 'hide' &&
      (insidePolygon(position, points) ||
        distanceToLine(position, [...points, ...points.slice(0, 1)]) < AT_THE_WINDOW_M),
  );

/** The photographer, as what shades and hides. */
export function photographerAt(at: Point2, features: readonly SiteFeature[]): Obstacle {
  const person = personObstacle(at);
  return { ...person, heightM: person.heightM + groundUnderM(features, at) };
}

/** The photographer's own shadow; none in a hide. */
export const ownShadow = (
  position: Point2,
  features: readonly SiteFeature[],
  sun: Sun,
): readonly (readonly Point2[])[] =>
  isHidden(position, features)
    ? []
    : shadowOnSlope(photographerAt(position, features), sun, bareSlope(features));

/** Whether the photographer's own shadow lies on the ground under a mark; never in a hide. */
export const ownShadowOn = (
  position: Position,
  mark: Mark,
  features: readonly SiteFeature[],
  sun: Sun,
): boolean =>
  sun.altitudeDeg > 0 &&
  !isHidden(position, features) &&
  sunBlocked(point3(mark.x, mark.y, onGround(features, mark).feetM ?? 0), sun, [
    photographerAt(position, features),
  ]);

/** More posts than this on one plan are no strips to put a lens behind, but grey. */
const MOST_STRIPS = 3000;

/** Strips of shade that posts throw on their own fences; none where there are too many to tell apart. */
export function postShade(features: readonly SiteFeature[], sun: Sun): readonly PostStrip[] {
  const strips: PostStrip[] = [];
  for (const feature of features) {
    if (feature.kind !== 'fence') continue;
    for (const strip of eachPostStrip(feature, sun)) {
      if (strips.length >= MOST_STRIPS) return [];
      strips.push(strip);
    }
  }
  return strips;
}
