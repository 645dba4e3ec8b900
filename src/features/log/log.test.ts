import Papa from 'papaparse';
import { cameraClockSchema } from '@/records/log';
import { DEMO_LOGS } from '@/demo/pictures';
import { writeLogJson, writeLogTable } from '@/formats/log-table';
import { withFrames, withPicked } from '@/records/edit-log';
import { SHOOT_KIND } from '@/records/storage';
import { parseRecord } from '@/records/parse';
import type { Shoot } from '@/records/shoot';
import { localSecondOf } from '@/records/times';
import { plannedFor, planComparer } from '@/answers/against-plan';
import { figuresInWords, logRows, offsetBy, offsetInWords } from './log-rows';
import { lessonsFor, taughtByEarlier } from '@/features/shoot/lessons';
import { byPlace, isKept, matchedFrames, pressesOf, standInWords } from '@/answers/matched';
import { deliveredOf, spreadOf } from '@/answers/taught';
import { lived, setRight, shootOf } from '@/demo/lived';
const larkmoor = setRight('demo-larkmoor');
const frames = matchedFrames(larkmoor);

test('a day lived through is a whole record', () => {
  for (const id of Object.keys(DEMO_LOGS)) {
    const parsed = parseRecord(JSON.parse(JSON.stringify(setRight(id))), SHOOT_KIND);
    expect(parsed.ok ? '' : parsed.reason).toBe('');
  }
});

test('with the clock set right each picture goes to its event, its shot and its place', () => {
  const at = (time: string) =>
    frames.find(({ atMs }) => localSecondOf(atMs, 'Europe/London').slice(11) === time);
  const stands = ['19:04:10', '19:20:41', '19:46:08', '20:05:51'].map((time) => {
    const found = at(time);
    if (!found) throw new Error(`no picture of ${time}`);
    return [found.event?.id, ...Object.values(standInWords(larkmoor, found.stand))];
  });
  expect(stands).toEqual([
    [
      'first-quarter',
      'Strike at a penalty corner',
      'Behind the back line',
      'Penalty corner, top of the circle',
    ],
    ['second-quarter', 'The keeper at full stretch', 'Behind the back line', 'Goalkeeper'],
    [
      'third-quarter',
      'Counter-attack, panned',
      'Sideline, level with the 23 m line',
      'Penalty corner, top of the circle',
    ],
    ['last-quarter', 'The keeper at full stretch', 'Behind the back line', 'Goalkeeper'],
  ]);
});

test('with the clock an hour off the same pictures are of no event, or the wrong one', () => {
  const wrong = matchedFrames(lived('demo-larkmoor'));
  expect(wrong.filter(({ event }, i) => event?.id === frames[i]?.event?.id)).toHaveLength(0);
});

test('frames fall into presses as they were pressed', () => {
  expect(pressesOf(frames).map((press) => press.frames.length)).toEqual([
    4, 4, 3, 4, 3, 2, 2, 4, 4, 4, 4, 3,
  ]);
});

test('a frame counts as kept by its stars, and by hand before them', () => {
  const [first] = frames;
  if (!first) throw new Error('no frame');
  expect(first.kept).toBe(false);
  const picked = withPicked(larkmoor, new Set([first.key]), true);
  expect(matchedFrames(picked).filter(({ kept }) => kept)).toHaveLength(
    frames.filter(({ kept }) => kept).length + 1,
  );
  const again = withFrames(picked, [first.frame]);
  // Read a second time it is there once, and what was picked stays picked.
  expect(matchedFrames(again)).toHaveLength(frames.length);
  expect(matchedFrames(again)[0]?.kept).toBe(true);
});

test('a camera that says its zone is put on the place’s own clock', () => {
  const frame = { name: 'a', camera: '', cameraMs: Date.parse('2027-04-16T20:05:00.300Z') };
  const placed = byPlace({ frame, zoneMin: 120 }, 'Europe/London');
  expect(new Date(placed.cameraMs).toISOString()).toBe('2027-04-16T19:05:00.300Z');
  expect(byPlace({ frame }, 'Europe/London')).toBe(frame);
});

