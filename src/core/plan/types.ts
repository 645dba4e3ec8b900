import type { FaceWanted, LightWanted } from './desirability';
import type { IsoLandmarks } from '../exposure/request';
import type { SkyOver } from '../light/cloud';
import type { PictureWanted, TimedSubject } from '../exposure/technique';
import type { HeardReading } from '../light/corrected';
import type { LitScene } from '../light/subject';
import type { Roofed } from '../light/windows';
import type { Support } from '../motion/shake';
import type { Lens } from '../optics/lens';
import type { FrameOrientation, Sensor } from '../optics/sensor';
import type { Bough } from '../site/bough';
import type { Limit } from '../site/limits';
import type { Slope } from '../site/slope';
import type { Obstacle } from '../site/obstacle';
import type { Point2 } from '../site/vector';
import type { Place } from '../sun/position';

/** Where one might stand, and how high the camera is held. */
export interface ScoredPosition extends Point2 {
  readonly cameraHeightM: number;
}

/** Where the subject will be, what it is, which way it moves and faces. */
export interface ScoredMark extends Point2 {
  readonly headingDeg: number;
  readonly facingDeg: number;
  /** Height of the subject's feet above the ground: on a perch, a wall, a block. */
  readonly feetM?: number;
  readonly climbDeg?: number;
  readonly subject: TimedSubject & {
    /** Depth along the line of sight that should be sharp. */
    readonly depthM: number;
  };
}

export const SCORE_PARTS = [
  'reach',
  'face',
  'backdrop',
  'view',
  'walk',
  'light',
  'exposure',
] as const;
export type ScorePart = (typeof SCORE_PARTS)[number];

/** An intended picture. */
export interface ScoredShot {
  /** Share of the frame's height the subject should take. */
  readonly fill: number;
  readonly face: FaceWanted;
  readonly light: LightWanted;
  /** `washed`: as much blur as can be had; `layered`: some; `any`: no matter. */
  readonly backdrop: 'washed' | 'layered' | 'any';
  /** What is done with motion, and what must be sharp; frozen where nothing is said. */
  readonly wanted?: Omit<PictureWanted, 'background'>;
  /** How evenly the person pans. */
  readonly panSigma?: number;
  /** How much each part counts; {@link DEFAULT_WEIGHTS} where not given. */
  readonly weights?: Partial<Readonly<Record<ScorePart, number>>>;
}

/** A reading where it was taken; the rest of its scene is the site's. */
export type ScoredReading = Omit<HeardReading, 'scene'> &
  Pick<LitScene, 'target' | 'faceAzimuthDeg'>;

export interface ScoredSite extends SkyOver, Roofed {
  readonly place: Place;
  readonly groundReflectance: number;
  readonly obstacles: readonly Obstacle[];
  /** Branches with their leaves; none unless said. */
  readonly boughs?: readonly Bough[];
  readonly limits: readonly Limit[];
  /** The ground's own heights, under marks and cameras alike; level without. What stands on it counts from its lowest. */
  readonly slope?: Slope;
  /** Nearer to a subject than this one may not stand. */
  readonly keepAwayM: number;
  readonly lampLux: number;
  readonly lampsFromMs?: number;
  /** What was measured: the light follows it. */
  readonly heard?: readonly ScoredReading[];
  /** Where one walks from; walking counts for nothing without it. */
  readonly start?: Point2;
}

export interface ScoredKit {
  readonly sensor: Sensor;
  readonly iso: IsoLandmarks;
  readonly fastestShutterS: number;
  readonly lens: Lens;
  readonly orientation: FrameOrientation;
  readonly stabilisationStops: number;
  readonly support: Support;
}

/** What each part counts for in the weighted geometric mean. Common practice, no source. */
export const DEFAULT_WEIGHTS: Readonly<Record<ScorePart, number>> = {
  reach: 3,
  face: 2,
  backdrop: 1.5,
  view: 1,
  walk: 0.5,
  light: 2,
  exposure: 2.5,
};
