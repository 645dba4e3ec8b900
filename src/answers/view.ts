import {
  apertureForDepth,
  aperturesFor,
  bearingDeg,
  boughsOf,
  cameraAt,
  carefulLimit,
  circleOfConfusionMm,
  cropFactor,
  depthWithin,
  diffractionCap,
  emptyRates,
  extensionLossStops,
  focalRange,
  following,
  frameFill,
  freezeShutter,
  GROUND_REFLECTANCE,
  halfCircle,
  imageDistanceMm,
  imageRates,
  motionFor,
  obstaclesOf,
  onGround,
  panRungs,
  pictureTimes,
  pixelsOnSubject,
  raised,
  preparePicture,
  shakeLimit,
  sightCourse,
  sightLine,
  subjectPoints,
  widestApertureAt,
  withConverter,
  type Freeze,
  type GroundSurface,
  type Lens,
  type LitScene,
  type Motion,
  type PanOn,
  type PictureTimes,
  type PictureWanted,
  type Point3,
  type SightLine,
  type Roofed,
  type SiteFeature,
  type SkyOver,
  type TimedSubject,
} from '@/core';
import type { Body } from '@/presets/bodies';
import { timesOf, type ClassId } from '@/presets/classes';
import { modulationOf } from '@/presets/lamps';
import type { SubjectPreset } from '@/presets/subjects';
import type { Shot } from '@/records/brief';
import type { Mark, Position, Shoot } from '@/records/shoot';
import { cloudOf } from '@/records/forecast';
import { bodyOf, itemsOf, lensOf, type Kit } from '@/records/kit';
import { passing, type Passing } from './passing';
import { inWind, windMs } from './wind';
import { throughWindow, type Through } from './through-window';
import { subjectOf } from '@/records/own-subject';
import { msOf } from '@/records/times';
import { floorsOf } from './floors';
import { lazily } from './lazily';
import { told, type Trouble } from './told';

/** What can be seen depends on: everything of a shoot but its hours and its name. */
export type Setup = Pick<
  Shoot,
  | 'marks'
  | 'positions'
  | 'kit'
  | 'choice'
  | 'features'
  | 'ground'
  | 'place'
  | 'light'
  | 'shots'
  | 'subjects'
  | 'readings'
  | 'air'
  | 'startLocal'
  | 'endLocal'
>;

/** What a view rests on: a setup but for what was measured. */
export type Viewed = Omit<Setup, 'readings'>;

/** What lights a mark, but for what stands in the way. */
export type OpenScene = Omit<LitScene, 'obstacles' | 'boughs'>;

type Standing = Pick<LitScene, 'obstacles' | 'boughs'>;
const stood = new WeakMap<readonly SiteFeature[], Standing>();

/** All that stands and hangs on a ground; the same for the same list. */
export const standing = (features: readonly SiteFeature[]): Standing => {
  const known = stood.get(features);
  if (known) return known;
  const things = raised(features);
  const boughs = things.flatMap(boughsOf);
  const made = { obstacles: things.flatMap(obstaclesOf), ...(boughs.length > 0 && { boughs }) };
  stood.set(features, made);
  return made;
};

const scenes = new WeakMap<
  OpenScene,
  { readonly features: Shoot['features']; readonly scene: LitScene }
>();

/** A view's light with all that stands on the ground; the same for the same of both. */
export function sceneOf(view: View, features: Shoot['features']): LitScene {
  const known = scenes.get(view.scene);
  if (known?.features === features) return known.scene;
  const scene = { ...view.scene, ...standing(features) };
  scenes.set(view.scene, { features, scene });
  return scene;
}

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
  /** The shot being worked on, if any, and what it asks of the dials. */
  readonly shot?: Shot;
  readonly wanted: PictureWanted;
  readonly passing: Passing;
  readonly orientation: 'level' | 'upright';
  /** How finely the body's dials turn. */
  readonly dial: 'third' | 'half';
  /** The subject at its full pace, before a camera that stands still. */
  readonly running: Motion;
  /** As the picture is taken: followed in a pan, at ease for a portrait. */
  readonly motion: Motion;
  readonly freeze: Freeze;
  /** What a pan from here would do, rung by rung. */
  readonly ladder: {
    readonly rungs: readonly PanOn[];
    /** The time proposed: one frame in three sharp. */
    readonly tryS: number;
    /** From here it comes at the camera: there is nothing to pan. */
    readonly comesAtYou: boolean;
  };
  readonly shakeS: number;
  /** Must and wish of the time, and what asks for them. */
  readonly times: PictureTimes;
  /** The same for any other picture of this subject from here. */
  readonly timesOf: (wanted: Omit<PictureWanted, 'background'>) => PictureTimes;
  /** Must and wish of the opening. */
  readonly apertures: ReturnType<typeof aperturesFor>;
  /** What the subject is taken as in this picture: between plays everybody stands. */
  readonly classId: ClassId;
  /** Whether it is at rest in it. */
  readonly atRest: boolean;
  readonly cocMm: number;
  /** Opening past which diffraction costs more than depth gives. */
  readonly capAperture: number;
  /** Light that focusing so near costs. */
  readonly extensionStops: number;
  /** The window of a hide that it looks out of; nothing in the open, or where a hide is open all round. */
  readonly through?: Through;
  /** All the light that is lost before the lens is stopped down: focusing near, a pane. */
  readonly lossStops: number;
  /** Stops of the filters in the bag. */
  readonly filters: readonly number[];
  /** How the ground's lamps flicker. */
  readonly lamps: { readonly mainsHz: number; readonly modulation: number };
  readonly surface: GroundSurface;
  /** What lights the mark but for what stands in the way: {@link sceneOf} adds that. */
  readonly scene: OpenScene;
}

