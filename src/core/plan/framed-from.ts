import { bestFramed, type Combination, type Framed } from '../kit/framing';
import type { FrameOrientation } from '../optics/sensor';
import { footingM, type Slope } from '../site/slope';
import { subjectPoints, type Standing } from '../site/subject-points';
import type { ScoredPosition } from './types';

/** Nearer than this nothing is framed: the subject is at the lens. */
const NEAREST_M = 0.3;

/**
 * Which lens of several frames a subject best from a place, and what it makes of it.
 * @param fill share of the frame's height that is wanted
 * @throws RangeError as `bestFramed`
 */
export function framedFrom(
  combinations: readonly Combination[],
  position: ScoredPosition,
  mark: Standing,
  {
    heightM,
    fill,
    orientation,
    slope,
  }: {
    readonly heightM: number;
    readonly fill: number;
    readonly orientation?: FrameOrientation;
    /** The ground's own heights; level without. */
    readonly slope?: Slope | undefined;
  },
): { readonly index: number; readonly framed: Framed } {
  const { aim } = subjectPoints(mark, heightM);
  const rise = slope ? footingM(slope, position) - footingM(slope, mark) : 0;
  const distanceM = Math.max(
    NEAREST_M,
    Math.hypot(position.x - aim.x, position.y - aim.y, position.cameraHeightM + rise - aim.z),
  );
  return bestFramed(combinations, {
    sizeM: heightM,
    distanceM,
    fill,
    ...(orientation && { orientation }),
  });
}
