import { DEMO_SHOOTS } from '@/demo';
import { lightSeries, nearestMark, settingsCard, type Hand } from '@/core';
import { withShot } from '@/answers/choose-shot';
import { answerAt } from '@/answers/answer';
import { cardOf } from '@/answers/report';
import { sceneOf, viewOf, type View } from '@/answers/view';
import { cardSvg, LOCK_SCREEN } from '@/formats/card-image';
import { newShoot } from '@/records/new-shoot';
import type { Shoot } from '@/records/shoot';
import { clockOf, hoursOf, msOf } from '@/records/times';
import { cardLine, cardNotes, cardRequest, turnedLines, turnInWords } from '@/features/shoot/card';
import { focusZone, panSwing } from './instruments';
import { focusPlan, motionSaid, swingOf } from './motion-words';
import { memorySlots } from '@/features/shoot/slots';

const [larkmoor, alder, tern] = DEMO_SHOOTS as [Shoot, Shoot, Shoot];
const seen = (shoot: Shoot): View => {
  const result = viewOf(shoot);
  if (!result.ok) throw new Error(result.trouble.kind);
  return result.view;
};
const shotOf = (shoot: Shoot, id: string): Shoot =>
  withShot(
    shoot,
    shoot.shots.find((shot) => shot.id === id),
  );
const clock = (ms: number) => clockOf(ms, larkmoor.place.timeZone);
const evening = msOf('2027-04-16T20:20', larkmoor.place.timeZone);

describe('the card', () => {
  const hours = hoursOf(larkmoor);
  const view = seen(larkmoor);
  const series = lightSeries({
    scene: sceneOf(view, larkmoor.features),
    fromMs: hours.startMs,
    toMs: hours.endMs,
    stepS: 60,
  });
  const request = cardRequest(view, larkmoor.choice, series, hours);
  const card = request && settingsCard(request);
  test('from the ribbon’s light is that of the shoot itself', () => {
    expect(card?.rows.map(({ settings }) => settings)).toEqual(
      cardOf(larkmoor)?.rows.map(({ settings }) => settings),
    );
  });
  test('its lines say what to turn, and its notes when lamps take over', () => {
    const lines = card?.rows.map((row) => cardLine(row, clock)) ?? [];
    expect(lines[0]).toMatchObject({ time: '18:30', turn: 'as you begin', aperture: 'f/2.8' });
    expect(lines[1]?.turn).toBe('ISO up 1 click');
    expect(card && cardNotes(card, clock)[0]).toMatch(/^Lamps take over at 20:\d\d\.$/);
    const turned = turnedLines(lines);
    expect(turned.length).toBeLessThan(lines.length);
    expect(turned[0]).toBe(lines[0]);
    expect(turnInWords({ dial: 'shutter', clicks: -2 })).toBe('shutter faster 2 clicks');
    expect(turnInWords({ dial: 'aperture', clicks: 1 })).toBe('aperture close 1 click');
  });
  test('there is none before the light is computed', () => {
    const none = { ...series, timeMs: [], ev: [], low: [], high: [], lampsRule: [] };
    expect(cardRequest(view, larkmoor.choice, none, hours)).toBeUndefined();
  });
});

test('a row of the card names the filter that it counts with', () => {
  const settings = { shutterS: 1 / 16, aperture: 11.3, iso: 100, liftStops: 0, filterStops: 3 };
  const row = {
    ...{ fromMs: 0, toMs: 1, settings, stopsShort: 0, stopsDark: 0 },
    turns: [{ dial: 'filter' as const, clicks: 9 }],
    noise: { stopsAboveBase: 0, level: 'base' as const },
    light: { ev: 14, since: 'rises' as const },
  };
  expect(cardLine(row, String)).toMatchObject({
    turn: 'filter on',
    why: 'light rises to EV 14.0; ND 3 stops',
  });
});