/** What is over a shoot's ground: the sky set by hand, or the forecast's cloud hour by hour; a roof, and its windows. */
export const skyOver = ({
  sky,
  skyFrom,
  forecast,
  indoors,
  windowShare,
  canopyShare,
}: Shoot['light']): SkyOver & Roofed => ({
  sky,
  ...(skyFrom === 'forecast' && forecast && { cloud: cloudOf(forecast) }),
  indoors,
  ...(windowShare !== undefined && { windowShare }),
  ...(canopyShare !== undefined && { canopyShare }),
});

/** A view, or what stands in its way. */
export type ViewResult =
  { readonly ok: true; readonly view: View } | { readonly ok: false; readonly trouble: Trouble };

function byId<T extends { readonly id: string }>(list: readonly T[], id: string): T {
  return list.find((entry) => entry.id === id) ?? (list[0] as T);
}

export const chosenMark = (shoot: Pick<Shoot, 'marks' | 'choice'>): Mark =>
  byId(shoot.marks, shoot.choice.markId);
/** The shot being worked on, if there is one. */
export const chosenShot = ({ shots, choice }: Pick<Shoot, 'shots' | 'choice'>): Shot | undefined =>
  choice.shotId === undefined ? undefined : shots.find(({ id }) => id === choice.shotId);

/** Without a shot what moves is frozen. */
const NO_SHOT: PictureWanted = { technique: 'freeze', background: 'any' };

export const chosenPosition = (shoot: Pick<Shoot, 'positions' | 'choice'>): Position =>
  byId(shoot.positions, shoot.choice.positionId);

/** The lens as fitted: with its converter, and the focal length that then frames. */
export function fittedLens(kit: Kit) {
  const preset = lensOf(kit);
  const lens = withConverter(preset, kit.converter);
  const { shortestMm, longestMm } = focalRange(lens);
  const focalMm = Math.min(longestMm, Math.max(shortestMm, kit.focalMm * kit.converter));
  return { preset, lens, focalMm };
}

/** Nearer than this, level, a camera is straight over what it looks at, and looks no way at all. */
const LEAST_LEVEL_M = 0.01;

/** What the chosen position sees of the chosen mark with the kit chosen, or what stands in the way. */
export function viewOf(shoot: Viewed): ViewResult {
  const seen = told(() => seenIn(shoot));
  return seen.ok ? seen.value : seen;
}

