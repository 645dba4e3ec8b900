import type { MovingPart, MovingSubject, Path } from '../motion/subject';
import type { Sensor } from '../optics/sensor';
import type { Point2, Point3 } from '../site/vector';

/**
 * A picture as plain data, in metres and lux: what stands there, who moves there, what shines, and the camera
 * with its dials. From it a frame is drawn; nothing in it knows how.
 */

/** What a surface is made of: says its colour, never how light it is. */
export type Material =
  | 'ground'
  | 'line'
  | 'leaf'
  | 'wood'
  | 'stone'
  | 'water'
  | 'skin'
  | 'hair'
  | 'kit'
  | 'cloth'
  | 'dark'
  | 'pale'
  | 'rust'
  | 'blue'
  | 'sand'
  | 'flower';

/** How light a surface is: the share of light it gives back, 0 to 1. */
export interface Surface {
  readonly material: Material;
  readonly reflectance: number;
}

/** Upright walls over a footprint. */
export interface Prism extends Surface {
  readonly shape: 'prism';
  readonly footprint: readonly Point2[];
  readonly fromM: number;
  readonly toM: number;
}
/** A ball drawn out along east, north and up. */
export interface Ellipsoid extends Surface {
  readonly shape: 'ellipsoid';
  readonly middle: Point3;
  readonly radiiM: Point3;
}
/** A round rod between two points. */
export interface Rod extends Surface {
  readonly shape: 'rod';
  readonly from: Point3;
  readonly to: Point3;
  readonly radiusM: number;
}
/** A line painted on the ground. */
export interface Painted extends Surface {
  readonly shape: 'painted';
  readonly points: readonly Point2[];
  readonly widthM: number;
}
/** Wire in a plane, seen through. */
export interface Mesh extends Surface {
  readonly shape: 'mesh';
  readonly from: Point2;
  readonly to: Point2;
  readonly heightM: number;
  readonly pitchM: number;
  readonly wireM: number;
}
/** A flat piece of ground, its corners in order as seen from over it. */
export interface Slab extends Surface {
  readonly shape: 'slab';
  readonly corners: readonly [Point3, Point3, Point3, Point3];
}
export type Solid = Prism | Ellipsoid | Rod | Painted | Mesh | Slab;

/** A point of a figure: where it is from the point under its body, and the part whose motion it shares. */
export interface Joint {
  readonly aheadM: number;
  readonly leftM: number;
  readonly upM: number;
  /** A part of the subject; the body's even course when left out. */
  readonly part?: string;
}

/** A piece of a figure between two of its joints: a rod that may taper, or a ball drawn out along them. */
export interface Piece extends Surface {
  readonly shape: 'limb' | 'ball';
  readonly from: Joint;
  readonly to: Joint;
  readonly fromRadiusM: number;
  readonly toRadiusM: number;
}

/** Somebody or something jointed, where it is and how it moves at the middle of the exposure. */
export interface Figure {
  readonly subject: MovingSubject;
  readonly parts: readonly MovingPart[];
  readonly path: Path;
  /** The way its pieces are turned; what runs is turned the way it goes. */
  readonly facingDeg: number;
  /** How steeply its own level is tilted up: along the way of what flies. */
  readonly pitchDeg?: number;
  readonly pieces: readonly Piece[];
  /** The phase that each part's swing is in, by its name, radians; 0 where not said. */
  readonly phasesRad?: Readonly<Record<string, number>>;
}

export interface SceneLight {
  /** Unit vector towards the sun. */
  readonly toSun: Point3;
  /** On a surface square to it; none while it is down or behind something for all that is seen. */
  readonly sunLux: number;
  /** Sky on level open ground, and how it is spread over the sky: 0 clear, 1 overcast. */
  readonly skyLux: number;
  readonly cloud: number;
  /** Share of an even sky that an upright face at the subject sees: half in the open. */
  readonly subjectSkyView: number;
  /** Lamps on an upright face. */
  readonly lampLux: number;
  readonly groundReflectance: number;
  /** What light corrected by readings is to its forecast. */
  readonly share: number;
  readonly indoors: boolean;
}

export interface SceneCamera {
  readonly position: Point3;
  readonly aim: Point3;
  readonly focalMm: number;
  readonly aperture: number;
  readonly shutterS: number;
  readonly sensor: Sensor;
  readonly orientation: 'level' | 'upright';
  /** The part that the camera turns with, and the error of its rate; it stands still without. */
  readonly pan?: { readonly part: string; readonly rateError: number };
  /** Hands draw a circle of confusion in this time. */
  readonly shakeS: number;
  /** How long a silent shutter reads down the sensor, from one long side to the other; all at once without. */
  readonly readoutS?: number;
  /** The part of the frame that is drawn; the whole without. */
  readonly window?: FrameWindow;
}

/** A part of the frame: where its middle is and how much it takes, as shares of the frame's width and height. */
export interface FrameWindow {
  /** From the middle of the frame, right and up, −½ to ½. */
  readonly right: number;
  readonly up: number;
  readonly widthShare: number;
  readonly heightShare: number;
}

/** What the dials and the body make of light. */
export interface SceneExposure {
  /** EV of the settings, at ISO 100. */
  readonly ev: number;
  /** Stops that glass, filters and converters take and that the settings reckon with. */
  readonly lossStops: number;
  readonly liftStops: number;
  /** Stops of ISO above the body's base. */
  readonly isoStops: number;
}

export interface Scene {
  readonly camera: SceneCamera;
  readonly exposure: SceneExposure;
  readonly light: SceneLight;
  readonly ground: Surface;
  readonly solids: readonly Solid[];
  readonly figure: Figure;
  /** Others who stand about, as they are at the middle of the exposure. */
  readonly others: readonly Figure[];
}
