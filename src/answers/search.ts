import {
  cellAt,
  withConverter,
  scorePosition,
  type FaceWanted,
  type Lens,
  type LightWanted,
  type Point2,
  type PositionRefusal,
  type PositionScore,
  type ScoredShot,
  type SearchRequest,
  type SearchResult,
} from '@/core';
import { planExtent, planGround } from './extent';
import { scoredKit, scoredMark, scoredShot, scoredSite } from './scored';
import { chosenShot, type Setup, type View } from './view';
import { WANTED_FILL } from './wanted';
import { CONVERTERS } from '@/presets/lenses';
import { lensesFor, lensOf } from '@/records/kit';
import type { ShootHours } from '@/records/times';

/** What the picture should be: the rest of the wish is the shoot's own. */
export interface Wish {
  readonly face: FaceWanted;
  readonly light: LightWanted;
}
export const FIRST_WISH: Wish = { face: 'front', light: 'front' };

/** Ground searched beyond what the plan shows, and how many cells it may have. */
const MARGIN_M = 12;
const QUARTER_MS = 15 * 60_000;
const MOST_CELLS = 6000;
const FINEST_STEP_M = 0.5;

/** What is wanted at a mark: the shot that is worked on there, else the subject frozen and filling. */
export function shotAt(setup: Setup, markId: string, { face, light }: Wish): ScoredShot {
  const { panSigma } = setup.choice;
  const shot = chosenShot(setup);
  return shot?.markId === markId
    ? { ...scoredShot(shot, panSigma), face, light }
    : { fill: WANTED_FILL, face, light, backdrop: 'washed', panSigma };
}

/** What is searched for: which marks, at which hours, with which lenses. */
export interface Scope {
  readonly marks: 'chosen' | 'all';
  readonly hours: 'now' | 'shoot';
  readonly lenses: 'fitted' | 'converters' | 'all';
}
export const FIRST_SCOPE: Scope = { marks: 'chosen', hours: 'now', lenses: 'fitted' };

/** A search as asked, with the names of what it was asked for. */
export interface AskedSearch extends SearchRequest {
  readonly markNames: readonly string[];
  readonly kitNames: readonly string[];
}

interface NamedLens {
  readonly name: string;
  readonly lens: Lens;
}

/** Lenses to try: the one fitted, it with each converter, or any there is. */
function lensesOf(view: View, kit: Setup['kit'], lenses: Scope['lenses']): NamedLens[] {
  const fitted = { name: view.lensName, lens: view.lens };
  if (lenses === 'fitted') return [fitted];
  if (lenses === 'all') return lensesFor(kit).map((lens) => ({ name: lens.name, lens }));
  const preset = lensOf(kit);
  return CONVERTERS.filter((factor) => factor === 1 || preset.takesConverter).map((factor) => ({
    name: factor === 1 ? preset.name : `${preset.name} with ${factor}x`,
    lens: withConverter(preset, factor),
  }));
}

/** The hours searched are looked at this often at most. */
const MOST_TIMES = 24;

function timesOf({ startMs, endMs }: Pick<ShootHours, 'startMs' | 'endMs'>): readonly number[] {
  const step = Math.max(QUARTER_MS, (endMs - startMs) / (MOST_TIMES - 1));
  const count = Math.floor((endMs - startMs) / step) + 1;
  return Array.from({ length: count }, (_, i) => startMs + i * step);
}

/**
 * A search over the ground shown: for the chosen mark with the chosen kit at one minute, or for
 * more of each.
 */
export function searchRequestOf(
  setup: Setup,
  view: View,
  wish: Wish,
  atMs: number,
  wider?: { readonly scope: Scope; readonly hours: Pick<ShootHours, 'startMs' | 'endMs'> },
): AskedSearch {
  const { scope, hours } = wider ?? { scope: FIRST_SCOPE, hours: undefined };
  const marks = scope.marks === 'all' ? setup.marks : [view.mark];
  const lenses = lensesOf(view, setup.kit, scope.lenses);
  const { choice, kit } = setup;
  const extent = planExtent(planGround(setup), setup);
  const xs = extent.map(({ x }) => x);
  const ys = extent.map(({ y }) => y);
  const area = {
    minX: Math.min(...xs) - MARGIN_M,
    maxX: Math.max(...xs) + MARGIN_M,
    minY: Math.min(...ys) - MARGIN_M,
    maxY: Math.max(...ys) + MARGIN_M,
  };
  const square = (area.maxX - area.minX) * (area.maxY - area.minY);
  return {
    area: { ...area, stepM: Math.max(FINEST_STEP_M, Math.sqrt(square / MOST_CELLS)) },
    cameraHeightM: view.position.cameraHeightM,
    shots: marks.map((mark) => ({
      mark: scoredMark(setup, mark),
      shot: shotAt(setup, mark.id, wish),
    })),
    markNames: marks.map(({ name }) => name),
    timesMs: hours && scope.hours === 'shoot' ? timesOf(hours) : [atMs],
    kits: lenses.map(({ lens }) =>
      scoredKit(view.body, lens, { orientation: choice.orientation, support: kit.support }),
    ),
    kitNames: lenses.map(({ name }) => name),
    site: scoredSite(setup),
  };
}

