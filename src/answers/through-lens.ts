import {
  alongBearing,
  CLOUD_FRACTION,
  ev,
  evFromIlluminance,
  figurePieces,
  GROUND_REFLECTANCE,
  groundUnderM,
  monthOf,
  siteSolids,
  skyAt,
  type ExposurePlan,
  type Figure,
  type Scene,
  type SceneLight,
  type Settings,
  type Surface,
} from '@/core';
import type { Answer } from './answer';
import { BANK } from './along-sight';
import { planLines } from './extent';
import type { View } from './view';
import type { Shoot } from '@/records/shoot';
import { subjectOf } from '@/records/own-subject';
import { figureOf, plumageOf } from '@/presets/subject-figures';

/** A view at a minute as the scene that its frame is drawn from. */

/** Painted lines: usual widths, no source. */
const LINE_WIDTH_M = { boundary: 0.12, marking: 0.08, broken: 0.05 } as const;
/** Slower than this a subject looks where its face does; faster it leans the way it goes. */
const LOOKS_AHEAD_FROM_MS = 1.5;

const GROUND_MATERIAL: Readonly<Record<Shoot['ground']['surface'], Surface['material']>> = {
  grass: 'ground',
  snow: 'pale',
  drySand: 'stone',
  water: 'water',
  clayTrack: 'rust',
  hallWood: 'wood',
  ice: 'pale',
};

type Site = Pick<Shoot, 'ground' | 'features' | 'marks' | 'subjects'>;
const stood = new WeakMap<
  Site['features'],
  {
    readonly month: number;
    readonly ground: Site['ground'];
    readonly solids: Scene['solids'];
  }
>();

/** The same ground gives the same solids, so that nothing is built anew while time or place is dragged. */
function solidsOf(
  { ground, features }: Pick<Site, 'ground' | 'features'>,
  month: number,
): Scene['solids'] {
  const known = stood.get(features);
  if (known?.month === month && known.ground === ground) return known.solids;
  const lines = planLines(ground).map(({ points, weight }) => ({
    points,
    widthM: LINE_WIDTH_M[weight],
  }));
  const solids = siteSolids(features, lines, month, slopeOn(ground));
  stood.set(features, { month, ground, solids });
  return solids;
}

const others = new WeakMap<
  Site['marks'],
  {
    readonly but: string;
    readonly features: Site['features'];
    readonly figures: Scene['others'];
  }
>();
const figures = new WeakMap<View['subject'], Figure['pieces']>();

function figureIn({ subject, running, mark }: View, smear: ExposurePlan['smear'] = []): Figure {
  const pieces =
    figures.get(subject) ??
    figurePieces(figureOf(subject), { ...subject, plumage: plumageOf(subject) });
  figures.set(subject, pieces);
  const { parts, path } = running;
  const goes = subject.speedMs >= LOOKS_AHEAD_FROM_MS;
  return {
    ...{ subject, parts, path, pieces },
    phasesRad: Object.fromEntries(smear.map(({ part, phaseRad }) => [part, phaseRad])),
    facingDeg: goes ? mark.headingDeg : mark.facingDeg,
    ...(figureOf(subject) === 'flying' && { pitchDeg: subject.climbDeg ?? 0 }),
  };
}

function lightIn({ scene }: View, { light }: Answer, atMs: number): SceneLight {
  const { sun, daylight, indoors, skyView, daylightLux, lampLux } = light;
  const sky = skyAt(scene, atMs);
  return {
    toSun: alongBearing(sun.azimuthDeg, sun.altitudeDeg),
    sunLux: !indoors && sun.altitudeDeg > 0 ? daylight.directNormalLux : 0,
    // Under a roof what windows let in comes from all sides, as lamps do.
    skyLux: indoors ? 0 : daylight.diffuseHorizontalLux,
    cloud: typeof sky === 'number' ? sky : CLOUD_FRACTION[sky],
    subjectSkyView: indoors ? 0.5 : skyView,
    lampLux: indoors ? lampLux + daylightLux : lampLux,
    groundReflectance: scene.groundReflectance,
    share: 2 ** (light.ev.expected - evFromIlluminance(daylightLux + lampLux)),
    indoors,
  };
}

