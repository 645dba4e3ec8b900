import { DEMO_SHOOTS } from '@/demo';
import { subjectById } from '@/presets/find';
import type { Forecast } from '@/records/forecast';
import type { Shoot } from '@/records/shoot';
import { personInWords, shotInWords, subjectInWords } from '@/features/shoot/brief-words';
import { cautionTags, cautionsOf } from '@/features/shoot/caution-tags';

const [larkmoor, alder] = DEMO_SHOOTS as [Shoot, Shoot, Shoot];

const weather = (shoot: Shoot, hour: Partial<Forecast['hours'][number]>): Shoot => ({
  ...shoot,
  light: {
    ...shoot.light,
    skyFrom: 'forecast',
    forecast: {
      version: 1,
      simulated: true,
      weather: 'settled',
      latitudeDeg: shoot.place.latitudeDeg,
      longitudeDeg: shoot.place.longitudeDeg,
      date: shoot.startLocal.slice(0, 10),
      hours: ['17', '18'].map((at) => ({
        time: `${shoot.startLocal.slice(0, 10)}T${at}:00:00.000Z`,
        cloudLow: 0,
        cloud: 0,
        cloudHigh: 0,
        windMs: 2,
        temperatureC: 15,
        humidityPct: 50,
        rainMmH: 0,
        visibilityKm: 20,
        ...hour,
      })),
    },
  },
});
const on = (shoot: Shoot, date: string): Shoot => ({
  ...shoot,
  startLocal: `${date}T18:30`,
  endLocal: `${date}T20:45`,
});

describe('what to take care of', () => {
  test('by the forecast: heat, cold and thunder', () => {
    const tags = (hour: Parameters<typeof weather>[1]) => cautionTags(weather(larkmoor, hour));
    expect(tags({})).not.toEqual(expect.arrayContaining(['heat']));
    // 90 °F at 70 % feels like 105.9 °F, 41 °C (NWS).
    expect(tags({ temperatureC: 32.2, humidityPct: 70 })).toContain('heat');
    expect(tags({ temperatureC: 6, windMs: 10 })).toContain('cold');
    expect(tags({ temperatureC: 6, windMs: 0.5 })).not.toContain('cold');
    expect(tags({ rainMmH: 3 })).toContain('storm');
  });
  test('by the weather set by hand, and by thunder heard', () => {
    const tags = (air: Partial<Shoot['air']>) =>
      cautionTags({ ...larkmoor, air: { ...larkmoor.air, ...air } });
    expect(tags({ temperatureC: 32.2, humidityPct: 70 })).toContain('heat');
    expect(tags({ temperatureC: -3 })).toContain('cold');
    expect(tags({ thunderLocal: '2027-04-16T19:00' })).toContain('storm');
    expect(tags({})).not.toEqual(expect.arrayContaining(['storm']));
  });
  test('by the season, on either half of the earth', () => {
    expect(cautionTags(on(larkmoor, '2027-07-10'))).toContain('storm');
    expect(cautionTags(on(larkmoor, '2027-12-10'))).not.toContain('storm');
    const south = { ...larkmoor, place: { ...larkmoor.place, latitudeDeg: -35 } };
    expect(cautionTags(on(south, '2027-12-10'))).toContain('storm');
    expect(cautionTags(on(alder, '2027-05-08'))).toContain('nest');
    expect(
      cautionTags(on({ ...alder, ground: { ...alder.ground, template: 'blank' } }, '2027-10-08')),
    ).not.toContain('nest');
  });
  test('by technique and by what is forbidden; nothing of the sky under a roof', () => {
    expect(cautionTags(larkmoor)).toEqual(
      expect.arrayContaining(['panning', 'sun', 'flash', 'drone']),
    );
    const hall = {
      ...weather(larkmoor, { rainMmH: 3 }),
      light: { ...larkmoor.light, indoors: true },
    };
    expect(cautionTags(hall)).not.toEqual(expect.arrayContaining(['storm']));
    expect(cautionTags({ ...larkmoor, shots: [] })).not.toContain('panning');
  });
  test('each is shown once', () => {
    const ids = cautionsOf(alder).map(({ id }) => id);
    expect(new Set(ids).size).toBe(ids.length);
  });
});

test('shots, people and subjects are said in one line', () => {
  const [shot] = larkmoor.shots;
  expect(shot && shotInWords(shot)).toBe('Must · 3 owed · Freeze, stick tip sharp');
  expect(
    personInWords({ id: 'a', name: 'A', lane: 4, cap: 'red', breathes: 'left', hand: 'right' }),
  ).toBe('lane 4, red cap, breathes to the left, right hand');
  expect(subjectInWords(subjectById('field-player'))).toBe(
    '1.75 m tall, 7.0 m/s; hand to 11.2 m/s, foot to 14.0 m/s',
  );
});
