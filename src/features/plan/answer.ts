import {
  fieldOfView,
  lightOnSubject,
  solveExposure,
  sunAngleFrom,
  type Exposure,
  type ExposureRequest,
  type SubjectLight,
  type SunAngle,
} from '@/core';
import type { Shoot } from '@/records/shoot';
import { sceneOf, type View } from './view';

/** What to set at one minute, and the light it stands on. */
export interface Answer {
  readonly light: SubjectLight;
  readonly sunAngle: SunAngle;
  /** Whether the sun stands within 10° of the frame: never look at it through the finder. */
  readonly sunNearFrame: boolean;
  readonly exposure: Exposure;
}

/** Warn when the sun is nearer to the frame's corner than this. Common practice, no source. */
const SUN_WARNING_DEG = 10;

/** What is asked of the exposure at a view, whatever the light. */
export function exposureDemands(view: View, choice: Shoot['choice']): Omit<ExposureRequest, 'ev'> {
  return {
    demands: {
      shutterS: view.demand.shutterS,
      shutterRuledBy: view.demand.ruledBy,
      aperture: view.apertureForDepth,
      apertureRuledBy: `${view.subject.depthM} m of depth`,
      liftStops: choice.liftStops,
    },
    camera: view.body,
    lens: { widestAperture: view.widestAperture, smallestAperture: view.lens.smallestAperture },
    school: choice.school,
    motion: view.motion,
    focus: { focalMm: view.focalMm, distanceM: view.sight.distanceM, cocMm: view.cocMm },
  };
}

/** Settings for a view in some light. */
export function answerIn(view: View, choice: Shoot['choice'], light: SubjectLight): Answer {
  const sunAngle = sunAngleFrom(view.sight.bearingDeg, view.sight.elevationDeg, light.sun);
  const { diagonalDeg } = fieldOfView({ sensor: view.body.sensor, focalMm: view.focalMm });
  return {
    light,
    sunAngle,
    sunNearFrame:
      !light.indoors &&
      light.sun.apparentAltitudeDeg > -0.3 &&
      180 - sunAngle.phaseDeg < diagonalDeg / 2 + SUN_WARNING_DEG,
    exposure: solveExposure({ ...exposureDemands(view, choice), ev: light.ev }),
  };
}

/** Settings for a view of a shoot at a moment. */
export const answerAt = (
  view: View,
  { choice, features }: Pick<Shoot, 'choice' | 'features'>,
  timeMs: number,
): Answer => answerIn(view, choice, lightOnSubject(sceneOf(view, features), timeMs));

/** The face as a ball in the same light, seen from the camera. */
export const ballOf = ({ scene }: View, { light }: Answer) => ({
  daylight: light.daylight,
  sun: light.sun,
  sunlit: light.sunlit,
  groundReflectance: scene.groundReflectance,
  lampLux: light.lampLux,
  toCameraDeg: scene.faceAzimuthDeg,
});
