import {
  FLECKS,
  bearingDeg,
  clicksOff,
  evNeededFor,
  LightModel,
  momentsWithin,
  point3,
  raised,
  shortSpans,
  sunShareOn,
  sunPosition,
  turned,
  type HeardReading,
  type LightSeries,
  type LitScene,
  type SiteFeature,
  type ShortSpan,
  type SunPosition,
} from '@/core';
import { exposureDemands } from './answer';
import { heardOf } from './heard';
import type { Trouble } from './told';
import { sceneOf, standing, viewOf, type Setup, type View } from './view';
import { fieldOfPlay } from '@/presets/grounds';

/** The light of a whole ground through the hours: lines of a chart, what turns, what ends when. */

/** One place's light, as it is asked of the worker. */
export interface LightLine {
  readonly id: string;
  readonly name: string;
  readonly chosen: boolean;
  readonly view: View;
  readonly scene: LitScene;
  readonly heard: readonly HeardReading[];
}

/** More lines than this can't be told apart. */
const MOST_LINES = 6;

const looking = (setup: Setup, choice: Partial<Setup['choice']>): Setup => ({
  ...setup,
  choice: { ...setup.choice, ...choice },
});

function lineOf(setup: Setup, id: string, name: string, chosen: boolean): readonly LightLine[] {
  const seen = viewOf(setup);
  if (!seen.ok) return [];
  const { view } = seen;
  const scene = sceneOf(view, setup.features);
  return [{ id, name, chosen, view, scene, heard: heardOf(setup) }];
}

const firstChosen = <T extends { readonly id: string }>(entries: readonly T[], id: string) =>
  [...entries].sort((a, b) => Number(b.id === id) - Number(a.id === id)).slice(0, MOST_LINES);

/** The light on every mark as seen from where one stands: the chosen one first. */
export const linesOfMarks = (setup: Setup): readonly LightLine[] =>
  firstChosen(setup.marks, setup.choice.markId).flatMap(({ id, name }) =>
    lineOf(looking(setup, { markId: id }), id, name, id === setup.choice.markId),
  );

/** The light on the chosen mark as seen from every position. */
export const linesOfPositions = (setup: Setup): readonly LightLine[] =>
  firstChosen(setup.positions, setup.choice.positionId).flatMap(({ id, name }) =>
    lineOf(looking(setup, { positionId: id }), id, name, id === setup.choice.positionId),
  );

export interface Turning {
  readonly timeMs: number;
  readonly what: 'shade' | 'sun' | 'daylightRules' | 'lampsRule';
}

/** When sun and shade come to the face, and when lamps come to give most of the light. */
export function turningsOf({ timeMs, sunlit, lampsRule }: LightSeries): readonly Turning[] {
  const found: Turning[] = [];
  timeMs.slice(1).forEach((at, i) => {
    if (sunlit[i + 1] !== sunlit[i]) {
      found.push({ timeMs: at, what: sunlit[i] ? 'shade' : 'sun' });
    }
    if (lampsRule[i + 1] !== lampsRule[i]) {
      found.push({ timeMs: at, what: lampsRule[i] ? 'daylightRules' : 'lampsRule' });
    }
  });
  return found;
}

/** A moment, and the stops that are missing then. */
export interface Lack {
  readonly timeMs: number;
  readonly stops: number;
}

/** The last point asked about on each ground: while one moves about, the mark stays where it is. */
const shaded = new WeakMap<
  readonly SiteFeature[],
  LitScene['target'] & { readonly sun: SunPosition; readonly name: string | undefined }
>();

/** What takes most of the sun from a mark at a minute, by its name; nothing where nothing does, or a cloud. */
export function shadedBy(
  { target, place }: Pick<LitScene, 'target' | 'place'>,
  features: readonly SiteFeature[],
  timeMs: number,
): string | undefined {
  const sun = sunPosition({ time: timeMs, ...place });
  if (sun.altitudeDeg <= 0) return undefined;
  const { x, y, z } = target;
  const known = shaded.get(features);
  // No two moments or places have exactly the same sun.
  const isSameSun =
    known?.sun.azimuthDeg === sun.azimuthDeg && known.sun.altitudeDeg === sun.altitudeDeg;
  if (known && isSameSun && known.x === x && known.y === y && known.z === z) return known.name;
  const owners = raised(features).map((feature) => ({
    name: feature.name,
    leaves: sunShareOn({ target, ...standing([feature]) }, sun, timeMs),
  }));
  const [most] = owners
    .filter(({ leaves }) => leaves < FLECKS.to)
    .sort((a, b) => a.leaves - b.leaves);
  shaded.set(features, { x, y, z, sun, name: most?.name });
  return most?.name;
}

/** How the light serves a picture through the shoot's hours. */
export type LightThrough =
  /** Enough at every minute, and how much more than the least. */
  | { readonly kind: 'holds'; readonly spareStops: number }
  /** Never enough; the minute at which least is missing. */
  | { readonly kind: 'never'; readonly best: Lack }
  /** Short for a while, or from some time on. */
  | {
      readonly kind: 'short';
      readonly spans: readonly ShortSpan[];
      readonly startMs: number;
      readonly worst: Lack;
    }
  /** Exposed for the sky behind: it lasts as long as that does. */
  | { readonly kind: 'sky' }
  | { readonly kind: 'noView'; readonly trouble: Trouble };

