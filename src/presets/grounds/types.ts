import type { GroundSurface, Point2, SiteFeature } from '@/core';
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
  /** Height of its feet above the ground. */
  readonly feetM?: number;
}

/** A recommended place to stand, with the reason practitioners give. */
export interface TemplatePosition extends Point2 {
  readonly id: string;
  readonly name: string;
  readonly cameraHeightM: number;
  readonly why: string;
}

/** The other way round of something: a left-handed batter, the other take-off leg. */
export interface TemplateSwitch {
  readonly id: string;
  readonly name: string;
  /** As the template is drawn, and thrown over; each with the position that then suits best. */
  readonly options: readonly [SwitchOption, SwitchOption];
  readonly effects: readonly SwitchEffect[];
  /** What of an athlete chooses the side: the mark for each, in the order of the options, while nothing is thrown. */
  readonly own?: {
    readonly trait: 'foot' | 'hand' | 'breathes';
    readonly sides: readonly ['left' | 'right', 'left' | 'right'];
    readonly marks: readonly [string, string];
  };
}
export interface SwitchOption {
  readonly label: string;
  readonly positionId?: string;
}
/** `place`: mirrored about a line along the ground; `face`: it only looks to the other side. */
export interface SwitchEffect {
  readonly id: string;
  readonly mirror: 'place' | 'face';
  /** Where that line crosses the ground's short axis; the middle unless said. */
  readonly aboutX?: number;
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
  readonly features?: readonly SiteFeature[];
  readonly switches?: readonly TemplateSwitch[];
  readonly cautions: readonly CautionTag[];
  /** Lamps on an upright face of a ground under a roof; absent under the open sky. */
  readonly indoorLux?: number;
  /** Share of the sky's light that its windows let in. */
  readonly windowShare?: number;
  /** Lens and focal length that suit the ground's first position and mark. */
  readonly lensId: string;
  readonly focalMm: number;
}
