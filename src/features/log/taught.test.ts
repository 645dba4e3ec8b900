import Papa from 'papaparse';
import { wilsonInterval } from '@/core';
import { writeVisits } from '@/formats/visits-table';
import { rateInWords, tiredInWords } from './taught-words';
import { matchedFrames, standInWords } from '@/answers/matched';
import {
  lightOffsets,
  panFramesOf,
  panSkill,
  ratesBy,
  shutterBand,
  visitsBy,
  watchedQuarters,
  seasonOf,
  quarterOf,
  lightBand,
  tells,
  areApart,
} from '@/answers/taught';
import { setRight, shootOf } from '@/demo/lived';

const larkmoor = setRight('demo-larkmoor');
const frames = matchedFrames(larkmoor);

test('keeper rates count every frame once, and are as sure as Wilson says', () => {
  for (const nameOf of [
    shutterBand,
    ({ stand }: (typeof frames)[number]) => standInWords(larkmoor, stand).position,
  ]) {
    const rows = ratesBy(frames, nameOf);
    expect(rows.reduce((sum, row) => sum + row.of, 0)).toBe(frames.length);
    expect(rows.every(({ low, rate, high }) => low <= rate && rate <= high)).toBe(true);
  }
  const save = ratesBy(frames, ({ stand }) => stand.shotId).find(({ name }) => name === 'save');
  // 3 of 14 by Wilson at 95 %: 0.0757 to 0.4759, computed by hand from the formula.
  expect(save).toMatchObject({ kept: 3, of: 14 });
  expect(save?.low).toBeCloseTo(0.0757, 3);
  expect(save?.high).toBeCloseTo(0.4759, 3);
});

test('pans teach a sigma: only frames of pans count, longer times draw longer streaks', () => {
  const panned = panFramesOf(larkmoor);
  expect(panned).toHaveLength(12);
  const [slow, fast] = [panned[11], panned[0]];
  expect(slow?.streakMm ?? 0).toBeGreaterThan((fast?.streakMm ?? 0) * 1.7);
  const both = panSkill([larkmoor, setRight('demo-tern-water')]);
  expect(both?.frames).toBe(28);
  expect(both?.low).toBeLessThan(both?.rate ?? 0);
  expect(panSkill([shootOf('demo-alder-reach')])).toBeUndefined();
});

test('readings of a venue by the hour, against what is computed', () => {
  const reading = (id: string, atLocal: string, ev: number) => ({
    id,
    name: 'Goalkeeper',
    x: 0,
    y: 40,
    upM: 1.5,
    faceDeg: 0,
    atLocal,
    by: 'meter' as const,
    ev,
    simulated: false,
  });
  const shoot = {
    ...larkmoor,
    readings: [
      reading('a', '2027-04-16T18:40', 10),
      reading('b', '2027-04-16T18:40', 11),
      reading('c', '2027-04-16T19:10', 9),
    ],
  };
  const [first, second] = lightOffsets([shoot]);
  expect([first?.hour, first?.count, second?.hour, second?.count]).toEqual([18, 2, 19, 1]);
  // Two values a stop apart: Student's half width is 12.706 · 0.5.
  expect((first?.high ?? 0) - (first?.mean ?? 0)).toBeCloseTo(6.353, 3);
  expect(second?.high).toBe(Infinity);
});

test('visits by the sky: hours and visits all counted, sightings of the field among them', () => {
  const alder = setRight('demo-alder-reach');
  const watch = { id: 'w', markId: 'perch-a', visitsLocal: [] };
  const day = alder.startLocal.slice(0, 10);
  const watched = {
    ...alder,
    watches: [{ ...watch, fromLocal: `${day}T05:20`, toLocal: `${day}T08:30` }],
  };
  // A copy of a shoot that took its watches along counts none of them again.
  const quarters = watchedQuarters([watched, { ...watched, id: 'copy' }]);
  const skies = visitsBy(quarters, ({ sky }) => sky);
  expect(skies.reduce((sum, { visits }) => sum + visits, 0)).toBe(5);
  expect(skies.reduce((sum, { watchedH }) => sum + watchedH, 0)).toBeCloseTo(19 / 6, 9);
  // In May, all of it; a table has a row for each quarter of an hour.
  expect(visitsBy(quarters, seasonOf)).toMatchObject([{ name: 0, visits: 5 }]);
  const { data } = Papa.parse<Record<string, string>>(writeVisits(quarters).trim(), {
    header: true,
  });
  expect(data).toHaveLength(13);
  expect(data[0]).toMatchObject({ From: `${day}T05:20`, 'Watched minutes': '15', Visits: '0' });
  expect(data.reduce((sum, row) => sum + Number(row.Visits), 0)).toBe(5);
});

test('seasons begin with March, June, September and December', () => {
  const season = (month: string) => seasonOf({ fromLocal: `2027-${month}-15T10:00` });
  expect(['03', '05', '06', '08', '09', '11', '12', '01', '02'].map(season)).toEqual([
    0, 0, 1, 1, 2, 2, 3, 3, 3,
  ]);
});

test('a share from too few says nothing; fresh and tired are told apart only beyond chance', () => {
  const row = <N extends string>(name: N, kept: number, of: number) => ({
    ...{ name, kept, of },
    ...wilsonInterval({ successes: kept, trials: of }),
  });
  expect(tells(row('a', 2, 5))).toBe(false);
  expect(tells(row('a', 3, 14))).toBe(true);
  expect(rateInWords(row('a', 2, 5))).toBe('too few to tell: anything from 12 % to 77 %');
  const [first, last] = ['first', 'last'] as const;
  expect(tiredInWords([row(first, 2, 5), row(last, 0, 80)])).toBeUndefined();
  expect(tiredInWords([row(first, 20, 80), row(last, 16, 80)])).toMatch(
    /^First and last .* chance\.$/,
  );
  expect(tiredInWords([row(first, 40, 80), row(last, 8, 80)])).toMatch(
    /^Fewer .*: 10 % after 50 %\./,
  );
  expect(tiredInWords([row(first, 8, 80), row(last, 40, 80)])).toMatch(/^More /);
  expect(areApart(row('a', 40, 80), row('b', 8, 80))).toBe(true);
});

test('frames by their light in bands of two stops, and by quarters of the time', () => {
  // 1/2500, f/2.8, ISO 320: EV 11.29 + 2.97 − 1.68 = 12.58.
  expect(frames[0] && lightBand(frames[0])).toBe(12);
  const quarter = quarterOf(frames);
  expect(frames.map(quarter).filter((one) => one === 'first').length).toBeGreaterThan(0);
  expect(frames[0] && quarter(frames[0])).toBe('first');
  const end = frames.at(-1);
  expect(end && quarter(end)).toBe('last');
});
