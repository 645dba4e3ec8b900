import {
  apertureForDepth,
  bearingDeg,
  circleOfConfusionMm,
  cropFactor,
  focalRange,
  frameFill,
  freezeShutter,
  GROUND_REFLECTANCE,
  halfCircle,
  obstaclesOf,
  pixelsOnSubject,
  point3,
  shakeLimit,
  sightLine,
  widestApertureAt,
  withConverter,
  type Freeze,
  type Lens,
  type LitScene,
  type Motion,
  type Point3,
  type SightLine,
} from '@/core';
import type { Body } from '@/presets/bodies';
import { bodyById, lensById, subjectById } from '@/presets/find';
import type { SubjectPreset } from '@/presets/subjects';
import type { Mark, Position, Shoot } from '@/records/shoot';
import { msOf } from '@/records/times';

/** What can be seen depends on: everything of a shoot but its hours and its name. */
export type Setup = Pick<
  Shoot,
  'marks' | 'positions' | 'kit' | 'choice' | 'features' | 'ground' | 'place' | 'light'
>;

/** What lights a mark, but for what stands in the way. */
export type OpenScene = Omit<LitScene, 'obstacles'>;

/** A view's light with all that stands on the ground. */
export const sceneOf = (view: View, features: Shoot['features']): LitScene => ({
  ...view.scene,
  obstacles: features.flatMap(obstaclesOf),
});

/** What one position sees of one mark, whatever the time: geometry, framing and motion. */
export interface View {
  readonly mark: Mark;
  readonly position: Position;
  readonly body: Body;
  readonly lens: Lens;
  readonly lensName: string;
  /** With the converter. */
  readonly focalMm: number;
  readonly widestAperture: number;
  readonly subject: SubjectPreset;
  readonly camera: Point3;
  readonly aim: Point3;
  readonly sight: SightLine;
  readonly fill: number;
  readonly pixels: number;
  /** Angle between the way the subject's face looks and the line to the camera, 0 to 180. */
  readonly faceOffDeg: number;
  readonly motion: Motion;
  readonly freeze: Freeze;
  readonly shakeS: number;
  /** The shorter of freeze and shake, and what asks for it. */
  readonly demand: { readonly shutterS: number; readonly ruledBy: string };
  readonly apertureForDepth: number;
  readonly cocMm: number;
  /** What lights the mark but for what stands in the way: {@link sceneOf} adds that. */
  readonly scene: OpenScene;
}

/** Share of a subject's height at which its light is taken: the face, or a bird's. */
const LIT_AT_HEIGHT = 0.85;

/** A view, or what stands in its way and what to change. */
export type ViewResult =
  { readonly ok: true; readonly view: View } | { readonly ok: false; readonly problem: string };

/** Computed when first asked for: a drag asks for the geometry alone. */
function lazily<T>(compute: () => T): () => T {
  let known: { readonly value: T } | undefined;
  return () => (known ??= { value: compute() }).value;
}

function byId<T extends { readonly id: string }>(list: readonly T[], id: string): T {
  return list.find((entry) => entry.id === id) ?? (list[0] as T);
}

export const chosenMark = (shoot: Pick<Shoot, 'marks' | 'choice'>): Mark =>
  byId(shoot.marks, shoot.choice.markId);
export const chosenPosition = (shoot: Pick<Shoot, 'positions' | 'choice'>): Position =>
  byId(shoot.positions, shoot.choice.positionId);

/** The lens as fitted: with its converter, and the focal length that then frames. */
export function fittedLens(kit: Shoot['kit']) {
  const preset = lensById(kit.lensId);
  const lens = withConverter(preset, kit.converter);
  const { shortestMm, longestMm } = focalRange(lens);
  const focalMm = Math.min(longestMm, Math.max(shortestMm, kit.focalMm * kit.converter));
  return { preset, lens, focalMm };
}

function nearnessProblem(distanceM: number, lens: Lens): string | undefined {
  if (distanceM >= lens.nearestFocusM) return undefined;
  return `The position is ${distanceM.toFixed(1)} m from the mark; this lens focuses from ${lens.nearestFocusM} m. Move the position back or take another lens.`;
}

/** What the chosen position sees of the chosen mark with the kit chosen. */
export function viewOf(shoot: Omit<Setup, 'features'>): ViewResult {
  const mark = chosenMark(shoot);
  const position = chosenPosition(shoot);
  const body = bodyById(shoot.kit.bodyId);
  const subject = subjectById(mark.subjectId);
  const { preset, lens, focalMm } = fittedLens(shoot.kit);
  const camera = point3(position.x, position.y, position.cameraHeightM);
  const { feetM = 0 } = mark;
  const feet = point3(mark.x, mark.y, feetM);
  const aim = point3(mark.x, mark.y, feetM + subject.heightM / 2);
  const levelM = Math.hypot(aim.x - camera.x, aim.y - camera.y);
  const tooNear = nearnessProblem(Math.max(levelM, 1e-6), lens);
  if (tooNear) return { ok: false, problem: tooNear };

  const sight = sightLine(camera, aim);
  const framing = {
    sizeM: subject.heightM,
    distanceM: sight.distanceM,
    focalMm,
    sensor: body.sensor,
    orientation: shoot.choice.orientation,
  };
  const motion: Motion = {
    subject,
    parts: subject.parts,
    path: {
      position: feet,
      headingDeg: mark.headingDeg,
      ...(subject.climbDeg !== undefined && { climbDeg: subject.climbDeg }),
    },
    camera: { position: camera, aim, focalMm, sensor: body.sensor },
  };
  const freeze = lazily(() => freezeShutter(motion));
  const shakeS = shakeLimit({
    focalMm,
    crop: cropFactor(body.sensor),
    stabilisationStops: body.stabilisationStops,
    support: shoot.kit.support,
  });
  const cocMm = circleOfConfusionMm(body.sensor);
  const depthAperture = lazily(() =>
    apertureForDepth({
      focalMm,
      distanceM: sight.distanceM,
      depthM: Math.min(subject.depthM, sight.distanceM),
      cocMm,
    }),
  );
  const toCameraDeg = bearingDeg(aim, camera);
  const { lampsFromLocal } = shoot.light;
  return {
    ok: true,
    view: {
      mark,
      position,
      body,
      lens,
      lensName: preset.name,
      focalMm,
      widestAperture: widestApertureAt(lens, focalMm),
      subject,
      camera,
      aim,
      sight,
      fill: frameFill(framing),
      pixels: pixelsOnSubject(framing),
      faceOffDeg: Math.abs(halfCircle(mark.facingDeg - toCameraDeg)),
      motion,
      get freeze() {
        return freeze();
      },
      shakeS,
      get demand() {
        const { shutterS, ruledBy } = freeze();
        return shakeS < shutterS
          ? { shutterS: shakeS, ruledBy: 'your own hands' }
          : { shutterS, ruledBy };
      },
      get apertureForDepth() {
        return depthAperture();
      },
      cocMm,
      scene: {
        place: shoot.place,
        sky: shoot.light.sky,
        indoors: shoot.light.indoors,
        groundReflectance: GROUND_REFLECTANCE[shoot.ground.surface],
        target: point3(mark.x, mark.y, feetM + subject.heightM * LIT_AT_HEIGHT),
        faceAzimuthDeg: toCameraDeg,
        lampLux: shoot.light.lampLux,
        ...(lampsFromLocal && { lampsFromMs: msOf(lampsFromLocal, shoot.place.timeZone) }),
      },
    },
  };
}
