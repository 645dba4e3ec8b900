import { DEMO_SHOOTS } from '@/demo';
import { formatShutter, lightSeries } from '@/core';
import type { Shoot } from '@/records/shoot';
import { clockOf, hoursOf, msOf } from '@/records/times';
import { alongSight } from './along-sight';
import { answerAt, NO_OUTLOOK, outlookOf, type Answer } from './answer';
import { planLight, planSight } from '@/features/shoot/drawing';
import { eventsWithin } from '@/features/shoot/use-plan';
import { sceneOf, viewOf, type View } from './view';
import { shutterReason, stopsSentence, wayInWords } from '@/features/shoot/exposure-words';
import { brimShades } from '@/features/shoot/frame-notes';
import { bearingInWords, faceSeen, lightInWords, troubleInWords } from '@/features/shoot/words';
import { withWay } from './take-way';

const [larkmoor, alder, tern] = DEMO_SHOOTS as [Shoot, Shoot, Shoot];

function seen(shoot: Shoot): View {
  const result = viewOf(shoot);
  if (!result.ok) throw new Error(result.trouble.kind);
  return result.view;
}
const at = (shoot: Shoot, clock: string) =>
  msOf(`${shoot.startLocal.slice(0, 10)}T${clock}`, shoot.place.timeZone);
const answer = (shoot: Shoot, clock: string) => answerAt(seen(shoot), shoot, at(shoot, clock));
const moved = (shoot: Shoot, x: number, y: number): Shoot => ({
  ...shoot,
  positions: shoot.positions.map((p) => (p.id === shoot.choice.positionId ? { ...p, x, y } : p)),
});

test('later in the evening asks for a higher ISO', () => {
  const isos = ['18:45', '19:30', '20:00', '20:30'].map(
    (clock) => answer(larkmoor, clock).exposure.settings.iso,
  );
  expect([...isos].sort((a, b) => a - b)).toEqual(isos);
  expect(new Set(isos).size).toBeGreaterThan(2);
});

test('closer fills the frame more and asks for no slower a shutter', () => {
  const view = seen(larkmoor);
  const half = moved(larkmoor, (view.camera.x + view.aim.x) / 2, (view.camera.y + view.aim.y) / 2);
  expect(seen(half).fill).toBeGreaterThan(view.fill * 1.8);
  expect(seen(half).times.mustS).toBeLessThanOrEqual(view.times.mustS);
  expect(seen(half).times.wishS).toBeLessThanOrEqual(view.times.wishS);
});

test('a camera straight over its mark is a problem with its remedy', () => {
  const mark = larkmoor.marks.find(
    ({ id }) => id === larkmoor.choice.markId,
  ) as Shoot['marks'][number];
  const over = moved(larkmoor, mark.x, mark.y);
  const positions = over.positions.map((position) => ({ ...position, cameraHeightM: 12 }));
  const result = viewOf({ ...over, positions });
  expect(result.ok ? '' : troubleInWords(result.trouble)).toBe(
    `${positions[0]?.name} is straight over ${mark.name}: move one of them aside.`,
  );
});

test('what the core refuses is a problem that says what to change, any other fault is thrown', () => {
  const bad = { ...larkmoor, kit: { ...larkmoor.kit, lensId: 'no such lens' } };
  expect(viewOf(bad)).toMatchObject({
    ok: false,
    trouble: { kind: 'refused', what: expect.stringMatching(/^lensId no such lens: must be/) },
  });
  expect(() => viewOf({ ...larkmoor, marks: undefined as never })).toThrow(TypeError);
});

test('a position on the mark, or nearer than the lens focuses, is a problem with its remedy', () => {
  const { aim } = seen(larkmoor);
  for (const x of [aim.x, aim.x + 1]) {
    const result = viewOf(moved(larkmoor, x, aim.y));
    expect(result.ok).toBe(false);
    if (!result.ok) {
      expect(troubleInWords(result.trouble)).toMatch(/focuses from 1.2 m\. Move the position back/);
    }
  }
});

test('a converter multiplies focal length and costs its stops', () => {
  const view = seen({ ...larkmoor, kit: { ...larkmoor.kit, converter: 2 } });
  expect(view.focalMm).toBe(400);
  expect(view.widestAperture).toBeCloseTo(5.6, 9);
  expect(view.fill).toBeGreaterThan(seen(larkmoor).fill * 1.99);
});

