export {
  dewPoint,
  heatIndex,
  lensFog,
  LIGHTNING_WAIT_MINUTES,
  safeAfterThunder,
  windChill,
  type LensFog,
} from './air';
export { COLD_HANDS_C, FROSTBITE_C, heatBand, waterLitres, type HeatBand } from './people';
