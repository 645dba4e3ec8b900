import {
  COLD_HANDS_C,
  FROSTBITE_C,
  heatBand,
  heatIndex,
  lensFog,
  LIGHTNING_WAIT_MINUTES,
  safeAfterThunder,
  waterLitres,
  windChill,
} from '@/core';
import { dewOf } from '@/answers/dew';
import { runsOf } from '@/answers/runs';
import type { Air } from '@/records/day';
import { airThrough, type AirHour as Hour } from '@/records/air';
import { itemsOf } from '@/records/kit';
import type { Shoot } from '@/records/shoot';
import { hoursOf, msOf, clockOf } from '@/records/times';
import { degrees } from '@/ui/units';

/** Weather on kit and on people through a shoot. */

/** What the weather asks for, and why. */
export interface WeatherNote {
  readonly id: 'fog' | 'dew' | 'indoors' | 'rain' | 'heat' | 'cold' | 'water' | 'lightning';
  readonly head: string;
  readonly why: string;
  /** Something to see to before leaving, or to stop for. */
  readonly act: boolean;
}

export interface Weather {
  readonly from: 'forecast' | 'hand';
  readonly coldestC: number;
  readonly heatIndexC: number;
  readonly windChillC: number;
  readonly rains: boolean;
  readonly fogs: boolean;
  /** Cold kit brought into a warm room at the end gathers water. */
  readonly fogsIndoors: boolean;
  readonly waterL: number;
  readonly notes: readonly WeatherNote[];
}

const HOUR_MS = 3_600_000;
const KMH_PER_MS = 3.6;

/** A room that one comes home to. Common practice, no source. */
const ROOM = { temperatureC: 20, relativeHumidityPct: 50 };

/** "1 litre", "2.5 litres". */
export const litres = (count: number): string => `${count} ${count === 1 ? 'litre' : 'litres'}`;

const minutes = (value: number): string =>
  value === Infinity ? 'for as long as the air is so damp' : `for ${Math.ceil(value)} minutes`;

function fogNote({ kitC }: Air, first: Hour): WeatherNote & { readonly fogs: boolean } {
  const { temperatureC, humidityPct } = first;
  const fog = lensFog({ lensC: kitC, temperatureC, relativeHumidityPct: humidityPct });
  return {
    id: 'fog',
    fogs: fog.fogs,
    act: fog.fogs,
    head: fog.fogs
      ? `The lens fogs ${minutes(fog.clearInMinutes)}`
      : 'The lens stays clear as you arrive',
    why: `Kit at ${degrees(kitC)}, dew point ${degrees(fog.dewPointC)}${fog.fogs ? ': leave it in the open, closed up, until it has warmed; keep the mirror cloth dry' : ''}.`,
  };
}

function indoorsNote(last: Hour): WeatherNote & { readonly fogs: boolean } {
  const lensC = Math.max(-60, last.temperatureC);
  const fog = lensFog({ lensC, ...ROOM });
  return {
    id: 'indoors',
    fogs: fog.fogs,
    act: fog.fogs,
    head: fog.fogs ? 'Going in: seal the kit in a bag first' : 'Going in needs no care',
    why: fog.fogs
      ? `At ${degrees(last.temperatureC)} it would gather water in a warm room ${minutes(fog.clearInMinutes)}: leave it shut in its bag that long.`
      : `At ${degrees(last.temperatureC)} it stays above the dew point of a warm room.`,
  };
}

/** "Dew on the lens 02:10 to 05:40", where there is any. */
function dewNotes(shoot: Parameters<typeof dewOf>[0]): readonly WeatherNote[] {
  const { timeZone } = shoot.place;
  const spans = dewOf(shoot).map(
    ({ fromMs, toMs }) => `${clockOf(fromMs, timeZone)} to ${clockOf(toMs, timeZone)}`,
  );
  return spans.length === 0
    ? []
    : [
        {
          ...{ id: 'dew', act: true, head: `Dew on an open lens ${spans.join(', ')}` },
          why: 'Under a clear night sky it cools below the air: hood on, a cloth over it between pictures, a warm pack at the hood. Wipe it dry, never breathe on it.',
        },
      ];
}

/** "06:00 to 08:00, up to 1.2 mm an hour": the runs of hours in which it rains. */
function rainByTheHour(hours: readonly Hour[], timeZone: string): string {
  const timed = hours.flatMap(({ time, rainMmH }) =>
    time === undefined ? [] : [{ atMs: Date.parse(time), rainMmH }],
  );
  return runsOf(timed, (a, b) => a.rainMmH > 0 === b.rainMmH > 0)
    .filter(({ first }) => first.rainMmH > 0)
    .map(({ first, last }) => {
      const run = timed.filter(({ atMs }) => atMs >= first.atMs && atMs <= last.atMs);
      const most = Math.max(...run.map(({ rainMmH }) => rainMmH));
      return `${clockOf(first.atMs, timeZone)} to ${clockOf(last.atMs + HOUR_MS, timeZone)} up to ${most.toFixed(1)} mm`;
    })
    .join(', ');
}

