import { createEvents, type EventAttributes } from 'ics';
import nodeIcal, { type VEvent } from 'node-ical';
import { TERN_WATER } from '@/demo/tern-water';
import { startOf } from '@/records/edit-events';
import { msOf } from '@/records/times';
import { readCalendar, writeCalendar, type CalendarEvent } from './order-ics';

const WHEN = { days: ['2027-06-19', '2027-06-19'], timeZone: 'Europe/London' } as const;
const STAMP_MS = Date.UTC(2027, 0, 1);

function eventsOf(text: string, when: Parameters<typeof readCalendar>[1] = WHEN) {
  const read = readCalendar(text, when);
  if (!read.ok) throw new Error(read.reason);
  return read;
}
const reason = (text: string): string => {
  const read = readCalendar(text, WHEN);
  return read.ok ? 'read' : read.reason;
};
const brief = ({ name, startLocal, durationMin }: CalendarEvent) => [name, startLocal, durationMin];
const calendar = (...lines: string[]): string =>
  ['BEGIN:VCALENDAR', 'VERSION:2.0', 'PRODID:-//someone//else//EN', ...lines, 'END:VCALENDAR'].join(
    '\r\n',
  );
const vevent = (...lines: string[]): string[] => [
  'BEGIN:VEVENT',
  'UID:a@b',
  ...lines,
  'END:VEVENT',
];

test('a calendar written by another library (ics) is read right', () => {
  const attributes: EventAttributes[] = [
    {
      title: 'Heat 1; juniors, "B" crews',
      start: Date.UTC(2027, 5, 19, 9, 0),
      startInputType: 'utc',
      startOutputType: 'utc',
      duration: { minutes: 12 },
    },
    {
      title: 'Local time, no zone',
      start: [2027, 6, 19, 11, 30],
      startInputType: 'local',
      startOutputType: 'local',
      end: [2027, 6, 19, 12, 0],
      endInputType: 'local',
      endOutputType: 'local',
    },
    {
      title: 'Another day',
      start: Date.UTC(2027, 5, 21, 9, 0),
      startInputType: 'utc',
      duration: { hours: 1 },
    },
    { title: 'Camping', start: [2027, 6, 19], end: [2027, 6, 20] },
  ];
  const { error, value } = createEvents(attributes);
  if (error || !value) throw error ?? new Error('nothing written');
  const read = eventsOf(value);
  // ics turns local times into those of the machine that writes: compared as it wrote them.
  const local = /DTSTART:(\d{8}T\d{6})\r/.exec(value)?.[1];
  expect(read.events.map(brief)).toEqual([
    ['Heat 1; juniors, "B" crews', '2027-06-19T10:00', 12],
    [
      'Local time, no zone',
      `2027-06-19T${local?.slice(9, 11) ?? ''}:${local?.slice(11, 13) ?? ''}`,
      30,
    ],
  ]);
  expect([read.elsewhere, read.allDay]).toEqual([1, 1]);
});

test('zones: one of the world’s, one the calendar describes itself, and none', () => {
  const own = [
    'BEGIN:VTIMEZONE',
    'TZID:Committee time',
    'BEGIN:STANDARD',
    'DTSTART:19700101T000000',
    'TZOFFSETFROM:+0300',
    'TZOFFSETTO:+0300',
    'END:STANDARD',
    'END:VTIMEZONE',
  ];
  const { events } = eventsOf(
    calendar(
      ...own,
      ...vevent('SUMMARY:Berlin', 'DTSTART;TZID=Europe/Berlin:20270619T120000', 'DURATION:PT5M'),
      ...vevent('SUMMARY:Own', 'DTSTART;TZID=Committee time:20270619T140000', 'DURATION:PT5M'),
      ...vevent('SUMMARY:Floating', 'DTSTART:20270619T120000', 'DURATION:PT5M'),
      ...vevent('SUMMARY:Zulu', 'DTSTART:20270619T120000Z', 'DTEND:20270619T121000Z'),
    ),
  );
  // London is an hour ahead of UTC in June, Berlin two.
  expect(events.map(brief)).toEqual([
    ['Berlin', '2027-06-19T11:00', 5],
    ['Own', '2027-06-19T12:00', 5],
    ['Floating', '2027-06-19T12:00', 5],
    ['Zulu', '2027-06-19T13:00', 10],
  ]);
});

test('repeats are followed, with those left out and those changed', () => {
  const { events } = eventsOf(
    calendar(
      ...vevent(
        'SUMMARY:Feeding',
        'DTSTART:20270614T083000',
        'DURATION:PT20M',
        'RRULE:FREQ=DAILY;COUNT=9',
        'EXDATE:20270620T083000',
      ),
      ...vevent(
        'SUMMARY:Feeding, late',
        'RECURRENCE-ID:20270619T083000',
        'DTSTART:20270619T091500',
        'DURATION:PT10M',
      ),
    ),
    { days: ['2027-06-18', '2027-06-20'], timeZone: 'Europe/London' },
  );
  expect(events.map(brief)).toEqual([
    ['Feeding', '2027-06-18T08:30', 20],
    ['Feeding, late', '2027-06-19T09:15', 10],
  ]);
});

test('rules without an end do not hold the reader', () => {
  const flood = vevent('SUMMARY:Flood', 'DTSTART:20270101T000000Z', 'RRULE:FREQ=SECONDLY');
  expect(reason(calendar(...Array.from({ length: 50 }, () => flood).flat()))).toMatch(
    /repeat too often/,
  );
});

