export { apertureForDepth, depthOfField, type DepthOfField } from './depth';
export {
  cropFor,
  distanceForFill,
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
