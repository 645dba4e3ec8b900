export {
  apertureForBlur,
  backdropVerdict,
  BACKDROP_DETAIL_M,
  backgroundBlur,
  hazeContrast,
  tiltTolerance,
  type BackdropDetail,
  type BackdropLook,
  type BackgroundView,
} from './blur';
export { apertureForDepth, depthOfField, depthWithin, type DepthOfField } from './depth';
export { diffraction, diffractionCap } from './diffraction';
export { glassLossStops, glassReflectance } from './glass';
export { meshThrough, type MeshEffect, type MeshLook } from './mesh';
export {
  cropFor,
  distanceForFill,
  extensionLossStops,
  fieldOfView,
  focalForFill,
  frameFill,
  imageDistanceMm,
  imageSize,
  pixelsOnSubject,
  requireFocus,
  type FieldOfView,
} from './image';
export {
  converterLossStops,
  focalRange,
  requireLens,
  widestApertureAt,
  withConverter,
  type FocalStop,
  type Lens,
} from './lens';
export {
  circleOfConfusionMm,
  cropFactor,
  frameHeightMm,
  pixelPitchMm,
  sensorDiagonalMm,
  type FrameOrientation,
  type Sensor,
} from './sensor';
