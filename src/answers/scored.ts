import {
  GROUND_REFLECTANCE,
  limitsOf,
  slopeIn,
  type Lens,
  type Limit,
  type ScoredKit,
  type ScoredMark,
  type ScoredShot,
  type ScoredSite,
} from '@/core';
import type { Body } from '@/presets/bodies';
import { timesOf } from '@/presets/classes';
import { fieldOfPlay } from '@/presets/grounds';
import type { Shot } from '@/records/brief';
import { subjectOf } from '@/records/own-subject';
import type { Mark } from '@/records/shoot';
import { msOf } from '@/records/times';
import { floorsOf } from './floors';
import { heardOf } from './heard';
import { skyOver, standing, type Setup } from './view';
import { inWind, windMs } from './wind';

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

/** Where one may not stand on a ground: the field of play unless one is let in with a vest, and what is kept out of. */
export function limitsOn({
  ground,
  features,
}: Pick<Setup, 'ground' | 'features'>): readonly Limit[] {
  const play = fieldOfPlay(ground.template, ground.bearingDeg);
  return [
    ...(play && !ground.vest
      ? [{ name: 'the field of play', keep: 'out' as const, area: play }]
      : []),
    ...limitsOf(features),
  ];
}

export function scoredSite(
  setup: Pick<Setup, 'ground' | 'features' | 'place' | 'light' | 'readings'>,
): ScoredSite {
  const { ground, features, place, light } = setup;
  const { lampsFromLocal } = light;
  const slope = slopeIn(features);
  const scene = {
    place,
    ...skyOver(light),
    groundReflectance: GROUND_REFLECTANCE[ground.surface],
    ...standing(features),
    lampLux: light.lampLux,
    ...(lampsFromLocal && { lampsFromMs: msOf(lampsFromLocal, place.timeZone) }),
  };
  const heard = heardOf(setup).map(({ scene: { target, faceAzimuthDeg }, ...reading }) => ({
    ...reading,
    target,
    faceAzimuthDeg,
  }));
  return {
    ...scene,
    ...(heard.length > 0 && { heard }),
    keepAwayM: KEEP_AWAY_M,
    limits: limitsOn(setup),
    ...(slope && { slope }),
  };
}

export function scoredMark(
  setup: Pick<Setup, 'subjects' | 'air' | 'light' | 'kit' | 'place' | 'startLocal' | 'endLocal'> & {
    readonly choice: Pick<Setup['choice'], 'floors'>;
  },
  mark: Mark,
): ScoredMark {
  const subject = inWind(subjectOf(setup, mark.subjectId), windMs(setup));
  return {
    x: mark.x,
    y: mark.y,
    ...(mark.feetM !== undefined && { feetM: mark.feetM }),
    headingDeg: mark.headingDeg,
    facingDeg: mark.facingDeg,
    ...(subject.climbDeg !== undefined && { climbDeg: subject.climbDeg }),
    subject: { ...subject, ...timesOf(subject, floorsOf(setup)) },
  };
}

const BACKDROP: Readonly<Record<Shot['background'], ScoredShot['backdrop']>> = {
  any: 'any',
  washed: 'washed',
  layered: 'layered',
  sky: 'any',
  contrast: 'any',
};

/** A promised shot as positions are scored for it: the motion and the framing of the answer. */
export const scoredShot = (shot: Shot, panSigma: number): ScoredShot => ({
  fill: shot.fill,
  face: shot.technique === 'silhouette' ? 'any' : 'front',
  light: shot.light,
  backdrop: BACKDROP[shot.background],
  wanted: {
    technique: shot.technique,
    ...(shot.sharp !== undefined && { sharp: shot.sharp }),
    ...(shot.shutterS !== undefined && { shutterS: shot.shutterS }),
  },
  panSigma,
});
