export { CLOUDS_SIDE, cloudSheet } from './clouds';
export { COLOUR_SURFACE, colourOf } from './colours';
export { figureThrough, type PlacedPiece } from './figure';
export type { Modelled, Plumage } from './pieces';
export { FIGURE_KINDS, figurePieces, type FigureKind } from './poses';
export { headTurned, striding, wingsAt } from './posed';
export { bandsOf, instantOf, seenAt, type Band, type SampleInstant, type Seen } from './samples';
export { windowOn } from './window';
export {
  CLEAR_SKY,
  OVERCAST_SKY,
  skyNits,
  skyOnLevel,
  skyShape,
  sunForSky,
  type SkyKind,
} from './sky';
export {
  groundBehind,
  skyBehind,
  skyDepth,
  uprightBehind,
  type BehindLight,
  type SkyDepth,
} from './behind';
export { siteSolids } from './solids';
export { CLIPPED_AT, grainOf, HEADROOM_STOPS, linearPerNit, MID_GREY, toned } from './tone';
export type {
  Ellipsoid,
  Figure,
  FrameWindow,
  Joint,
  Material,
  Mesh,
  Painted,
  Piece,
  Prism,
  Rod,
  Scene,
  SceneCamera,
  SceneExposure,
  SceneLight,
  Solid,
  Surface,
} from './types';
