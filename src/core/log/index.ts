export { panSigma, visitsPerHour, wilsonInterval, type PanFrame, type Rate } from './rates';