test('five thousand entries are read', () => {
  const heat = (i: number) => [
    'BEGIN:VEVENT',
    `UID:${i}@b`,
    `SUMMARY:Heat ${i}`,
    'DTSTART:20270619T120000Z',
    'END:VEVENT',
  ];
  const many = Array.from({ length: 5000 }, (_, i) => heat(i)).flat();
  expect(eventsOf(calendar(...many)).events).toHaveLength(5000);
  expect(reason(calendar(...many, ...heat(5000)))).toMatch(/over 5000 events/);
});

test('what is called off is left out', () => {
  const { events } = eventsOf(
    calendar(
      ...vevent('SUMMARY:Off', 'STATUS:CANCELLED', 'DTSTART:20270619T120000'),
      ...vevent('SUMMARY:On', 'DTSTART:20270619T120000'),
    ),
  );
  expect(events.map(({ name }) => name)).toEqual(['On']);
});

const CUT = calendar(...vevent('SUMMARY:Heat', 'DTSTART:20270619T120000Z')).slice(0, 90);
test.each([
  ['', /no calendar/],
  ['<html>', /no calendar/],
  [CUT, /no calendar, or it is cut off|no start|damaged/],
  [calendar(), /holds no events/],
  [calendar(...vevent('SUMMARY:When')), /no start|damaged/],
  [calendar(...vevent('DTSTART:not-a-time')), /damaged|no calendar/],
  ['BEGIN:VCARD\r\nFN:Someone\r\nEND:VCARD', /must begin BEGIN:VCALENDAR/],
  ['x'.repeat(5_000_001), /over 5 MB/],
])('a calendar that can not be read is refused whole (%#)', (text, why) => {
  expect(reason(text)).toMatch(why);
});

test('what is written is read right by another library (node-ical), alarm and all', () => {
  const text = writeCalendar(
    TERN_WATER,
    ({ name }) => ({
      where: 'Bank, before the finish',
      lines: [`Who: ${name}`, 'Comma, semi; and \\'],
      ...(name.startsWith('Prize') && {
        alarms: [
          { atMs: msOf('2027-06-19T14:31', 'Europe/London'), says: 'Leave for the pontoon' },
        ],
      }),
    }),
    STAMP_MS,
  );
  expect(text.split('\r\n').every((line) => new TextEncoder().encode(line).length <= 75)).toBe(
    true,
  );
  const read = Object.values(nodeIcal.sync.parseICS(text)).filter(
    (entry): entry is VEvent => entry?.type === 'VEVENT',
  );
  const byUid = new Map(read.map((entry) => [entry.uid, entry]));
  expect(byUid.size).toBe(TERN_WATER.events.length);
  for (const event of TERN_WATER.events) {
    const written = byUid.get(`${event.id}@bright-perch`);
    const startMs = msOf(startOf(event), TERN_WATER.place.timeZone);
    expect(written?.start.getTime()).toBe(startMs);
    expect(written?.end?.getTime()).toBe(startMs + event.durationMin * 60_000);
    expect(written?.summary).toBe(event.heat ? `${event.name}, ${event.heat}` : event.name);
    expect(written?.location).toBe('Bank, before the finish');
    expect(written?.description).toBe(`Who: ${event.name}\nComma, semi; and \\`);
  }
  // A quarter of an hour less a minute before 14:45; none for the others.
  expect(text.match(/TRIGGER:.*/g)).toEqual(['TRIGGER:-PT14M']);
  expect(text).toContain('DESCRIPTION:Leave for the pontoon');
});

test('what is written reads back, each event as itself', () => {
  const text = writeCalendar(TERN_WATER, () => ({ lines: [] }), STAMP_MS);
  const { events } = eventsOf(text);
  expect(events.map(({ id, startLocal }) => [id, startLocal])).toEqual(
    TERN_WATER.events.map((event) => [event.id, startOf(event)]),
  );
});

test('how an event is dropped into goes out and comes back; what makes no sense is left', () => {
  const window = { visits: 3, visitMin: 10 };
  const events = TERN_WATER.events.map((event, i) => (i === 2 ? { ...event, window } : event));
  const text = writeCalendar({ ...TERN_WATER, events }, () => ({ lines: [] }), STAMP_MS);
  const read = (written: string) => eventsOf(written).events.map((event) => event.window);
  expect(read(text)).toEqual(events.map((event) => event.window));
  expect(read(text.replace('3 of 10 min', '99 of 10 min')).every((one) => !one)).toBe(true);
});

test('three daily entries since 1995 are read for the shoot’s own day', () => {
  const daily = (uid: string, hour: string) => [
    ...['BEGIN:VEVENT', `UID:${uid}@b`, `SUMMARY:Bell ${uid}`],
    ...[`DTSTART:19950101T${hour}0000`, 'RRULE:FREQ=DAILY', 'END:VEVENT'],
  ];
  const { events } = eventsOf(
    calendar(...daily('a', '08'), ...daily('b', '12'), ...daily('c', '17')),
  );
  expect(events.map(({ name, startLocal }) => [name, startLocal])).toEqual([
    ['Bell a', '2027-06-19T08:00'],
    ['Bell b', '2027-06-19T12:00'],
    ['Bell c', '2027-06-19T17:00'],
  ]);
});

test('a calendar that is written says its version and who wrote it (RFC 5545, 3.6)', () => {
  const text = writeCalendar(TERN_WATER, () => ({ where: '', lines: [] }), STAMP_MS);
  expect(text).toMatch(/^BEGIN:VCALENDAR\r\n/);
  expect(text).toMatch(/\r\nVERSION:2\.0\r\n/);
  expect(text).toMatch(/\r\nPRODID:.*Bright Perch/);
});
