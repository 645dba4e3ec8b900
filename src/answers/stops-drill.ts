import {
  exposedEv,
  motionSmear,
  RIGHT_WITHIN_STOPS,
  type PartSmear,
  type Scene,
  type Settings,
} from '@/core';
import { answerIn, exposedFor, type Answer } from './answer';
import { mostMoved, type Pictured } from './pictured';
import { sceneThrough } from './through-lens';
import { toldOr } from './told';
import type { Setup } from './view';

/** Stops under pressure: light that has changed since the dials were right, and what one makes of them. */

/** What may happen, and by how many stops the light on the subject changes; each between two ends. No source. */
export const HAPPENINGS = ['falls', 'darkEnd', 'sunIn', 'sunOut', 'compensation'] as const;
export type HappeningId = (typeof HAPPENINGS)[number];
const STOPS: Readonly<Record<HappeningId, readonly [number, number]>> = {
  /** Dusk comes on. */
  falls: [-3, -1.5],
  /** Play moves to the darker end. */
  darkEnd: [-1.5, -0.7],
  /** A cloud before the sun. */
  sunIn: [-2.7, -1.3],
  /** Out of it again: whites blow. */
  sunOut: [1.3, 2.7],
  /** The light stays; from before the dials stand so far too dark. */
  compensation: [-1.7, -0.7],
};
const CLICK = 1 / 3;

export interface Situation {
  readonly what: HappeningId;
  /** By how much the frame that came back is off: below 0 too dark. Stops. */
  readonly offStops: number;
  /** As the dials stand. */
  readonly start: Settings;
  /** What the plan would set, in the light there is now. */
  readonly answer: Answer;
}

/** How much too bright a frame is: below 0 too dark. Stops. */
export const offBy = (
  { answer }: Pick<Situation, 'answer'>,
  { view }: Pictured,
  settings: Settings,
): number => exposedFor(view, answer.light).expected - view.lossStops - exposedEv(settings);

/** The same light, so many stops brighter. */
const brighter = (light: Answer['light'], stops: number): Answer['light'] => ({
  ...light,
  ev: {
    low: light.ev.low + stops,
    expected: light.ev.expected + stops,
    high: light.ev.high + stops,
  },
});

/** Light that cannot be answered is not asked for: then less is. */
const LESS = 0.6;
const TRIES = 6;

/**
 * Something that happens, such that the plan has an answer to it.
 * @param chance 0 to 1, for how far it goes
 */
export function situationOf(
  setup: Setup,
  { view, answer }: Pictured,
  what: HappeningId,
  chance: number,
): Situation | undefined {
  const [low, high] = STOPS[what];
  const choice = { ...setup.choice, held: {} };
  const { filterStops: _none, ...start } = answer.exposure.settings;
  const wish = Math.round((low + chance * (high - low)) / CLICK) * CLICK;
  for (let i = 0; i < TRIES; i += 1) {
    const stops = wish * LESS ** i;
    if (Math.abs(stops) < CLICK) return undefined;
    const light = what === 'compensation' ? answer.light : brighter(answer.light, stops);
    const then = toldOr(() => answerIn(view, choice, light), undefined);
    const base = { ...start, liftStops: 0 };
    const dialled =
      what === 'compensation' ? { ...base, shutterS: base.shutterS * 2 ** stops } : base;
    const inReach = dialled.shutterS >= view.body.fastestShutterS;
    const solved =
      then &&
      then.exposure.stopsShort <= RIGHT_WITHIN_STOPS &&
      (then.exposure.settings.filterStops ?? 0) === 0;
    if (then && solved && inReach) {
      const here = { what, start: dialled, answer: then };
      return { ...here, offStops: offBy(here, { view } as Pictured, dialled) };
    }
  }
  return undefined;
}

export interface StopsJudged {
  /** Above 0 too bright. */
  readonly offStops: number;
  readonly right: boolean;
  /** The part that moves most at the time dialled, and at the plan's. */
  readonly moved?: PartSmear;
  readonly planMoved?: PartSmear;
  /** How much slower, more closed and higher than the plan's: stops. */
  readonly slower: number;
  readonly closed: number;
  readonly higher: number;
  /** Whether the ISO is above what the body is taken to. */
  readonly beyondUsable: boolean;
}

/** Judged against what the plan would set. Within a third of a stop is right. */
export function judgedStops(
  picture: Pictured,
  situation: Situation,
  settings: Settings,
): StopsJudged {
  const { view } = picture;
  const plan = situation.answer.exposure.settings;
  const offStops = offBy(situation, picture, settings);
  const smear = (shutterS: number) =>
    mostMoved({ smear: motionSmear({ ...view.motion, shutterS }) });
  const [moved, planMoved] = [smear(settings.shutterS), smear(plan.shutterS)];
  return {
    offStops,
    right: Math.abs(offStops) <= CLICK + RIGHT_WITHIN_STOPS,
    ...(moved && { moved }),
    ...(planMoved && { planMoved }),
    slower: Math.log2(settings.shutterS / plan.shutterS),
    closed: 2 * Math.log2(settings.aperture / plan.aperture),
    higher: Math.log2(settings.iso / plan.iso),
    beyondUsable: settings.iso > view.body.iso.usable * 2 ** RIGHT_WITHIN_STOPS,
  };
}

/** The picture that dials make in the light there is now. */
export const stopsScene = (
  setup: Setup,
  { view }: Pictured,
  { answer }: Situation,
  settings: Settings,
  atMs: number,
): Scene => sceneThrough(setup, view, answer, { settings, atMs });
