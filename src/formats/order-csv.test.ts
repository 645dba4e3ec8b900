import fc from 'fast-check';
import { TERN_WATER } from '@/demo/tern-water';
import { FIRST_EVENT } from '@/records/day';
import { guessMeanings, readOrder, writeOrder } from './order-csv';
import { readTable, type Table } from './table';

const DAYS = ['2027-06-19', '2027-06-19'] as const;

function table(text: string): Table {
  const read = readTable(text);
  if (!read.ok) throw new Error(read.reason);
  return read.table;
}
const order = (text: string, remembered = {}) => {
  const read = table(text);
  return readOrder(read, guessMeanings(read.columns, remembered), { days: DAYS });
};
const reason = (text: string): string => {
  const read = readTable(text);
  return read.ok ? 'read' : read.reason;
};

test('a heat sheet as a club writes it is read without being told', () => {
  const { events, problems } = order(
    [
      'Race;Off;Heat;Lane;Crew;Takes',
      'Junior K1 500 m;9.30;1;4;Withy Reach;4 min',
      'Junior K1 500 m;9.30;1;5;Ash Lock;4 min',
      'Senior K2 500 m;09:40;;;"Gannet, B";',
    ].join('\r\n'),
  );
  expect(problems).toEqual([]);
  expect(events).toEqual([
    {
      name: 'Junior K1 500 m',
      startLocal: '2027-06-19T09:30',
      durationMin: 4,
      heat: '1',
      entries: [
        { name: 'Withy Reach', lane: 4 },
        { name: 'Ash Lock', lane: 5 },
      ],
      worth: 'should',
    },
    {
      name: 'Senior K2 500 m',
      startLocal: '2027-06-19T09:40',
      durationMin: FIRST_EVENT.durationMin,
      entries: [{ name: 'Gannet, B' }],
      worth: 'should',
    },
  ]);
});

test('a table without names of columns is read by what one says of them', () => {
  const read = table('10:00,Final\n10:10,Prize giving');
  expect(read.columns).toEqual(['Column 1', 'Column 2']);
  expect(readOrder(read, ['start', 'name'], { days: DAYS }).events).toHaveLength(2);
});

test('what a column was read as is remembered over its name', () => {
  const columns = ['Off', 'Boat', 'Race'];
  expect(guessMeanings(columns, {})).toEqual(['start', 'skip', 'name']);
  expect(guessMeanings(columns, { boat: 'name', race: 'heat' })).toEqual(['start', 'name', 'heat']);
  // A name that a hostile file chose reaches nothing.
  expect(guessMeanings(['__proto__', 'constructor'], {})).toEqual(['skip', 'skip']);
});

test('each row that is wrong is named with what to write, and none of the rest is lost from the count', () => {
  const { events, problems } = order(
    [
      'Event,Start,Duration,Lane,Date',
      'Good,10:00,5,1,19/6/2027',
      'No time,after lunch,5,1,19/6/2027',
      ',10:10,5,1,19/6/2027',
      'Long,10:20,ages,1,19/6/2027',
      'Lane,10:30,5,x9y,19/6/2027',
      'Day,10:40,5,1,31/6/2027',
      'Other day,10:50,5,1,20/6/2027',
    ].join('\n'),
  );
  expect(events.map(({ name }) => name)).toEqual(['Good']);
  expect(problems).toEqual([
    { line: 3, reason: 'start “after lunch” is no time; write 14:30 or 2.30 pm' },
    { line: 4, reason: 'the event has no name' },
    { line: 5, reason: 'duration “ages” is none; write 12 min or 1h30' },
    { line: 6, reason: 'lane “x9y” is no number up to 40' },
    { line: 7, reason: 'date “31/6/2027” is no date; write 19/6/2027 or 19 June' },
  ]);
});