describe('the card as a picture', () => {
  const line = {
    time: '18:30',
    shutter: '1/1600',
    aperture: 'f/2.8',
    iso: 'ISO 100',
    turn: 'as you begin',
    why: 'EV 13.7',
  };
  const sheet = { title: 'A <b> & "c"', under: ['one', 'two'], lines: [line], notes: ['Lamps.'] };
  const parsed = (svg: string) => [...svg.matchAll(/<text [^>]*y="(\d+)"[^>]*>([^<]*)</g)];
  test('everything lies on the sheet', () => {
    for (const count of [1, 8, 40]) {
      const svg = cardSvg({ ...sheet, lines: Array.from({ length: count }, () => line) });
      const texts = parsed(svg);
      for (const [, y] of texts) {
        expect(Number(y)).toBeGreaterThanOrEqual(LOCK_SCREEN.topPx);
        expect(Number(y)).toBeLessThan(LOCK_SCREEN.heightPx);
      }
      const shown = texts.filter(([, , text]) => text === '1/1600').length;
      const more = /(\d+) turns between are in the app/.exec(svg);
      expect(shown + Number(more?.[1] ?? 0)).toBe(count);
    }
  });
  test('where not all rows fit, the first and the last are there', () => {
    const lines = Array.from({ length: 60 }, (_, i) => ({ ...line, time: `t${i}` }));
    const times = parsed(cardSvg({ ...sheet, lines })).map(([, , text]) => text);
    expect(times).toContain('t0');
    expect(times).toContain('t59');
    const shown = times.filter((text) => /^t\d/.test(text ?? '')).map((t) => Number(t?.slice(1)));
    const gaps = shown.slice(1).map((at, i) => at - (shown[i] ?? 0));
    expect(Math.max(...gaps) - Math.min(...gaps)).toBeLessThanOrEqual(1);
  });
  test('what a person wrote is text, not markup', () => {
    expect(cardSvg(sheet)).toContain('A &lt;b&gt; &amp; &quot;c&quot;');
    const long = cardSvg({ ...sheet, title: 'x'.repeat(300) });
    expect(/>x+…</.exec(long)?.[0].length).toBeLessThan(60);
  });
});

describe('taking up a shot', () => {
  test('sets mark, orientation and framing, and lets held dials go', () => {
    const held = { ...larkmoor, choice: { ...larkmoor.choice, held: { iso: 400 } } };
    const taken = shotOf(held, 'bench');
    expect(taken.choice).toMatchObject({
      shotId: 'bench',
      markId: 'penalty-corner',
      orientation: 'upright',
      held: {},
    });
    // It asks for more than the lens has: as far as it goes.
    expect(taken.kit.focalMm).toBe(200);
    expect(seen(shotOf(larkmoor, 'counter')).fill).toBeCloseTo(0.45, 2);
    expect(withShot(taken, undefined).choice.shotId).toBeUndefined();
  });
  test('one moves only where the lens does not reach', () => {
    expect(shotOf(larkmoor, 'bench').choice.positionId).toBe(larkmoor.choice.positionId);
    // From the bank before the finish lane 2 at half way is over 200 m off.
    const panned = shotOf(tern, 'panned');
    expect(panned.choice.positionId).toBe('half-way');
    expect(seen(panned).fill).toBeGreaterThan(
      seen({ ...panned, choice: { ...panned.choice, positionId: 'bank' } }).fill,
    );
  });
  test('a pan keeps its time in any light: light to spare closes the lens', () => {
    const panned = shotOf(tern, 'panned');
    const view = seen(panned);
    const { settings } = answerAt(view, panned, hoursOf(panned).startMs).exposure;
    expect(settings.shutterS).toBeCloseTo(view.ladder.tryS, 3);
    expect(settings.aperture).toBeGreaterThan(8);
  });
  test('a silhouette is exposed for the sky, two stops and more over the face', () => {
    const dusk = shotOf(larkmoor, 'dusk');
    const silhouette = answerAt(seen(dusk), dusk, msOf('2027-04-16T19:30', 'Europe/London'));
    const plain = answerAt(
      seen({
        ...dusk,
        shots: dusk.shots.map((shot) => ({ ...shot, technique: 'freeze' as const })),
      }),
      dusk,
      msOf('2027-04-16T19:30', 'Europe/London'),
    );
    const stopsLess =
      Math.log2(plain.exposure.settings.iso / silhouette.exposure.settings.iso) +
      Math.log2(plain.exposure.settings.shutterS / silhouette.exposure.settings.shutterS);
    expect(stopsLess).toBeGreaterThan(1.8);
  });
});

