import { LARKMOOR } from '@/demo/larkmoor';
import { evening, presses as times } from '@/demo/lived';
import { parseRecord } from '@/records/parse';
import type { Shoot } from '@/records/shoot';
import { SHOOT_KIND } from '@/records/storage';
import { lessonsFor, taughtByEarlier } from './lessons';
import { floorLessons, tiredLesson } from './lessons-pressed';

const DATE = '2027-04-09';
const next: Shoot = { ...LARKMOOR, id: 'next', startLocal: '2027-04-16T18:30' };

const earlierWith = (taken: Parameters<typeof evening>[1]) => evening(DATE, taken);
const SLOW_FAILS = earlierWith([...times(20, 15, 3000), ...times(20, 2, 1000)]);

test('a floor that presses taught says what it rests on and what people set', () => {
  const [lesson, ...others] = floorLessons(next, [SLOW_FAILS]);
  expect(others).toEqual([]);
  expect(lesson).toMatchObject({
    id: 'floor-strike',
    head: 'Never slower than 1/2000 for strike and ball',
    evidence:
      '15 of 20 presses at 1/2000 and faster gave a keeper, 2 of 20 presses slower: more than chance. People set 1/1000.',
    use: undefined,
  });
});

test('taken up it changes the plan, left out it puts it back; a newer value asks again', () => {
  const find = (shoot: Shoot) => floorLessons(shoot, [SLOW_FAILS])[0];
  const used = find(next)?.apply(next) as Shoot;
  expect(used.choice.floors).toEqual({ strike: 2 ** -11 });
  expect(parseRecord(JSON.parse(JSON.stringify(used)), SHOOT_KIND).ok).toBe(true);
  expect(find(used)?.use).toBe(true);
  expect(find({ ...used, choice: { ...used.choice, floors: { strike: 2 ** -12 } } })?.use).toBe(
    undefined,
  );
  const left = find(used)?.leave(used) as Shoot;
  expect(left.choice).toEqual(next.choice);
  expect(find(left)?.use).toBe(false);
  // Another floor of the plan stays as it is.
  const other = { ...next, choice: { ...next.choice, floors: { fast: 2 ** -11 } } };
  const both = find(other)?.apply(other) as Shoot;
  expect(both.choice.floors).toEqual({ fast: 2 ** -11, strike: 2 ** -11 });
  expect(find(both)?.leave(both).choice.floors).toEqual({ fast: 2 ** -11 });
});

test('what nobody is slower than as it is, and subjects that are not here, teach nothing', () => {
  const known = earlierWith([...times(20, 15, 2000), ...times(20, 2, 500)]);
  // It would be 1/1000, which people set as it is.
  expect(floorLessons(next, [known])).toEqual([]);
  const quiet = next.marks.map((mark) => ({ ...mark, subjectId: 'kingfisher-perched' }));
  expect(floorLessons({ ...next, marks: quiet }, [SLOW_FAILS])).toEqual([]);
});

test('a rest is offered where the last quarter gives fewer keepers, and changes nothing but what Field reminds of', () => {
  const tired = earlierWith([
    ...times(12, 11, 2000),
    ...times(24, 12, 2000),
    ...times(12, 1, 2000),
  ]);
  const [lesson] = tiredLesson(next, [tired]);
  expect(lesson?.evidence).toBe(
    'Of your days’ pictures 11 of 12 presses gave a keeper in the first quarter, 1 of 12 presses in the last: more than chance.',
  );
  const used = lesson?.apply(next) as Shoot;
  expect({ ...used, log: next.log }).toEqual(next);
  expect(used.log.lessons).toEqual([{ id: 'tired', use: true }]);
  expect(tiredLesson(used, [tired])[0]?.use).toBe(true);
  const even = earlierWith(
    Array.from({ length: 48 }, (_, i) => ({ perS: 2000, kept: i % 2 === 0 })),
  );
  expect(tiredLesson(next, [even])).toEqual([]);
});

test('kept pictures tell the light of the hours that nobody measured', () => {
  const find = (readings: Shoot['readings']) =>
    lessonsFor(next, [{ ...SLOW_FAILS, readings }]).find(({ id }) => id === 'light');
  expect(find([])?.evidence).toMatch(
    /^by what kept pictures were exposed for: 18:00 [+−]\d\.\d \(\d+\)\. New readings/,
  );
  const taught = taughtByEarlier(next, [SLOW_FAILS]);
  expect(taught.light.learned?.[0]).toMatchObject({ atLocal: '2027-04-16T18:30', sigmaStops: 0.5 });
  const reading = {
    ...{ id: 'r', name: 'Goalkeeper', x: 0, y: 40, upM: 1.5, faceDeg: 0, ev: 10 },
    ...{ by: 'meter' as const, simulated: false },
  };
  const measured = ['18:35', '18:45'].map((at, i) => ({
    ...{ ...reading, id: `r${i}`, atLocal: `${DATE}T${at}` },
  }));
  // The hour was measured: pictures are not asked.
  expect(find(measured)?.evidence).toMatch(/^2 readings at this place in earlier shoots: 18:00 /);
  expect(find(measured)?.evidence).not.toContain('pictures');
  // Each hour stands in its place, wherever it is known from.
  const later = measured.map((one) => ({ ...one, atLocal: one.atLocal.replace('T18', 'T19') }));
  const both = taughtByEarlier(next, [{ ...SLOW_FAILS, readings: later }]).light.learned;
  expect(both?.map(({ atLocal }) => atLocal)).toEqual(['2027-04-16T18:30', '2027-04-16T19:30']);
});

test('readings tell by how much it is brighter or darker than computed; six stops are the most a plan learns', () => {
  const at = `${DATE}T18:40`;
  const read = (ev: number): Shoot => ({
    ...SLOW_FAILS,
    readings: ['r', 's'].map((id) => ({
      ...{ id, name: 'Goalkeeper', x: 0, y: 40, upM: 1.5, faceDeg: 0, ev, atLocal: at },
      ...{ by: 'meter' as const, simulated: false },
    })),
  });
  const evidence = (ev: number) =>
    lessonsFor(next, [read(ev)]).find(({ id }) => id === 'light')?.evidence;
  const offset = (ev: number) =>
    Number(/18:00 ([+−]\d+\.\d) \(2\)/.exec(evidence(ev) ?? '')?.[1]?.replace('−', '-'));
  const off = offset(10);
  // Half a stop more on the meter is half a stop brighter, on either side of what is computed.
  expect(offset(10 - off + 0.5)).toBeCloseTo(0.5, 1);
  expect(offset(10 - off - 0.5)).toBeCloseTo(-0.5, 1);
  const learned = (ev: number) => taughtByEarlier(next, [read(ev)]).light.learned?.[0]?.offsetStops;
  expect([learned(10 - off + 8), learned(10 - off - 8)]).toEqual([6, -6]);
});