/** Whether two searches ask the same, wherever they look, and whenever if it is one minute. */
export function sameQuestion(a: SearchRequest, b: SearchRequest): boolean {
  const question = ({ shots, kits, site, cameraHeightM, timesMs }: SearchRequest) =>
    JSON.stringify([shots, kits, site, cameraHeightM, timesMs.length > 1 && timesMs]);
  return question(a) === question(b);
}

/** What a place gives for one of the marks: at its best hour, with its best lens. */
export interface ShotThere {
  readonly markName: string;
  readonly kitName: string;
  readonly timeMs: number;
  readonly score: PositionScore;
}

/** A place of a search, with the reasons of its score. */
export interface Place extends Point2 {
  /** Mean over the marks. */
  readonly total: number;
  /** Why one may not stand there; empty where one may. */
  readonly refusals: readonly PositionRefusal[];
  readonly shots: readonly ShotThere[];
}

const PLACES = 3;
/** Places nearer to each other than this share of the ground's width are one place. */
const APART_SHARE = 0.12;

/** The cell that a point lies in, or the nearest. */
function cellOf({ area, columns, rows }: SearchResult, { x, y }: Point2): number {
  const within = (value: number, most: number) =>
    Math.min(most - 1, Math.max(0, Math.floor(value / area.stepM)));
  return within(y - area.minY, rows) * columns + within(x - area.minX, columns);
}

/** Each reason once, however many marks give it. */
const different = (refusals: readonly PositionRefusal[]): readonly PositionRefusal[] =>
  refusals.filter(
    (one, i) => i === refusals.findIndex((other) => JSON.stringify(other) === JSON.stringify(one)),
  );

/**
 * The score of one point, by the very arithmetic of the search: each mark at the hour and with the
 * lens that the search found best about there.
 */
export function placeAt(result: SearchResult, request: AskedSearch, at: Point2): Place {
  const { shots, timesMs, kits, site, cameraHeightM } = request;
  const cell = cellOf(result, at);
  const there = shots.map(({ mark, shot }, i): ShotThere => {
    const slot = cell * shots.length + i;
    const time = timesMs[Math.max(0, result.bestTime[slot] ?? 0)];
    const lens = Math.max(0, result.bestLens[slot] ?? 0);
    const kit = kits[lens];
    if (time === undefined || !kit) throw new RangeError('request: must ask for a time and a kit');
    return {
      markName: request.markNames[i] ?? '',
      kitName: request.kitNames[lens] ?? '',
      timeMs: time,
      score: scorePosition({ ...at, cameraHeightM }, mark, shot, time, site, kit),
    };
  });
  const totals = there.map(({ score }) => score.total);
  return {
    ...at,
    total: totals.reduce((a, b) => a + b, 0) / totals.length,
    // One may not stand there for all, or is only too near to one of them.
    refusals: there.every(({ score }) => score.refusals.length > 0)
      ? different(there.flatMap(({ score }) => score.refusals))
      : [],
    shots: there,
  };
}

/** The best places of a search, each far enough from the better ones to be worth walking to. */
export function bestPlaces(result: SearchResult, request: AskedSearch): readonly Place[] {
  const { minX, maxX, minY, maxY } = result.area;
  const apartM = APART_SHARE * Math.max(maxX - minX, maxY - minY);
  const order = Array.from(result.score.keys())
    .filter((cell) => (result.score[cell] as number) > 0)
    .sort((a, b) => (result.score[b] as number) - (result.score[a] as number));
  const places: Point2[] = [];
  for (const cell of order) {
    const at = cellAt(result, cell);
    if (places.every(({ x, y }) => Math.hypot(x - at.x, y - at.y) >= apartM)) places.push(at);
    if (places.length === PLACES) break;
  }
  return places.map((at) => placeAt(result, request, at));
}

/** Its two weakest parts: what one gives up there. */
export const weakest = ({ parts }: PositionScore) =>
  [...parts].sort((a, b) => a.desirability - b.desirability).slice(0, 2);
