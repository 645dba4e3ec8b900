import { above } from '../check';
import { onFasterMark } from '../exposure/request';
import { ev as evOf } from '../quantity/ev';
import { nearestMark } from '../quantity/scales';
import { HIDES_FROM } from '../site/bough';
import { refusals, type Refusal } from '../site/limits';
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
} from './kernel';
import type { Moment } from './mark-light';
import { bestMoment, emptyTimes, lightPart, viewTimes, type BestMoment } from './moments';
import type {
  ScoredKit,
  ScoredMark,
  ScoredPosition,
  ScoredShot,
  ScoredSite,
  ScorePart,
} from './types';

/** What a part of a score stands on. Lengths in metres, shares from 0 to 1. */
export type ScoreWhy =
  | { readonly kind: 'withinNearestFocus'; readonly distanceM: number; readonly nearestM: number }
  | {
      readonly kind: 'fills';
      readonly fill: number;
      readonly focalMm: number;
      readonly wanted: number;
    }
  | { readonly kind: 'faceOff'; readonly offDeg: number }
  /** The background, as many times as far as the subject; nothing behind without it. */
  | { readonly kind: 'behind'; readonly timesAsFar?: number; readonly blurShare: number }
  | { readonly kind: 'inTheWay' }
  /** Branches hide as much of the subject. */
  | { readonly kind: 'branches'; readonly hidesShare: number }
  /** Nothing to follow with a pan. */
  | { readonly kind: 'comesAtYou' }
  | { readonly kind: 'clear' }
  | { readonly kind: 'walk'; readonly walkM: number }
  /** The sun's way round from behind the camera: 180 is in the frame. */
  | { readonly kind: 'sun'; readonly phaseDeg: number }
  | { readonly kind: 'noSun' }
  | { readonly kind: 'noPicture' }
  | {
      readonly kind: 'light';
      readonly ev: number;
      /** Over what the time wanted needs at that aperture; below 0 it is short. */
      readonly spareStops: number;
      readonly shutterS: number;
      readonly aperture: number;
    };

export interface PartScore {
  readonly name: ScorePart;
  /** 0 (useless) to 1 (all one could wish). */
  readonly desirability: number;
  readonly why: ScoreWhy;
}

/** Why a position scores nothing: one may not stand there, or it disturbs what is photographed. */
export type PositionRefusal =
  | Refusal
  | {
      readonly kind: 'disturbs';
      readonly distanceM: number;
      readonly keepAwayM: number;
    };

export interface PositionScore {
  /** 0 to 1: the weighted geometric mean of the parts; 0 where one may not stand. */
  readonly total: number;
  readonly parts: readonly PartScore[];
  /** Why one may not or can not stand there; empty when allowed. */
  readonly refusals: readonly PositionRefusal[];
  /** What the score was reached with. */
  readonly focalMm: number;
  readonly shutterS: number;
  readonly aperture: number;
  readonly ev: number;
  readonly evNeeded: number;
  readonly fill: number;
}

/** Light that the must needs, its time on the dial as the answer sets it; 0 where there is no picture. */
const evNeededOnDial = ({ shutterS, widest }: LensView, { iso }: ScoredKit): number =>
  widest === 0
    ? 0
    : evOf({
        shutterS: onFasterMark(shutterS),
        aperture: nearestMark('aperture', widest).value,
        iso: iso.usable,
      });

function viewWhy({ sight, clear }: CellView, { comesAtYou }: LensView): ScoreWhy {
  if (sight.blocked) return { kind: 'inTheWay' };
  if (comesAtYou) return { kind: 'comesAtYou' };
  const hidesShare = 1 - clear;
  return hidesShare < HIDES_FROM ? { kind: 'clear' } : { kind: 'branches', hidesShare };
}

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
  const part = (name: ScorePart, desirability: number, why: ScoreWhy): PartScore => ({
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
        ? {
            kind: 'withinNearestFocus',
            distanceM: cell.distanceM,
            nearestM: kit.lens.nearestFocusM,
          }
        : { kind: 'fills', fill: lens.fill, focalMm: lens.focalMm, wanted: shot.fill },
    ),
    part('face', lens.face, { kind: 'faceOff', offDeg: cell.faceOffDeg }),
    part('backdrop', near ? 0 : lens.backdrop, {
      kind: 'behind',
      ...(backdropM < Infinity && { timesAsFar: backdropM / cell.levelM }),
      blurShare: lens.blurShare,
    }),
    part('view', lens.view, viewWhy(cell, lens)),
    part('walk', lens.walk, { kind: 'walk', walkM: cell.walkM }),
    part(
      'light',
      light,
      moment.sunlit ? { kind: 'sun', phaseDeg: time.phaseDeg } : { kind: 'noSun' },
    ),
    part(
      'exposure',
      near ? 0 : exposureDesirability(spare),
      near
        ? { kind: 'noPicture' }
        : {
            kind: 'light',
            ev: time.ev,
            spareStops: spare,
            shutterS: onFasterMark(lens.shutterS),
            aperture: lens.widest,
          },
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
  const forbidden: readonly PositionRefusal[] = [
    ...refusals(position, site.limits),
    ...(tooClose(cell, site)
      ? [{ kind: 'disturbs' as const, distanceM: cell.levelM, keepAwayM: site.keepAwayM ?? 0 }]
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