describe('what motion does', () => {
  test('a swing turns from where it is picked up to the follow-through', () => {
    const view = seen(shotOf(tern, 'panned'));
    const swing = swingOf(view);
    // A second before and 0.6 s after at 5.5 m/s: 8.8 m of its way, and ten degrees each end.
    expect(swing.toM - swing.fromM).toBeCloseTo(8.8, 6);
    const drawn = panSwing(view);
    expect(Math.abs(drawn.turnDeg)).toBeCloseTo(swing.totalDeg, 6);
  });
  test('phases, streaks, lean and hands are said for what is there', () => {
    const runner = {
      ...larkmoor,
      marks: larkmoor.marks.map((mark) => ({ ...mark, subjectId: 'sprinter' })),
    };
    const said = motionSaid(
      seen(runner),
      answerAt(seen(runner), runner, evening).exposure.settings,
    );
    // 4.5 steps a second at 12 frames a second: four frames take in a step.
    expect(said.find(({ name }) => name === 'Phase of the step')?.value).toBe('4 frames');
    expect(said.find(({ name }) => name === 'Phase of the step')?.why).toMatch(
      /^take in one whole step, 4\.5 a second against 12 frames: the moment you want is at most 19 % of a step from one of them/,
    );
    expect(said.map(({ name }) => name)).toEqual(
      expect.arrayContaining(['Streaks', 'Silent shutter', 'Your hands', 'Stabiliser']),
    );
  });
  test('under a roof nothing falls but water that somebody swims in', () => {
    const streaksUnder = (subjectId: string) => {
      const hall = {
        ...larkmoor,
        light: { ...larkmoor.light, indoors: true },
        marks: larkmoor.marks.map((mark) => ({ ...mark, subjectId })),
      };
      const settings = { shutterS: 1 / 500, aperture: 2.8, iso: 100, liftStops: 0 };
      return motionSaid(seen(hall), settings).find(({ name }) => name === 'Streaks')?.value;
    };
    expect(streaksUnder('climber')).toBeUndefined();
    expect(streaksUnder('swimmer')).toMatch(/^thrown water [\d.]+ %$/);
  });
  test('what beats faster than the camera takes frames is left to chance, and said to be', () => {
    const birds = {
      ...larkmoor,
      marks: larkmoor.marks.map((mark) => ({ ...mark, subjectId: 'small-bird-flight' })),
    };
    const phase = motionSaid(seen(birds), {
      ...{ shutterS: 1 / 1000, aperture: 2.8, iso: 100, liftStops: 0 },
    }).find(({ name }) => name === 'Phase of the wing beat');
    expect(phase?.value).toBe('left to chance');
    expect(phase?.why).toMatch(/^20 wing beats a second against 12 frames/);
  });
  test('jumps hang, wings beat and balls spin, each said where it is', () => {
    const said = (subjectId: string) => {
      const shoot = {
        ...larkmoor,
        marks: larkmoor.marks.map((mark) => ({ ...mark, subjectId })),
      };
      const view = seen(shoot);
      return motionSaid(view, { shutterS: 1 / 1000, aperture: 2.8, iso: 100, liftStops: 0 });
    };
    const value = (subjectId: string, name: string) =>
      said(subjectId).find((entry) => entry.name === name)?.value;
    // 2 × 0.5 m/s over 9.81 m/s²: a tenth of a second.
    expect(value('court-jump', 'Top of the jump')).toBe('0.10 s');
    // 20 beats a second for a thousandth: 7.2 of 360 degrees.
    expect(value('small-bird-flight', 'The wing beat in the frame')).toBe('7.2°');
    expect(value('served-ball', 'The turn in the frame')).toBe('14°');
    expect(value('field-player', 'Top of the jump')).toBeUndefined();
  });
  test('who has practised is told by their own hand: how early to press, and what a burst then has', () => {
    const hand = (value: number, scatter: number): Hand => ({
      count: 12,
      bias: { value, low: value - 0.02, high: value + 0.02 },
      scatter: { value: scatter, low: scatter, high: scatter },
      sigma: { value: 0.2, low: 0.1, high: 0.3 },
    });
    const view = seen(larkmoor);
    const { settings } = answerAt(view, larkmoor, evening).exposure;
    const early = (practised?: Parameters<typeof focusPlan>[2]) =>
      focusPlan(view, settings, practised).said.find(({ name }) => name === 'Press early by');
    // A quarter second and a twentieth at 4 m/s; a fifth and a twentieth.
    expect(early()?.value).toBe('1.2 m');
    expect(early({ leaving: hand(0.2, 0.05) })?.value).toBe('1.0 m');
    expect(early({ leaving: hand(0.2, 0.05) })?.why).toContain('by 12 presses you practised');
    expect(early({ leaving: hand(-0.3, 0.05) })?.value).toBe('20 cm');
    const jumper: Shoot = {
      ...larkmoor,
      marks: larkmoor.marks.map((mark) => ({ ...mark, subjectId: 'court-jump' })),
    };
    const top = (practised?: Parameters<typeof motionSaid>[2]) =>
      motionSaid(seen(jumper), settings, practised).find(({ name }) => name === 'Top of the jump');
    expect(top()?.why).not.toContain('practised');
    expect(top({ jump: hand(0.15, 0.04) })?.why).toMatch(
      /half a second, pressed 0\.\d\d s before you feel it, as you practised: 100 %$/,
    );
    // Practice counts as eight presses, all of them good: 8 and 3 of 20 is 55 in 100.
    const field = { kept: 3, presses: 12 };
    expect(top({ jump: hand(0.15, 0.04), field })?.why).toMatch(
      /as you practised: 100 %; 3 of 12 presses in the field have a kept frame: reckon with 55 %$/,
    );
    expect(top({ jump: hand(0.15, 0.04), field: { kept: 0, presses: 0 } })?.why).not.toContain(
      'field',
    );
  });
  test('a bird on its perch is waited for in focus; a runner is tracked', () => {
    const focus = (shoot: Shoot) => {
      const view = seen(shoot);
      const { settings } = answerAt(view, shoot, hoursOf(shoot).endMs).exposure;
      return { view, settings, plan: focusPlan(view, settings) };
    };
    const bird = focus(alder);
    expect(bird.plan.said[0]?.value).toMatch(/^pre-focus/);
    expect(bird.plan.nearM).toBeLessThan(bird.view.sight.distanceM);
    expect(bird.plan.farM).toBeGreaterThan(bird.view.sight.distanceM);
    const player = focus(larkmoor);
    expect(player.plan.said[0]?.value).toMatch(/^continuous/);
    const zone = focusZone(player.view, player.settings);
    const { position } = player.view;
    const distances = zone.map(({ x, y }) => Math.hypot(x - position.x, y - position.y));
    expect(Math.min(...distances)).toBeGreaterThan(player.plan.nearM * 0.99);
    expect(Math.max(...distances)).toBeLessThan(player.plan.farM * 1.1);
    // As far to the one side of the sight as to the other.
    expect(distances[0]).toBeCloseTo(distances[1] ?? NaN, 6);
    expect(distances[2]).toBeCloseTo(distances[3] ?? NaN, 6);
  });
});

