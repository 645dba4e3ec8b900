export { BEGINNER_PAN_SIGMA } from './kernel';
export {
  comparePosition,
  type Advice,
  type AdviceLever,
  type Compared,
  type ComparedPosition,
  type CompareRequest,
} from './advice';
export {
  planDay,
  type DayEvent,
  type DayPosition,
  type Debt,
  type LeadTimes,
  type Quota,
  type Route,
  type Stop,
} from './day';
export type { MissedReason, Then } from './day-missed';
export { planTogether, type DayShooter, type SharedEvent } from './day-together';
export type { FaceWanted, LightWanted } from './desirability';
export { framedFrom } from './framed-from';
export {
  scorePosition,
  type PartScore,
  type PositionRefusal,
  type PositionScore,
  type ScoreWhy,
} from './score';
export {
  cellAt,
  createSearch,
  searchPositions,
  type Search,
  type SearchArea,
  type SearchRequest,
  type SearchResult,
} from './search';
export {
  DEFAULT_WEIGHTS,
  SCORE_PARTS,
  type ScoredKit,
  type ScoredMark,
  type ScoredPosition,
  type ScoredShot,
  type ScoredSite,
  type ScorePart,
} from './types';
export { fillIsWeak, LEAST_QUALITY, WEAK_COUNTS, weakness } from './weak';
