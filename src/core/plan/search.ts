import { above, finite, nonEmpty, within } from '../check';
import { refusals } from '../site/limits';
import {
  emptyCell,
  emptyLens,
  prepareLens,
  prepareMark,
  tooClose,
  totalOf,
  viewCell,
  viewLens,
  type PreparedLens,
  type PreparedMark,
} from './kernel';
import { bestMoment, emptyTimes, viewTimes, type BestMoment } from './moments';
import type { ScoredKit, ScoredMark, ScoredShot, ScoredSite } from './types';

/** A rectangle of ground in metres and the grid laid over it. */
export interface SearchArea {
  readonly minX: number;
  readonly minY: number;
  readonly maxX: number;
  readonly maxY: number;
  readonly stepM: number;
}

export interface SearchRequest {
  readonly area: SearchArea;
  readonly cameraHeightM: number;
  readonly shots: readonly {
    readonly mark: ScoredMark;
    readonly shot: ScoredShot;
    /** How much this shot counts in the cell's own score; 1 unless given. */
    readonly priority?: number;
  }[];
  readonly timesMs: readonly number[];
  /** One entry a lens to try, each on its body. */
  readonly kits: readonly ScoredKit[];
  readonly site: ScoredSite;
}

/**
 * Scores by cell, row by row from the south-west. Per shot (index cell × shots + shot): the best
 * over all times and lenses, and at which. Cells not reached yet, or forbidden, hold 0 and −1.
 */
export interface SearchResult {
  readonly columns: number;
  readonly rows: number;
  readonly area: SearchArea;
  readonly done: number;
  /** Mean of the shots' best, by priority. */
  readonly score: Float64Array;
  readonly shotScore: Float64Array;
  readonly bestTime: Int16Array;
  readonly bestLens: Int8Array;
}

const MOST_CELLS = 250_000;
const MOST_TIMES = 1000;
const MOST_LENSES = 100;

/** Middle of a cell. */
export function cellAt(
  { area, columns }: Pick<SearchResult, 'area' | 'columns'>,
  cell: number,
): { readonly x: number; readonly y: number } {
  return {
    x: area.minX + ((cell % columns) + 0.5) * area.stepM,
    y: area.minY + (Math.floor(cell / columns) + 0.5) * area.stepM,
  };
}

/** A search that can be taken further a piece at a time, so that a worker hears cancels between. */
export interface Search {
  readonly cells: number;
  /** Takes up to `count` cells more. @returns cells done */
  readonly advance: (count: number) => number;
  /** What is known so far. */
  readonly result: () => SearchResult;
}

function checkArea({ minX, minY, maxX, maxY, stepM }: SearchArea) {
  finite('area.minX', minX);
  finite('area.minY', minY);
  above('area.maxX', maxX, minX);
  above('area.maxY', maxY, minY);
  above('area.stepM', stepM, 0);
  const columns = Math.max(1, Math.round((maxX - minX) / stepM));
  const rows = Math.max(1, Math.round((maxY - minY) / stepM));
  within('cells of area', columns * rows, 1, MOST_CELLS);
  return { columns, rows };
}

/**
 * Lays a grid over an area and scores every cell for every shot, time and lens.
 * @throws RangeError for an area, time, kit or shot that makes no sense, or more than 250 000 cells
 */
export function createSearch(request: SearchRequest): Search {
  const { area, cameraHeightM, shots, timesMs, kits, site } = request;
  const { columns, rows } = checkArea(area);
  above('cameraHeightM', cameraHeightM, 0);
  within('number of times', nonEmpty('timesMs', timesMs).length, 1, MOST_TIMES);
  within('number of kits', nonEmpty('kits', kits).length, 1, MOST_LENSES);
  nonEmpty('shots', shots);
  const cells = columns * rows;
  const marks = shots.map(({ mark, shot }) => prepareMark(mark, shot, site, timesMs));
  const priorities = shots.map(({ priority = 1 }, i) => above(`shots[${i}].priority`, priority, 0));
  const prioritySum = priorities.reduce((a, b) => a + b, 0);
  const lenses = kits.map(prepareLens);
  const result: SearchResult = {
    columns,
    rows,
    area,
    done: 0,
    score: new Float64Array(cells),
    shotScore: new Float64Array(cells * shots.length),
    bestTime: new Int16Array(cells * shots.length).fill(-1),
    bestLens: new Int8Array(cells * shots.length).fill(-1),
  };
  const scoreShot = shotScorer(lenses, timesMs.length);
  let done = 0;

  const scoreCell = (index: number): void => {
    const at = cellAt(result, index);
    if (refusals(at, site.limits).length > 0) return;
    let sum = 0;
    marks.forEach((prepared, s) => {
      const best = scoreShot(prepared, at.x, at.y, cameraHeightM);
      const slot = index * marks.length + s;
      result.shotScore[slot] = best.total;
      result.bestTime[slot] = best.time;
      result.bestLens[slot] = best.lens;
      sum += best.total * (priorities[s] as number);
    });
    result.score[index] = sum / prioritySum;
  };

  return {
    cells,
    advance: (count) => {
      const until = Math.min(cells, done + count);
      for (; done < until; done += 1) scoreCell(done);
      return done;
    },
    result: () => ({ ...result, done }),
  };
}

/** Best of one shot at a point over all times and lenses. Its answer is reused: read it at once. */
function shotScorer(lenses: readonly PreparedLens[], timeCount: number) {
  const cell = emptyCell();
  const view = emptyLens();
  const times = emptyTimes(timeCount);
  const moment: BestMoment = { time: -1, log: -Infinity };
  const best = { total: 0, time: -1, lens: -1 };
  return (prepared: PreparedMark, x: number, y: number, cameraHeightM: number) => {
    best.total = 0;
    best.time = -1;
    best.lens = -1;
    viewCell(prepared, x, y, cameraHeightM, cell);
    if (tooClose(cell, prepared.site)) return best;
    viewTimes(prepared, cell, times);
    let bestLog = -Infinity;
    for (let l = 0; l < lenses.length; l += 1) {
      viewLens(prepared, lenses[l] as PreparedLens, cell, view);
      bestMoment(prepared, view, times, moment);
      if (moment.log > bestLog) {
        bestLog = moment.log;
        best.time = moment.time;
        best.lens = l;
      }
    }
    best.total = totalOf(prepared, bestLog);
    return best;
  };
}

/**
 * The whole search at once: a grid over the area × times × shots × lenses. In the app it runs in a
 * worker, a piece at a time (`createSearch`).
 * @throws RangeError as {@link createSearch}
 */
export function searchPositions(request: SearchRequest): SearchResult {
  const search = createSearch(request);
  search.advance(search.cells);
  return search.result();
}