function seenIn(shoot: Viewed): ViewResult {
  const mark = chosenMark(shoot);
  const position = chosenPosition(shoot);
  const body = bodyOf(shoot.kit);
  const subject = inWind(subjectOf(shoot, mark.subjectId), windMs(shoot));
  const { preset, lens, focalMm } = fittedLens(shoot.kit);
  const camera = cameraAt(shoot.features, position);
  const { feet, aim, face } = subjectPoints(onGround(shoot.features, mark), subject.heightM);
  const levelM = Math.hypot(aim.x - camera.x, aim.y - camera.y);
  const farM = Math.hypot(levelM, aim.z - camera.z);
  const { nearestFocusM } = lens;
  if (farM < nearestFocusM) {
    return { ok: false, trouble: { kind: 'tooNear', distanceM: farM, nearestFocusM } };
  }
  if (levelM < LEAST_LEVEL_M) {
    const names = { position: position.name, mark: mark.name };
    return { ok: false, trouble: { kind: 'straightOver', ...names } };
  }

  const sight = sightLine(camera, aim);
  const framing = {
    sizeM: subject.heightM,
    distanceM: sight.distanceM,
    focalMm,
    sensor: body.sensor,
    orientation: shoot.choice.orientation,
  };
  const shot = chosenShot(shoot);
  const wanted: PictureWanted = shot ?? NO_SHOT;
  const running: Motion = {
    subject,
    parts: subject.parts,
    path: {
      position: feet,
      headingDeg: mark.headingDeg,
      ...(subject.climbDeg !== undefined && { climbDeg: subject.climbDeg }),
    },
    camera: { position: camera, aim, focalMm, sensor: body.sensor },
  };
  const pace = motionFor(running, wanted.technique);
  const { panSigma } = shoot.choice;
  const followed = wanted.technique === 'pan' ? following(running, panSigma) : undefined;
  const motion: Motion = { ...pace, ...(followed && { pan: followed }) };
  const freeze = lazily(() => freezeShutter(running));
  const hands = { focalMm, crop: cropFactor(body.sensor), support: shoot.kit.support };
  const shakeS = shakeLimit({ ...hands, stabilisationStops: body.stabilisationStops });
  const cocMm = circleOfConfusionMm(body.sensor);
  const capAperture = diffractionCap(cocMm);
  const widestAperture = widestApertureAt(lens, focalMm);
  const { orientation } = shoot.choice;
  const classes = timesOf(subject, floorsOf(shoot));
  const timed: TimedSubject = { ...subject, ...classes };
  const along = passing(mark.headingDeg, camera, aim);
  const timesLens = {
    imageMm: imageDistanceMm(focalMm, sight.distanceM),
    circleMm: cocMm,
    frameWidthMm: orientation === 'level' ? body.sensor.widthMm : body.sensor.heightMm,
    shakeS,
    carefulS: carefulLimit(hands),
  };
  const timesFor = (picture: Omit<PictureWanted, 'background'>): PictureTimes => {
    const prepared = preparePicture(timed, picture, panSigma);
    const rates = imageRates(
      { ...running.path, subject: prepared.subject },
      sightCourse(camera, aim),
      aim.z - feet.z,
      prepared.sharp,
      emptyRates(),
    );
    return pictureTimes(prepared, rates, timesLens);
  };
  const times = lazily(() => timesFor(wanted));
  const apertures = lazily(() =>
    aperturesFor(wanted, {
      widest: widestAperture,
      cap: Math.min(capAperture, lens.smallestAperture),
      depthM: depthWithin(subject.depthM, sight.distanceM, focalMm),
      forDepth: (depthM) =>
        apertureForDepth({ focalMm, distanceM: sight.distanceM, depthM, cocMm }),
    }),
  );
  const ladder = lazily(() => {
    const { mustS, comesAtYou = false } = timesFor({ technique: 'pan' });
    const asked = {
      ...along,
      speedMs: subject.speedMs,
      focalMm,
      skillSigma: panSigma,
      cocMm,
      frameWidthMm: body.sensor.widthMm,
    };
    return { rungs: panRungs(asked, comesAtYou ? undefined : mustS), tryS: mustS, comesAtYou };
  });
  const ease = ['reaction', 'portrait', 'still'].includes(wanted.technique);
  const { id: classId, atRest = false } = ease ? classes.atEase : classes.times;
  const toCameraDeg = bearingDeg(aim, camera);
  const extensionStops = extensionLossStops(focalMm, sight.distanceM);
  const through = throughWindow(camera, aim, shoot.features);
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
      widestAperture,
      subject,
      camera,
      aim,
      sight,
      fill: frameFill(framing),
      pixels: pixelsOnSubject(framing),
      faceOffDeg: Math.abs(halfCircle(mark.facingDeg - toCameraDeg)),
      ...(shot && { shot }),
      wanted,
      running,
      passing: along,
      orientation,
      dial: shoot.kit.dial ?? 'third',
      motion,
      get freeze() {
        return freeze();
      },
      shakeS,
      get times() {
        return times();
      },
      timesOf: timesFor,
      classId,
      atRest,
      get ladder() {
        return ladder();
      },
      get apertures() {
        return apertures();
      },
      cocMm,
      capAperture,
      extensionStops,
      ...(through && { through }),
      lossStops: extensionStops + (through?.lossStops ?? 0),
      lamps: { mainsHz: shoot.light.mainsHz, modulation: modulationOf(shoot.light) },
      surface: shoot.ground.surface,
      filters: itemsOf(shoot.kit, 'filter').map(({ stops }) => stops),
      scene: {
        place: shoot.place,
        ...skyOver(shoot.light),
        groundReflectance: GROUND_REFLECTANCE[shoot.ground.surface],
        target: face,
        faceAzimuthDeg: toCameraDeg,
        lampLux: shoot.light.lampLux,
        ...(lampsFromLocal && { lampsFromMs: msOf(lampsFromLocal, shoot.place.timeZone) }),
      },
    },
  };
}
