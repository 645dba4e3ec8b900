import { sunBlocked, sunPosition, msOf } from '@/core';
import { ALDER_REACH } from '@/demo/alder-reach';
import { LARKMOOR } from '@/demo/larkmoor';
import { shadeInWords } from '@/features/shoot/shade-words';
import { clockOf } from '@/records/times';
import type { Shoot } from '@/records/shoot';
import { shadeRequest, YOURSELF } from './shade';
import { shadesOn } from './shades-on';
import { viewOf } from './view';

const requestFor = (shoot: Shoot) => {
  const seen = viewOf(shoot);
  if (!seen.ok) throw new Error(JSON.stringify(seen.trouble));
  return shadeRequest(shoot, seen.view.scene, seen.view.position);
};

/** A shade of any of a shoot's marks, with what was asked. */
const allShades = (shoot: Shoot) =>
  shoot.marks.flatMap(({ id: markId }) => {
    const request = requestFor({ ...shoot, choice: { ...shoot.choice, markId } });
    return shadesOn(request).map((shade) => ({ ...shade, request }));
  });

test.each([ALDER_REACH, LARKMOOR])('every shade is its owner’s, at its hours ($title)', (shoot) => {
  const shades = allShades(shoot);
  expect(shades.length).toBeGreaterThan(0);
  for (const { name, spans, request } of shades) {
    const { stands } = request.owners.find((owner) => owner.name === name) ?? {
      stands: { obstacles: [] },
    };
    for (const { fromMs, toMs } of spans) {
      const sunAt = (time: number) => sunPosition({ time, ...shoot.place });
      const middle = (fromMs + toMs) / 2;
      expect(sunBlocked(request.point, sunAt(middle), stands.obstacles)).toBe(true);
      // A minute before and after it is not, within the shoot's hours.
      for (const outside of [fromMs - 60_000, toMs + 60_000]) {
        const startMs = msOf(shoot.startLocal, shoot.place.timeZone);
        const endMs = msOf(shoot.endLocal, shoot.place.timeZone);
        if (outside <= startMs || outside >= endMs || sunAt(outside).altitudeDeg <= 0) continue;
        expect(sunBlocked(request.point, sunAt(outside), stands.obstacles)).toBe(false);
      }
    }
  }
});

test('the last day of a shade is the last on which it comes in these hours', () => {
  const ending = [ALDER_REACH, LARKMOOR].flatMap(allShades).filter(({ untilDate }) => untilDate);
  expect(ending.length).toBeGreaterThan(0);
  for (const { name, untilDate = '', request } of ending) {
    const comesOn = (date: string) =>
      shadesOn({
        ...request,
        startLocal: `${date}${request.startLocal.slice(10)}`,
        endLocal: `${date}${request.endLocal.slice(10)}`,
      }).some((shade) => shade.name === name);
    const next = new Date(Date.parse(`${untilDate}T00:00Z`) + 86_400_000).toISOString();
    expect([comesOn(untilDate), comesOn(next.slice(0, 10))]).toEqual([true, false]);
  }
});

test('who photographs throws shade too, but not from a hide', () => {
  const names = (shoot: Shoot) => requestFor(shoot).owners.map(({ name }) => name);
  expect(names(ALDER_REACH)).not.toContain(YOURSELF);
  const outside = { ...ALDER_REACH, choice: { ...ALDER_REACH.choice, positionId: 'path-bend' } };
  expect(names(outside)).toContain(YOURSELF);
  // Wire one sees through, perches, water and lines throw none.
  expect(names(ALDER_REACH)).not.toContain('Dive pool');
});

test('it is said with its hours and its season', () => {
  const clock = (ms: number) => clockOf(ms, 'UTC');
  const at = (time: string) => Date.parse(`2027-05-08T${time}Z`);
  const hours = { startMs: at('05:00'), endMs: at('09:00') };
  const span = (from: string, to: string) => ({ fromMs: at(from), toMs: at(to) });
  const said = (spans: ReturnType<typeof span>[], untilDate?: string) =>
    shadeInWords({ spans, ...(untilDate && { untilDate }) }, hours, clock, '2027-05-08');
  expect(said([span('07:10', '07:40')], '2027-05-20')).toBe('07:10 to 07:40, until 20 May');
  expect(said([span('06:00', '06:10'), span('07:00', '07:30')])).toBe(
    '06:00 to 06:10 and 07:00 to 07:30, all year',
  );
  expect(said([span('05:00', '09:00')], '2027-05-08')).toBe('all these hours, for the last day');
});
