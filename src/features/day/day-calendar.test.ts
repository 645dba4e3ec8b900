import { TERN_WATER } from '@/demo/tern-water';
import { readCalendar } from '@/formats/order-ics';
import { dayLines } from '@/features/shoot/day-lines';
import { withShooter } from '@/records/edit-shooters';
import { dayCalendar } from './day-calendar';
import { clockIn, planned } from './fixtures/planned-day';

const STAMP_MS = Date.UTC(2027, 5, 1);

test('of two shooters each calendar has what is theirs, together all that is shot, nothing twice', async () => {
  let made = 0;
  const shoot = withShooter(TERN_WATER, { own: 'Ash', name: 'Mara' }, () => `s${(made += 1)}`);
  const { route } = await planned(shoot);
  const written = (who: string, id: string) =>
    dayCalendar({
      ...{ shoot, who, lines: dayLines(shoot, route, id), cells: () => undefined },
      ...{ clock: clockIn(shoot), stampMs: STAMP_MS },
    });
  const both = [written('Ash', 's2'), written('Mara', 's1')];
  const held = both.map((text) => {
    const read = readCalendar(text, {
      days: ['2027-06-19', '2027-06-19'],
      timeZone: 'Europe/London',
    });
    if (!read.ok) throw new Error(read.reason);
    return read.events.map(({ id }) => id);
  });
  for (const ids of held) expect(ids.length).toBeGreaterThan(1);
  expect(held.flat().sort()).toEqual(route.stops.map(({ eventId }) => eventId).sort());
  expect(both.map((text) => /X-WR-CALNAME:(.*)\r/.exec(text)?.[1])).toEqual([
    'Tern Water, sprint regatta, Ash',
    'Tern Water, sprint regatta, Mara',
  ]);
  // An alarm for each: the time to leave, or the call for who stays.
  for (const [i, text] of both.entries()) {
    expect(text.match(/BEGIN:VALARM/g)).toHaveLength(held[i]?.length ?? 0);
    expect(text).toContain('Leave for ');
  }
});

test('one who shoots alone has the whole order, what is missed without an alarm', async () => {
  const { route } = await planned(TERN_WATER);
  const text = dayCalendar({
    ...{ shoot: TERN_WATER, lines: dayLines(TERN_WATER, route), cells: () => undefined },
    ...{ clock: clockIn(TERN_WATER), stampMs: STAMP_MS },
  });
  expect(text.match(/BEGIN:VEVENT/g)).toHaveLength(TERN_WATER.events.length);
  expect(text.match(/BEGIN:VALARM/g)).toHaveLength(route.stops.length);
});
