import {
  correctedLight,
  evNeededFor,
  momentsWithin,
  sensorDiagonalMm,
  shortSpans,
  silhouetteEv,
  solveExposure,
  sunAngleFrom,
  sunWarningDeg,
  type CorrectedLight,
  type EvRange,
  type Exposure,
  type ExposureRequest,
  type HeldLevers,
  type LightSeries,
  type ShortSpan,
  type SubjectLight,
  type SunAngle,
} from '@/core';
import type { Shoot } from '@/records/shoot';
import type { ShootHours } from '@/records/times';
import { heardOf } from './heard';
import { sceneOf, type View } from './view';

/** What to set at one minute, and the light it stands on. */
export interface Answer {
  readonly light: CorrectedLight;
  readonly sunAngle: SunAngle;
  /** Whether the sun stands within 10° of the frame: never look at it through the finder. */
  readonly sunNearFrame: boolean;
  readonly exposure: Exposure;
}

/** Levers held, without those that are let go. */
const leversOf = ({ shutterS, aperture, iso, liftStops }: Shoot['choice']['held']): HeldLevers => ({
  ...(liftStops !== undefined && { liftStops }),
  ...(shutterS !== undefined && { shutterS }),
  ...(aperture !== undefined && { aperture }),
  ...(iso !== undefined && { iso }),
});

/** What a picture asks of the dials from a view, whatever the light. */
export function demandsOf(
  view: View,
  times: View['times'],
  liftStops: number,
): ExposureRequest['demands'] {
  return {
    shutterS: times.mustS,
    shutterRuledBy: times.mustBy,
    wishShutterS: times.wishS,
    wishShutterRuledBy: times.wishBy,
    handsS: view.shakeS,
    ...(times.kept && { keepShutter: true }),
    ...(view.atRest && { atRest: true }),
    ...view.apertures,
    liftStops,
  };
}

/** What is asked of the exposure at a view, whatever the light. */
export function exposureDemands(view: View, choice: Shoot['choice']): Omit<ExposureRequest, 'ev'> {
  return {
    demands: demandsOf(view, view.times, choice.liftStops),
    ...(Object.keys(choice.held).length > 0 && { held: leversOf(choice.held) }),
    camera: view.dial === 'half' ? { ...view.body, dial: 'half' } : view.body,
    lens: {
      widestAperture: view.widestAperture,
      smallestAperture: view.lens.smallestAperture,
      capAperture: view.capAperture,
      lossStops: view.lossStops,
    },
    filters: view.filters,
    school: choice.school,
    motion: view.motion,
    focus: { focalMm: view.focalMm, distanceM: view.sight.distanceM, cocMm: view.cocMm },
  };
}

/**
 * The light a picture is exposed for: that on the face, or for a silhouette the sky behind it. Under
 * a roof there is no sky to stand before: the face counts.
 */
export function exposedFor({ wanted }: Pick<View, 'wanted'>, light: SubjectLight): EvRange {
  if (wanted.technique !== 'silhouette' || light.indoors) return light.ev;
  const expected = silhouetteEv(light.daylight, light.ev.expected);
  return expected === light.ev.expected ? light.ev : { low: expected, expected, high: expected };
}

/** Settings for a view in some light. */
export function answerIn(view: View, choice: Shoot['choice'], light: CorrectedLight): Answer {
  const sunAngle = sunAngleFrom(view.sight.bearingDeg, view.sight.elevationDeg, light.sun);
  const warnedDeg = sunWarningDeg(sensorDiagonalMm(view.body.sensor), view.focalMm);
  return {
    light,
    sunAngle,
    sunNearFrame:
      !light.indoors && light.sun.apparentAltitudeDeg > -0.3 && 180 - sunAngle.phaseDeg < warnedDeg,
    exposure: solveExposure({
      ...exposureDemands(view, choice),
      ev: exposedFor(view, light),
      ...(light.lampLux > 0 && {
        lamps: {
          ...view.lamps,
          share: light.lampLux / (light.lampLux + light.daylightLux),
        },
      }),
    }),
  };
}

/** Settings for a view of a shoot at a moment. */
export const answerAt = (
  view: View,
  {
    choice,
    features,
    readings,
    place,
    light,
    ground,
  }: Pick<Shoot, 'choice' | 'features' | 'readings' | 'place' | 'light' | 'ground'>,
  timeMs: number,
): Answer => {
  const lightAt = correctedLight(
    sceneOf(view, features),
    heardOf({ features, readings, place, light, ground }),
  );
  return answerIn(view, choice, lightAt(timeMs));
};

/** The face as a ball in the same light, seen from the camera. */
export const ballOf = ({ scene }: View, { light }: Answer) => ({
  daylight: light.daylight,
  sun: light.sun,
  sunShare: light.sunShare,
  groundReflectance: scene.groundReflectance,
  lampLux: light.lampLux,
  toCameraDeg: scene.faceAzimuthDeg,
});

/** What the light will do within the shoot's own hours. */
export interface Outlook {
  /** Stretches that are short, in order. */
  readonly spans: readonly ShortSpan[];
  /** The light to come has not been computed: that there are no stretches says nothing. */
  readonly unknown?: true;
}
export const NO_OUTLOOK: Outlook = { spans: [], unknown: true };

/** What the light will do to a view within the shoot's own hours. */
export const outlookOf = (
  view: View,
  choice: Shoot['choice'],
  series: LightSeries,
  hours: Pick<ShootHours, 'startMs' | 'endMs'>,
): Outlook =>
  series.timeMs.length === 0
    ? NO_OUTLOOK
    : {
        spans: shortSpans(
          momentsWithin(series, hours),
          evNeededFor(exposureDemands(view, { ...choice, held: {} })),
        ),
      };
