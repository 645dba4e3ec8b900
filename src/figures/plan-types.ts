import type { Point2, SiteFeature } from '@/core';
import type { Inks } from '@/ui/theme';
import type { PlanScale } from './plan-scale';

/** What stands still on a ground, in metres east and north; its kind decides how it is drawn. */
export interface PlanGround {
  readonly lines: readonly {
    readonly points: readonly Point2[];
    readonly weight: 'boundary' | 'marking' | 'broken';
  }[];
  readonly features: readonly SiteFeature[];
}
export interface PlanMark extends Point2 {
  readonly id: string;
  readonly name: string;
  readonly headingDeg: number;
}
export interface PlanPosition extends Point2 {
  readonly id: string;
  readonly name: string;
}

/** Bearing of the sun that is on a mark, or that it lies in shade, or that there is no sun. */
export type MarkSun = number | 'shade' | 'none';

/** Which mark and which position are looked at. */
export interface PlanChoice {
  readonly markId: string;
  readonly positionId: string;
}

/** What changes with the minute. */
export interface PlanLight {
  readonly sunAzimuthDeg: number;
  readonly sunAltitudeDeg: number;
  /** 1 under a clear sky, less through cloud, 0 when no sunlight reaches the ground. */
  readonly sunStrength: number;
  readonly shadows: readonly (readonly Point2[])[];
  /** Shade of branches, through which some of the sun comes. */
  readonly dapples: readonly (readonly Point2[])[];
  /** Strips of shade along fences, at their posts. */
  readonly strips: readonly { readonly from: Point2; readonly to: Point2 }[];
  readonly lampsOn: boolean;
  /** Where the sun stands, in words. */
  readonly label: string;
}

/** The line from position to mark, how wide the frame is, and what is in the way and behind. */
export interface PlanSight {
  readonly from: Point2;
  readonly to: Point2;
  readonly label: string;
  readonly horizontalDeg: number;
  /** Where something stands in the line, if it does. */
  readonly blockedAt: Point2 | undefined;
  /** Where the line ends on what is behind, if anything is. */
  readonly back: Point2 | undefined;
  /** Twice the subject's distance: a background beyond it blurs. */
  readonly twice: Point2;
  /** Jambs of the windows of what it sits in: a lens swings between each two. */
  readonly jambs: readonly (readonly [Point2, Point2])[];
}

/** Scores of a grid over the ground, row by row from the south-west; 0 where one can't stand. */
export interface PlanScores {
  readonly columns: number;
  readonly area: { readonly minX: number; readonly minY: number; readonly stepM: number };
  readonly score: ArrayLike<number>;
}

/** Light at a point, in clicks from a setting. */
export interface PlanClicks {
  readonly at: Point2;
  readonly text: string;
}

/** The arc that a pan sweeps: where it begins and how far it turns, clockwise positive. */
export interface PlanSwing {
  readonly at: Point2;
  readonly fromDeg: number;
  readonly turnDeg: number;
  readonly text: string;
}

/** A distance round a position, and what it means; the heavy one is where to act. */
export interface PlanRing {
  readonly at: Point2;
  readonly radiusM: number;
  /** The way along which it is written. */
  readonly towardsDeg: number;
  readonly text: string;
  readonly heavy: boolean;
}

/** A way walked between two positions; the next one is told apart. */
export interface PlanLeg {
  readonly from: Point2;
  readonly to: Point2;
  readonly next: boolean;
}
/** A position of a route, with its turns in it: "1, 4". */
export interface PlanStation {
  readonly at: Point2;
  readonly text: string;
  readonly now: boolean;
}

/** What is being drawn or measured: its points so far, and words beside some of them. */
export interface PlanDraft {
  readonly points: readonly Point2[];
  readonly closed: boolean;
  readonly words: readonly { readonly at: Point2; readonly text: string }[];
}

/** The sheet that a layer draws on. */
export interface Canvas {
  readonly scale: PlanScale;
  readonly widthPx: number;
  readonly heightPx: number;
  readonly inks: Inks;
}
