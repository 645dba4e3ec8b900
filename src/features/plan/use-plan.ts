import { useMemo } from 'react';
import { shortfall, solveExposure, sunEvents, type Shortfall, type WayOut } from '@/core';
import type { Ribbon, RibbonEvent } from '@/figures/TimeRibbon';
import type { Shoot } from '@/records/shoot';
import { clockOf, timesOf, type ShootTimes } from '@/records/times';
import { answerAt, exposureRequest, type Answer } from './answer';
import { useLightSeries } from './use-light-series';
import { viewOf, type Setup, type View } from './view';
import { stopsSentence } from './words';

/** A shoot with everything computed for the minute being looked at. */
export interface Plan {
  readonly shoot: Shoot;
  readonly times: ShootTimes;
  readonly clock: (ms: number) => string;
  readonly ribbon: Ribbon;
  /** Why the light series could not be computed, if it could not. */
  readonly lightTrouble: string | undefined;
  readonly seen:
    | { readonly ok: true; readonly view: View; readonly answer: Answer; readonly sentence: string }
    | { readonly ok: false; readonly problem: string };
}

const EVENT_NAMES = {
  astronomicalDawn: 'night ends',
  nauticalDawn: 'nautical dawn',
  civilDawn: 'civil dawn',
  rise: 'sunrise',
  culmination: 'noon sun',
  set: 'sunset',
  civilDusk: 'civil dusk',
  nauticalDusk: 'nautical dusk',
  astronomicalDusk: 'night',
} as const;

/** Sun events that fall within the ribbon, over all the local days it touches, in order. */
export function eventsWithin(place: Shoot['place'], days: readonly string[], { fromMs, toMs }: ShootTimes): RibbonEvent[] {
  return [...new Set(days)]
    .flatMap((date) => Object.entries(sunEvents({ date, ...place })))
    .map(([key, when]) => ({
      timeMs: (when as Date).getTime(),
      name: EVENT_NAMES[key as keyof typeof EVENT_NAMES],
    }))
    .filter(({ timeMs }) => timeMs >= fromMs && timeMs <= toMs)
    .sort((a, b) => a.timeMs - b.timeMs);
}

/** The single levers that would close the gap at the worst of a shortage. */
function waysOutAtWorst(
  view: View,
  choice: Shoot['choice'],
  lack: Shortfall | undefined,
  evNeeded: number,
): readonly WayOut[] {
  if (!lack) return [];
  const ev = evNeeded - lack.worstStops;
  return solveExposure(exposureRequest(view, choice, { low: ev, expected: ev, high: ev })).waysOut;
}

/** The parts of a shoot that a view depends on: one object until one of them changes. */
function useSetup(shoot: Shoot): Setup {
  const { marks, positions, kit, choice, obstacles, ground, place, light } = shoot;
  return useMemo(
    () => ({ marks, positions, kit, choice, obstacles, ground, place, light }),
    [marks, positions, kit, choice, obstacles, ground, place, light],
  );
}

export function usePlan(shoot: Shoot): Plan {
  const { place, startLocal, endLocal, light } = shoot;
  const times = timesOf(shoot);
  const { fromMs, toMs, startMs, endMs, atMs, lampsFromMs } = times;
  const clock = useMemo(() => (ms: number) => clockOf(ms, place.timeZone), [place.timeZone]);

  const setup = useSetup(shoot);
  const viewed = useMemo(() => viewOf(setup), [setup]);
  const scene = viewed.ok ? viewed.view.scene : undefined;
  const { series, trouble } = useLightSeries(scene, fromMs, toMs);
  const events = useMemo(
    () =>
      eventsWithin(place, [startLocal.slice(0, 10), endLocal.slice(0, 10)], {
        startMs,
        endMs,
        fromMs,
        toMs,
        atMs: startMs,
      }),
    [place, startLocal, endLocal, startMs, endMs, fromMs, toMs],
  );
  const answer = viewed.ok ? answerAt(viewed.view, shoot.choice, atMs) : undefined;
  const evNeeded = answer?.exposure.evNeeded;
  const lack = useMemo(
    () => (evNeeded === undefined ? undefined : shortfall(series, evNeeded)),
    [series, evNeeded],
  );
  const ribbon = useMemo(
    (): Ribbon => ({
      fromMs,
      toMs,
      startMs,
      endMs,
      series,
      events,
      shortFromMs: lack?.fromMs,
      lampsFromMs: light.lampLux > 0 ? (lampsFromMs ?? startMs) : undefined,
    }),
    [fromMs, toMs, startMs, endMs, series, events, lack, light.lampLux, lampsFromMs],
  );
  const waysOut = useMemo(
    () =>
      viewed.ok && evNeeded !== undefined
        ? waysOutAtWorst(viewed.view, setup.choice, lack, evNeeded)
        : [],
    [viewed, setup, lack, evNeeded],
  );
  return {
    shoot,
    times,
    clock,
    ribbon,
    lightTrouble: trouble,
    seen:
      viewed.ok && answer
        ? {
            ok: true,
            view: viewed.view,
            answer,
            sentence: stopsSentence(answer.exposure, {
              shortfall: lack,
              waysOut,
              clock,
              atMs,
              usableIso: viewed.view.body.iso.usable,
            }),
          }
        : { ok: false, problem: viewed.ok ? '' : viewed.problem },
  };
}
