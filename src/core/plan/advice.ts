import { insidePolygon } from '../site/frame';
import { alongBearing, type Point2 } from '../site/vector';
import { nonEmpty } from '../check';
import { scorePosition, type PositionScore } from './score';
import type { ScoredKit, ScoredMark, ScoredPosition, ScoredShot, ScoredSite } from './types';

/** What can be changed about standing somewhere. */
export type AdviceLever = 'move' | 'time' | 'kit' | 'height' | 'cut' | 'perch';

/** One change that makes a position better, and what it then scores. */
export interface Advice {
  readonly lever: AdviceLever;
  readonly position: ScoredPosition;
  readonly timeMs: number;
  /** Which of the kits offered. */
  readonly kit: number;
  /** The branch that is cut. */
  readonly cutId?: string;
  /** How far the perch is moved, east and north, and where its mark then is. */
  readonly shift?: Point2;
  readonly markAt?: Point2;
  /** Score after the change, by the very arithmetic of `scorePosition`. */
  readonly total: number;
  readonly gain: number;
}

export interface ComparedPosition extends ScoredPosition {
  readonly id: string;
}

export interface CompareRequest {
  readonly positions: readonly ComparedPosition[];
  readonly mark: ScoredMark;
  readonly shot: ScoredShot;
  readonly site: ScoredSite;
  /** The minute compared at. */
  readonly timeMs: number;
  /** Minutes through the shoot, in order. */
  readonly timesMs: readonly number[];
  /** What is carried: the first is fitted, the rest could be. */
  readonly kits: readonly ScoredKit[];
  /** Whether the mark sits on a perch that can be moved. */
  readonly perchMoves?: boolean;
}

export interface Compared {
  readonly id: string;
  readonly score: PositionScore;
  /** Score at each of the minutes through the shoot. */
  readonly totals: readonly number[];
  /** At most one change for each lever, the one that helps most first. */
  readonly advice: readonly Advice[];
}

/** Steps tried about a position, and heights one can hold a camera at. Common practice, no source. */
const STEPS_M = [2, 4, 6, 10, 15];
/** Steps of who sits in a hide: within its walls. Common practice, no source. */
const SEAT_STEPS_M = [0.2, 0.4, 0.8, 1.2];
/** Steps of a perch out of what shades or hides it. Common practice, no source. */
const PERCH_STEPS_M = [0.1, 0.2, 0.4, 0.6];
const BEARINGS_DEG = [0, 45, 90, 135, 180, 225, 270, 315];
const HEIGHTS_M = [0.3, 0.8, 1.2, 1.6, 2.4];
/** Less than this is not worth doing. */
const LEAST_GAIN = 0.02;

type Trial = Omit<Advice, 'total' | 'gain'>;

const around = (stepsM: readonly number[]): readonly Point2[] =>
  stepsM.flatMap((step) =>
    BEARINGS_DEG.map((bearing) => {
      const { x, y } = alongBearing(bearing);
      return { x: x * step, y: y * step };
    }),
  );

/** Whether something keeps sun or sight from the mark: only then a perch is worth moving. */
const isHindered = ({ parts }: PositionScore): boolean =>
  parts.some(({ why }) => ['branches', 'inTheWay', 'noSun'].includes(why.kind));

/** Every change worth trying, one lever at a time. */
function trials(
  position: ScoredPosition,
  score: PositionScore,
  { mark, timeMs, timesMs, kits, site, perchMoves = false }: CompareRequest,
): Trial[] {
  const now = { position, timeMs, kit: 0 };
  const seat = site.obstacles.find(
    ({ openings, footprint }) => openings && insidePolygon(position, footprint),
  );
  const moves = around(seat ? SEAT_STEPS_M : STEPS_M).flatMap((step): readonly Trial[] => {
    const to = { x: position.x + step.x, y: position.y + step.y };
    if (seat && !insidePolygon(to, seat.footprint)) return [];
    return [{ ...now, lever: 'move', position: { ...position, ...to } }];
  });
  const branches = [...new Set((site.boughs ?? []).map(({ id }) => id))];
  const perchSteps = perchMoves && isHindered(score) ? around(PERCH_STEPS_M) : [];
  return [
    ...moves,
    ...branches.map((cutId): Trial => ({ ...now, lever: 'cut', cutId })),
    ...perchSteps.map((shift): Trial => {
      const markAt = { x: mark.x + shift.x, y: mark.y + shift.y };
      return { ...now, lever: 'perch', shift, markAt };
    }),
    ...timesMs
      .filter((time) => time !== timeMs)
      .map((time): Trial => ({ ...now, lever: 'time', timeMs: time })),
    ...kits.slice(1).map((_, i): Trial => ({ ...now, lever: 'kit', kit: i + 1 })),
    ...HEIGHTS_M.filter((m) => m !== position.cameraHeightM).map((cameraHeightM): Trial => ({
      ...now,
      lever: 'height',
      position: { ...position, cameraHeightM },
    })),
  ];
}

/** What a position scores with its first kit, or another, at a minute. */
function totalOf(request: CompareRequest, trial: Omit<Trial, 'lever'>): number {
  const { position, timeMs, kit, cutId, markAt } = trial;
  const { mark, shot, site, kits } = request;
  const there =
    cutId === undefined
      ? site
      : { ...site, boughs: (site.boughs ?? []).filter(({ id }) => id !== cutId) };
  return scorePosition(
    position,
    { ...mark, ...markAt },
    shot,
    timeMs,
    there,
    kits[kit] as ScoredKit,
  ).total;
}

/** For each lever the change that helps most; of equal ones the first, which is the least. */
function adviceFor(
  position: ScoredPosition,
  score: PositionScore,
  request: CompareRequest,
): Advice[] {
  const best = new Map<AdviceLever, Advice>();
  for (const trial of trials(position, score, request)) {
    const tried = totalOf(request, trial);
    const gain = tried - score.total;
    const known = best.get(trial.lever);
    if (gain < LEAST_GAIN || (known && known.gain >= gain)) continue;
    best.set(trial.lever, { ...trial, total: tried, gain });
  }
  return [...best.values()].sort((a, b) => b.gain - a.gain);
}

/**
 * One position against the others for a shot: its score with reasons, its score through the shoot,
 * and what would make it better. Whoever does as advised scores as promised.
 * @throws RangeError for no kit, or as `scorePosition`
 */
export function comparePosition(position: ComparedPosition, request: CompareRequest): Compared {
  const { mark, shot, site, timeMs, timesMs, kits } = request;
  const [fitted] = nonEmpty('kits', kits) as readonly [ScoredKit];
  const { id, ...place } = position;
  const score = scorePosition(place, mark, shot, timeMs, site, fitted);
  return {
    id,
    score,
    totals: timesMs.map((time) => totalOf(request, { position: place, timeMs: time, kit: 0 })),
    advice: adviceFor(place, score, request),
  };
}
