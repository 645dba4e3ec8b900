import { above, atLeast, nonEmpty } from '../check';
import type { EvRange } from '../light/subject';
import {
  CLICKS_PER_STOP,
  clicksBetween,
  nearestMark,
  type Dial,
  type ScaleKind,
} from '../quantity/scales';
import type { Span } from '../sun/horizon';
import { checkRequest, type ExposureRequest } from './request';
import { exposedEv, RIGHT_WITHIN_STOPS, type Settings } from './path';
import { solveExposure, type ExposurePlan } from './solve';

/** Light on the subject at one moment of the shoot. */
export interface CardLight {
  readonly timeMs: number;
  readonly ev: EvRange;
  readonly lampsRule?: boolean;
}

/** One dial turned, in clicks of that dial towards larger values (slower, smaller opening, higher). */
export interface Turn {
  readonly dial: ScaleKind | 'lift' | 'filter';
  readonly clicks: number;
}

/** Settings that hold from one minute to another. */
export interface CardRow extends Span {
  readonly settings: Settings;
  /** What is turned to get here; empty on the first row. */
  readonly turns: readonly Turn[];
  readonly stopsShort: number;
  readonly stopsDark: number;
  readonly noise: ExposurePlan['noise'];
  /** The light it is for, and what it did since the row before. */
  readonly light: { readonly ev: number; readonly since?: 'falls' | 'rises' };
}

export interface SettingsCard {
  readonly rows: readonly CardRow[];
  /** When lamps come to give more than the day. */
  readonly lampsTakeOverMs?: number;
  /** Spans in which the demands are not met at the highest usable ISO. */
  readonly short: readonly Span[];
  /** Spans in which no setting exposes the frame. */
  readonly tooDark: readonly Span[];
}

/** A frame this far off is worth a click: a third of a stop. */
const TURN_STOPS = 1 / 3;
/** A change that lasts less than this is not chased. */
const HOLD_MS = 180_000;

/** How far a frame at these settings misses the light: positive too bright. */
const missBy = (
  settings: Settings,
  expected: number,
  { lossStops = 0 }: ExposureRequest['lens'],
): number => expected - lossStops - exposedEv(settings);

function turnsBetween(from: Settings, to: Settings, fine: Dial = 'third'): readonly Turn[] {
  const dials: readonly (readonly [ScaleKind, number, number])[] = [
    ['shutter', from.shutterS, to.shutterS],
    ['aperture', from.aperture, to.aperture],
    ['iso', from.iso, to.iso],
  ];
  const turned: Turn[] = dials
    .map(([dial, a, b]) => ({
      dial,
      clicks: clicksBetween(
        nearestMark(dial, a, 'nearest', fine),
        nearestMark(dial, b, 'nearest', fine),
      ),
    }))
    .filter(({ clicks }) => clicks !== 0);
  const liftClicks = Math.round((to.liftStops - from.liftStops) * CLICKS_PER_STOP.third);
  const filterClicks = Math.round(
    ((to.filterStops ?? 0) - (from.filterStops ?? 0)) * CLICKS_PER_STOP.third,
  );
  return [
    ...turned,
    ...(liftClicks === 0 ? [] : [{ dial: 'lift' as const, clicks: liftClicks }]),
    ...(filterClicks === 0 ? [] : [{ dial: 'filter' as const, clicks: filterClicks }]),
  ];
}

function spansOf(series: readonly CardLight[], holds: readonly boolean[]): readonly Span[] {
  const spans: { fromMs: number; toMs: number }[] = [];
  series.forEach(({ timeMs }, i) => {
    if (!holds[i]) return;
    const last = spans.at(-1);
    if (i > 0 && holds[i - 1] && last) last.toMs = timeMs;
    else spans.push({ fromMs: timeMs, toMs: timeMs });
  });
  return spans;
}

/**
 * The settings card: one row each time the frame would be a third of a stop off and stays so for
 * three minutes. Between, the dials keep still: after a turn the frame is within a sixth, so the
 * light must come back by half a stop before a dial is asked to turn back.
 * @param series light through the shoot, in order of time
 * @throws RangeError for an empty series, times out of order, or as `solveExposure`
 */
export function settingsCard({
  series,
  request,
  holdMs = HOLD_MS,
}: {
  readonly series: readonly CardLight[];
  readonly request: Omit<ExposureRequest, 'ev'>;
  readonly holdMs?: number;
}): SettingsCard {
  nonEmpty('series', series);
  atLeast('holdMs', holdMs, 0);
  series.slice(1).forEach(({ timeMs }, i) => {
    above(`series[${i + 1}].timeMs`, timeMs, (series[i] as CardLight).timeMs);
  });
  series.forEach(({ ev }) => checkRequest({ ...request, ev }));
  const plans = series.map(({ ev }) => solveExposure({ ...request, ev }));
  const planAt = (i: number) => plans[i] as ExposurePlan;
  const lightAt = (i: number) => series[i] as CardLight;
  const lastMs = lightAt(series.length - 1).timeMs;

  /** Whether from here on the settings stay a third off until the change has lasted long enough. */
  const lasts = (from: number, settings: Settings): boolean => {
    for (let i = from; i < series.length; i += 1) {
      const { timeMs, ev } = lightAt(i);
      if (Math.abs(missBy(settings, ev.expected, request.lens)) < TURN_STOPS - 1e-9) return false;
      if (timeMs - lightAt(from).timeMs >= holdMs) return true;
    }
    return true;
  };

  const rows: CardRow[] = [];
  const begin = (i: number) => {
    const plan = planAt(i);
    const before = rows.at(-1);
    const { timeMs, ev } = lightAt(i);
    const startedAt = before && series.find((light) => light.timeMs === before.fromMs);
    rows.push({
      fromMs: timeMs,
      toMs: lastMs,
      settings: plan.settings,
      turns: before ? turnsBetween(before.settings, plan.settings, request.camera.dial) : [],
      stopsShort: plan.stopsShort,
      stopsDark: plan.stopsDark,
      noise: plan.noise,
      light: {
        ev: ev.expected,
        ...(startedAt && { since: ev.expected < startedAt.ev.expected ? 'falls' : 'rises' }),
      },
    });
    if (before) rows[rows.length - 2] = { ...before, toMs: timeMs };
  };
  begin(0);
  for (let i = 1; i < series.length; i += 1) {
    const { settings } = rows.at(-1) as CardRow;
    // When nothing can be done the settings stay the same, and no row is worth its line.
    if (
      turnsBetween(settings, planAt(i).settings, request.camera.dial).length > 0 &&
      lasts(i, settings)
    )
      begin(i);
  }
  const takesOver = lightAt(0).lampsRule ? undefined : series.find(({ lampsRule }) => lampsRule);
  return {
    rows,
    ...(takesOver && { lampsTakeOverMs: takesOver.timeMs }),
    short: spansOf(
      series,
      plans.map(({ stopsShort }) => stopsShort > 0),
    ),
    tooDark: spansOf(
      series,
      plans.map(({ stopsDark }) => stopsDark > RIGHT_WITHIN_STOPS),
    ),
  };
}
