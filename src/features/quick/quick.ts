import {
  distanceForFill,
  ev as evOf,
  evFromIlluminance,
  illuminanceFromEv,
  FRAME_SIGMA_STOPS,
  LAMP_LEVELS_LUX,
  METER_SIGMA_STOPS,
  solveExposure,
  type EvRange,
  type Exposure,
  type Scene,
} from '@/core';
import { exposureDemands } from '@/answers/answer';
import { sceneOnBlank } from '@/answers/through-lens';
import type { Trouble } from '@/answers/told';
import { fittedLens, viewOf, type Setup, type View, type Viewed } from '@/answers/view';
import { EYE_LIGHTS } from '@/presets/eye-lights';
import { bodyById, subjectById } from '@/presets/find';
import { FIRST_AIR } from '@/records/day';
import { EMPTY_BAG } from '@/records/kit';
import { turnGround } from '@/records/edit-ground';
import { newShoot, type ShootBrief } from '@/records/new-shoot';
import type { Quick } from '@/records/quick';
import { FIRST_PAN_SIGMA, type Shoot } from '@/records/shoot';

/** A quick answer: settings from subject, distance, lens and light, without any ground. */

interface QuickAnswered {
  readonly view: View;
  readonly ev: EvRange;
  readonly exposure: Exposure;
}
export type QuickResult =
  ({ readonly ok: true } & QuickAnswered) | { readonly ok: false; readonly trouble: Trouble };

/** Bearing the subject moves along, the camera looking north at it. */
export const HEADING_DEG = { across: 90, diagonal: 135, towards: 180 } as const;
/** Camera no lower than this; the subject's middle is at its height, so that the line is level. */
const CAMERA_M = 1.2;

/** How far off the subject is: as given, or where it fills the frame as wanted. */
export function quickDistanceM({
  by,
  distanceM,
  fill,
  orientation,
  kit,
  subjectId,
}: Quick): number {
  if (by === 'distance') return distanceM;
  const { focalMm } = fittedLens(kit);
  return distanceForFill({
    sizeM: subjectById(subjectId).heightM,
    focalMm,
    sensor: bodyById(kit.bodyId).sensor,
    fill,
    orientation,
  });
}

/** A subject, the way it moves and how far off it is. */
interface Stand {
  readonly subjectId: string;
  readonly headingDeg: number;
  readonly distanceM: number;
}

/** A subject and a camera as a mark and a position, the camera to the south. */
function standingFor({
  subjectId,
  headingDeg,
  distanceM,
}: Stand): Pick<Setup, 'marks' | 'positions'> {
  const subject = subjectById(subjectId);
  const cameraHeightM = Math.max(CAMERA_M, subject.heightM / 2);
  const feetM = cameraHeightM - subject.heightM / 2;
  return {
    marks: [
      {
        id: 'mark',
        name: subject.name,
        x: 0,
        y: 0,
        headingDeg,
        facingDeg: headingDeg,
        subjectId,
        ...(feetM > 0 && { feetM }),
      },
    ],
    positions: [{ id: 'position', name: 'Position', x: 0, y: -distanceM, cameraHeightM }],
  };
}

const standOf = (quick: Quick): Stand => ({
  subjectId: quick.subjectId,
  headingDeg: HEADING_DEG[quick.runs],
  distanceM: quickDistanceM(quick),
});

/** What can be seen on a blank ground, where only the geometry counts: the light is told, not computed. */
export const blankSetup = (
  stand: Stand,
  {
    kit,
    choice,
    shots = [],
    windMs = FIRST_AIR.windMs,
  }: Pick<Setup, 'kit' | 'choice'> & {
    readonly shots?: Setup['shots'];
    readonly windMs?: number;
  },
): Viewed => ({
  ...standingFor(stand),
  choice,
  shots,
  subjects: [],
  features: [],
  kit,
  ground: { template: 'blank', bearingDeg: 0, thrown: [], surface: 'grass' },
  place: { latitudeDeg: 0, longitudeDeg: 0, timeZone: 'UTC' },
  light: { sky: 'clear', indoors: false, lampLux: 0, mainsHz: 50, skyFrom: 'hand' },
  air: { ...FIRST_AIR, windMs },
  // Of no day: nothing here is asked of a forecast.
  ...{ startLocal: '2000-01-01T12:00', endLocal: '2000-01-01T13:00' },
});

