import { useMemo, useState } from 'react';
import {
  correctedLight,
  lampsAt,
  monthOf,
  skyAt,
  skyNamed,
  sunEvents,
  sunPosition,
  type HeardReading,
  type LitScene,
  type Sky,
} from '@/core';
import type { Ribbon, RibbonEvent } from '@/figures/TimeRibbon';
import { SHELF } from '@/records/singles';
import { useSingle } from '@/records/use-single';
import type { Shoot } from '@/records/shoot';
import { atMsOf, clockOf, hoursOf, localMinuteOf, type ShootHours } from '@/records/times';
import { alongSight, type AlongSight } from '@/answers/along-sight';
import type { ShownLight } from './drawing';
import { answerIn, NO_OUTLOOK, outlookOf, type Answer, type Outlook } from '@/answers/answer';
import { heardOf } from '@/answers/heard';
import { useLightSeries } from './use-light-series';
import { told, toldOr, type Trouble } from '@/answers/told';
import { sceneOf, skyOver, viewOf, type Setup, type View, type ViewResult } from '@/answers/view';
import { stopsSentence } from './exposure-words';

/** The sun, the lamps, and the sky by name. */
type SkyAndLight = ShownLight & { readonly sky: Sky };

/** A shoot at the minute being looked at: all that the plan draws of it. */
export interface Look {
  readonly shoot: Shoot;
  readonly setup: Setup;
  readonly hours: ShootHours;
  readonly atMs: number;
  readonly clock: (ms: number) => string;
  readonly viewed: ViewResult;
  readonly scene: LitScene | undefined;
  /** What was measured, each reading in its own scene. */
  readonly heard: readonly HeardReading[];
  /** What the line of sight meets; nothing without a view. */
  readonly along: AlongSight | undefined;
  /** Sun and lamps, whatever they fall on. */
  readonly light: SkyAndLight;
}

