export {
  DEFAULT_GRADE,
  freezeShutter,
  LONGEST_SHUTTER_S,
  type Freeze,
  type GradeDemand,
  type PartFreeze,
} from './freeze';
export {
  apexWindow,
  burst,
  GRAVITY_MS2,
  rollingShutterSkew,
  rollingShutterStretch,
  wingTipSpeed,
} from './moment';
export {
  framesForNineInTen,
  pan,
  panArc,
  PAN_SHARP_CIRCLES,
  type Pan,
  type PanArc,
  type PanRequest,
} from './pan';
export { imageScale, projector, type Camera } from './projection';
export { burstOverCycles, passingStreak, timeInFocus, turnDuring } from './rhythm';
export {
  emptyRates,
  FOLLOWING_ERROR,
  imageRates,
  sightCourse,
  type ImageRates,
  type SightCourse,
} from './rates';
export { carefulLimit, shakeLimit, SUPPORT_STOPS, type Support } from './shake';
export {
  DELIVERED_LONG_SIDE_PX,
  GRADE_LIMIT_CIRCLES,
  gradeOf,
  motionSmear,
  type Delivery,
  type Following,
  type Grade,
  type Motion,
  type PartSmear,
} from './smear';
export {
  partTrack,
  type MovingPart,
  type MovingSubject,
  type PartRole,
  type Path,
  type Swing,
} from './subject';
export type { ClassTimes, TimeRule, Times, TimesLens } from './times';
