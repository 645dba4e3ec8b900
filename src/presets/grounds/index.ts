import { insidePolygon, turned, type Point2 } from '@/core';
import { BASKETBALL } from './basketball';
import { BEACH_VOLLEYBALL, ICE_RINK, TENNIS, VOLLEYBALL } from './courts';
import { DIAMONDS } from './diamonds';
import { ASSOCIATION, FIELD_HOCKEY, LACROSSE, RUGBY } from './fields';
import { GRIDIRON_NCAA, GRIDIRON_NFHS } from './gridiron';
import { CLIMBING_WALL, ROAD_BEND, SKATE_HALL, SKATE_SPOT, SKI_SLOPE, TRAIL_RUN } from './outdoors';
import { ATHLETICS_TRACK } from './track';
import type { GroundLine, GroundTemplate } from './types';
import { POOLS, RIVER_HIDE, SPRINT_COURSE } from './water';
import {
  ANIMAL_CLEARING,
  BLANK,
  BUTTERFLY_MEADOW,
  FEEDER_GARDEN,
  FOREST_CLEARING,
  REED_EDGE,
  SINGING_HEDGE,
  SINGING_PATH,
} from './wild';

export type { GroundLine, GroundTemplate } from './types';

/** Every ground one can begin with: fields, diamonds, courts, track and water, then the wild ones. */
export const GROUND_TEMPLATES: readonly GroundTemplate[] = [
  FIELD_HOCKEY,
  ASSOCIATION,
  RUGBY,
  LACROSSE,
  GRIDIRON_NFHS,
  GRIDIRON_NCAA,
  ...DIAMONDS,
  ...BASKETBALL,
  VOLLEYBALL,
  BEACH_VOLLEYBALL,
  TENNIS,
  ICE_RINK,
  ATHLETICS_TRACK,
  ...POOLS,
  SPRINT_COURSE,
  ROAD_BEND,
  TRAIL_RUN,
  SKI_SLOPE,
  CLIMBING_WALL,
  SKATE_SPOT,
  SKATE_HALL,
  FEEDER_GARDEN,
  RIVER_HIDE,
  REED_EDGE,
  SINGING_HEDGE,
  SINGING_PATH,
  BUTTERFLY_MEADOW,
  FOREST_CLEARING,
  ANIMAL_CLEARING,
  BLANK,
];

/** @throws RangeError for an id there is none of */
export function groundById(id: string): GroundTemplate {
  const found = GROUND_TEMPLATES.find((template) => template.id === id);
  if (found) return found;
  const known = GROUND_TEMPLATES.map((template) => template.id).join(', ');
  throw new RangeError(`template ${id}: must be one of ${known}`);
}

/** A template's lines turned to the ground's true bearing, metres east and north. */
export const groundLines = (id: string, bearingDeg: number): readonly GroundLine[] =>
  groundById(id).lines.map((line) => ({
    ...line,
    points: line.points.map((point) => turned(point, bearingDeg)),
  }));

/** The field of play, where photographers may not stand, in metres east and north. */
export const fieldOfPlay = (id: string, bearingDeg: number): readonly Point2[] | undefined =>
  groundById(id).fieldOfPlay?.map((point) => turned(point, bearingDeg));

/** Whether a point lies on the field of play. */
export function onFieldOfPlay(id: string, bearingDeg: number, point: Point2): boolean {
  const play = fieldOfPlay(id, bearingDeg);
  return play !== undefined && insidePolygon(point, play);
}
