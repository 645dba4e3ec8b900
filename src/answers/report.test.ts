import { DEMO_SHOOTS } from '@/demo';
import type { Shoot } from '@/records/shoot';
import { msOf } from '@/records/times';
import { reportText } from '@/features/shoot/report-text';
import { cardOf, reportOf } from './report';

const [larkmoor, alder, tern] = DEMO_SHOOTS as [Shoot, Shoot, Shoot];
const at = (shoot: Shoot, clock: string) =>
  msOf(`${shoot.startLocal.slice(0, 10)}T${clock}`, shoot.place.timeZone);

test('every position is answered for every mark', () => {
  for (const shoot of [larkmoor, alder, tern]) {
    const { answers } = reportOf(shoot, at(shoot, shoot.startLocal.slice(11)));
    expect(answers).toHaveLength(shoot.positions.length * shoot.marks.length);
    expect(answers.every(({ ok }) => ok)).toBe(true);
  }
});

test('the evening’s card only ever asks for more light, and names lamps and lack', () => {
  const card = cardOf(larkmoor);
  const isos = card?.rows.map(({ settings }) => settings.iso) ?? [];
  expect(isos.length).toBeGreaterThan(5);
  expect([...isos].sort((a, b) => a - b)).toEqual(isos);
  expect(card?.lampsTakeOverMs).toBeGreaterThan(at(larkmoor, '20:00'));
  expect(card?.short).toHaveLength(1);
});

test('the page says settings, reasons, hours and turns', () => {
  const text = reportText(reportOf(larkmoor, at(larkmoor, '19:30')), larkmoor);
  expect(text).toMatch(
    /^Larkmoor, evening hockey, Friday 16 April 2027, at 19:30 \(Europe\/London\)/,
  );
  expect(text).toMatch(/ {2}1\/2000 · f\/2\.8 · ISO \d+/);
  expect(text).toMatch(/1\/2000: what a strike is best taken at\. The stick tip moves/);
  expect(text).toMatch(/18:30 to 1\d:\d\d .*EV 13\.\d/);
  expect(text).toMatch(/\(ISO \+1\)/);
  expect(text).toMatch(/Lamps give most of the light from 20:\d\d\./);
  expect(text).toMatch(/Short of light 20:\d\d to 20:45\./);
});

test('a position without an answer says so, in its line and in place of the card', () => {
  const [first] = larkmoor.positions as [Shoot['positions'][number]];
  const [mark] = larkmoor.marks as [Shoot['marks'][number]];
  const onMark = { ...larkmoor, positions: [{ ...first, x: mark.x, y: mark.y }] };
  const text = reportText(reportOf(onMark, at(larkmoor, '19:30')), onMark);
  expect(text).toMatch(/this lens focuses from 1\.2 m/);
  expect(text).toMatch(/No settings card/);
});

test('looking into the sun is cautioned', () => {
  const [mark] = larkmoor.marks as [Shoot['marks'][number]];
  const [first] = larkmoor.positions as [Shoot['positions'][number]];
  const into = { ...larkmoor, positions: [{ ...first, x: mark.x + 25, y: mark.y - 1 }] };
  expect(reportText(reportOf(into, at(larkmoor, '19:30')), into)).toMatch(/Caution: the sun/);
});
