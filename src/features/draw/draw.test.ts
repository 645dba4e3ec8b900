import fc from 'fast-check';
import { DEMO_SHOOTS } from '@/demo';
import { answerAt } from '@/answers/answer';
import { viewOf } from '@/answers/view';
import {
  featureSchema,
  markSchema,
  positionSchema,
  type Feature,
  type Shoot,
} from '@/records/shoot';
import { msOf } from '@/records/times';
import { drawn, FIRST_DRAW, isWhole, type DrawAction, type DrawState } from './draw-state';
import { declinationInWords, declinationOf } from '@/features/shoot/declination';
import { effectsOf } from './effects';
import { itemAt } from './hit';
import { ADD_KINDS, drawnAs, freeName, KIND_NUMBERS, newFeature } from './kinds';
import { simulatedWalk } from '@/features/shoot/locator';
import { piecesOf, putDown, settled } from './put';
import { draftOf } from './use-drawing';

const [larkmoor] = DEMO_SHOOTS as [Shoot];
const seenAt = (shoot: Shoot, clock: string) => {
  const seen = viewOf(shoot);
  if (!seen.ok) throw new Error(seen.trouble.kind);
  const atMs = msOf(`2027-04-16T${clock}`, 'Europe/London');
  return { view: seen.view, answer: answerAt(seen.view, shoot, atMs) };
};
type Point = { x: number; y: number };
const POINTS = [
  { x: 60, y: 0 },
  { x: 70, y: 0 },
  { x: 70, y: 9 },
];

describe('what is put down', () => {
  test.each(ADD_KINDS)('a new %s is a whole record with usual figures', (kind) => {
    const { shoot, item } = putDown(
      larkmoor,
      kind,
      'brand-new',
      drawnAs(kind) === 'point' ? POINTS.slice(0, 1) : POINTS,
    );
    const made = shoot[item.list].find(({ id }) => id === 'brand-new');
    const schema = { marks: markSchema, positions: positionSchema, features: featureSchema }[
      item.list
    ];
    expect(schema.safeParse(made).error?.issues ?? []).toEqual([]);
    const numbers = kind in KIND_NUMBERS ? KIND_NUMBERS[kind as Feature['kind']] : undefined;
    for (const { key, min, max } of numbers ?? []) {
      const value = Number((made as unknown as Record<string, unknown>)[key]);
      expect(value).toBeGreaterThanOrEqual(min);
      expect(value).toBeLessThanOrEqual(max);
    }
  });

  test('a mark on a course runs along it, and is chosen', () => {
    const course = larkmoor.features.find(({ id }) => id === 'break-out') as Feature;
    const [a, b] = course.points as [{ x: number; y: number }, { x: number; y: number }];
    const middle = { x: (a.x + b.x) / 2, y: (a.y + b.y) / 2 };
    const { shoot } = putDown(larkmoor, 'mark', 'on-course', [middle]);
    const along = ((Math.atan2(b.x - a.x, b.y - a.y) * 180) / Math.PI + 360) % 360;
    expect(shoot.marks.at(-1)?.headingDeg).toBeCloseTo(along, 6);
    expect(shoot.choice.markId).toBe('on-course');
    const off = putDown(larkmoor, 'mark', 'off', [{ x: 200, y: 200 }]).shoot.marks.at(-1);
    expect(off?.headingDeg).toBe(larkmoor.marks[0]?.headingDeg);
  });

  test('a mark on a perch has its feet up there', () => {
    const [, alder] = DEMO_SHOOTS as [Shoot, Shoot];
    const [stick] = alder.features.find(({ id }) => id === 'stick-a')?.points ?? [];
    const onStick = putDown(alder, 'mark', 'new', [stick as Point]).shoot.marks.at(-1);
    expect(onStick?.feetM).toBe(1.1);
    const beside = putDown(alder, 'mark', 'new', [{ x: 40, y: 40 }]).shoot.marks.at(-1);
    expect(beside?.feetM).toBeUndefined();
    expect(
      settled({ x: (stick?.x ?? 0) + 0.3, y: stick?.y ?? 0 }, piecesOf(alder), {
        snap: true,
        pxPerM: 20,
      }),
    ).toMatchObject({ to: 'corner', point: stick });
  });

  test('a hill lies about the sun, and round north too', () => {
    const hill = newFeature('hill', { shoot: larkmoor, id: 'h', points: [] }, 10);
    expect(hill).toMatchObject({ fromDeg: 350, toDeg: 30, points: [] });
  });

  test('a name is never given twice', () => {
    expect(freeName(larkmoor, 'Perch')).toBe('Perch');
    expect(freeName(larkmoor, 'Oak')).toBe('Oak 2');
  });

  test('a point is drawn to the pitch’s own lines, and not to the thing in hand', () => {
    const pieces = piecesOf(larkmoor);
    const corner = larkmoor.features.find(({ id }) => id === 'west-stand')?.points[0];
    if (!corner) throw new Error('no stand');
    const near = { x: corner.x + 0.5, y: corner.y };
    const snap = { snap: true, pxPerM: 10 };
    expect(settled(near, pieces, snap)).toMatchObject({ to: 'corner', point: corner });
    const without = piecesOf(larkmoor, 'west-stand');
    expect(settled(near, without, snap).to).not.toBe('corner');
    expect(settled(near, pieces, { ...snap, snap: false }).point).toEqual(near);
    expect(settled({ x: 1e9, y: 0 }, [], { ...snap, snap: false }).point.x).toBe(5000);
  });
});

