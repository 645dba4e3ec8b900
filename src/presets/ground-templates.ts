import { insidePolygon, turned, type Point2 } from '@/core';
import { HOCKEY_BOUNDARY, HOCKEY_LINES, type GroundLine } from './hockey';

/** Lines drawn on a ground and the polygon of its field of play, in its own axes. */
interface GroundDrawing {
  readonly lines: readonly GroundLine[];
  readonly fieldOfPlay?: readonly Point2[];
}

const DRAWINGS: Readonly<Record<string, GroundDrawing>> = {
  'field-hockey': { lines: HOCKEY_LINES, fieldOfPlay: HOCKEY_BOUNDARY },
};
const NOTHING_DRAWN: GroundDrawing = { lines: [] };

/** A template's lines turned to the ground's true bearing, metres east and north. */
export function groundLines(template: string, bearingDeg: number): readonly GroundLine[] {
  return (DRAWINGS[template] ?? NOTHING_DRAWN).lines.map((line) => ({
    ...line,
    points: line.points.map((point) => turned(point, bearingDeg)),
  }));
}

/** The field of play, where photographers may not stand, in metres east and north. */
export const fieldOfPlay = (template: string, bearingDeg: number): readonly Point2[] | undefined =>
  (DRAWINGS[template] ?? NOTHING_DRAWN).fieldOfPlay?.map((point) => turned(point, bearingDeg));

/** Whether a point lies on the field of play. */
export function onFieldOfPlay(template: string, bearingDeg: number, point: Point2): boolean {
  const play = fieldOfPlay(template, bearingDeg);
  return play !== undefined && insidePolygon(point, play);
}
