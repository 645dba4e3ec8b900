import { finite, nonEmpty } from '../check';
import { CLICKS_PER_STOP } from '../quantity/scales';
import { offsetField, type FieldPoint, type FieldReading, type OffsetField } from './field';
import {
  FORECAST_SIGMA_STOPS,
  kindShares,
  lightKind,
  type LightKind,
  type LightReading,
} from './readings';
import { lightOnSubject, type EvRange, type LitScene, type SubjectLight } from './subject';

/** A part of the ground with light of its own: a mark, an end of the hall, a pocket of shade. */
export interface Zone {
  readonly id: string;
  readonly scene: LitScene;
}

export interface ModelledLight {
  readonly forecast: SubjectLight;
  readonly kind: LightKind;
  /** Forecast corrected by the readings; low and high take in what is still unsure. */
  readonly ev: EvRange;
  readonly offsetStops: number;
  readonly sigmaStops: number;
}

/** A scene at a moment as a point of the field. */
const fieldPoint = (
  { target }: Pick<LitScene, 'target'>,
  light: Parameters<typeof kindShares>[0],
  timeMs: number,
): FieldPoint => ({ x: target.x, y: target.y, timeMs, kinds: kindShares(light) });

/** What readings say at a point; never less sure than the forecast alone. */
function correctionOf(
  field: OffsetField | undefined,
  point: FieldPoint,
  kind: LightKind,
): { readonly offsetStops: number; readonly sigmaStops: number } {
  const forecastStops = FORECAST_SIGMA_STOPS[kind];
  if (!field) return { offsetStops: 0, sigmaStops: forecastStops };
  const { offsetStops, sigmaStops } = field.at(point);
  return { offsetStops, sigmaStops: Math.min(sigmaStops, forecastStops) };
}

/** A reading as the field takes it: how far it stands off the forecast of its own scene and minute. */
export function fieldReading(scene: LitScene, reading: Omit<LightReading, 'zone'>): FieldReading {
  const forecast = lightOnSubject(scene, reading.timeMs);
  return {
    ...fieldPoint(scene, forecast, reading.timeMs),
    ...(reading.everywhere && { everywhere: true }),
    sigmaStops: reading.sigmaStops,
    offsetStops: finite('reading.ev', reading.ev) - forecast.ev.expected,
  };
}

/** The light of a scene at a moment as a field corrects its forecast. @throws RangeError as `lightOnSubject` */
export function modelledLight(
  scene: LitScene,
  timeMs: number,
  field: OffsetField | undefined,
): ModelledLight {
  const forecast = lightOnSubject(scene, timeMs);
  const kind = lightKind(forecast);
  const { offsetStops, sigmaStops } = correctionOf(
    field,
    fieldPoint(scene, forecast, timeMs),
    kind,
  );
  const { low, expected, high } = forecast.ev;
  const middle = expected + offsetStops;
  return {
    forecast,
    kind,
    offsetStops,
    sigmaStops,
    ev: {
      low: middle - Math.hypot(expected - low, sigmaStops),
      expected: middle,
      high: middle + Math.hypot(high - expected, sigmaStops),
    },
  };
}

/**
 * Light through time over the zones of a ground: daylight, lamps and shade as forecast, corrected
 * by readings. Each reading gives an offset from the forecast of its own zone and minute; together they
 * draw a field over place, time and kind of light (`field.ts`). Immutable: a new reading makes a new
 * model.
 */
export class LightModel {
  readonly zones: readonly Zone[];
  readonly readings: readonly LightReading[];
  private readonly field: OffsetField | undefined;

  /** @throws RangeError without zones, or for a reading in a zone there is none of */
  constructor({
    zones,
    readings = [],
  }: {
    readonly zones: readonly Zone[];
    readonly readings?: readonly LightReading[];
  }) {
    this.zones = nonEmpty('zones', zones);
    this.readings = readings;
    const heard = readings.map((reading) => fieldReading(this.zone(reading.zone).scene, reading));
    this.field = heard.length > 0 ? offsetField(heard) : undefined;
  }

  /** The same ground with one reading more. */
  withReading(reading: LightReading): LightModel {
    return new LightModel({ zones: this.zones, readings: [...this.readings, reading] });
  }

  /** @throws RangeError for a zone there is none of */
  zone(id: string): Zone {
    const found = this.zones.find((zone) => zone.id === id);
    if (found) return found;
    const known = this.zones.map((zone) => zone.id).join(', ');
    throw new RangeError(`zone ${id}: must be one of ${known}`);
  }

  /**
   * Light in a zone at a moment.
   * @throws RangeError for a zone there is none of, or as `lightOnSubject`
   */
  at(zoneId: string, timeMs: number): ModelledLight {
    return modelledLight(this.zone(zoneId).scene, timeMs, this.field);
  }

  /**
   * How unsure the difference between two zones is at a moment, in stops: what they share drops out.
   * Without readings the forecast is taken at its word, 0.
   */
  apartStops(zoneA: string, zoneB: string, timeMs: number): number {
    if (!this.field) return 0;
    const point = (id: string) => {
      const { scene } = this.zone(id);
      return fieldPoint(scene, lightOnSubject(scene, timeMs), timeMs);
    };
    return this.field.apartStops(point(zoneA), point(zoneB));
  }

  /** The zones as light one can ask by time, for {@link unevenness}. */
  zoneLights(): readonly ZoneLight[] {
    return this.zones.map(({ id }) => ({
      zone: id,
      evAt: (timeMs) => this.at(id, timeMs).ev.expected,
    }));
  }
}

/** Third-stop clicks from one light to another: positive where the first is brighter. */
export const clicksOff = (ev: number, baseEv: number): number =>
  Math.round((finite('ev', ev) - finite('baseEv', baseEv)) * CLICKS_PER_STOP.third) || 0;

export interface ZoneLight {
  readonly zone: string;
  readonly evAt: (timeMs: number) => number;
}

export interface Unevenness {
  readonly spreadStops: number;
  /** Third-stop clicks from the darkest zone to the brightest. */
  readonly clicks: number;
  readonly darkest: string;
  readonly brightest: string;
  /** Clicks each zone stands above the darkest, the end one sets for. */
  readonly zones: readonly {
    readonly zone: string;
    readonly ev: number;
    readonly clicks: number;
  }[];
}

/**
 * How far the light of several zones differs at a moment.
 * @throws RangeError without zones
 */
export function unevenness(zones: readonly ZoneLight[], timeMs: number): Unevenness {
  nonEmpty('zones', zones);
  const lights = zones.map(({ zone, evAt }) => ({
    zone,
    ev: finite(`ev of ${zone}`, evAt(timeMs)),
  }));
  const byLight = [...lights].sort((a, b) => a.ev - b.ev);
  const darkest = byLight[0] as (typeof lights)[number];
  const brightest = byLight.at(-1) as (typeof lights)[number];
  const clicksOver = (ev: number) => clicksOff(ev, darkest.ev);
  return {
    spreadStops: brightest.ev - darkest.ev,
    clicks: clicksOver(brightest.ev),
    darkest: darkest.zone,
    brightest: brightest.zone,
    zones: lights.map((light) => ({ ...light, clicks: clicksOver(light.ev) })),
  };
}
