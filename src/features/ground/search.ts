import {
  cellAt,
  limitsOf,
  scorePosition,
  type FaceWanted,
  type LightWanted,
  type Point2,
  type PositionScore,
  type ScoredKit,
  type ScoredMark,
  type ScoredShot,
  type ScoredSite,
  type SearchRequest,
  type SearchResult,
} from '@/core';
import { planExtent, planGround } from '@/features/plan/drawing';
import { sceneOf, type Setup, type View } from '@/features/plan/view';
import { fieldOfPlay } from '@/presets/grounds';

/** What the picture should be: the rest of the wish is the shoot's own. */
export interface Wish {
  readonly face: FaceWanted;
  readonly light: LightWanted;
}
export const FIRST_WISH: Wish = { face: 'front', light: 'front' };

/** Share of the frame's height that the subject should take. */
export const WANTED_FILL = 0.6;
/** Ground searched beyond what the plan shows, and how many cells it may have. */
const MARGIN_M = 12;
const MOST_CELLS = 6000;
const FINEST_STEP_M = 0.5;
/** Nearer to a moving subject than this nobody is sent. */
const KEEP_AWAY_M = 3;

const shotOf = ({ face, light }: Wish): ScoredShot => ({
  fill: WANTED_FILL,
  face,
  light,
  backdrop: 'washed',
});

function kitOf(
  view: View,
  orientation: Setup['choice']['orientation'],
  support: ScoredKit['support'],
): ScoredKit {
  const { sensor, iso, fastestShutterS, stabilisationStops } = view.body;
  return {
    sensor,
    iso,
    fastestShutterS,
    stabilisationStops,
    lens: view.lens,
    orientation,
    support,
  };
}

function siteOf(setup: Setup, view: View): ScoredSite {
  const { ground, features } = setup;
  const play = fieldOfPlay(ground.template, ground.bearingDeg);
  const { place, sky, indoors = false, obstacles } = sceneOf(view, features);
  const { groundReflectance, lampLux, lampsFromMs } = view.scene;
  return {
    place,
    sky,
    indoors,
    groundReflectance,
    obstacles,
    lampLux,
    ...(lampsFromMs !== undefined && { lampsFromMs }),
    keepAwayM: KEEP_AWAY_M,
    limits: [
      ...(play ? [{ name: 'the field of play', keep: 'out' as const, area: play }] : []),
      ...limitsOf(features),
    ],
  };
}

const markOf = ({ mark, subject }: View): ScoredMark => ({
  x: mark.x,
  y: mark.y,
  ...(mark.feetM !== undefined && { feetM: mark.feetM }),
  headingDeg: mark.headingDeg,
  facingDeg: mark.facingDeg,
  ...(subject.climbDeg !== undefined && { climbDeg: subject.climbDeg }),
  subject,
});

/** The search for the chosen mark with the chosen kit at one minute, over the ground shown. */
export function searchRequestOf(setup: Setup, view: View, wish: Wish, atMs: number): SearchRequest {
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
    shots: [{ mark: markOf(view), shot: shotOf(wish) }],
    timesMs: [atMs],
    kits: [kitOf(view, setup.choice.orientation, setup.kit.support)],
    site: siteOf(setup, view),
  };
}

/** Whether two searches ask the same, wherever and whenever they look. */
export function sameQuestion(a: SearchRequest, b: SearchRequest): boolean {
  const question = ({ shots, kits, site, cameraHeightM }: SearchRequest) =>
    JSON.stringify([shots, kits, site, cameraHeightM]);
  return question(a) === question(b);
}

/** One of the best places, with the reasons of its score. */
export interface Place extends Point2 {
  readonly score: PositionScore;
}

const PLACES = 3;
/** Places nearer to each other than this share of the ground's width are one place. */
const APART_SHARE = 0.12;

/** The score of one point, by the very arithmetic of the search. */
export function scoreAt({ shots, timesMs, site, kits, cameraHeightM }: SearchRequest, at: Point2) {
  const [shot] = shots;
  const [time] = timesMs;
  const [kit] = kits;
  if (!shot || time === undefined || !kit) throw new RangeError('request: must not be empty');
  return scorePosition({ ...at, cameraHeightM }, shot.mark, shot.shot, time, site, kit);
}

/** The best places of a search, each far enough from the better ones to be worth walking to. */
export function bestPlaces(result: SearchResult, request: SearchRequest): readonly Place[] {
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
  return places.map((at) => ({ ...at, score: scoreAt(request, at) }));
}

/** Its two weakest parts: what one gives up there. */
export const weakest = ({ parts }: PositionScore) =>
  [...parts].sort((a, b) => a.desirability - b.desirability).slice(0, 2);