describe('what a tap means', () => {
  const at = (id: string) => larkmoor.features.find((entry) => entry.id === id) as Feature;
  const PX_PER_M = 5;

  test('a sign before a line, a line before an area, a small area before a large', () => {
    const [position] = larkmoor.positions;
    if (!position) throw new Error('no position');
    expect(itemAt(position, PX_PER_M, larkmoor)).toEqual({ list: 'positions', id: 'back-line' });
    const [mast] = at('mast-nw').points;
    expect(itemAt(mast as never, PX_PER_M, larkmoor)?.id).toBe('mast-nw');
    const [a, b] = at('boards').points as [{ x: number; y: number }, { x: number; y: number }];
    expect(itemAt({ x: (a.x + 3 * b.x) / 4, y: (a.y + 3 * b.y) / 4 }, 20, larkmoor)?.id).toBe(
      'boards',
    );
    const stand = at('west-stand').points;
    const inside = {
      x: ((stand[0] as Point).x + (stand[2] as Point).x) / 2,
      y: ((stand[0] as Point).y + (stand[2] as Point).y) / 2,
    };
    expect(itemAt(inside, 20, larkmoor)?.id).toBe('west-stand');
  });

  test('open ground, and the middle of a keep-out, mean nothing', () => {
    expect(itemAt({ x: 300, y: 300 }, PX_PER_M, larkmoor)).toBeUndefined();
    const bare = { ...larkmoor, marks: [], positions: [], features: [at('run-off')] };
    expect(itemAt({ x: 0, y: 0 }, PX_PER_M, bare)).toBeUndefined();
    expect(itemAt(at('run-off').points[0] as never, PX_PER_M, bare)?.id).toBe('run-off');
  });
});

describe('the tool in hand', () => {
  const run = (...actions: DrawAction[]) => actions.reduce(drawn, FIRST_DRAW);
  const tap = (x: number): DrawAction => ({ do: 'point', at: { x, y: 0 } });

  test('a wood is whole from its third point on, a wall from its second', () => {
    const trees: DrawAction = { do: 'take', tool: { name: 'add', kind: 'trees' } };
    expect(isWhole(run(trees, tap(1), tap(2)))).toBe(false);
    expect(isWhole(run(trees, tap(1), tap(2), tap(3)))).toBe(true);
    const wall: DrawAction = { do: 'take', tool: { name: 'add', kind: 'wall' } };
    expect(isWhole(run(wall, tap(1), tap(2)))).toBe(true);
    expect(isWhole(run(wall, tap(1), tap(2), { do: 'unpoint' }))).toBe(false);
  });

  test('laying takes two points; a third takes the place of the second', () => {
    const laid = run({ do: 'take', tool: { name: 'lay' } }, tap(1), tap(2), tap(3));
    expect(laid.points.map(({ x }) => x)).toEqual([1, 3]);
    expect(draftOf(laid, larkmoor)?.words.map(({ text }) => text)).toEqual(['A', 'B']);
  });

  test('selecting puts the tool and its points away; with no tool a point is nothing', () => {
    const item = { list: 'features', id: 'oak' } as const;
    const state = run({ do: 'take', tool: { name: 'measure' } }, tap(1), { do: 'select', item });
    expect(state).toMatchObject({ tool: { name: 'select' }, points: [], selected: item });
    expect(run(tap(1)).points).toEqual([]);
  });

  test('no run of actions leaves more points than the tool takes', () => {
    const action = fc.oneof(
      fc
        .constantFrom(...ADD_KINDS)
        .map((kind): DrawAction => ({ do: 'take', tool: { name: 'add', kind } })),
      fc.constant<DrawAction>({ do: 'take', tool: { name: 'lay' } }),
      fc.constant<DrawAction>(tap(1)),
      fc.constant<DrawAction>({ do: 'unpoint' }),
    );
    fc.assert(
      fc.property(fc.array(action, { maxLength: 30 }), (actions) => {
        const { tool, points }: DrawState = actions.reduce(drawn, FIRST_DRAW);
        const single = tool.name === 'add' && drawnAs(tool.kind) === 'point';
        const none =
          tool.name === 'select' || (tool.name === 'add' && drawnAs(tool.kind) === 'none');
        expect(points.length).toBeLessThanOrEqual(none ? 0 : single ? 1 : 200);
      }),
    );
  });

  test('what is in hand is outlined with its lengths', () => {
    const state = run({ do: 'select', item: { list: 'features', id: 'west-stand' } });
    const draft = draftOf(state, larkmoor);
    expect(draft?.closed).toBe(true);
    expect(draft?.words.map(({ text }) => text)).toEqual(['9.0 m', '60.0 m']);
  });
});

