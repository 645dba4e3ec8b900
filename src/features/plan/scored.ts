import {
  GROUND_REFLECTANCE,
  limitsOf,
  obstaclesOf,
  type Lens,
  type ScoredKit,
  type ScoredMark,
  type ScoredSite,
} from '@/core';
import type { Body } from '@/presets/bodies';
import { fieldOfPlay } from '@/presets/grounds';
import { subjectOf } from '@/records/own-subject';
import type { Mark, Shoot } from '@/records/shoot';
import { msOf } from '@/records/times';
import { skyOver, type Setup } from './view';

/** A shoot's ground, marks and kit as positions are scored on them. */

/** Nearer to a moving subject than this nobody is sent. */
const KEEP_AWAY_M = 3;

export const scoredKit = (
  body: Body,
  lens: Lens,
  { orientation, support }: Pick<ScoredKit, 'orientation' | 'support'>,
): ScoredKit => {
  const { sensor, iso, fastestShutterS, stabilisationStops } = body;
  return { sensor, iso, fastestShutterS, stabilisationStops, lens, orientation, support };
};

export function scoredSite({
  ground,
  features,
  place,
  light,
}: Pick<Setup, 'ground' | 'features' | 'place' | 'light'>): ScoredSite {
  const play = fieldOfPlay(ground.template, ground.bearingDeg);
  const { lampsFromLocal } = light;
  return {
    place,
    ...skyOver(light),
    indoors: light.indoors,
    groundReflectance: GROUND_REFLECTANCE[ground.surface],
    obstacles: features.flatMap(obstaclesOf),
    lampLux: light.lampLux,
    ...(lampsFromLocal && { lampsFromMs: msOf(lampsFromLocal, place.timeZone) }),
    keepAwayM: KEEP_AWAY_M,
    limits: [
      ...(play ? [{ name: 'the field of play', keep: 'out' as const, area: play }] : []),
      ...limitsOf(features),
    ],
  };
}

export function scoredMark(setup: Pick<Shoot, 'subjects'>, mark: Mark): ScoredMark {
  const subject = subjectOf(setup, mark.subjectId);
  return {
    x: mark.x,
    y: mark.y,
    ...(mark.feetM !== undefined && { feetM: mark.feetM }),
    headingDeg: mark.headingDeg,
    facingDeg: mark.facingDeg,
    ...(subject.climbDeg !== undefined && { climbDeg: subject.climbDeg }),
    subject,
  };
}
