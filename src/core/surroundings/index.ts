export {
  dewPoint,
  heatIndex,
  lensFog,
  LIGHTNING_WAIT_MINUTES,
  safeAfterThunder,
  windChill,
  type LensFog,
} from './air';
export { dewOnLens, type AirStep, type DewSpan } from './dew';
export { underWater, waterHeightM, type UnderWater, type Water } from './tide';
export { mistIn, type Mist, type MistOn } from './mist';
export { COLD_HANDS_C, FROSTBITE_C, heatBand, waterLitres, type HeatBand } from './people';