const about = (expected: number, stops: number): EvRange => ({
  low: expected - stops,
  expected,
  high: expected + stops,
});

/** Light on the face, however it was told. */
export function quickEv({ light }: Quick): EvRange {
  switch (light.by) {
    case 'eye':
      return (EYE_LIGHTS.find(({ id }) => id === light.eye) ?? EYE_LIGHTS[0]).ev;
    case 'lamps':
      return about(evFromIlluminance(LAMP_LEVELS_LUX[light.lamps] || 1), METER_SIGMA_STOPS);
    case 'ev':
      return about(light.ev, METER_SIGMA_STOPS);
    case 'frame':
      return about(evOf(light.frame) - light.frame.looksDarkStops, FRAME_SIGMA_STOPS);
  }
}

const choiceOf = ({ orientation, school, held }: Quick): Shoot['choice'] => ({
  markId: 'mark',
  positionId: 'position',
  orientation,
  school,
  liftStops: 1,
  held,
  panSigma: FIRST_PAN_SIGMA,
});

/** The kit in the hands, and the filter at hand. */
const kitOf = ({ kit, filterStops }: Quick): Shoot['kit'] => ({
  ...kit,
  ...EMPTY_BAG,
  bag:
    filterStops === undefined
      ? []
      : [{ kind: 'filter', id: 'own-filter', name: 'Neutral filter', stops: filterStops }],
});

/** What to set, or what stands in the way. */
export function quickAnswer(quick: Quick): QuickResult {
  const choice = choiceOf(quick);
  const seen = viewOf(blankSetup(standOf(quick), { kit: kitOf(quick), choice }));
  if (!seen.ok) return seen;
  const { view } = seen;
  const ev = quickEv(quick);
  return { ok: true, view, ev, exposure: solveExposure({ ...exposureDemands(view, choice), ev }) };
}

const BEHIND_HALF_M = 30;
const BEHIND_HIGH_M = 12;

/** What the camera takes: the subject before leaves as far behind it as was said, in light from everywhere. */
export function quickScene(quick: Quick, { view, ev, exposure }: QuickAnswered): Scene {
  const y = quick.behindM;
  const hedge: Scene['solids'][number] = {
    ...{ shape: 'prism', fromM: 0, toM: BEHIND_HIGH_M, material: 'leaf', reflectance: 0.1 },
    footprint: [
      { x: -BEHIND_HALF_M, y },
      { x: BEHIND_HALF_M, y },
      { x: BEHIND_HALF_M, y: y + 2 },
      { x: -BEHIND_HALF_M, y: y + 2 },
    ],
  };
  const faceLux = illuminanceFromEv(ev.expected);
  const { indoors } = lightOf(quick);
  return sceneOnBlank(view, exposure, { faceLux, indoors, behind: [hedge] });
}

/** The light of a shoot that a quick answer comes nearest to. */
function lightOf({ light }: Quick): Shoot['light'] {
  const lamps = light.by === 'lamps';
  const overcast = light.by === 'eye' && light.eye === 'cloud';
  return {
    sky: overcast ? 'overcast' : 'clear',
    indoors: lamps && /Hall$/.test(light.lamps),
    lampLux: lamps ? LAMP_LEVELS_LUX[light.lamps] : 0,
    mainsHz: 50,
    skyFrom: 'hand',
  };
}

/**
 * A shoot made of a quick answer: its subject, distance, kit and wishes on a blank ground, at a
 * place and time. There the light is computed; a measured one stays with the quick answer.
 */
export function shootOfQuick(quick: Quick, brief: ShootBrief, id: string, now: string): Shoot {
  const upright = newShoot({ ...brief, template: 'blank', bearingDeg: 0 }, id, now);
  const { marks, positions } = standingFor(standOf(quick));
  return turnGround(
    {
      ...upright,
      marks: marks.map((mark) => ({ ...mark })),
      positions: positions.map((position) => ({ ...position })),
      light: lightOf(quick),
      kit: kitOf(quick),
      choice: choiceOf(quick),
    },
    brief.bearingDeg,
  );
}