/** Who else may stand there: at the other marks of a game, never a second of a wild one. */
function othersIn({ marks, subjects, features }: Site, { subject, mark }: View): Scene['others'] {
  if (subject.cautions?.includes('wildlife')) return [];
  const kept = others.get(marks);
  if (kept && kept.but === mark.id && kept.features === features) return kept.figures;
  const found = marks
    .filter(({ id }) => id !== mark.id)
    .map((other): Figure => {
      const preset = subjectOf({ subjects }, other.subjectId);
      return {
        subject: preset,
        parts: [],
        path: {
          position: { x: other.x, y: other.y, z: groundUnderM(features, other) },
          headingDeg: other.headingDeg,
        },
        facingDeg: preset.speedMs >= LOOKS_AHEAD_FROM_MS ? other.headingDeg : other.facingDeg,
        pieces: figurePieces(figureOf(preset), { ...preset, plumage: plumageOf(preset) }),
      };
    });
  others.set(marks, { but: mark.id, features, figures: found });
  return found;
}

/** What the camera takes from here at this minute with these settings. */
export const sceneThrough = (
  site: Site,
  view: View,
  answer: Answer,
  { settings, atMs }: { readonly settings: Settings; readonly atMs: number },
): Scene => ({
  ...takenWith(view, settings),
  light: lightIn(view, answer, atMs),
  ground: groundOf(site),
  solids: solidsOf(site, monthOf(atMs)),
  figure: figureIn(view, answer.exposure.smear),
  others: othersIn(site, view),
});

/** What rises from water is its bank. */
const slopeOn = (ground: Shoot['ground']): Surface =>
  groundOf({ ground: ground.surface === 'water' ? { ...ground, surface: BANK } : ground });

const groundOf = ({ ground: { surface } }: Pick<Shoot, 'ground'>): Surface => ({
  material: GROUND_MATERIAL[surface],
  reflectance: GROUND_REFLECTANCE[surface],
});

/** Light told by its amount alone comes from everywhere: an overcast sky, or the walls of a hall. */
const EVEN_SHARE = (1 + GROUND_REFLECTANCE.grass) / 2;

/** What the camera takes on a blank ground, in light of which only the amount is known. */
export const sceneOnBlank = (
  view: View,
  { settings, smear }: ExposurePlan,
  {
    faceLux,
    indoors,
    behind,
  }: { readonly faceLux: number; readonly indoors: boolean; readonly behind: Scene['solids'] },
): Scene => ({
  ...takenWith(view, settings),
  light: {
    ...{ toSun: { x: 0, y: 0, z: 1 }, sunLux: 0, cloud: 1, subjectSkyView: 0.5, share: 1, indoors },
    // On an upright face an even sky gives a half, and the ground what it gives back of it.
    skyLux: indoors ? 0 : faceLux / EVEN_SHARE,
    lampLux: indoors ? faceLux : 0,
    groundReflectance: GROUND_REFLECTANCE.grass,
  },
  ground: { material: GROUND_MATERIAL.grass, reflectance: GROUND_REFLECTANCE.grass },
  solids: behind,
  figure: figureIn(view, smear),
  others: [],
});

/** The camera with its dials. */
function takenWith(view: View, settings: Settings): Pick<Scene, 'camera' | 'exposure'> {
  const { shutterS, aperture, iso, liftStops, filterStops = 0 } = settings;
  const { camera, aim, focalMm, body, orientation, motion, shakeS } = view;
  return {
    camera: {
      ...{ position: camera, aim, focalMm, aperture, shutterS, orientation, shakeS },
      sensor: body.sensor,
      ...(motion.pan && { pan: motion.pan }),
    },
    exposure: {
      ev: ev({ aperture, shutterS, iso }),
      lossStops: view.lossStops + filterStops,
      liftStops,
      isoStops: Math.log2(iso / body.iso.base),
    },
  };
}