test('rows of other days are counted and left', () => {
  const { events, elsewhere, ambiguous } = order(
    'Event,When\nA,2027-06-19T10:00\nB,2027-06-20T10:00'.replace('When', 'Start'),
  );
  expect({ count: events.length, elsewhere, ambiguous }).toEqual({
    count: 1,
    elsewhere: 1,
    ambiguous: false,
  });
});

test('a date that could be read either way is said to be so', () => {
  const text = 'Event,Start,Date\nA,10:00,6/7/2027';
  const read = table(text);
  const meanings = guessMeanings(read.columns, {});
  const july = readOrder(read, meanings, { days: ['2027-07-06', '2027-07-06'] });
  expect(july).toMatchObject({ ambiguous: true, events: [{ name: 'A' }] });
  const june = readOrder(read, meanings, {
    days: ['2027-06-07', '2027-06-07'],
    order: 'monthFirst',
  });
  expect(june.events).toHaveLength(1);
});

test.each([
  ['', /empty/],
  ['\n \n', /empty/],
  ['Event,Start', /no rows/],
  ['Event,Start\n"A,10:00', /row 2: a quotation mark/],
  ['\u0000\u0001', /not text/],
  [`Event,Start\n${'A,10:00\n'.repeat(5001)}`, /over 5000 rows/],
  ['x'.repeat(5_000_001), /over 5 MB/],
  [Array.from({ length: 70 }, (_, i) => `c${i}`).join(','), /over 60 columns/],
])('a table that can not be one is refused (%#)', (text, why) => {
  expect(reason(text)).toMatch(why);
});

test('five thousand rows are read, row by row', () => {
  const rows = Array.from({ length: 5000 }, (_, i) => {
    const minute = i % 1440;
    return `Race ${i},${Math.floor(minute / 60)}:${String(minute % 60).padStart(2, '0')},3 min,Crew ${i}`;
  });
  const { events, problems } = order(`Event,Start,Duration,Crew\n${rows.join('\n')}`);
  expect({ events: events.length, problems }).toEqual({ events: 5000, problems: [] });
});

test('what is written reads back as it was', () => {
  const text = writeOrder(TERN_WATER);
  const { events, problems } = order(text);
  expect(problems).toEqual([]);
  expect(events).toEqual(
    TERN_WATER.events.map(({ name, startLocal, durationMin, heat, entries, worth }) => ({
      name,
      startLocal,
      durationMin,
      ...(heat && { heat }),
      entries: entries.map(({ name: who, lane }) => ({
        name: who,
        ...(lane !== undefined && { lane }),
      })),
      worth,
    })),
  );
});

test('how an event is dropped into goes out and comes back', () => {
  const [first, ...others] = TERN_WATER.events;
  if (!first) throw new Error('must have events');
  const window = { visits: 2, visitMin: 15 };
  const text = writeOrder({ events: [{ ...first, durationMin: 90, window }, ...others] });
  expect(order(text).events.map((event) => event.window)).toEqual([
    window,
    ...others.map(() => undefined),
  ]);
  for (const wrong of ['often', '4 of 10 min', '3 of 0 min', '3']) {
    const { problems } = order(`Start,Event,Visits\n10:00,Long jump,${wrong}`);
    expect(problems.map(({ reason }) => reason)).toEqual([
      `visits “${wrong}” are none; write 3 of 10 min`,
    ]);
  }
});

test('a cell that a spreadsheet would run is written so that it does not, and reads back', () => {
  const evil = '=HYPERLINK("http://x","y")';
  const text = writeOrder({
    events: [{ ...FIRST_EVENT, id: 'a', name: evil, entries: [], startLocal: '2027-06-19T10:00' }],
  });
  expect(text).toContain(`"'=HYPERLINK`);
  expect(order(text).events[0]?.name).toBe(evil);
});

