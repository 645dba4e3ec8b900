import { offsetField, type OffsetField } from './field';
import { fieldReading, modelledLight } from './model';
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

const fields = new WeakMap<readonly HeardReading[], OffsetField>();

/** The field of a list of readings, drawn once for each list; none without readings. */
function fieldOf(heard: readonly HeardReading[]): OffsetField | undefined {
  if (heard.length === 0) return undefined;
  const known = fields.get(heard);
  if (known) return known;
  const field = offsetField(heard.map(({ scene, ...reading }) => fieldReading(scene, reading)));
  fields.set(heard, field);
  return field;
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
  const field = fieldOf(heard);
  return field ? (timeMs) => modelledLight(scene, timeMs, field).offsetStops : () => 0;
}

/**
 * The light of one scene at any moment: as computed, or as the field of the readings corrects it. Only
 * the EV is corrected; sun, sky and lamps are told as computed.
 * @throws RangeError as `lightOnSubject`, or for a reading that is no number
 */
export function correctedLight(
  scene: LitScene,
  heard: readonly HeardReading[] = [],
): (timeMs: number) => CorrectedLight {
  const field = fieldOf(heard);
  if (!field) return (timeMs) => lightOnSubject(scene, timeMs);
  return (timeMs) => {
    const { forecast, ev, offsetStops, sigmaStops } = modelledLight(scene, timeMs, field);
    return { ...forecast, ev, correction: { offsetStops, sigmaStops } };
  };
}
