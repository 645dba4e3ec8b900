import { peopleOwed } from '@/answers/people-owed';
import { LARKMOOR } from '@/demo/larkmoor';
import { TERN_WATER } from '@/demo/tern-water';
import { dayLines } from '@/features/shoot/day-lines';
import { owedLines } from '@/features/shoot/people-owed';
import { withShooter } from '@/records/edit-shooters';
import type { Shoot } from '@/records/shoot';
import { daySheet } from './day-sheet';
import { clockIn, planned } from './fixtures/planned-day';
import { lightColumn } from './light-column';

const sheetOf = async (shoot: Shoot, whose?: string) => {
  const { route } = await planned(shoot);
  const all = dayLines(shoot, route);
  const lines = whose ? dayLines(shoot, route, whose) : all;
  return daySheet({
    ...{ shoot, lines, all, cells: lightColumn(shoot), clock: clockIn(shoot) },
    owed: owedLines(peopleOwed(shoot), all, 0),
    who: shoot.shooters.find(({ id }) => id === whose)?.name,
  });
};
const cellsOf = (sheet: Awaited<ReturnType<typeof sheetOf>>, heading: RegExp) =>
  sheet.tables.filter((table) => heading.test(table.heading)).flatMap(({ rows }) => rows);

test('the day on paper has every event once: where it is shot, or why it is not', async () => {
  const sheet = await sheetOf(TERN_WATER);
  const shot = cellsOf(sheet, /^\d+\. /);
  const not = cellsOf(sheet, /^Not shot$/);
  expect(shot.length + not.length).toBe(TERN_WATER.events.length);
  expect(sheet.under[1]).toBe(
    `Shoots ${shot.length} of 19 events, all 4 promised. A bar stands before what is promised.`,
  );
  expect(shot.filter(({ marked }) => marked)).toHaveLength(4);
  const [place] = sheet.tables;
  expect(place?.heading).toMatch(/^1\. /);
  expect(place?.note).toMatch(/^In place by \d\d:\d\d, until \d\d:\d\d\.$/);
  expect(sheet.tables[1]?.note).toMatch(/^Leave by \d\d:\d\d, \d+ m, in place by/);
  for (const { cells } of shot) {
    expect(cells[0]).toMatch(/^\d\d:\d\d$/);
    expect(cells[3]).toMatch(
      /^1\/\d+ · f\/[\d.]+.* · ISO \d+\. EV [\d.]+, .*Second call \d\d:\d\d\./,
    );
  }
  for (const { cells } of not) expect(cells[2]).toMatch(/\.$/);
});

test('each of two has a sheet of their own: the other’s events are named as theirs', async () => {
  let made = 0;
  const shoot = withShooter(TERN_WATER, { own: 'Ash', name: 'Mara' }, () => `s${(made += 1)}`);
  const [ash, mara] = await Promise.all(['s2', 's1'].map((id) => sheetOf(shoot, id)));
  if (!ash || !mara) throw new Error('no sheet');
  expect([ash.title, mara.title]).toEqual([`${shoot.title}: Ash`, `${shoot.title}: Mara`]);
  const shot = (sheet: typeof ash) => cellsOf(sheet, /^\d+\. /).map(({ cells }) => cells[1]);
  const others = (sheet: typeof ash) => cellsOf(sheet, /^Shot by the others$/);
  expect(others(ash).map(({ cells }) => cells[1])).toEqual(shot(mara));
  expect(others(mara).map(({ cells }) => cells[1])).toEqual(shot(ash));
  expect(others(ash).every(({ cells }) => /^Mara shoots it, from /.test(cells[2] ?? ''))).toBe(
    true,
  );
});

test('who is owed, who allowed what and what is forbidden stand on it; nothing that is not', async () => {
  const [person] = TERN_WATER.people;
  const owing: Shoot = {
    ...TERN_WATER,
    people: TERN_WATER.people.map((one, i) =>
      i === 0 ? { ...one, client: 'Fernley', owed: [{ keepers: 1 }] } : one,
    ),
    ground: { ...TERN_WATER.ground, vest: 'the regatta office' },
    brief: {
      ...TERN_WATER.brief,
      access: 'Gate B, ask for the bank steward',
      forbidden: ['flash'],
    },
  };
  const sheet = await sheetOf(owing);
  const [owed] = cellsOf(sheet, /^Who is owed$/);
  expect(owed?.cells[0]).toBe(`${person?.name}, Fernley`);
  expect(owed?.cells[1]).toMatch(/^\d\d:\d\d, lane 4: Junior single 500 m, .*, from /);
  expect(sheet.under).toContain('Permission: Gate B, ask for the bank steward');
  expect(sheet.under).toContain('In the field of play with a vest, allowed by the regatta office');
  expect(sheet.under).toContain('Not allowed: flash');
  const bare = await sheetOf({
    ...LARKMOOR,
    ...{ people: [], brief: { fileForm: 'raw', forbidden: [] } },
  });
  expect(bare.tables.map(({ heading }) => heading)).not.toContain('Who is owed');
  expect(bare.under).toHaveLength(2);
});
