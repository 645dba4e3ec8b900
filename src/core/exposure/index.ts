export {
  evNeededFor,
  SCHOOLS,
  solveExposure,
  type BudgetLine,
  type Exposure,
  type ExposurePlan,
  type ExposureRequest,
  type IsoLandmarks,
  type Lever,
  type School,
  type Settings,
  type WayOut,
} from './solve';