test('long glass on still subjects is ruled by the hands that hold it', () => {
  const shaky = {
    ...alder,
    kit: { ...alder.kit, bodyId: 'crop-1.5-20', support: 'hand' as const },
  };
  expect(seen(shaky).times.mustBy).toEqual({ by: 'hands' });
  // 600 mm on 1.5x without a stabiliser: 1/900, and twice that for careful hands but for the class.
  expect(1 / seen(shaky).times.mustS).toBeCloseTo((600 * 36) / 23.5, 0);
  expect(shutterReason(seen(shaky), answer(shaky, '06:40').exposure)).toMatch(
    /^1\/1000: (your hands hold no slower|careful hands at 600 mm)\./,
  );
});

test('looking into the low sun warns; with the sun behind it does not', () => {
  const { aim } = seen(larkmoor);
  const intoSun = moved(larkmoor, aim.x + 25, aim.y - 1);
  expect(answer(intoSun, '19:30').sunNearFrame).toBe(true);
  expect(lightInWords(answer(intoSun, '19:30'))).toMatch(/^Back light/);
  expect(answer(larkmoor, '19:30').sunNearFrame).toBe(false);
  expect(answer(intoSun, '20:40').sunNearFrame).toBe(false);
});

test('the stand shades the south half of the pitch, and the plan draws it', () => {
  const { light } = answer(larkmoor, '19:00');
  const features = larkmoor.features.filter(({ id }) => id === 'west-stand');
  const drawn = planLight({ sky: 'clear', features, atMs: 0 }, light);
  expect(drawn.shadows).toHaveLength(1);
  expect(Math.max(...(drawn.shadows[0] ?? []).map(({ x }) => x))).toBeGreaterThan(0);
  expect(planLight({ sky: 'overcast', features, atMs: 0 }, light).shadows).toEqual([]);
});

test('a sun half a degree up still lights the plan, one half a degree down does not', () => {
  const { light } = answer(larkmoor, '19:00');
  const strengthAt = (altitudeDeg: number) =>
    planLight(
      { sky: 'clear', features: [], atMs: 0 },
      { ...light, sun: { ...light.sun, altitudeDeg } },
    ).sunStrength;
  expect(strengthAt(0.5)).toBeGreaterThan(0);
  expect(strengthAt(-0.5)).toBe(0);
});

test('under a roof the day makes no difference, only lamps do', () => {
  const hall = {
    ...larkmoor,
    light: { ...larkmoor.light, indoors: true, lampLux: 300, lampsFromLocal: undefined },
  };
  const [day, night] = ['18:45', '20:40'].map((clock) => answer(hall, clock));
  expect(day?.light.ev.expected).toBeCloseTo(night?.light.ev.expected ?? NaN, 6);
  // 300 lx on the face is EV 6.91 (E = 2.5·2^EV).
  expect(day?.light.ev.expected).toBeCloseTo(6.91, 2);
  expect(lightInWords(day as Answer)).toBe('Lamplight');
  expect(
    planLight({ sky: 'clear', features: larkmoor.features, atMs: 0 }, (day as Answer).light),
  ).toMatchObject({
    sunStrength: 0,
    shadows: [],
    label: 'Under a roof',
  });
  const dark = answer({ ...hall, light: { ...hall.light, lampLux: 0 } }, '18:45');
  expect(lightInWords(dark)).toBe('Dark: no lamps');
  expect(dark.exposure.works).toBe(false);
  expect(shutterReason(seen(hall), dark.exposure)).toMatch(/slower than the 1\/1000 it wants\./);
});

test('the sight says distance and true bearing', () => {
  const view = seen(larkmoor);
  expect(planSight(view, alongSight(view, larkmoor.features, 4)).label).toMatch(
    /^\d+\.\d m · \d{3}° [NSEW]{1,2}$/,
  );
});

