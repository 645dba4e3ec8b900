export {
  dewPoint,
  heatIndex,
  lensFog,
  LIGHTNING_WAIT_MINUTES,
  safeAfterThunder,
  windChill,
  type LensFog,
} from './air';
export { mistIn, type Mist, type MistOn } from './mist';
export { COLD_HANDS_C, FROSTBITE_C, heatBand, waterLitres, type HeatBand } from './people';