describe('what a thing does now', () => {
  const of = (id: string, clock: string, shoot = larkmoor) =>
    effectsOf(
      shoot.features.find((entry) => entry.id === id) as Feature,
      seenAt(shoot, clock),
      Date.parse(shoot.atLocal),
    ).join(' ');

  test('the stand’s shadow is h/tan of the sun’s height', () => {
    const { answer } = seenAt(larkmoor, '19:00');
    const { altitudeDeg } = answer.light.sun;
    const lengthM = 9 / Math.tan((altitudeDeg * Math.PI) / 180);
    expect(of('west-stand', '19:00')).toMatch(
      new RegExp(
        `Its shadow is ${lengthM < 100 ? lengthM.toFixed(1) : Math.round(lengthM)} m long, towards 09\\d° E`,
      ),
    );
    expect(of('west-stand', '20:40')).toBe('');
  });

  test('the midfield is shaded by the stand, and it says so', () => {
    const midfield = { ...larkmoor, choice: { ...larkmoor.choice, markId: 'midfield' } };
    expect(of('west-stand', '19:00', midfield)).toMatch(/keeps the sun off Midfield/);
    expect(of('west-stand', '19:00')).not.toMatch(/keeps the sun off/);
  });

  test('through the south fence: what the wire takes, and a post’s strip of shade', () => {
    const behind = { ...larkmoor, choice: { ...larkmoor.choice, positionId: 'behind-fence' } };
    // 3 mm wire in 50 mm mesh leaves (47/50)² of the light: 0.18 stop.
    expect(of('south-fence', '19:00', behind)).toMatch(
      /takes 0\.2 stop and leaves a pattern of [\d.]+ %/,
    );
    expect(of('south-fence', '19:00')).toMatch(/A post shades \d+ cm of the wire|along the wire/);
    expect(of('south-fence', '19:00')).not.toMatch(/shoot through/);
  });

  test('a keep-out cautions whoever stands in it', () => {
    const inside: Shoot = {
      ...larkmoor,
      positions: larkmoor.positions.map((p) => (p.id === 'back-line' ? { ...p, x: 0, y: 20 } : p)),
    };
    expect(of('run-off', '19:00', inside)).toMatch(/^Caution: Behind the back line lies inside it/);
    expect(of('run-off', '19:00')).toMatch(/m from Behind the back line/);
  });

  test('a course is as long as its legs, and takes its time at the subject’s pace', () => {
    // Legs of (2, 18), (6, 16) and (6, 12) metres: 18.11 + 17.09 + 13.42 = 48.62 m.
    expect(of('break-out', '19:00')).toMatch(/^48\.6 m long: 12\.2 s at 4 m\/s/);
  });

  test('the hill hides the sun only when it does', () => {
    expect(of('moor-edge', '19:00')).toMatch(/stands clear of it/);
    const west: Shoot = {
      ...larkmoor,
      features: larkmoor.features.map((f) =>
        f.id === 'moor-edge' ? { ...f, fromDeg: 250, toDeg: 300, elevationDeg: 20 } : f,
      ) as Feature[],
    };
    expect(of('moor-edge', '19:00', west)).toMatch(/behind it now/);
  });

  test('every thing on every demo ground says something by day or night', () => {
    for (const shoot of DEMO_SHOOTS) {
      const seen = viewOf(shoot);
      if (!seen.ok) throw new Error(seen.trouble.kind);
      const answer = answerAt(seen.view, shoot, msOf(shoot.atLocal, 'Europe/London'));
      for (const feature of shoot.features) {
        const words = effectsOf(feature, { view: seen.view, answer }, Date.parse(shoot.atLocal));
        expect({ of: feature.name, says: words.join(' ') }).not.toEqual({
          of: feature.name,
          says: '',
        });
        expect(words.join(' ')).not.toMatch(/NaN|Infinity|undefined/);
      }
    }
  });
});

test('the compass at Larkmoor is told in words; where no model says, nothing is', () => {
  const east = declinationOf(larkmoor);
  expect(Math.abs(east ?? NaN)).toBeLessThan(3);
  expect(declinationInWords(-1.23)).toBe('The compass points 1.2° west of true north here.');
  expect(declinationInWords(0.01)).toBe('The compass points to true north here.');
  expect(declinationOf({ ...larkmoor, startLocal: '2080-04-16T18:30' })).toBeUndefined();
});

test('the simulated walker goes ten metres at a stride, round a square and back', () => {
  for (let stride = 0; stride < 12; stride += 1) {
    const [a, b] = [simulatedWalk(stride), simulatedWalk(stride + 1)];
    expect(Math.hypot(b.x - a.x, b.y - a.y)).toBeCloseTo(10, 9);
  }
  expect(simulatedWalk(12)).toEqual(simulatedWalk(0));
});
