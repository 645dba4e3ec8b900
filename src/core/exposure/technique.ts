import { above, oneOf } from '../check';
import { pan, PAN_SHARP_CIRCLES, type Pan } from '../motion/pan';
import type { ImageRates } from '../motion/rates';
import type { Following, Motion } from '../motion/smear';
import type { MovingPart, MovingSubject } from '../motion/subject';
import {
  CRISP,
  mustTime,
  STILL,
  timesFor,
  type CirclesAllowed,
  type ClassTimes,
  type MustFound,
  type TimeRule,
  type Times,
  type TimesLens,
} from '../motion/times';
import { apertureForDepth } from '../optics/depth';
import { nearestMark } from '../quantity/scales';
import { evFromIlluminance } from '../quantity/ev';
import type { Daylight } from '../light/daylight';
import type { Demands } from './request';

/** How a picture treats motion and light. */
export const TECHNIQUES = [
  'freeze',
  'pan',
  'streak',
  'still',
  'silhouette',
  'story',
  'reaction',
  'portrait',
] as const;
export type Technique = (typeof TECHNIQUES)[number];

/** What is wanted behind the subject. */
export const BACKGROUNDS = ['any', 'washed', 'layered', 'sky', 'contrast'] as const;
export type Background = (typeof BACKGROUNDS)[number];

/** What a picture asks of the dials, before any light is known. */
export interface PictureWanted {
  readonly technique: Technique;
  readonly background: Background;
  /** The part that must be crisp, whatever the others do. */
  readonly sharp?: string;
  /** The time chosen for a pan or for streaks. */
  readonly shutterS?: number;
}

/** Times a pan is learned on, from the easy end. Common practice, no source. */
export const PAN_LADDER_S = [1 / 250, 1 / 125, 1 / 60, 1 / 30, 1 / 15, 1 / 8].map(
  (shutterS) => nearestMark('shutter', shutterS).value,
);
/** Streaks of snow or rain are drawn at about this. Common practice, no source. */
export const STREAK_S = nearestMark('shutter', 1 / 30).value;
/** A pan is proposed where one frame in three holds. Common practice. */
export const PAN_CHANCE = 1 / 3;
/** √2·erf⁻¹(1/3): a normal error stays within this many sigmas one time in three. */
const PAN_CHANCE_SIGMAS = 0.430_727_3;
/** A blurred picture is taken no slower than so many times what hands hold. Common practice. */
const BLUR_OVER_HANDS = 4;
/** What crosses less of the sight than this, 30°, comes at one: there is nothing to pan. */
const PAN_LEAST_CROSSING = 0.5;
/** Between plays people walk; for a portrait they all but stand. Metres a second, no source. */
const BETWEEN_PLAYS_MS = 1.4;
const PORTRAIT_MS = 0.3;
/** From here on layers behind the subject can be read. Common practice, no source. */
const LAYERS_FROM = nearestMark('aperture', 5.6).value;

export interface PanOn extends Pan {
  readonly shutterS: number;
}

/** The rungs of the ladder for a pan, from the easy end, with the time that is proposed among them. */
export const panRungs = (
  request: Omit<Parameters<typeof pan>[0], 'shutterS'>,
  proposedS?: number,
): readonly PanOn[] =>
  [...new Set([...PAN_LADDER_S, ...(proposedS === undefined ? [] : [proposedS])])]
    .sort((a, b) => a - b)
    .map((shutterS) => ({ shutterS, ...pan({ ...request, shutterS }) }));

type Moving = MovingSubject & { readonly parts: readonly MovingPart[] };

/** A subject with the times its class is taken at; both are left out where nothing is known of it. */
export interface TimedSubject extends Moving {
  readonly times?: ClassTimes;
  /** Its times between plays, at rest or for a portrait. */
  readonly atEase?: ClassTimes;
}

/** Fastest that a subject moves while the picture is taken; nothing where it goes at its pace. */
const easePaceMs = (technique: Technique): number | undefined =>
  ({ reaction: BETWEEN_PLAYS_MS, portrait: PORTRAIT_MS, still: PORTRAIT_MS })[technique as string];

/** The subject as it is when the picture is taken: nobody sprints or swings a stick for a portrait. */
export function subjectFor<T extends Moving>(subject: T, technique: Technique): T {
  const most = easePaceMs(technique);
  if (most === undefined) return subject;
  return {
    ...subject,
    speedMs: Math.min(subject.speedMs, most),
    parts: subject.parts.map(({ swing: _swing, ...part }) => part),
  };
}

