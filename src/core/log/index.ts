export { burstEnds, burstsOf, isPictureTime, PICTURE_SPAN_MS, type Burst } from './bursts';
export { fitClock, lagOf, type ClockEvidence, type ClockFit, type ClockTie } from './clock';
export { chainShares, type Link } from './chain';
export { fitClockPieces, type ClockPiece } from './clock-pieces';
export {
  flickerPairs,
  liftsFor,
  SEEN_STOPS,
  type AskedEv,
  type ExposedFrame,
  type FlickerPair,
} from './even';
export { levelOf } from './level';
export { meanInterval, type Mean } from './mean';
export {
  panSigma,
  panSigmaInterval,
  visitsPerHour,
  wilsonInterval,
  type PanFrame,
  type Rate,
} from './rates';
