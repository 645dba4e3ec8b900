export { settingsCard, type CardLight, type CardRow, type SettingsCard, type Turn } from './card';
export type { WayOut } from './levers';
export { exposureMode, type ExposureMode, type ModeAdvice } from './mode';
export type { NowThen, Price } from './price';
export {
  BACKGROUNDS,
  PAN_LADDER_S,
  STREAK_S,
  TECHNIQUES,
  apertureFor,
  following,
  motionFor,
  panLadder,
  shutterFor,
  skyEv,
  type Background,
  type PanOn,
  type PictureWanted,
  type Technique,
  type TechniqueDemand,
} from './technique';
export {
  SCHOOLS,
  type Conflict,
  type Demands,
  type ExposureRequest,
  type HeldLevers,
  type IsoLandmarks,
  type Lever,
  type School,
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
  type Settings,
} from './solve';
