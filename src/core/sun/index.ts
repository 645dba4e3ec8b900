export {
  lightSide,
  sunAngleFrom,
  sunWarningDeg,
  type LightSide,
  type SunAngle,
  type SunSide,
} from './angle';
export { sunEvents, type SunEvents } from './events';
export { sunPosition, type Instant, type Place, type SunPosition } from './position';
export {
  horizonAltitude,
  sunClears,
  sunCrossings,
  type AltitudeCrossing,
  type HorizonPoint,
  type Span,
} from './horizon';
export { sunTrack } from './track';
export { moonLux, moonPosition, moonTimes, type MoonPosition, type MoonTimes } from './moon';
export { isTimeZone, msOf, zoneOffsetMs } from './zone';