test('promised and delivered: the larger of pictures kept and keepers tapped', () => {
  const came = deliveredOf(larkmoor, frames).map(({ shot, delivered, quota }) => [
    shot.id,
    delivered,
    quota,
  ]);
  expect(came).toEqual([
    ['corner-strike', 2, 3],
    ['save', 3, 2],
    ['counter', 4, 1],
    ['dusk', 0, 1],
    ['bench', 3, 4],
  ]);
  // Without pictures the taps speak.
  const [corner] = deliveredOf(larkmoor, []);
  expect(corner?.delivered).toBe(2);
});

test('what was only rehearsed counts for nothing', () => {
  const rehearsed: Shoot = {
    ...larkmoor,
    log: {
      ...larkmoor.log,
      frames: [],
      entries: larkmoor.log.entries.map((entry) => ({ ...entry, rehearsed: true })),
    },
  };
  expect(deliveredOf(rehearsed, []).every(({ delivered }) => delivered === 0)).toBe(true);
});

test('presses against the plan: a stop more ISO is a stop more light than asked for', () => {
  const compare = planComparer(plannedFor(larkmoor));
  const [press] = pressesOf(frames);
  if (!press) throw new Error('no press');
  const as = compare(press);
  const doubled = {
    frames: press.frames.map((matched) => ({
      ...matched,
      frame: { ...matched.frame, iso: (matched.frame.iso ?? 0) * 2 },
    })),
  };
  expect(compare(doubled)?.underStops).toBeCloseTo((as?.underStops ?? 0) - 1, 9);
  expect(compare(doubled)?.slowerStops).toBe(as?.slowerStops);
});

test('dials in the middle and four frames in five', () => {
  expect(spreadOf(Array.from({ length: 101 }, (_, i) => i))).toEqual({
    low: 10,
    middle: 50,
    high: 90,
    most: 100,
    count: 101,
  });
  expect(spreadOf([])).toBeUndefined();
});

test('the log as a table reads back, and no cell runs in a spreadsheet', () => {
  const noted: Shoot = {
    ...larkmoor,
    log: {
      ...larkmoor.log,
      entries: [
        ...larkmoor.log.entries,
        {
          id: 'x',
          kind: 'note',
          atLocal: '2027-04-16T20:20:00',
          markId: 'gone',
          positionId: 'gone',
          text: '=SUM(1,2)',
        },
      ],
    },
  };
  const rows = logRows(noted, frames);
  const [frame] = frames;
  const { shutterS = 1, aperture = 1, iso = 100 } = frame?.frame ?? {};
  expect(rows.find(({ kind }) => kind === 'Picture')?.ev).toBeCloseTo(
    Math.log2(aperture ** 2 / shutterS / (iso / 100)),
    2,
  );
  const { data } = Papa.parse<Record<string, string>>(writeLogTable(rows), {
    header: true,
    skipEmptyLines: true,
  });
  expect(data).toHaveLength(noted.log.entries.length + frames.length);
  expect(data.at(-1)).toMatchObject({ What: "'=SUM(1,2)", Position: 'since deleted' });
  expect([...data].sort((a, b) => ((a.Time ?? '') < (b.Time ?? '') ? -1 : 1))).toEqual(data);
  const written = JSON.parse(writeLogJson({ shoot: 'L', timeZone: 'Europe/London' }, rows));
  expect(written).toMatchObject({ format: 'bright-perch/log', version: 1, shoot: 'L' });
  expect(written.rows).toEqual(JSON.parse(JSON.stringify(rows)));
  expect(figuresInWords(frames[0] as (typeof frames)[number])).toBe('1/2500 f/2.8 ISO 320, 184 mm');
});

