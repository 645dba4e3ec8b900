import { heatIndex, windChill } from '@/core';
import { cautionsFor, type Caution, type CautionTag } from '@/presets/cautions';
import { groundById } from '@/presets/grounds';
import { airThrough } from '@/records/air';
import { subjectOf } from '@/records/own-subject';
import type { Shoot } from '@/records/shoot';

/** From these on it is hot or cold enough to say so. Common practice, no source. */
const HOT_C = 30;
const COLD_C = 4;
/** Months of thunder by halves of the earth, and of breeding birds. Common practice, no source. */
const SUMMER: readonly number[] = [5, 6, 7, 8, 9];
const SPRING: readonly number[] = [3, 4, 5, 6, 7];
const HALF_A_YEAR = 6;

type CautionedShoot = Pick<
  Shoot,
  | 'ground'
  | 'marks'
  | 'subjects'
  | 'shots'
  | 'brief'
  | 'light'
  | 'place'
  | 'startLocal'
  | 'endLocal'
  | 'air'
  | 'features'
>;

/** The month as the northern half of the earth would call it. */
function northernMonth({ startLocal, place }: Pick<Shoot, 'startLocal' | 'place'>): number {
  const month = Number(startLocal.slice(5, 7));
  return place.latitudeDeg >= 0 ? month : ((month - 1 + HALF_A_YEAR) % 12) + 1;
}

function weatherTags(shoot: CautionedShoot): readonly CautionTag[] {
  const { hours } = airThrough(shoot);
  const felt = hours.map(({ temperatureC, humidityPct, windMs }) => ({
    hot:
      temperatureC >= 20
        ? heatIndex({ temperatureC, relativeHumidityPct: humidityPct })
        : temperatureC,
    cold: temperatureC <= 10 ? windChill({ temperatureC, windKmh: windMs * 3.6 }) : temperatureC,
  }));
  return [
    ...(felt.some(({ hot }) => hot >= HOT_C) ? (['heat'] as const) : []),
    ...(felt.some(({ cold }) => cold <= COLD_C) ? (['cold'] as const) : []),
    ...(shoot.air.thunderLocal || hours.some(({ rainMmH }) => rainMmH >= 0.5)
      ? (['storm'] as const)
      : []),
  ];
}

/**
 * What one has to take care of: by ground, subjects, season, weather, techniques and what is
 * forbidden.
 */
export function cautionTags(shoot: CautionedShoot): readonly CautionTag[] {
  const { ground, marks, light, brief, shots, features } = shoot;
  const outdoors = !light.indoors;
  const month = northernMonth(shoot);
  const subjects = marks.map(({ subjectId }) => subjectOf(shoot, subjectId));
  const ofSubjects = subjects.flatMap(({ cautions = [] }) => cautions);
  const wild = ofSubjects.includes('wildlife');
  return [
    ...groundById(ground.template).cautions,
    // Nests are a matter of the season: out of it only dens and roosts are.
    ...ofSubjects.filter((tag) => tag !== 'nest' || SPRING.includes(month)),
    ...(shots.some(({ technique }) => technique === 'pan') ? (['panning'] as const) : []),
    ...(shots.some(({ technique, light: wish }) => technique === 'silhouette' || wish === 'back') &&
    outdoors
      ? (['sun'] as const)
      : []),
    ...(outdoors && SUMMER.includes(month) ? (['storm'] as const) : []),
    ...(outdoors ? weatherTags(shoot) : []),
    ...(ground.surface === 'snow' || ground.surface === 'ice' ? (['cold'] as const) : []),
    ...(features.some(({ kind }) => kind === 'water') ? (['water'] as const) : []),
    ...(wild ? (['field'] as const) : []),
    ...brief.forbidden.flatMap((what): readonly CautionTag[] =>
      what === 'flash'
        ? ['flash']
        : what === 'drone'
          ? ['drone']
          : what === 'children'
            ? ['children']
            : [],
    ),
  ];
}

/** Cautions that apply to a shoot, each once. */
export const cautionsOf = (shoot: CautionedShoot): readonly Caution[] =>
  cautionsFor(cautionTags(shoot));
