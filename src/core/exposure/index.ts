export { settingsCard, type CardLight, type CardRow, type SettingsCard, type Turn } from './card';
export type { WayOut } from './levers';
export { exposureMode, type ExposureMode, type ModeAdvice, type ModeWhy } from './mode';
export { exposedEv, filterFor, RIGHT_WITHIN_STOPS, type Settings } from './path';
export type { NowThen, Price } from './price';
export {
  BACKGROUNDS,
  PAN_LADDER_S,
  STREAK_S,
  TECHNIQUES,
  aperturesFor,
  following,
  motionFor,
  panRungs,
  pictureTimes,
  preparePicture,
  silhouetteEv,
  skyEv,
  type Background,
  type PanOn,
  type PictureTimes,
  type PictureWanted,
  type PreparedPicture,
  type Technique,
  type TimedSubject,
} from './technique';
export {
  SCHOOLS,
  type ApertureRule,
  type Conflict,
  type Demands,
  type ExposureRequest,
  type HeldLevers,
  type IsoLandmarks,
  type Lever,
  type School,
  requireIso,
  type ShutterLimit,
} from './request';
export {
  evNeededFor,
  solveExposure,
  type AutoIso,
  type BudgetLine,
  type Exposure,
  type ExposurePlan,
  type FlickerNote,
  type SetRule,
} from './solve';
