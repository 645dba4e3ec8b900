import { guessMeanings, readOrder } from './order-csv';
import { heatSheetTable } from './heat-sheet';

const DAYS = ['2027-06-12', '2027-06-12'] as const;

/** Made up, in the way such sheets are set. */
const SHEET = `Fernley Invitational                     Page 1
Meet Program

Event 12  Girls 100 Meter Dash  10:45 AM
========================================
Lane  Name              Year School          Seed
Heat 1 of 2
 3    Lock, Ash          11  Fernley HS     12.84
 4    1043  TARN, Bea    12  Marlow HS      12.91
Heat 2 of 2
 4    Holt-Reed, Cy      10  Fernley HS     NT

Event 13  Boys Long Jump 11:00 AM
Flight 1
 1    Marsh, Dee          9  Marlow HS      5.61m
Event 14 Mixed 4x400 m Relay (3:30 pm)
`;

test('a pasted heat sheet is read: events, heats, lanes, names, schools', () => {
  const table = heatSheetTable(SHEET);
  if (!table) throw new Error('not read');
  const { events, problems, carried } = readOrder(table, guessMeanings(table.columns, {}), {
    days: DAYS,
  });
  expect(problems).toEqual([]);
  expect(carried).toBe(1);
  expect(
    events.map(({ name, heat, startLocal, entries }) => [
      startLocal.slice(11),
      name,
      heat,
      entries.map((entry) => [entry.lane, entry.number, entry.name, entry.team]),
    ]),
  ).toEqual([
    [
      '10:45',
      'Girls 100 Meter Dash',
      '1',
      [
        [3, undefined, 'Ash Lock', 'Fernley HS'],
        [4, '1043', 'Bea Tarn', 'Marlow HS'],
      ],
    ],
    // Five minutes on, as heats take where nothing is said.
    ['10:50', 'Girls 100 Meter Dash', '2', [[4, undefined, 'Cy Holt-Reed', 'Fernley HS']]],
    ['11:00', 'Boys Long Jump', '1', [[1, undefined, 'Dee Marsh', 'Marlow HS']]],
    ['15:30', 'Mixed 4x400 m Relay', undefined, []],
  ]);
});

test('a sheet without times names each event that lacks one', () => {
  const table = heatSheetTable('Event 1 Girls 50 Free\nHeat 1\n2 Lock, Ash 11 Fernley HS 31.20');
  if (!table) throw new Error('not read');
  const { events, problems } = readOrder(table, guessMeanings(table.columns, {}), { days: DAYS });
  expect(events).toEqual([]);
  expect(problems).toEqual([{ line: 3, reason: 'there is no starting time' }]);
});

test('what is no heat sheet is none', () => {
  expect(heatSheetTable('Race;Off\nJunior K1;9.30')).toBeUndefined();
  expect(heatSheetTable('')).toBeUndefined();
  expect(heatSheetTable('Eventually it rained.\n12 ducks')).toBeUndefined();
});
