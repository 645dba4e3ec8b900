import { bestFramed, type Combination, type Framed } from '../kit/framing';
import type { FrameOrientation } from '../optics/sensor';
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
  }: { readonly heightM: number; readonly fill: number; readonly orientation?: FrameOrientation },
): { readonly index: number; readonly framed: Framed } {
  const { aim } = subjectPoints(mark, heightM);
  const distanceM = Math.max(
    NEAREST_M,
    Math.hypot(position.x - aim.x, position.y - aim.y, position.cameraHeightM - aim.z),
  );
  return bestFramed(combinations, {
    sizeM: heightM,
    distanceM,
    fill,
    ...(orientation && { orientation }),
  });
}
