import { above, oneOf } from '../check';
import { DEFAULT_GRADE, freezeShutter, type Freeze, type GradeDemand } from '../motion/freeze';
import { pan, type Pan } from '../motion/pan';
import type { Following, Motion } from '../motion/smear';
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
/** A pan is tried down to the time at which one frame in so many holds. Common practice. */
const PAN_CHANCE = 0.2;
/** Between plays people walk; for a portrait they all but stand. Metres a second, no source. */
const BETWEEN_PLAYS_MS = 1.4;
const PORTRAIT_MS = 0.3;
/** From here on layers behind the subject can be read. Common practice, no source. */
const LAYERS_FROM = nearestMark('aperture', 5.6).value;

const STILL_GRADE: GradeDemand = { body: 'still', limb: 'crisp' };

export interface PanOn extends Pan {
  readonly shutterS: number;
}

/** The rungs of the ladder for a pan, from the easy end, and the one to try: the last likely one. */
export function panLadder(request: Omit<Parameters<typeof pan>[0], 'shutterS'>): {
  readonly rungs: readonly PanOn[];
  readonly tryS: number;
} {
  const rungs = PAN_LADDER_S.map((shutterS) => ({ shutterS, ...pan({ ...request, shutterS }) }));
  const likely = rungs.filter(({ sharpChance }) => sharpChance >= PAN_CHANCE);
  return { rungs, tryS: (likely.at(-1) ?? rungs[0] ?? { shutterS: STREAK_S }).shutterS };
}

/** The motion as it is when the picture is taken: nobody sprints or swings a stick for a portrait. */
export function motionFor(motion: Motion, technique: Technique): Motion {
  const most = { reaction: BETWEEN_PLAYS_MS, portrait: PORTRAIT_MS }[technique as string];
  if (most === undefined) return motion;
  return {
    ...motion,
    subject: { ...motion.subject, speedMs: Math.min(motion.subject.speedMs, most) },
    parts: motion.parts.map(({ swing: _swing, ...part }) => part),
  };
}

/** A pan follows the body, as well as the person can. */
export const following = ({ parts }: Motion, skillSigma: number): Following | undefined =>
  parts[0] && { part: parts[0].name, rateError: skillSigma };

export interface TechniqueDemand {
  readonly shutterS: number;
  readonly ruledBy: string;
}

/**
 * Longest time that a technique allows: what holds the motion, or what was chosen to blur it; never
 * longer than the hands are steady, except in a pan, where they are meant to move.
 * @param shakeS longest time the hands are steady
 * @param panS time of the pan when none is chosen
 * @param freeze of this very motion, where it is known: it takes the longest to find
 * @throws RangeError as `freezeShutter`, for an unknown technique or a time not above 0
 */
export function shutterFor(
  wanted: PictureWanted,
  motion: Motion,
  {
    shakeS,
    panS,
    freeze,
  }: { readonly shakeS: number; readonly panS: number; readonly freeze?: () => Freeze },
): TechniqueDemand {
  above('shakeS', shakeS, 0);
  const technique = oneOf('technique', wanted.technique, TECHNIQUES);
  const chosen = wanted.shutterS;
  if (technique === 'pan') {
    return { shutterS: chosen ?? panS, ruledBy: chosen ? 'the pan you chose' : 'the pan' };
  }
  if (technique === 'streak') {
    return { shutterS: chosen ?? STREAK_S, ruledBy: chosen ? 'the streaks you chose' : 'streaks' };
  }
  const { sharp } = wanted;
  const held = motionFor(motion, technique);
  const plain = technique === 'freeze' && sharp === undefined;
  const { shutterS, ruledBy } =
    (plain && freeze?.()) ||
    freezeShutter({
      ...held,
      parts: held.parts.map((part) =>
        part.name === sharp ? { ...part, role: 'body' as const } : part,
      ),
      grade: technique === 'still' ? STILL_GRADE : DEFAULT_GRADE,
    });
  return shakeS < shutterS
    ? { shutterS: shakeS, ruledBy: 'your own hands' }
    : { shutterS, ruledBy };
}

/** What a picture asks of the aperture. @param depthAperture what the subject's own depth needs */
export function apertureFor(
  { technique, background }: PictureWanted,
  depthAperture: number,
  depthRuledBy: string,
): Pick<Demands, 'aperture' | 'apertureRuledBy' | 'apertureForBlur' | 'prefer'> {
  const depth = { aperture: depthAperture, apertureRuledBy: depthRuledBy };
  if (technique === 'portrait' || background === 'washed') {
    return { ...depth, apertureForBlur: 1, prefer: 'blur' };
  }
  if ((technique === 'story' || background === 'layered') && depthAperture < LAYERS_FROM) {
    return { aperture: LAYERS_FROM, apertureRuledBy: 'layers behind to be read' };
  }
  return depth;
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