/** The motion as it is when the picture is taken. */
export const motionFor = (motion: Motion, technique: Technique): Motion => {
  if (easePaceMs(technique) === undefined) return motion;
  const { parts, ...subject } = subjectFor({ ...motion.subject, parts: motion.parts }, technique);
  return { ...motion, subject, parts };
};

/** A pan follows the body, as well as the person can. */
export const following = ({ parts }: Motion, skillSigma: number): Following | undefined =>
  parts[0] && { part: parts[0].name, rateError: skillSigma };

/** All of a picture's motion that does not depend on where one stands. */
export interface PreparedPicture {
  readonly technique: Technique;
  readonly subject: Moving;
  readonly classTimes: ClassTimes | undefined;
  readonly circles: CirclesAllowed;
  readonly sharp: string | undefined;
  readonly chosenS: number | undefined;
  readonly panSigma: number;
}

/**
 * @param panSigma how evenly this person pans
 * @throws RangeError for an unknown technique or a chosen time not above 0
 */
export function preparePicture(
  subject: TimedSubject,
  { technique, sharp, shutterS }: Omit<PictureWanted, 'background'>,
  panSigma: number,
): PreparedPicture {
  oneOf('technique', technique, TECHNIQUES);
  if (shutterS !== undefined) above('shutterS', shutterS, 0);
  return {
    technique,
    subject: subjectFor(subject, technique),
    classTimes: easePaceMs(technique) === undefined ? subject.times : subject.atEase,
    circles: technique === 'still' ? STILL : CRISP,
    sharp:
      sharp !== undefined && subject.parts.some(({ name }) => name === sharp) ? sharp : undefined,
    chosenS: shutterS,
    panSigma,
  };
}

/** Must and wish of a picture from somewhere. */
export interface PictureTimes extends Times {
  /** Wanted for its blur: light never moves it. */
  readonly kept: boolean;
  /** A pan was asked for, but the subject comes at the camera: it is frozen instead. */
  readonly comesAtYou?: true;
}

const kept = (shutterS: number, by: 'pan' | 'streak' | 'chosen'): PictureTimes => ({
  mustS: shutterS,
  mustBy: { by },
  wishS: shutterS,
  wishBy: { by },
  kept: true,
});

/** Longest time of a pan that holds one frame in three for this person, on a third-stop mark. */
function panS(picture: PreparedPicture, rates: ImageRates, lens: TimesLens): number {
  const spreadMmS = lens.imageMm * rates.courseRadS * picture.panSigma;
  const likelyS =
    spreadMmS > 0
      ? (PAN_SHARP_CIRCLES * lens.circleMm) / (PAN_CHANCE_SIGMAS * spreadMmS)
      : Infinity;
  const slowestS = Math.min(PAN_LADDER_S.at(-1) as number, BLUR_OVER_HANDS * lens.shakeS);
  return nearestMark('shutter', Math.min(likelyS, slowestS), 'down').value;
}

/** Without a class nothing but the motion and the hands is known. */
function timesWithoutClass(
  { circles, sharp }: PreparedPicture,
  rates: ImageRates,
  { imageMm, circleMm, shakeS }: TimesLens,
): Times {
  const within = (limit: number, radS: number) =>
    radS > 0 ? (limit * circleMm) / (imageMm * radS) : Infinity;
  const asked: readonly (readonly [number, TimeRule])[] = [
    [shakeS, { by: 'hands' }],
    [within(circles.body, rates.bodyRadS), { by: 'part', part: rates.bodyPart }],
    [within(circles.limb, rates.limbRadS), { by: 'part', part: rates.limbPart }],
    [within(circles.body, rates.namedRadS), { by: 'named', part: sharp ?? '' }],
  ];
  const [mustS, mustBy] = asked.reduce((a, b) => (b[0] < a[0] ? b : a));
  return { mustS, mustBy, wishS: mustS, wishBy: mustBy };
}

/**
 * The must of a picture alone, for a search: what {@link pictureTimes} gives as its must.
 * @param out reused from place to place
 */
export function pictureMust(
  picture: PreparedPicture,
  rates: ImageRates,
  lens: TimesLens,
  out: MustFound,
): number {
  const { technique, classTimes, subject } = picture;
  const holds = technique !== 'pan' && technique !== 'streak';
  return holds && classTimes
    ? mustTime(classTimes, rates, lens, subject.speedMs, out).mustS
    : pictureTimes(picture, rates, lens).mustS;
}

/** Whether a pan has nothing to follow: the subject comes at the camera there, or goes from it. */
export const nothingToPan = (
  { technique, subject }: Pick<PreparedPicture, 'technique' | 'subject'>,
  { crossingShare }: Pick<ImageRates, 'crossingShare'>,
): boolean => technique === 'pan' && subject.speedMs > 0 && crossingShare < PAN_LEAST_CROSSING;