/** A shoot with everything computed for the minute being looked at. */
export interface Plan extends Look {
  readonly ribbon: Ribbon;
  /** Why the light series could not be computed, if it could not. */
  readonly lightTrouble: string | undefined;
  /** What the light will do within the shoot's hours. */
  readonly outlook: Outlook;
  readonly seen:
    | { readonly ok: true; readonly view: View; readonly answer: Answer; readonly sentence: string }
    | { readonly ok: false; readonly trouble: Trouble };
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

const MAIN_EVENTS = new Set(['rise', 'set', 'culmination']);

/** Sun events that fall within the ribbon, over all the local days it touches, in order. */
export function eventsWithin(
  place: Shoot['place'],
  { fromMs, toMs }: Pick<ShootHours, 'fromMs' | 'toMs'>,
): RibbonEvent[] {
  const days = [fromMs, toMs].map((ms) => localMinuteOf(ms, place.timeZone).slice(0, 10));
  return [...new Set(days)]
    .flatMap((date) => Object.entries(sunEvents({ date, ...place })))
    .map(([key, when]) => ({
      timeMs: (when as Date).getTime(),
      name: EVENT_NAMES[key as keyof typeof EVENT_NAMES],
      main: MAIN_EVENTS.has(key),
    }))
    .filter(({ timeMs }) => timeMs >= fromMs && timeMs <= toMs)
    .sort((a, b) => a.timeMs - b.timeMs);
}

/** The shoot's kit with the floors that one keeps for every shoot. */
function useKit({ kit }: Pick<Shoot, 'kit'>): Shoot['kit'] {
  const floors = useSingle(SHELF).record?.floors;
  return useMemo(() => (floors ? { ...kit, floors } : kit), [kit, floors]);
}

/** The parts of a shoot that can be seen: one object until one of them changes. */
function useSetup(shoot: Shoot): Setup {
  const { marks, positions, choice, features, ground, place, light } = shoot;
  const kit = useKit(shoot);
  const { shots, subjects, readings, air, startLocal, endLocal } = shoot;
  return useMemo(
    () => ({
      ...{ marks, positions, kit, choice, features, ground, place, light },
      ...{ shots, subjects, readings, air, startLocal, endLocal },
    }),
    [
      marks,
      positions,
      kit,
      choice,
      features,
      ground,
      place,
      light,
      shots,
      subjects,
      readings,
      air,
      startLocal,
      endLocal,
    ],
  );
}

const FOOTING: ReadonlySet<string> = new Set(['hide', 'slope', 'path']);

/** What a view rests on of a ground: the hides that bound it, its slope, its boards. The same list for as long as none of them is another. */
function useFooting(features: Shoot['features']): Shoot['features'] {
  const now = features.filter(({ kind }) => FOOTING.has(kind));
  const [kept, keep] = useState(now);
  if (kept.length === now.length && kept.every((thing, i) => thing === now[i])) return kept;
  keep(now);
  return now;
}

export function useLook(shoot: Shoot): Look {
  const { place, startLocal, endLocal, light } = shoot;
  const hours = useMemo(
    () => hoursOf({ startLocal, endLocal, place, light }),
    [startLocal, endLocal, place, light],
  );
  const atMs = atMsOf(shoot, hours);
  const clock = useMemo(() => (ms: number) => clockOf(ms, place.timeZone), [place]);
  const setup = useSetup(shoot);
  const { marks, positions, kit, choice, ground, features, shots, subjects, readings, air } = setup;
  const footing = useFooting(features);
  const viewed = useMemo(
    () =>
      viewOf({
        ...{ marks, positions, features: footing, kit, choice },
        ...{ ground, place, light, shots, subjects, air, startLocal, endLocal },
      }),
    [
      marks,
      positions,
      footing,
      kit,
      choice,
      ground,
      place,
      light,
      shots,
      subjects,
      air,
      startLocal,
      endLocal,
    ],
  );
  const scene = useMemo(
    () => (viewed.ok ? toldOr(() => sceneOf(viewed.view, features), undefined) : undefined),
    [viewed, features],
  );
  const heard = useMemo(
    () => toldOr(() => heardOf({ readings, features, place, light, ground }), []),
    [readings, features, place, light, ground],
  );
  const month = monthOf(atMs);
  const along = useMemo(
    () =>
      viewed.ok ? toldOr(() => alongSight(viewed.view, features, month), undefined) : undefined,
    [viewed, features, month],
  );
  const { lampLux, indoors, canopyShare } = light;
  const over = useMemo(() => skyOver(light), [light]);
  const { lampsFromMs } = hours;
  const shown = useMemo(
    (): SkyAndLight => ({
      sun: sunPosition({ time: atMs, ...place }),
      indoors,
      ...(!indoors && canopyShare !== undefined && { underLeaves: true }),
      lampLux: lampsAt({ lampLux, ...(lampsFromMs !== undefined && { lampsFromMs }) }, atMs),
      sky: skyNamed(skyAt(over, atMs)),
    }),
    [atMs, place, indoors, canopyShare, lampLux, lampsFromMs, over],
  );
  return useMemo(
    () => ({ shoot, setup, hours, atMs, clock, viewed, scene, heard, along, light: shown }),
    [shoot, setup, hours, atMs, clock, viewed, scene, heard, along, shown],
  );
}

/** What to set for what is looked at, now and for the rest of the shoot. */
export function usePlan(look: Look): Plan {
  const { setup, hours, atMs, clock, viewed, scene, heard } = look;
  const { choice, light, place } = setup;
  const { series, trouble } = useLightSeries(scene, heard, hours.fromMs, hours.toMs);
  const events = useMemo(() => eventsWithin(place, hours), [place, hours]);
  const outlook = useMemo(
    () =>
      viewed.ok
        ? toldOr(() => outlookOf(viewed.view, choice, series, hours), NO_OUTLOOK)
        : NO_OUTLOOK,
    [viewed, choice, series, hours],
  );
  const ribbon = useMemo(
    (): Ribbon => ({
      ...hours,
      series,
      events,
      shortFromMs: outlook.spans.find(({ toTheEnd }) => toTheEnd)?.fromMs,
      lampsFromMs: light.lampLux > 0 ? (hours.lampsFromMs ?? hours.startMs) : undefined,
    }),
    [hours, series, events, outlook, light],
  );
  const lightAt = useMemo(() => scene && correctedLight(scene, heard), [scene, heard]);
  const seen = useMemo((): Plan['seen'] => {
    if (!viewed.ok) return viewed;
    if (!lightAt) return { ok: false, trouble: { kind: 'noLight' } };
    const { view } = viewed;
    const answered = told(() => answerIn(view, choice, lightAt(atMs)));
    if (!answered.ok) return answered;
    const answer = answered.value;
    const now = {
      clock,
      atMs,
      usableIso: view.body.iso.usable,
      held: Object.keys(choice.held).length > 0,
    };
    return {
      ok: true,
      view,
      answer,
      sentence: stopsSentence(answer.exposure, outlook, now),
    };
  }, [viewed, lightAt, choice, outlook, clock, atMs]);
  return useMemo(
    () => ({ ...look, ribbon, lightTrouble: trouble, outlook, seen }),
    [look, ribbon, trouble, outlook, seen],
  );
}
