export { insidePolygon, turned } from './frame';
export { shadowLength, skylineDeg, skyViewOfFace, sunBlocked, type Obstacle } from './obstacle';
export { shadowOnGround } from './shadow';
export { sightLine, type SightLine } from './sight';
export { alongBearing, bearingDeg, elevationDeg, point3, type Point2, type Point3 } from './vector';
