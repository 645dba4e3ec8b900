export { cloudAt, skyAt, skyNamed, type CloudHour, type SkyOver } from './cloud';
export { correctedLight, type CorrectedLight, type HeardReading } from './corrected';
export {
  airMass,
  CLOUD_FRACTION,
  daylight,
  GROUND_REFLECTANCE,
  type Daylight,
  type GroundSurface,
  type Sky,
} from './daylight';
export { offsetField, type FieldPoint, type FieldReading, type OffsetField } from './field';
export { illuminanceOnFace, openSkyView, type FaceLight } from './face';
export { lightColour, type LightColour } from './colour';
export { flicker, flickerFreeShutters, modulationFromBurst } from './flicker';
export {
  meterError,
  METERED_REFLECTANCE,
  whiteScene,
  type ScenePart,
  type WhiteScene,
  type WhiteSchool,
} from './meter';
export {
  clicksOff,
  LightModel,
  unevenness,
  type ModelledLight,
  type Unevenness,
  type Zone,
  type ZoneLight,
} from './model';
export {
  FORECAST_SIGMA_STOPS,
  FRAME_SIGMA_STOPS,
  frameReading,
  lightKind,
  METER_SIGMA_STOPS,
  meterReading,
  type Correction,
  type LightKind,
  type LightReading,
} from './readings';
export { CANOPY_TRANSMITTANCE, underCanopy, type Canopy } from './shade';
export { LAMP_LEVELS_LUX, lamps, type LampLevel } from './lamps';
export {
  EMPTY_SERIES,
  joinSeries,
  lightAtTimes,
  lightSeries,
  seriesTimes,
  momentsWithin,
  SHORT_STOPS,
  shortSpans,
  type LightSeries,
  type LightSeriesRequest,
  type ShortSpan,
} from './series';
export {
  lampsAt,
  lightOnSubject,
  sunShareOn,
  type EvRange,
  type LitScene,
  type SubjectLight,
} from './subject';
export { daylightOver, isSunless, WINDOW_SHARES, type Roofed, type Windows } from './windows';
export { faceSpans, sunOnFace, type FacedScene, type FaceSpan, type SunOnFace } from './when';
