import { contours } from 'd3-contour';
import type { Point2 } from '@/core';
import type { PlanScores } from './plan-types';

/** Contours are drawn at these shares of the best score on the ground. */
const SHARES = [0.4, 0.6, 0.8, 0.95] as const;

/** A line round all that is at least as good as a share of the best. */
export interface ScoreContour {
  readonly share: number;
  /** Closed rings in metres; holes are rings of their own. */
  readonly rings: readonly (readonly Point2[])[];
}

/**
 * Contours of a grid of scores, the widest first; none where nothing scores. A grid's score holds
 * for the middle of its cell, and lines run straight between.
 */
export function scoreContours({ columns, area, score }: PlanScores): readonly ScoreContour[] {
  const values = Array.from(score);
  const best = values.reduce((most, value) => Math.max(most, value), 0);
  if (best <= 0) return [];
  const lines = contours()
    .size([columns, Math.floor(values.length / columns)])
    .thresholds(SHARES.map((share) => share * best));
  return lines(values).map(({ coordinates }, i) => ({
    share: SHARES[i] ?? 1,
    rings: coordinates.flat().map((ring) =>
      ring.map(([column = 0, row = 0]) => ({
        x: area.minX + column * area.stepM,
        y: area.minY + row * area.stepM,
      })),
    ),
  }));
}
