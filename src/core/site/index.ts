export {
  boughBehind,
  FLECKS,
  HIDES_FROM,
  leafByMonth,
  monthOf,
  sightThrough,
  SUNLIT_SHARE,
  sunThrough,
  type Bough,
} from './bough';
export {
  clearingHeight,
  firstBackdrop,
  sightBlocks,
  sightLeaves,
  type Backdrop,
  type Block,
} from './clearance';
export { compassFromTrue, magneticDeclination, trueFromCompass } from './declination';
export {
  BROAD_COLOURS,
  type BroadColour,
  boughsOf,
  FEATURE_SHAPE,
  FEWEST_POINTS,
  hillObstacle,
  limitsOf,
  obstaclesOf,
  type FeatureKind,
  type FeatureOf,
  type FeatureShape,
  type SiteFeature,
  type Stick,
} from './feature';
export {
  eachPostStrip,
  fenceInSight,
  postStrips,
  type FenceInSight,
  type PostStrip,
} from './fence';
export { insidePolygon, turned } from './frame';
export {
  offSquareDeg,
  openingsOf,
  swingsOf,
  wallsOf,
  WINDOW_PANES,
  type HideWall,
  type HideWindow,
  type WindowSwing,
  type WindowPane,
} from './hide';
export { headingOf, meanBearing, type Held, type MeanBearing } from './heading';
export { toGeographic, toLocal, type GeoPoint } from './geodesy';
export {
  refusals,
  THROW_SECTOR_DEG,
  throwSector,
  type Limit,
  type Refusal,
  type Throw,
} from './limits';
export {
  asRectangle,
  measure,
  rectangleCorners,
  withCornerMoved,
  type Measured,
  type Rectangle,
} from './measure';
export {
  FEEDER_M,
  landsAt,
  lastStops,
  onPerch,
  perchEnds,
  preFocus,
  squareToLens,
  type LandsAt,
  type PreFocus,
} from './perch';
export { placeByTwoPoints, type KnownPoint, type Placing } from './placing';
export {
  distanceToLine,
  nearestOnSegment,
  segmentsOf,
  snapPoint,
  type Segment,
  type Snapped,
  type SnapTarget,
} from './snap';
export { skySeen, skyThrough } from './sky-view';
export {
  shadowLength,
  skylineDeg,
  skyViewOfFace,
  sunBlocked,
  type Obstacle,
  type Opening,
} from './obstacle';
export {
  personObstacle,
  postShadeWidth,
  shadeTimes,
  shadowTip,
  treeObstacle,
  wallObstacles,
} from './shade';
export {
  behindHead,
  boughsAcross,
  sectionAlong,
  type BoughSection,
  type HeadClearance,
  type SectionPiece,
} from './section';
export {
  goneOn,
  leavesOfSun,
  shadesBy,
  shadesWithin,
  type Owned,
  type ShadeBy,
  type SunAt,
} from './shade-by';
export {
  bareSlope,
  baseM,
  cameraAt,
  DECK_WIDE_M,
  decksOf,
  groundUnderM,
  onGround,
  raised,
  slopeIn,
} from './raised';
export {
  footingM,
  groundHeightM,
  meetsGround,
  slopeCorners,
  slopeContours,
  slopeCrests,
  slopeFaces,
  slopeOf,
  type Slope,
  type SlopeLine,
} from './slope';
export { boughShadow, shadowOnGround } from './shadow';
export { boughShadowOnSlope, shadowOnSlope, slopeShade } from './slope-shadow';
export { subjectPoints, type Standing, type SubjectPoints } from './subject-points';
export { sightLine, type SightLine } from './sight';
export {
  laidByTwo,
  PICTURE_WIDTH_M,
  spotAt,
  spotOnGround,
  type LaidPicture,
  type Pinned,
  type Spot,
} from './underlay';
export {
  alongBearing,
  bearingDeg,
  distanceToPath,
  elevationDeg,
  point3,
  type Point2,
  type Point3,
} from './vector';
