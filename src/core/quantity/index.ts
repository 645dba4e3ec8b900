export { ev, evFromIlluminance, illuminanceFromEv, type Triad } from './ev';
export {
  CLICKS_PER_STOP,
  clicksBetween,
  engravedMark,
  formatShutter,
  markAt,
  nearestMark,
  parseShutter,
  type Dial,
  type Mark,
  type Rounding,
  type ScaleKind,
} from './scales';
export { fullCircle, halfCircle } from './angles';
export { Z, type Level } from './quantiles';