/** The minute at which most is missing, to look at what would save it; none where it holds. */
export function worstOf(light: LightThrough): number | undefined {
  if (light.kind === 'never') return light.best.timeMs;
  return light.kind === 'short' ? light.worst.timeMs : undefined;
}

/** From when to when a view has light enough. Only what holds at every minute is said to hold. */
export function lightThrough(
  view: View,
  choice: Setup['choice'],
  moments: ReturnType<typeof momentsWithin>,
): LightThrough {
  const needed = evNeededFor(exposureDemands(view, choice));
  const spans = shortSpans(moments, needed);
  const [first, last] = [spans[0], spans.at(-1)];
  if (!first || !last) {
    return { kind: 'holds', spareStops: Math.min(...moments.map(({ ev }) => ev - needed)) };
  }
  const startMs = moments[0]?.timeMs ?? 0;
  if (first.fromMs === startMs && first.toTheEnd) {
    const best = moments.reduce((a, b) => (b.ev > a.ev ? b : a));
    return { kind: 'never', best: { timeMs: best.timeMs, stops: needed - best.ev } };
  }
  const { worst } = spans.reduce((a, b) => (b.worst.stops > a.worst.stops ? b : a));
  return { kind: 'short', spans, startMs, worst };
}

/** A place's light against the settings: third-stop clicks, positive where it is brighter. */
export interface ZoneClicks {
  readonly id: string;
  readonly name: string;
  readonly x: number;
  readonly y: number;
  readonly ev: number;
  /** How sure that is, in stops. */
  readonly sigmaStops: number;
  /** How sure its difference from the first place is. */
  readonly apartStops: number;
  readonly clicks: number;
}

/** A reading nearer to a mark than this is that mark's. */
const SAME_PLACE_M = 2;

/**
 * The ground in clicks from a base setting at a moment: every mark, and every point that was measured
 * apart from them, as the computed light corrected by all readings says.
 */
export function groundClicks(
  {
    marks,
    readings,
    ...setup
  }: Pick<Setup, 'marks' | 'readings' | 'features' | 'place' | 'light' | 'ground'>,
  view: View,
  atMs: number,
  baseEv: number,
): readonly ZoneClicks[] {
  const heard = heardOf({ readings, ...setup });
  const scene = sceneOf(view, setup.features);
  const onMark = (x: number, y: number) =>
    marks.some((mark) => Math.hypot(mark.x - x, mark.y - y) < SAME_PLACE_M);
  const upM = scene.target.z;
  const places = [
    ...marks.map(({ id, name, x, y }) => ({
      id,
      name,
      scene: {
        ...scene,
        target: point3(x, y, upM),
        faceAzimuthDeg: bearingDeg({ x, y }, view.position),
      },
    })),
    ...readings.flatMap(({ id, name, x, y }, i) => {
      const there = heard[i]?.scene;
      return there && !onMark(x, y) ? [{ id, name, scene: there }] : [];
    }),
  ];
  const heardIds = heard.map((_, i) => `heard ${i}`);
  const model = new LightModel({
    zones: [
      ...places,
      ...heard.map((reading, i) => ({ id: heardIds[i] ?? '', scene: reading.scene })),
    ],
    readings: heard.map((reading, i) => ({ ...reading, zone: heardIds[i] ?? '' })),
  });
  const first = places[0]?.id;
  return places.map(({ id, name, scene: { target } }) => {
    const { ev, sigmaStops } = model.at(id, atMs);
    return {
      id,
      name,
      x: target.x,
      y: target.y,
      ev: ev.expected,
      sigmaStops,
      apartStops: first && first !== id ? model.apartStops(first, id, atMs) : 0,
      clicks: clicksOff(ev.expected, baseEv),
    };
  });
}

/** A walk over the ground takes this many points along and across. */
const WALK = { along: 3, across: 3 } as const;
/** Where no field is drawn, the walk goes round the marks with this much to spare. */
const SPARE_M = 10;

export interface WalkPoint {
  readonly name: string;
  readonly x: number;
  readonly y: number;
}

/** Points to measure before the game: a grid over the field, or round the marks, to and fro. */
export function gridWalk({ ground, marks }: Pick<Setup, 'ground' | 'marks'>): readonly WalkPoint[] {
  const field = fieldOfPlay(ground.template, ground.bearingDeg);
  const spare = field ? 0 : SPARE_M;
  const upright = (field ?? marks).map((point) => turned(point, -ground.bearingDeg));
  const span = (values: readonly number[]) => {
    const from = Math.min(...values) - spare;
    return { from, wide: Math.max(...values) + spare - from };
  };
  const [across, along] = [span(upright.map(({ x }) => x)), span(upright.map(({ y }) => y))];
  return Array.from({ length: WALK.along }, (_, row) =>
    Array.from({ length: WALK.across }, (__, i) => {
      const column = row % 2 ? WALK.across - 1 - i : i;
      const { x, y } = turned(
        {
          x: across.from + ((column + 0.5) / WALK.across) * across.wide,
          y: along.from + ((row + 0.5) / WALK.along) * along.wide,
        },
        ground.bearingDeg,
      );
      return { name: `Walk ${row * WALK.across + i + 1}`, x, y };
    }),
  ).flat();
}