test('memory slots: action holds the motion, still is as slow as hands and subject allow, pan the rung to try', () => {
  const view = seen(larkmoor);
  const light = answerAt(view, larkmoor, evening).light;
  const [action, still, pan] = memorySlots(view, larkmoor.choice, light);
  const time = (label = '') => (label.startsWith('1/') ? 1 / Number(label.slice(2)) : NaN);
  expect(time(action?.exposure.shutter)).toBeLessThanOrEqual(
    view.timesOf({ technique: 'freeze' }).mustS * 1.03,
  );
  expect(time(still?.exposure.shutter)).toBeGreaterThan(time(action?.exposure.shutter));
  expect(nearestMark('shutter', view.ladder.tryS).label).toBe(pan?.exposure.shutter);
});

test('the pan slot keeps its time in full sun: the lens closes to its cap, then a filter', () => {
  const noon = answerAt(seen(larkmoor), larkmoor, hoursOf(larkmoor).startMs).light;
  const { kit } = larkmoor;
  const slot = (more: Shoot['kit']['bag']) =>
    memorySlots(
      seen({ ...larkmoor, kit: { ...kit, bag: [...kit.bag, ...more] } }),
      larkmoor.choice,
      noon,
    )[2];
  const without = slot([]);
  // Past f/16 diffraction costs more than it gives: what is over is said, and what would take it.
  expect(without?.exposure).toMatchObject({ aperture: 'f/16', iso: 'ISO 100' });
  expect(without?.rest.at(-1)).toMatch(/^a neutral filter: [\d.]+ stops? too bright without$/);
  const filter = { kind: 'filter', id: 'own-nd', name: 'ND', stops: 3 } as const;
  const withIt = slot([filter]);
  expect(withIt?.exposure.shutter).toBe(without?.exposure.shutter);
  expect(withIt?.rest.at(-1)).toBe('ND 3 stops on the lens');
});

