import { ALDER_REACH } from '@/demo/alder-reach';
import { weatherOf } from '@/features/kit/weather';
import type { Shoot } from '@/records/shoot';
import { msOf } from '@/records/times';
import { dewOf } from './dew';

const zone = ALDER_REACH.place.timeZone;
const night = (light: Partial<Shoot['light']> = {}): Shoot => {
  const { forecast: _forecast, ...rest } = ALDER_REACH.light;
  return {
    ...ALDER_REACH,
    ...{ startLocal: '2027-05-08T00:00', endLocal: '2027-05-08T07:00' },
    air: { ...ALDER_REACH.air, temperatureC: 8, humidityPct: 90, kitC: 8 },
    light: { ...rest, skyFrom: 'hand', sky: 'clear', ...light },
  };
};

test('an open lens is wet through a clear damp night, and dries after sunrise', () => {
  const [span, ...more] = dewOf(night());
  expect(more).toEqual([]);
  // Half an hour of cooling; sunrise is at about 05:20 (a table's value, from memory).
  expect(span?.fromMs).toBeLessThan(msOf('2027-05-08T00:40', zone));
  expect(span?.toMs).toBeGreaterThan(msOf('2027-05-08T05:10', zone));
  expect(span?.toMs).toBeLessThan(msOf('2027-05-08T06:10', zone));
});

test('not under cloud, leaves or a roof', () => {
  expect(dewOf(night({ sky: 'overcast' }))).toEqual([]);
  expect(dewOf(night({ canopyShare: 0.05 }))).toEqual([]);
  expect(dewOf(night({ indoors: true }))).toEqual([]);
});

test('it is told with its hours, and rain by the hour', () => {
  const { notes } = weatherOf(night());
  expect(notes.find(({ id }) => id === 'dew')?.head).toMatch(
    /^Dew on an open lens 00:\d\d to 05:\d\d$/,
  );
  const hour = (time: string, rainMmH: number) => ({
    ...{ time, temperatureC: 9, humidityPct: 60, windMs: 1 },
    ...{ rainMmH, cloud: 1, cloudLow: 1, cloudHigh: 0 },
  });
  const forecast = {
    ...(ALDER_REACH.light.forecast as NonNullable<Shoot['light']['forecast']>),
    hours: [
      hour('2027-05-08T04:00:00.000Z', 0),
      hour('2027-05-08T05:00:00.000Z', 0.4),
      hour('2027-05-08T06:00:00.000Z', 1.2),
      hour('2027-05-08T07:00:00.000Z', 0),
    ],
  };
  const wet = { ...ALDER_REACH, endLocal: '2027-05-08T08:30' };
  const told = weatherOf({ ...wet, light: { ...wet.light, skyFrom: 'forecast', forecast } });
  expect(told.notes.find(({ id }) => id === 'rain')?.why).toMatch(
    /^06:00 to 08:00 up to 1\.2 mm\. .* Afterwards dry it out of its bag/,
  );
});
