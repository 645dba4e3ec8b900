import { DEMO_SHOOTS } from '@/demo';
import type { Shoot } from '@/records/shoot';
import { briefFormSchema, briefOf, formOf, zoneWritten, type BriefForm } from './brief-form';
import { numberWritten } from '@/ui/numbers';

const good: BriefForm = {
  template: 'field-hockey',
  title: 'Cup final',
  latitude: '53.12',
  longitude: '-1,87',
  bearing: '12°',
  date: '2027-04-16',
  start: '18:30',
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
  [{ date: '16.4.2027' }, 'date: write the date'],
  [{ date: '2027-02-30' }, 'date: there is no such day'],
  [{ start: '25:00' }, 'start: write the time'],
  [{ end: '18:30' }, 'end: the end must be after the start, 18:30'],
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

test('a shoot fills the form that would make it', () => {
  const [larkmoor] = DEMO_SHOOTS as [Shoot];
  const brief = briefOf(formOf(larkmoor));
  expect(brief).toMatchObject({
    title: larkmoor.title,
    startLocal: larkmoor.startLocal,
    bearingDeg: 12,
  });
});