test('a camera whose date was never set is set right by what one says of its first picture', () => {
  const cameraMs = Date.UTC(2019, 0, 1, 0, 4, 10);
  const start = '2027-04-16T18:30';
  const offsetS = offsetBy(' 2027-04-16 19:02:11 ', cameraMs, start);
  expect(cameraMs + (offsetS ?? 0) * 1000).toBe(Date.UTC(2027, 3, 16, 19, 2, 11));
  expect(offsetBy('2027-04-16T19:02', cameraMs, start)).toBe((offsetS ?? 0) - 11);
  // A time alone is of the shoot's day, a little before its start too, and after midnight of the next.
  expect(offsetBy('19:02:11', cameraMs, start)).toBe(offsetS);
  expect(offsetBy('18:00:00', cameraMs, start)).toBe((offsetS ?? 0) - 3731);
  expect(offsetBy('00:30:00', cameraMs, start)).toBe((offsetS ?? 0) + 19_669);
  expect(cameraClockSchema.safeParse({ name: 'A', offsetS }).success).toBe(true);
  expect(offsetInWords(offsetS ?? 0)).toBe('3027 days 18 h 58 min 1 s slow');
  for (const wrong of [
    '',
    'noon',
    '2027-02-30 10:00',
    '2027-04-16',
    '2027-04-16 25:00',
    '9999-01-01 00:00',
  ]) {
    expect(offsetBy(wrong, cameraMs, start)).toBeUndefined();
  }
});

test.each([
  [{}, false],
  [{ rating: 2 }, false],
  [{ rating: 3 }, true],
  [{ rating: 5 }, true],
  [{ rating: -1 }, false],
  [{ rating: 5, kept: false }, false],
  [{ rating: 0, kept: true }, true],
])('a frame with %p is kept: %p', (figures, kept) => {
  expect(isKept({ name: 'a', cameraMs: 0, camera: '', ...figures })).toBe(kept);
});

describe('lessons', () => {
  const next: Shoot = {
    ...shootOf('demo-larkmoor'),
    id: 'next-week',
    startLocal: '2027-04-23T18:30',
    endLocal: '2027-04-23T20:45',
    atLocal: '2027-04-23T18:30',
  };
  const earlier = {
    ...larkmoor,
    id: 'last-week',
    readings: ['18:40', '19:10', '19:20'].map((at, i) => ({
      id: `r${i}`,
      name: 'Goalkeeper',
      x: 0,
      y: 40,
      upM: 1.5,
      faceDeg: 0,
      atLocal: `2027-04-16T${at}`,
      by: 'meter' as const,
      ev: 10 - i,
      simulated: false,
    })),
  };
  const lessons = lessonsFor(next, [earlier, next]);

  test('of the demo stay with the demo', () => {
    expect(lessonsFor(next, [{ ...earlier, id: 'demo-larkmoor' }])).toEqual([]);
    expect(lessonsFor({ ...next, id: 'demo-next' }, [earlier])).toEqual([]);
  });

  test('come from shoots before this one, and say what they rest on', () => {
    expect(lessons.map(({ id }) => id)).toEqual([
      'pan-sigma',
      'light',
      'frames',
      'owed-dusk',
      'owed-bench',
    ]);
    expect(lessons.every(({ evidence, use }) => evidence.length > 10 && use === undefined)).toBe(
      true,
    );
    // Later shoots teach nothing.
    expect(lessonsFor({ ...next, startLocal: '2027-04-01T18:30' }, [earlier])).toEqual([]);
  });

  test.each(['pan-sigma', 'light', 'frames', 'owed-dusk'])(
    '%s changes the plan when taken up, and puts it back when left out',
    (id) => {
      const find = (shoot: Shoot) => lessonsFor(shoot, [earlier]).find((entry) => entry.id === id);
      const used = find(next)?.apply(next) as Shoot;
      expect(find(used)?.use).toBe(true);
      const { log: _log, ...plan } = used;
      const { log: _before, ...planBefore } = next;
      expect(plan).not.toEqual(planBefore);
      const parsed = parseRecord(JSON.parse(JSON.stringify(used)), SHOOT_KIND);
      expect(parsed.ok ? '' : parsed.reason).toBe('');
      const left = find(used)?.leave(used) as Shoot;
      expect(find(left)?.use).toBe(false);
      const { log: _after, ...planAfter } = left;
      expect(planAfter).toEqual(planBefore);
    },
  );

  test('a new plan takes all of them up, and each can still be left out', () => {
    const taught = taughtByEarlier(next, [earlier]);
    const again = lessonsFor(taught, [earlier]);
    expect(again.map(({ use }) => use)).toEqual(again.map(() => true));
    expect(taught.choice.panSigma).not.toBe(next.choice.panSigma);
    expect(taught.light.learned?.map(({ atLocal }) => atLocal)).toEqual([
      '2027-04-23T18:30',
      '2027-04-23T19:30',
    ]);
  });
});