test('by hand: a wall half way stops the sight there, one behind ends it, and 2× is twice as far', () => {
  const view = seen(larkmoor);
  const { camera, aim } = view;
  const at = (share: number) => ({
    x: camera.x + (aim.x - camera.x) * share,
    y: camera.y + (aim.y - camera.y) * share,
  });
  const aside = { x: -(aim.y - camera.y), y: aim.x - camera.x };
  const wallAt = (share: number, id: string) => ({
    id,
    name: id,
    kind: 'wall' as const,
    heightM: 3,
    points: [-1, 1].map((side) => ({
      x: at(share).x + side * aside.x,
      y: at(share).y + side * aside.y,
    })),
  });
  const sight = planSight(view, alongSight(view, [wallAt(0.5, 'near'), wallAt(1.5, 'far')], 4));
  // A wall is 20 cm thick: its face is 10 cm before its line.
  const apart = (a: { x: number; y: number } | undefined, share: number) =>
    Math.hypot((a?.x ?? NaN) - at(share).x, (a?.y ?? NaN) - at(share).y);
  expect(apart(sight.blockedAt, 0.5)).toBeCloseTo(0.1, 2);
  expect(apart(sight.back, 1.5)).toBeCloseTo(0.1, 2);
  expect(apart(sight.twice, 2)).toBeCloseTo(0, 9);
  expect(planSight(view, alongSight(view, [], 4)).blockedAt).toBeUndefined();
});

test('sunset and civil dusk of Larkmoor fall in its ribbon, noon in the regatta, by name', () => {
  const names = (shoot: Shoot) => eventsWithin(shoot.place, hoursOf(shoot)).map(({ name }) => name);
  expect(names(larkmoor)).toEqual(['sunset', 'civil dusk']);
  expect(names(alder)).toEqual(['civil dawn', 'sunrise']);
  expect(names(tern)).toEqual(['noon sun']);
});

describe('the sentence', () => {
  const clock = (ms: number) => clockOf(ms, larkmoor.place.timeZone);
  const sentence = (shoot: Shoot, time: string) => {
    const { fromMs, toMs } = hoursOf(shoot);
    const view = seen(shoot);
    const series = lightSeries({
      scene: sceneOf(view, larkmoor.features),
      fromMs,
      toMs,
      stepS: 60,
    });
    const { exposure } = answer(shoot, time);
    return stopsSentence(exposure, outlookOf(view, shoot.choice, series, hoursOf(shoot)), {
      clock,
      atMs: at(shoot, time),
      usableIso: view.body.iso.usable,
    });
  };
  test('says until when it is good, and how short it gets within the shoot’s own hours', () => {
    expect(sentence(larkmoor, '18:50')).toMatch(
      /^Good until 20:\d\d; at 20:45 \d\.\d stops? short\. \d\.\d stops in hand below ISO 6400\.$/,
    );
  });
  test('once it is short it says so first, by how much and of what', () => {
    expect(sentence(larkmoor, '20:42')).toMatch(/^[01]\.\d stops? short of 1\/\d+ at ISO 6400\.$/);
  });
  test('says what is in hand when there is enough throughout', () => {
    expect(sentence(tern, '12:00')).toMatch(/^\d\.\d stops in hand below ISO 6400\.$/);
  });
  test('says when it is enough again, and what a passing shade takes', () => {
    const plan = answer(larkmoor, '18:50').exposure;
    const span = {
      fromMs: at(larkmoor, '19:10'),
      toMs: at(larkmoor, '19:20'),
      worst: { timeMs: at(larkmoor, '19:15'), stops: 1.2 },
      toTheEnd: false,
    };
    const said = (time: string, short = 0) =>
      stopsSentence(
        { ...plan, stopsShort: short },
        { spans: [span] },
        { clock, atMs: at(larkmoor, time), usableIso: 6400 },
      );
    expect(said('18:50')).toMatch(/^Short from 19:10 to 19:20; at 19:15 1\.2 stops short\./);
    expect(said('19:12', 1)).toMatch(/Enough again after 19:20\.$/);
    expect(said('19:30')).toMatch(/^\d\.\d stops in hand/);
  });
  test('says when nothing is enough, and when all is too much', () => {
    const plan = { ...answer(larkmoor, '20:40').exposure, works: false };
    const now = { clock, atMs: 0, usableIso: 6400 };
    expect(stopsSentence({ ...plan, stopsDark: 2 }, NO_OUTLOOK, now)).toMatch(
      /^Too dark by 2\.0 stops: no dial is left/,
    );
    expect(
      stopsSentence({ ...plan, stopsBright: 0.5, stopsDark: 0, stopsShort: 0 }, NO_OUTLOOK, now),
    ).toMatch(/^Too bright by 0\.5 stop /);
  });
});