function rainNote(kit: Shoot['kit'], hours: readonly Hour[], timeZone: string): WeatherNote {
  const mostMmH = Math.max(...hours.map(({ rainMmH }) => rainMmH));
  const byTheHour = rainByTheHour(hours, timeZone);
  const bare = [...itemsOf(kit, 'body'), ...itemsOf(kit, 'lens')].filter(({ sealed }) => !sealed);
  const cover = itemsOf(kit, 'other').some(({ use }) => use === 'rainCover');
  const rains = mostMmH > 0;
  return {
    id: 'rain',
    act: rains && (!cover || bare.length > 0),
    head: rains ? `Rain, up to ${mostMmH.toFixed(1)} mm an hour` : 'Dry',
    why: !rains
      ? 'A cover weighs little all the same.'
      : `${byTheHour ? `${byTheHour}. ` : ''}${cover ? 'The rain cover is in the bag' : 'There is no rain cover in the bag'}${
          bare.length > 0 ? `; not sealed: ${bare.map(({ name }) => name).join(', ')}` : ''
        }. Afterwards dry it out of its bag before it is shut in for the night.`,
  };
}

/** Weather on kit and people. Officials, forecasters and doctors come first. */
export function weatherOf(
  shoot: Pick<Shoot, 'air' | 'light' | 'kit' | 'place' | 'startLocal' | 'endLocal'>,
): Weather {
  const { hours, from } = airThrough(shoot);
  const [first, last] = [hours[0] ?? shoot.air, hours.at(-1) ?? shoot.air];
  const { startMs, endMs } = hoursOf(shoot);
  const coldestC = Math.min(...hours.map(({ temperatureC }) => temperatureC));
  const heatIndexC = Math.max(
    ...hours.map(({ temperatureC, humidityPct }) =>
      heatIndex({
        temperatureC: Math.max(-45, temperatureC),
        relativeHumidityPct: humidityPct,
      }),
    ),
  );
  const windChillC = Math.min(
    ...hours.map(({ temperatureC, windMs }) =>
      windChill({ temperatureC, windKmh: windMs * KMH_PER_MS }),
    ),
  );
  const mostMmH = Math.max(...hours.map(({ rainMmH }) => rainMmH));
  const fog = fogNote(shoot.air, first);
  const indoors = indoorsNote(last);
  const band = heatBand(heatIndexC);
  const cold = windChillC < COLD_HANDS_C;
  const waterL = waterLitres(heatIndexC, (endMs - startMs) / HOUR_MS);
  const { thunderLocal } = shoot.air;
  const { timeZone } = shoot.place;
  const notes: readonly WeatherNote[] = [
    ...(thunderLocal
      ? [
          {
            id: 'lightning' as const,
            act: true,
            head: `Stay inside until ${clockOf(safeAfterThunder(msOf(thunderLocal, timeZone)), timeZone)}`,
            why: `Thunder at ${thunderLocal.slice(11)}: ${LIGHTNING_WAIT_MINUTES} minutes from the last of it. Officials decide.`,
          },
        ]
      : []),
    ...(band === 'none'
      ? []
      : [
          {
            id: 'heat' as const,
            act: true,
            head: `Heat: ${band}, feels like ${degrees(heatIndexC)}`,
            why: 'Shade between events, a hat, someone who knows where you are. Stop at the first headache or shiver.',
          },
        ]),
    ...(cold
      ? [
          {
            id: 'cold' as const,
            act: true,
            head: `Cold: feels like ${degrees(windChillC)}`,
            why:
              windChillC <= FROSTBITE_C
                ? 'Bare skin freezes within half an hour: cover it, and warm hands in turns.'
                : 'Thin gloves under warm ones; bare fingers fail at the dials first.',
          },
        ]
      : []),
    fog,
    indoors,
    ...dewNotes(shoot),
    rainNote(shoot.kit, hours, timeZone),
    {
      id: 'water',
      act: false,
      head: `Water: ${litres(waterL)}`,
      why: 'For these hours in this warmth. Common practice; drink before you are thirsty.',
    },
  ];
  return {
    from,
    coldestC,
    heatIndexC,
    windChillC,
    rains: mostMmH > 0,
    fogs: fog.fogs,
    fogsIndoors: indoors.fogs,
    waterL,
    notes,
  };
}
