import {
  FORECAST_SIGMA_STOPS,
  lightKind,
  type AskedEv,
  type CorrectedLight,
  type Exposure,
} from '@/core';
import { answerAt, exposedFor } from './answer';
import { viewFor } from './picture-view';
import { toldOr } from './told';
import type { Setup, View } from './view';
import { evOfFrame, standIsThere, type MatchedFrame, type Press, type Stand } from './matched';

/** What the plan says of where and when a frame was taken. */
export interface Planned {
  readonly view: View;
  /** What a frame's time, opening and ISO must come to for it to be exposed right: EV at ISO 100, and its doubt. */
  readonly asked: AskedEv;
  /** The same with the filter that is planned: no picture says whether it was on. */
  readonly askedFiltered?: AskedEv;
  /** How much of that light lamps give, from 0 to 1. */
  readonly lampShare: number;
  readonly settings: Exposure['settings'];
}

/** A press of the button against what the plan would have set there and then. */
export interface AgainstPlan {
  /** How many stops less light the frame took than planned; negative for more. */
  readonly underStops: number;
  /** How many stops longer its time was than planned; negative for shorter. */
  readonly slowerStops: number;
}

const MINUTE_MS = 60_000;

/** How far off the light may be: what was measured says so itself, a forecast has its own doubt besides the cloud's. */
function sigmaOf(light: CorrectedLight): number {
  const half = (light.ev.high - light.ev.low) / 2;
  return light.correction ? half : Math.hypot(half, FORECAST_SIGMA_STOPS[lightKind(light)]);
}

/**
 * What is planned where frames were taken, from what is left of their stands; each place's view, and each minute of
 * it, is computed once.
 */
export function plannedFor(setup: Setup): (frame: MatchedFrame) => Planned | undefined {
  const views = new Map<string, ReturnType<typeof viewFor>>();
  const answers = new Map<string, Planned>();
  const viewOfStand = (stand: Stand) => {
    if (!standIsThere(setup, stand)) return undefined;
    const { markId, positionId, shotId } = stand;
    const key = `${markId} ${positionId} ${shotId ?? ''}`;
    const shot = setup.shots.find(({ id }) => id === shotId);
    const known = views.get(key) ?? viewFor(setup, { shot, markId }, positionId);
    views.set(key, known);
    return { key, ...known };
  };
  return ({ stand, atMs }) => {
    const at = viewOfStand(stand);
    if (!at?.seen.ok) return undefined;
    const { view } = at.seen;
    const minuteMs = Math.floor(atMs / MINUTE_MS) * MINUTE_MS;
    const key = `${at.key} ${minuteMs}`;
    const known = answers.get(key);
    if (known) return known;
    const answer = toldOr(() => answerAt(view, at.looking, minuteMs), undefined);
    if (!answer) return undefined;
    const { light, exposure } = answer;
    const { filterStops } = exposure.settings;
    const sigmaStops = sigmaOf(light);
    // What the pane and the nearness take never reaches the sensor.
    const expected = exposedFor(view, light).expected - view.lossStops;
    const planned = {
      view,
      asked: { expected, sigmaStops },
      ...(filterStops !== undefined && {
        askedFiltered: { expected: expected - filterStops, sigmaStops },
      }),
      lampShare: light.lampLux > 0 ? light.lampLux / (light.lampLux + light.daylightLux) : 0,
      settings: exposure.settings,
    };
    answers.set(key, planned);
    return planned;
  };
}

/** What is asked of a frame that was exposed for some light: with the filter, if it then comes nearer. */
export function askedOf({ asked, askedFiltered }: Planned, ev: number): AskedEv {
  const off = (one: AskedEv) => Math.abs(ev - one.expected);
  return askedFiltered && off(askedFiltered) < off(asked) ? askedFiltered : asked;
}

/** Compares presses by the frame in their middle. */
export function planComparer(
  plannedOf: (frame: MatchedFrame) => Planned | undefined,
): (press: Press) => AgainstPlan | undefined {
  return ({ frames }) => {
    const middle = frames[frames.length >> 1] as MatchedFrame;
    const ev = evOfFrame(middle.frame);
    const { shutterS } = middle.frame;
    if (ev === undefined || shutterS === undefined) return undefined;
    const planned = plannedOf(middle);
    if (!planned) return undefined;
    return {
      underStops: ev - askedOf(planned, ev).expected - planned.settings.liftStops,
      slowerStops: Math.log2(shutterS / planned.settings.shutterS),
    };
  };
}
