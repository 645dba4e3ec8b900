import { finite, nonEmpty } from '../check';
import { CLICKS_PER_STOP } from '../quantity/scales';
import {
  combineOffsets,
  FORECAST_SIGMA_STOPS,
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

/** Readings fade with time by these hours, with distance by metres. Common practice, no source. */
const FADES_AFTER_HOURS: Readonly<Record<LightKind, number>> = {
  sun: 1.5,
  shade: 1,
  overcast: 0.5,
  twilight: 0.5,
  lamps: 200,
};
const FADES_AFTER_M = 60;
/** What a reading of one kind of light says about another. */
const OTHER_KIND_SHARE = 0.15;

const MS_PER_HOUR = 3_600_000;

/**
 * Light through time over the zones of a ground: daylight, lamps and shade as forecast, corrected
 * by readings. Each reading gives an offset from the forecast of its own zone and minute; offsets
 * count by how sure the reading is, how recent, how near, and whether the same kind of light was
 * measured. Immutable: a new reading makes a new model.
 */
export class LightModel {
  readonly zones: readonly Zone[];
  readonly readings: readonly LightReading[];
  private readonly heard: readonly (LightReading & {
    readonly offsetStops: number;
    readonly kind: LightKind;
    readonly scene: LitScene;
  })[];

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
    this.heard = readings.map((reading) => {
      const { scene } = this.zone(reading.zone);
      const forecast = lightOnSubject(scene, reading.timeMs);
      return {
        ...reading,
        scene,
        kind: lightKind(forecast),
        offsetStops: finite('reading.ev', reading.ev) - forecast.ev.expected,
      };
    });
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
    const { scene } = this.zone(zoneId);
    const forecast = lightOnSubject(scene, timeMs);
    const kind = lightKind(forecast);
    const { offsetStops, sigmaStops } = combineOffsets(
      this.heard.map((reading) => {
        const hours = Math.abs(timeMs - reading.timeMs) / MS_PER_HOUR;
        const apartM = Math.hypot(
          scene.target.x - reading.scene.target.x,
          scene.target.y - reading.scene.target.y,
        );
        const says =
          Math.exp(-hours / FADES_AFTER_HOURS[kind]) *
          Math.exp(-apartM / FADES_AFTER_M) *
          (reading.kind === kind ? 1 : OTHER_KIND_SHARE);
        return { offsetStops: reading.offsetStops, weight: says / reading.sigmaStops ** 2 };
      }),
      FORECAST_SIGMA_STOPS[kind],
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
