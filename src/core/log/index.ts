export { burstsOf, isPictureTime, PICTURE_SPAN_MS, type Burst } from './bursts';
export { clockOffset, type ClockOffset } from './clock';
export { meanInterval, type Mean } from './mean';
export {
  panSigma,
  panSigmaInterval,
  visitsPerHour,
  wilsonInterval,
  type PanFrame,
  type Rate,
} from './rates';
