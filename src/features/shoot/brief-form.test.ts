import { DEMO_SHOOTS } from '@/demo';
import type { Shoot } from '@/records/shoot';
import {
  briefFormSchema,
  briefOf,
  formOf,
  lastDayInWords,
  zoneWritten,
  type BriefForm,
} from './brief-form';
import { withBrief } from '@/features/brief/with-brief';
import { numberWritten } from '@/ui/numbers';

const good: BriefForm = {
  template: 'field-hockey',
  title: 'Cup final',
  placeName: '',
  latitude: '53.12',
  longitude: '-1,87',
  bearing: '12°',
  date: '2027-04-16',
  start: '18:30',
  moreDays: 0,
  end: '20:45',
};

const problems = (change: Partial<BriefForm>): string[] => {
  const parsed = briefFormSchema.safeParse({ ...good, ...change });
  return parsed.success
    ? []
    : parsed.error.issues.map(({ path, message }) => `${String(path[0])}: ${message}`);
};

test('a form as people write it is taken', () => {
  expect(problems({})).toEqual([]);
  expect(briefOf(good)).toEqual({
    title: 'Cup final',
    template: 'field-hockey',
    latitudeDeg: 53.12,
    longitudeDeg: -1.87,
    timeZone: 'Europe/London',
    bearingDeg: 12,
    startLocal: '2027-04-16T18:30',
    endLocal: '2027-04-16T20:45',
  });
});

test.each([
  [{ title: '   ' }, 'title: the title is empty'],
  [{ title: 'x'.repeat(121) }, 'title: the title is over 120'],
  [{ latitude: '95' }, 'latitude: latitude must be a number from -90 to 90'],
  [{ latitude: '' }, 'latitude: latitude must'],
  [{ longitude: 'west' }, 'longitude: longitude must'],
  [{ bearing: '360' }, 'bearing: bearing must'],
  [{ date: 'soonish' }, 'date: write the day such as'],
  [{ date: 'May 2027' }, 'date: May 2027 is understood; the day is missing'],
  [{ date: '2027-02-30' }, 'date: read as 30 February 2027: there is no such day'],
  [{ start: '25:00' }, 'start: there is no hour 25'],
  [{ start: '7' }, 'start: 7 is understood as the hour'],
  [{ end: '18:30' }, 'end: the end is the start, 18:30'],
  // The night of 28 March 2027 has no hour from 01:00 to 02:00 there.
  [{ date: '2027-03-28', start: '01:10', end: '02:05' }, 'end: clocks change that night'],
])('%p is refused in words', (change, words) => {
  expect(problems(change)).toEqual([expect.stringContaining(words)]);
});

test.each([
  ['52.1', 52.1],
  [' −1,5° ', -1.5],
  ['', NaN],
  ['1e999', Infinity],
  ['0x10', 16],
])('%p is the number %d', (text, value) => {
  expect(numberWritten(text)).toBe(value);
});

test.each([
  ['-33.87', '151.21', 'Australia/Sydney'],
  ['64.15', '-21.94', 'Atlantic/Reykjavik'],
  ['91', '0', undefined],
  ['', '', undefined],
])('at %s, %s the clocks are those of %s', (latitude, longitude, zone) => {
  expect(zoneWritten(latitude, longitude)).toBe(zone);
});

test('days and times are taken in every usual form', () => {
  const typed = { ...good, date: '16 April 2027', start: '6:30 pm', end: '20.45' };
  expect(problems(typed)).toEqual([]);
  expect(briefOf(typed)).toMatchObject({
    startLocal: '2027-04-16T18:30',
    endLocal: '2027-04-16T20:45',
  });
  expect(() => briefOf({ ...good, date: 'x' })).toThrow(/must be a day and hours/);
});

test('a place keeps its name while it stays where it is', () => {
  const [larkmoor] = DEMO_SHOOTS as [Shoot];
  const named = { ...larkmoor, place: { ...larkmoor.place, name: 'Larkmoor' } };
  expect(withBrief(named, { ...formOf(named), title: 'Other' }).place.name).toBe('Larkmoor');
  expect(withBrief(named, { ...formOf(named), latitude: '10' }).place.name).toBeUndefined();
  const moved = { ...formOf(named), latitude: '10', placeName: 'Elsewhere' };
  expect(withBrief(named, moved).place.name).toBe('Elsewhere');
});

test('a shoot fills the form that would make it', () => {
  const [larkmoor] = DEMO_SHOOTS as [Shoot];
  const brief = briefOf(formOf(larkmoor));
  expect(brief).toMatchObject({
    title: larkmoor.title,
    startLocal: larkmoor.startLocal,
    bearingDeg: 12,
  });
});

test('an end before the start is on the next day, and the form says which', () => {
  const night = { ...good, start: '22:00', end: '04:30' };
  expect(problems(night)).toEqual([]);
  expect(briefOf(night).endLocal).toBe('2027-04-17T04:30');
  expect(lastDayInWords(night)).toBe('Ends on Saturday 17 April 2027.');
  expect(lastDayInWords(good)).toBeUndefined();
  expect(lastDayInWords({ ...good, end: 'x' })).toBeUndefined();
});

test.each([
  ['2027-04-16T18:30', '2027-04-17T01:15'],
  ['2027-04-16T18:30', '2027-04-18T20:45'],
  ['2027-04-16T18:30', '2027-04-18T09:00'],
  ['2027-10-31T00:40', '2027-10-31T01:20'],
])('a shoot from %s to %s is saved as it is', (startLocal, endLocal) => {
  const [larkmoor] = DEMO_SHOOTS as [Shoot];
  const shoot = { ...larkmoor, startLocal, endLocal, atLocal: startLocal };
  expect(briefFormSchema.safeParse(formOf(shoot)).success).toBe(true);
  expect(withBrief(shoot, formOf(shoot))).toMatchObject({ startLocal, endLocal });
});

test('moved to another date, the order of the day and what nature does go along', () => {
  const tern = DEMO_SHOOTS[2] as Shoot;
  const moved = withBrief(tern, { ...formOf(tern), date: '2027-07-03' });
  expect(moved.startLocal.slice(0, 10)).toBe('2027-07-03');
  expect(new Set(moved.events.map(({ startLocal }) => startLocal.slice(0, 10)))).toEqual(
    new Set(['2027-07-03']),
  );
  expect(moved.atLocal.slice(0, 10)).toBe('2027-07-03');
  const forecast = {
    ...tern,
    light: { ...tern.light, forecast: {} as never, skyFrom: 'forecast' as const },
  };
  const later = withBrief(forecast, { ...formOf(tern), date: '2027-07-03' });
  expect(later.light).toMatchObject({ skyFrom: 'hand' });
  expect(later.light.forecast).toBeUndefined();
  expect(withBrief(forecast, formOf(tern)).light.forecast).toBeDefined();
});

test('a zone follows from coordinates on the globe, and from no others', () => {
  expect(zoneWritten('53.12', '-1.87')).toBe('Europe/London');
  expect(zoneWritten('-89.9', '179.9')).toBeDefined();
  for (const [latitude, longitude] of [
    ['90.1', '0'],
    ['-90.1', '0'],
    ['0', '180.1'],
    ['0', '-181'],
    ['north', '0'],
  ] as const) {
    expect(zoneWritten(latitude, longitude)).toBeUndefined();
  }
});