test('no text stops the reading', () => {
  fc.assert(
    fc.property(
      fc.array(fc.array(fc.string({ maxLength: 12 }), { maxLength: 5 }), { maxLength: 8 }),
      (rows) => {
        const read = readTable(rows.map((cells) => cells.join(',')).join('\n'));
        if (!read.ok) {
          expect(read.reason.length).toBeGreaterThan(3);
          return;
        }
        const meanings = guessMeanings(read.table.columns, {});
        const { events, problems, elsewhere } = readOrder(read.table, meanings, { days: DAYS });
        expect(events.length + problems.length + elsewhere).toBeLessThanOrEqual(
          read.table.rows.length,
        );
      },
    ),
  );
});

test.each([
  ['Crew', 'Marsh & Holm AC', ['Marsh & Holm AC']],
  ['Club', 'Bank and Weir', ['Bank and Weir']],
  ['Competitor', 'Ash/Lock; Holm and Co', ['Ash/Lock', 'Holm and Co']],
  ['Crews', 'Marsh & Holm / Weir', ['Marsh', 'Holm', 'Weir']],
  ['Pair', 'Reed and Sedge', undefined],
  ['Athletes', 'Reed and Sedge', ['Reed', 'Sedge']],
])('in a column “%s”, “%s” is %p', (column, cell, names) => {
  const { events } = order(`Event,Start,${column}\nHeat,10:00,${cell}`);
  expect(events[0]?.entries.map(({ name }) => name)).toEqual(names ?? []);
});

test.each(['＝1+1', '＋1', '－1', '＠SUM(A1)'])(
  'the wide sign of %s is no formula either',
  (name) => {
    const text = writeOrder({
      events: [{ ...FIRST_EVENT, id: 'a', name, entries: [], startLocal: '2027-06-19T10:00' }],
    });
    expect(text).toContain(`'${name}`);
    expect(order(text).events[0]?.name).toBe(name);
  },
);

test('what only the first row of an event says holds for those under it, and heats follow on each other', () => {
  const { events, problems, carried } = order(
    [
      'Fernley Invitational;;;;;;',
      ';;;;;;',
      'Division;Event;Start;Heat;Bib;Surname;First name;School;Lane',
      'Girls;100 m;10:40;Heat 1 of 2;12;LOCK;Ash;Fernley;4',
      ';;;;13;Tarn;Bea;Marlow;5',
      ';;;H2;14;Holt;Cy;Fernley;4',
      'Boys;100 m;11.00 am;1;15;Reed;Sam;Marlow;3',
      'Boys;100 m;11.00 am;1;15;Reed;Sam;Marlow;3',
    ].join('\r\n'),
  );
  expect(problems).toEqual([]);
  expect(carried).toBe(1);
  expect(
    events.map(({ name, heat, startLocal, entries }) => [
      name,
      heat,
      startLocal.slice(11),
      entries.map((entry) => `${entry.lane} ${entry.number} ${entry.name}, ${entry.team}`),
    ]),
  ).toEqual([
    ['Girls 100 m', '1', '10:40', ['4 12 Ash Lock, Fernley', '5 13 Bea Tarn, Marlow']],
    ['Girls 100 m', '2', '10:45', ['4 14 Cy Holt, Fernley']],
    ['Boys 100 m', '1', '11:00', ['3 15 Sam Reed, Marlow']],
  ]);
});

test('a column of ends says how long it takes, and an end before its start is named', () => {
  const { events, problems } = order(
    'Event,Start,End\nLong jump,13:00,14:20\nHigh jump,13:00,12:00',
  );
  expect(events[0]?.durationMin).toBe(80);
  expect(problems).toEqual([
    { line: 3, reason: 'end “12:00” is no time after the start; write 15:45' },
  ]);
});

test('a new event without a time of its own is named, and takes none of the one above', () => {
  const { events, problems } = order('Event,Start,Heat\n100 m,10:00,1\n200 m,,1');
  expect(events).toHaveLength(1);
  expect(problems).toEqual([{ line: 3, reason: 'there is no starting time' }]);
});
