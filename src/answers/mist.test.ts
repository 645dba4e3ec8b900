import { ALDER_REACH } from '@/demo/alder-reach';
import { contrastInWords, coolInWords, mistInWords } from '@/features/shoot/mist-words';
import { measuredAt, MIST_SIGNS, mistSign, WIND_SIGNS, windSign } from '@/features/light/measured';
import { typedForecast } from '@/features/light/own-forecast';
import type { Shoot } from '@/records/shoot';
import { shootSchema } from '@/records/shoot';
import { clockOf, msOf } from '@/records/times';
import { coolHours } from './cool-hours';
import { contrastLeft, mistHours, visibilityM } from './mist';
import { windMs } from './wind';

/** Sunrise at Alder Reach on that day is 05:28; the shoot goes from 05:15 to 08:30. */
const { timeZone } = ALDER_REACH.place;
const at = (hour: string) => msOf(`2027-05-08T${hour}`, timeZone);
const clock = (ms: number) => clockOf(ms, timeZone);
const BY_HAND: Shoot = {
  ...ALDER_REACH,
  light: { ...ALDER_REACH.light, skyFrom: 'hand' },
  air: { ...ALDER_REACH.air, temperatureC: 8, humidityPct: 97, windMs: 1 },
};
const typed = typedForecast(BY_HAND);
const FORECAST: Shoot = {
  ...BY_HAND,
  light: {
    ...BY_HAND.light,
    skyFrom: 'forecast',
    forecast: {
      ...typed,
      hours: typed.hours.map((hour, i) => ({
        ...hour,
        ...(i >= 2 && { humidityPct: 70, windMs: 5 }),
      })),
    },
  },
};

test('mist is asked hour by hour about sunrise: by hand it is one answer, by the forecast it lifts', () => {
  expect(mistInWords(mistHours(BY_HAND), clock)).toEqual([
    'Likely: 0.4 °C over the dew point, wind 1.0 m/s.',
  ]);
  // The forecast's hours begin at 05:00; from 07:00 the air is dry.
  expect(mistInWords(mistHours(FORECAST), clock)).toEqual([
    '05:15 to 06:15 Likely: 0.4 °C over the dew point, wind 1.0 m/s.',
    expect.stringMatching(/^07:15 to 08:15 None: the air is 5\.\d °C over the dew point\.$/),
  ]);
  const windy = { ...BY_HAND, air: { ...BY_HAND.air, windMs: 6 } };
  expect(mistInWords(mistHours(windy), clock)).toEqual(['None: wind 6.0 m/s stirs it.']);
  const evening = { ...BY_HAND, startLocal: '2027-05-08T18:00', endLocal: '2027-05-08T20:00' };
  expect(mistHours(evening)).toEqual([]);
  const roofed = { ...BY_HAND, light: { ...BY_HAND.light, indoors: true } };
  expect(mistHours(roofed)).toEqual([]);
});

test('fog of 300 m takes of 10 m an eighth of the contrast, and of what is 50 m off half', () => {
  const foggy = measuredAt(BY_HAND, at('06:00'), { visibilityKm: 0.3 });
  const view = { sight: { distanceM: 10, bearingDeg: 0, elevationDeg: 0 } };
  const back = { distanceM: 50 } as Parameters<typeof contrastLeft>[2];
  const left = contrastLeft(foggy, view, back, at('06:00'));
  // Koschmieder, by hand: e^(−3.912 · 10/300) = 0.878, e^(−3.912 · 50/300) = 0.521.
  expect(left).toEqual({ subject: expect.closeTo(0.878, 3), behind: expect.closeTo(0.521, 3) });
  expect(left && contrastInWords(left)).toBe(
    '88 % of the contrast left on it, 52 % on what is behind',
  );
  expect(contrastLeft(BY_HAND, view, back, at('06:00'))).toBeUndefined();
});

test('what one sees is kept by a press: by hand for all the hours, in a forecast for its hour and the next', () => {
  const windy = measuredAt(BY_HAND, at('06:30'), { windMs: 6.7, sky: 'overcast' });
  expect(windy.air.windMs).toBe(6.7);
  expect(windy.light).toMatchObject({ sky: 'overcast', skyFrom: 'hand' });
  const seen = measuredAt(FORECAST, at('06:30'), { windMs: 9.4, visibilityKm: 0.3, sky: 'clear' });
  const hours = seen.light.forecast?.hours ?? [];
  expect(hours.map((hour) => hour.windMs)).toEqual([1, 9.4, 9.4, 5, 5]);
  expect(hours[1]).toMatchObject({ cloudLow: 0, visibilityKm: 0.3 });
  expect(seen.light.skyFrom).toBe('forecast');
  expect(visibilityM(seen, at('06:30'))).toBe(300);
  expect(visibilityM(seen, at('05:30'))).toBeUndefined();
  expect(shootSchema.safeParse(seen).success).toBe(true);
  expect(shootSchema.safeParse(windy).success).toBe(true);
  // The wind that sways a twig is the strongest of the shoot's own hours.
  expect(windMs(seen)).toBe(9.4);
  expect(windMs(FORECAST)).toBe(5);
  const night = {
    ...FORECAST,
    light: {
      ...FORECAST.light,
      forecast: {
        ...typed,
        hours: [
          ...typed.hours,
          { ...typed.hours[0], time: '2027-05-09T03:00:00.000Z', windMs: 30 },
        ],
      },
    },
  } as Shoot;
  expect(windMs(night)).toBe(1);
});

test('a simulated forecast is put aside by what is seen', () => {
  const { from: _from, ...made } = typed;
  const simulated: Shoot = {
    ...BY_HAND,
    light: {
      ...BY_HAND.light,
      skyFrom: 'forecast',
      forecast: { ...made, simulated: true, weather: 'mist' },
    },
  };
  const seen = measuredAt(simulated, at('06:30'), { windMs: 2.5 });
  expect(seen.light.skyFrom).toBe('hand');
  expect(seen.light.forecast).toEqual(simulated.light.forecast);
  expect(seen.air.windMs).toBe(2.5);
});

test('each sign is found again from its own figure', () => {
  for (const sign of WIND_SIGNS) expect(windSign(sign.windMs)).toBe(sign.value);
  for (const { value, visibilityKm } of MIST_SIGNS) {
    expect(mistSign(measuredAt(BY_HAND, at('06:00'), { visibilityKm }), at('06:00'))).toBe(value);
  }
  expect(windSign(0)).toBe('still');
  expect(mistSign(BY_HAND, at('06:00'))).toBe('clear');
});

test('butterflies sit in the cool and still hours, and nothing is said where none is met', () => {
  expect(coolHours(BY_HAND)).toEqual([]);
  const met = (shoot: Shoot): Shoot => ({
    ...shoot,
    marks: shoot.marks.map((mark) => ({ ...mark, subjectId: 'butterfly-flower' })),
  });
  const said = (shoot: Shoot) => coolInWords(coolHours(met(shoot)), clock);
  expect(said(BY_HAND)).toBe('Cool and still, so that they sit, through all the hours.');
  // 8 °C; from 07:00 the forecast has 5 m/s.
  expect(said(FORECAST)).toBe('Cool and still, so that they sit: 05:15 to 06:15.');
  const warm = { ...BY_HAND, air: { ...BY_HAND.air, temperatureC: 17 } };
  expect(said(warm)).toMatch(/^Too warm or too windy/);
});
