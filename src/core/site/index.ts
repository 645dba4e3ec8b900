export { clearingHeight, firstBackdrop, sightBlocks, type Backdrop, type Block } from './clearance';
export { insidePolygon, turned } from './frame';
export { toGeographic, toLocal, type GeoPoint } from './geodesy';
export { refusals, THROW_SECTOR_DEG, throwSector, type Limit, type Throw } from './limits';
export { shadowLength, skylineDeg, skyViewOfFace, sunBlocked, type Obstacle } from './obstacle';
export {
  personObstacle,
  postShadeWidth,
  shadeTimes,
  shadowTip,
  treeObstacle,
  wallObstacles,
} from './shade';
export { shadowOnGround } from './shadow';
export { sightLine, type SightLine } from './sight';
export { alongBearing, bearingDeg, elevationDeg, point3, type Point2, type Point3 } from './vector';
