export {
  dewPoint,
  heatIndex,
  lensFog,
  LIGHTNING_WAIT_MINUTES,
  safeAfterThunder,
  windChill,
  type LensFog,
} from './air';