describe('a butterfly on its flower', () => {
  const meadow = newShoot(
    {
      ...{ title: 'Meadow', template: 'butterfly-meadow', bearingDeg: 0 },
      ...{ latitudeDeg: 52.2, longitudeDeg: 0.5, timeZone: 'Europe/London' },
      ...{ startLocal: '2027-06-06T08:00', endLocal: '2027-06-06T11:00' },
    },
    'meadow',
    '2027-03-01T12:00:00.000Z',
  );
  const view = seen(meadow);
  const viewsAt = (aperture: number, from: View = view) =>
    focusPlan(from, { shutterS: 1 / 500, aperture, iso: 400, liftStops: 0 } as Parameters<
      typeof focusPlan
    >[1]).said.slice(-3);

  test('is taken from the side, from above and head-on, each with what it wants of the focus', () => {
    expect(viewsAt(5.6).map(({ name }) => name)).toEqual([
      ...['From the side, wings closed', 'From above, wings open', 'Head-on'],
    ]);
    // 100 mm at 0.69 m, c 0.0288 mm: 2 · 5.6 · 0.0288 · 690 · 590 / 100² is 13 mm of depth, of 60 mm of wing: 12.6°.
    expect(viewsAt(5.6)[0]?.value).toMatch(/^within 1[23]°$/);
    // Half the opening has twice the depth: 26 mm, 25.9°.
    expect(viewsAt(11.2)[1]?.value).toMatch(/^within 2[56]°$/);
    // All 60 mm want f/25: past the opening at which diffraction takes more than depth gives.
    expect(viewsAt(5.6)[2]).toMatchObject({
      value: 'the eyes alone',
      why: expect.stringMatching(/^all 6 cm of it want f\/2[3-7],/),
    });
  });

  test('from so far that all of it is sharp wide open, head-on wants no more than that', () => {
    const far = seen({
      ...meadow,
      positions: meadow.positions.map((at) => ({ ...at, y: -3 })),
    });
    expect(viewsAt(5.6, far)[2]).toMatchObject({ value: 'f/2.8' });
  });
});