/** Must and wish of a picture from where its subject's image moves at these rates. */
export function pictureTimes(
  picture: PreparedPicture,
  rates: ImageRates,
  lens: TimesLens,
): PictureTimes {
  const { technique, chosenS, classTimes, subject, sharp, circles } = picture;
  const comesAtYou = nothingToPan(picture, rates);
  if (technique === 'pan' && !comesAtYou) {
    return chosenS ? kept(chosenS, 'chosen') : kept(panS(picture, rates, lens), 'pan');
  }
  if (technique === 'streak') {
    const slowestS = nearestMark('shutter', BLUR_OVER_HANDS * lens.shakeS, 'down').value;
    return chosenS ? kept(chosenS, 'chosen') : kept(Math.min(STREAK_S, slowestS), 'streak');
  }
  const times = classTimes
    ? timesFor(classTimes, rates, lens, subject.speedMs, sharp, circles)
    : timesWithoutClass(picture, rates, lens);
  return { ...times, kept: false, ...(comesAtYou && { comesAtYou }) };
}

/** Must: the eye and the face, a quarter of the subject; it closes the lens by two stops at most. */
const FACE_SHARE = 0.25;
const MUST_CLOSES_MOST = 2;

/** The opening for eye and face, within two stops of the widest and the cap. */
const mustAperture = (forFace: number, widest: number, cap: number): number =>
  Math.min(Math.max(widest, cap), Math.max(widest, Math.min(forFace, widest * MUST_CLOSES_MOST)));

/** The must of the opening alone, for a search: what {@link aperturesFor} gives as its must. */
export const faceAperture = (
  technique: Technique,
  background: Background,
  at: {
    readonly focalMm: number;
    readonly distanceM: number;
    readonly depthM: number;
    readonly cocMm: number;
    readonly widest: number;
    readonly cap: number;
  },
): number =>
  technique === 'portrait' || background === 'washed'
    ? at.widest
    : mustAperture(apertureForDepth({ ...at, depthM: at.depthM * FACE_SHARE }), at.widest, at.cap);

/**
 * What a picture asks of the opening: must, for eye and face; wish, for the whole subject. Never closed
 * past `cap`, where diffraction costs more than depth gives.
 * @param forDepth opening that a depth in metres asks for
 */
export function aperturesFor(
  { technique, background }: Pick<PictureWanted, 'technique' | 'background'>,
  {
    widest,
    cap,
    depthM,
    forDepth,
  }: {
    readonly widest: number;
    readonly cap: number;
    readonly depthM: number;
    readonly forDepth: (depthM: number) => number;
  },
): Required<Pick<Demands, 'aperture' | 'wishAperture' | 'apertureRuledBy'>> {
  if (technique === 'portrait' || background === 'washed') {
    return { aperture: widest, wishAperture: widest, apertureRuledBy: 'blur' };
  }
  const most = Math.max(widest, cap);
  const between = (value: number) => Math.min(most, Math.max(widest, value));
  const aperture = mustAperture(forDepth(depthM * FACE_SHARE), widest, cap);
  const whole = forDepth(depthM);
  const layered = technique === 'story' || background === 'layered';
  return layered && whole < LAYERS_FROM
    ? { aperture, wishAperture: between(LAYERS_FROM), apertureRuledBy: 'layers' }
    : {
        aperture,
        wishAperture: between(whole),
        apertureRuledBy: whole > widest ? 'depth' : 'widest',
      };
}

/**
 * EV that renders the open sky as a meter would: of an even sky of the same light, L = E/π and
 * EV = log2(L·S/K), S 100, K 12.5. A silhouette is exposed for that. Under lamps or a roof there is none.
 * Source: ISO 2720 for K; an even sky is a simplification.
 */
export function skyEv({ diffuseHorizontalLux }: Daylight): number {
  above('diffuseHorizontalLux', diffuseHorizontalLux, 0);
  // evFromIlluminance is log2(E/2.5); a sky of E has L = E/π, and L·100/12.5 = 8·E/π.
  return evFromIlluminance((2.5 * 8 * diffuseHorizontalLux) / Math.PI);
}

/** A silhouette keeps at least this much under the sky that it stands before. No source. */
const DARK_ENOUGH_STOPS = 2;

/**
 * Light that a silhouette is exposed for, as EV: the open sky behind it, and at least two stops over
 * the face. Where there is no sky to stand before, by night or under a roof, the face counts.
 */
export const silhouetteEv = (daylight: Daylight, faceEv: number): number =>
  daylight.diffuseHorizontalLux > 0
    ? Math.max(skyEv(daylight), faceEv + DARK_ENOUGH_STOPS)
    : faceEv;
