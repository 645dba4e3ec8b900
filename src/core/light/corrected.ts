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

function modelOf(scene: LitScene, heard: readonly HeardReading[]): LightModel {
  return new LightModel({
    zones: [
      { id: HERE, scene },
      ...heard.map((reading, i) => ({ id: `${i}`, scene: reading.scene })),
    ],
    readings: heard.map(({ scene: _scene, ...reading }, i) => ({ ...reading, zone: `${i}` })),
  });
}

/**
 * What readings say the light of a scene stands off its forecast, at any moment: for those who work
 * out the forecast themselves.
 * @throws RangeError as {@link correctedLight}
 */
export function correctedOffsets(
  scene: LitScene,
  heard: readonly HeardReading[] = [],
): (timeMs: number) => number {
  if (heard.length === 0) return () => 0;
  const model = modelOf(scene, heard);
  return (timeMs) => model.at(HERE, timeMs).offsetStops;
}

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
  const model = modelOf(scene, heard);
  return (timeMs) => {
    const { forecast, ev, offsetStops, sigmaStops } = model.at(HERE, timeMs);
    return { ...forecast, ev, correction: { offsetStops, sigmaStops } };
  };
}
