import { LightModel } from './model';
import type { Correction, LightReading } from './readings';
import { lightOnSubject, type LitScene, type SubjectLight } from './subject';

/** A reading with the scene that it was taken in. */
export interface HeardReading extends Omit<LightReading, 'zone'> {
  readonly scene: LitScene;
}

/** Light on a subject; its range follows what was measured, where anything was. */
export interface CorrectedLight extends SubjectLight {
  readonly correction?: Correction;
}

const HERE = 'here';

/**
 * The light of one scene at any moment: as computed, or with readings as {@link LightModel} corrects
 * it. Only the EV is corrected; sun, sky and lamps are told as computed.
 * @throws RangeError as `lightOnSubject`, or for a reading that is no number
 */
export function correctedLight(
  scene: LitScene,
  heard: readonly HeardReading[] = [],
): (timeMs: number) => CorrectedLight {
  if (heard.length === 0) return (timeMs) => lightOnSubject(scene, timeMs);
  const model = new LightModel({
    zones: [
      { id: HERE, scene },
      ...heard.map((reading, i) => ({ id: `${i}`, scene: reading.scene })),
    ],
    readings: heard.map(({ timeMs, ev, sigmaStops }, i) => ({
      timeMs,
      ev,
      sigmaStops,
      zone: `${i}`,
    })),
  });
  return (timeMs) => {
    const { forecast, ev, offsetStops, sigmaStops } = model.at(HERE, timeMs);
    return { ...forecast, ev, correction: { offsetStops, sigmaStops } };
  };
}