describe('a way out', () => {
  const short = { ...larkmoor, choice: { ...larkmoor.choice, held: {} } };
  test('that is pressed holds, and the frame is right', () => {
    const before = answer(short, '20:45').exposure;
    expect(before.stopsShort).toBeGreaterThan(0);
    expect(before.waysOut.length).toBeGreaterThan(0);
    for (const way of before.waysOut) {
      const after = answer(withWay(short, way), '20:45').exposure;
      expect(after.settings).toEqual(way.settings);
      expect(after.works).toBe(true);
      const { label } = wayInWords(way, before, seen(short).motion);
      expect(label).toMatch(/1\/|ISO|lift/);
    }
  });
  test('by a filter puts it into the bag, and then the pan keeps its time', () => {
    const panning = {
      ...tern,
      shots: tern.shots.map((shot) => ({ ...shot, technique: 'pan' as const, shutterS: 1 / 15 })),
      kit: { ...tern.kit, bag: tern.kit.bag.filter(({ kind }) => kind !== 'filter') },
    };
    const shot = panning.shots[0];
    if (!shot) throw new Error('no shot');
    const asked = { ...panning, choice: { ...panning.choice, shotId: shot.id, held: {} } };
    const before = answer(asked, '12:00').exposure;
    expect(before.works).toBe(false);
    const [way] = before.waysOut;
    if (!way) throw new Error('no way out');
    const after = answer(withWay(asked, way), '12:00').exposure;
    expect(after.works).toBe(true);
    expect(after.settings.filterStops).toBeGreaterThan(0);
    expect(formatShutter(after.settings.shutterS)).toBe('1/15');
  });
});

describe('light in words', () => {
  const at60 = (phaseDeg: number, altitudeDeg = 30) => {
    const { light, sunAngle } = answer(larkmoor, '18:50');
    return lightInWords({
      light: { ...light, sun: { ...light.sun, altitudeDeg } },
      sunAngle: { ...sunAngle, phaseDeg, side: 'left' },
    });
  };
  test('front to 45° off the camera’s axis, side to 110°, back beyond; a high sun by itself', () => {
    expect(at60(45)).toBe('Front light from the left');
    expect(at60(46)).toBe('Side light from the left');
    expect(at60(75)).toBe('Side light from the left');
    expect(at60(110)).toBe('Side light from the left');
    expect(at60(111)).toBe('Back light from the left');
    expect(at60(20, 58)).toBe('High sun, eyes in shade');
  });
});

describe('a brim', () => {
  const under = (brim: boolean | undefined, altitudeDeg: number, azimuthOff = 0) => {
    const view = seen(larkmoor);
    const { light } = answer(larkmoor, '18:50');
    const sun = { ...light.sun, altitudeDeg, azimuthDeg: view.mark.facingDeg + azimuthOff };
    const mark = { ...view.mark, ...(brim !== undefined && { brim }) };
    return brimShades({ ...view, mark }, { light: { ...light, sun } });
  };
  test('shades the face when the sun stands high before it, and only who wears one', () => {
    expect(under(true, 45)).toBe(true);
    expect(under(true, 20)).toBe(false);
    expect(under(true, 45, 150)).toBe(false);
    expect(under(false, 45)).toBe(false);
    expect(under(undefined, 45)).toBe(false);
  });
});

test.each([
  [0, '000° N'],
  [359.7, '000° N'],
  [44.6, '045° NE'],
  [271, '271° W'],
])('%d is the bearing %s', (bearing, words) => {
  expect(bearingInWords(bearing)).toBe(words);
});

test.each([
  [0, 'faces you'],
  [45, 'three-quarter face'],
  [90, 'in profile'],
  [170, 'turned away'],
])('a face %d° off %s', (off, words) => {
  expect(faceSeen(off)).toBe(words);
});
