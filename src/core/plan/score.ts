import { above } from '../check';
import { onFasterMark } from '../exposure/request';
import { ev as evOf } from '../quantity/ev';
import { formatShutter, nearestMark } from '../quantity/scales';
import { refusals } from '../site/limits';
import { exposureDesirability } from './desirability';
import {
  emptyCell,
  emptyLens,
  prepareLens,
  prepareMark,
  tooClose,
  totalOf,
  viewCell,
  viewLens,
  type CellView,
  type LensView,
  type Moment,
} from './kernel';
import { bestMoment, emptyTimes, lightPart, viewTimes, type BestMoment } from './moments';
import type {
  ScoredKit,
  ScoredMark,
  ScoredPosition,
  ScoredShot,
  ScoredSite,
  ScorePart,
} from './types';

export interface PartScore {
  readonly name: ScorePart;
  /** 0 (useless) to 1 (all one could wish). */
  readonly desirability: number;
  /** The number it stands on, in words. */
  readonly why: string;
}

export interface PositionScore {
  /** 0 to 1: the weighted geometric mean of the parts; 0 where one may not stand. */
  readonly total: number;
  readonly parts: readonly PartScore[];
  /** Why one may not or can not stand there; empty when allowed. */
  readonly refusals: readonly string[];
  /** What the score was reached with. */
  readonly focalMm: number;
  readonly shutterS: number;
  readonly aperture: number;
  readonly ev: number;
  readonly evNeeded: number;
  readonly fill: number;
}

const percent = (share: number): string => `${Math.round(share * 100)} %`;

/** Light that the must needs, its time on the dial as the answer sets it; 0 where there is no picture. */
const evNeededOnDial = ({ shutterS, widest }: LensView, { iso }: ScoredKit): number =>
  widest === 0
    ? 0
    : evOf({
        shutterS: onFasterMark(shutterS),
        aperture: nearestMark('aperture', widest).value,
        iso: iso.usable,
      });

function reasons(
  cell: CellView,
  lens: LensView,
  time: { readonly ev: number; readonly phaseDeg: number },
  moment: Moment,
  light: number,
  shot: ScoredShot,
  kit: ScoredKit,
): readonly PartScore[] {
  const spare = time.ev - evNeededOnDial(lens, kit);
  const near = cell.distanceM < kit.lens.nearestFocusM;
  const part = (name: ScorePart, desirability: number, why: string): PartScore => ({
    name,
    desirability,
    why,
  });
  const { backdropM } = cell.sight;
  return [
    part(
      'reach',
      lens.reach,
      near
        ? `${cell.distanceM.toFixed(1)} m is nearer than the lens focuses, ${kit.lens.nearestFocusM} m`
        : `fills ${percent(lens.fill)} at ${Math.round(lens.focalMm)} mm, wanted ${percent(shot.fill)}`,
    ),
    part('face', lens.face, `the face is ${Math.round(cell.faceOffDeg)}° off the camera`),
    part(
      'backdrop',
      near ? 0 : lens.backdrop,
      backdropM === Infinity
        ? `nothing behind; blur disc ${percent(lens.blurShare)} of the frame`
        : `background ${(backdropM / cell.levelM).toFixed(1)} times as far; blur disc ${(lens.blurShare * 100).toFixed(1)} % of the frame`,
    ),
    part('view', lens.view, cell.sight.blocked ? 'something stands in the way' : 'clear'),
    part('walk', lens.walk, `${Math.round(cell.walkM)} m to walk`),
    part(
      'light',
      light,
      moment.sunlit
        ? `the sun ${Math.round(time.phaseDeg)}° round from behind the camera`
        : 'no sun on the mark',
    ),
    part(
      'exposure',
      near ? 0 : exposureDesirability(spare),
      near
        ? 'no picture from here'
        : `EV ${time.ev.toFixed(1)}, ${Math.abs(spare).toFixed(1)} stops ${spare < 0 ? 'short of' : 'over'} ${formatShutter(onFasterMark(lens.shutterS))} at f/${lens.widest.toFixed(1)}`,
    ),
  ];
}

/**
 * How good a position is for a shot of a mark at a moment: parts as desirabilities from 0 to 1,
 * each with the number it stands on, joined by a weighted geometric mean. Where one may not stand
 * the total is 0 and the refusals say why. The lens is taken at the focal length that fills the
 * frame as wanted, as near as it zooms.
 * @param time milliseconds since 1970 UTC
 * @throws RangeError for arguments that make no sense; names the field
 */
export function scorePosition(
  position: ScoredPosition,
  mark: ScoredMark,
  shot: ScoredShot,
  time: number,
  site: ScoredSite,
  kit: ScoredKit,
): PositionScore {
  above('position.cameraHeightM', position.cameraHeightM, 0);
  const prepared = prepareMark(mark, shot, site, [time]);
  const moment = prepared.moments[0] as Moment;
  const cell = emptyCell();
  const lens = emptyLens();
  const times = emptyTimes(1);
  const best: BestMoment = { time: -1, log: -Infinity };
  viewCell(prepared, position.x, position.y, position.cameraHeightM, cell);
  const forbidden = [
    ...refusals(position, site.limits),
    ...(tooClose(cell, site)
      ? [`${cell.levelM.toFixed(1)} m from the mark, nearer than ${site.keepAwayM} m`]
      : []),
  ];
  if (cell.levelM === 0) {
    const nothing = { focalMm: 0, shutterS: 0, aperture: 0, ev: 0, evNeeded: 0, fill: 0 };
    return { total: 0, parts: [], refusals: forbidden, ...nothing };
  }
  viewLens(prepared, prepareLens(kit), cell, lens);
  viewTimes(prepared, cell, times);
  bestMoment(prepared, lens, times, best);
  const [ev = 0] = times.ev;
  const [phaseDeg = 0] = times.phaseDeg;
  const light = lightPart(prepared, moment, phaseDeg, lens);
  return {
    total: forbidden.length > 0 ? 0 : totalOf(prepared, best.log),
    parts: reasons(cell, lens, { ev, phaseDeg }, moment, light, shot, kit),
    refusals: forbidden,
    focalMm: lens.focalMm,
    shutterS: lens.shutterS,
    aperture: lens.aperture,
    ev,
    evNeeded: evNeededOnDial(lens, kit),
    fill: lens.fill,
  };
}
