import type { GroundSurface, Point2 } from '@/core';
import type { CautionTag } from '../cautions';

/** A line painted on a ground, or the edge of something that is always there. */
export interface GroundLine {
  readonly name: string;
  readonly points: readonly Point2[];
  readonly weight: 'boundary' | 'marking' | 'broken';
}

/** Where the subject will be, in the ground's own axes: 0° is along +y, clockwise. */
export interface TemplateMark extends Point2 {
  readonly id: string;
  readonly name: string;
  readonly headingDeg: number;
  readonly facingDeg: number;
  readonly subjectId: string;
}

/** A recommended place to stand, with the reason practitioners give. */
export interface TemplatePosition extends Point2 {
  readonly id: string;
  readonly name: string;
  readonly cameraHeightM: number;
  readonly why: string;
}

export interface TemplateObstacle {
  readonly id: string;
  readonly name: string;
  readonly kind: 'stand' | 'trees' | 'hide';
  readonly footprint: readonly Point2[];
  readonly heightM: number;
}

export interface TemplateFeature {
  readonly id: string;
  readonly name: string;
  readonly kind: 'fence' | 'path' | 'water' | 'perch' | 'lane' | 'lamp';
  readonly line: readonly Point2[];
}

/**
 * A ground to scale in its own axes: origin at its middle unless said, y along its long axis, x to
 * the right when looking along it, metres.
 */
export interface GroundTemplate {
  readonly id: string;
  readonly name: string;
  /** The rule book the figures are from, or "common practice, no source". */
  readonly source: string;
  readonly surface: GroundSurface;
  readonly lines: readonly GroundLine[];
  /** Where photographers may not stand. */
  readonly fieldOfPlay?: readonly Point2[];
  readonly marks: readonly [TemplateMark, ...TemplateMark[]];
  readonly positions: readonly [TemplatePosition, ...TemplatePosition[]];
  readonly obstacles?: readonly TemplateObstacle[];
  readonly features?: readonly TemplateFeature[];
  readonly cautions: readonly CautionTag[];
  /** Lamps on an upright face of a ground under a roof; absent under the open sky. */
  readonly indoorLux?: number;
  /** Lens and focal length that suit the ground's first position and mark. */
  readonly lensId: string;
  readonly focalMm: number;
}
