import fc from 'fast-check';
import { DEMO_SHOOTS } from '@/demo';
import { changeItem, moveItem, removeItem } from '@/records/edit-site';
import { turnGround } from '@/records/edit-ground';
import { noHistory, recorded, undone, type History } from '@/records/history';
import type { Shoot } from '@/records/shoot';
import { withPlace } from '@/answers/choose-shot';
import { broughtBack, onlyLooksElsewhere, openEdits } from './edits';
import { viewOf } from '@/answers/view';

const [larkmoor] = DEMO_SHOOTS as [Shoot];

test('another minute, mark or position is no edit; anything else is', () => {
  const { choice } = larkmoor;
  expect(onlyLooksElsewhere(larkmoor, { ...larkmoor, atLocal: '2027-04-16T20:00' })).toBe(true);
  expect(
    onlyLooksElsewhere(larkmoor, { ...larkmoor, choice: { ...choice, markId: 'midfield' } }),
  ).toBe(true);
  expect(
    onlyLooksElsewhere(larkmoor, { ...larkmoor, choice: { ...choice, school: 'motion' } }),
  ).toBe(false);
  expect(onlyLooksElsewhere(larkmoor, { ...larkmoor, title: 'Other' })).toBe(false);
  expect(
    onlyLooksElsewhere(larkmoor, moveItem(larkmoor, { list: 'marks', id: 'attack' }, 1, 0)),
  ).toBe(false);
});

test('a place taken up is zoomed to its framing, and that is no edit; a zoom by hand is', () => {
  const near = withPlace(larkmoor, {
    markId: 'midfield',
    positionId: larkmoor.positions[1]?.id ?? '',
  });
  const seen = viewOf(near);
  if (!seen.ok) throw new Error(seen.trouble.kind);
  // Well filled, or as far as the lens goes.
  const { fill, focalMm } = seen.view;
  expect(fill < 0.63 && (fill > 0.57 || focalMm === 200)).toBe(true);
  expect(onlyLooksElsewhere(larkmoor, near)).toBe(true);
  const zoomed = { ...larkmoor, kit: { ...larkmoor.kit, focalMm: 90 } };
  expect(onlyLooksElsewhere(larkmoor, zoomed)).toBe(false);
  const converted = { ...near, kit: { ...near.kit, converter: 2 as const } };
  expect(onlyLooksElsewhere(larkmoor, converted)).toBe(false);
});

test('undo keeps the minute looked at, unless the hours are others', () => {
  const later = { ...larkmoor, atLocal: '2027-04-16T20:10', title: 'Later' };
  expect(broughtBack(larkmoor, later)).toEqual({ ...larkmoor, atLocal: later.atLocal });
  const moved = { ...later, startLocal: '2027-04-17T18:30', endLocal: '2027-04-17T20:45' };
  expect(broughtBack(larkmoor, moved)).toEqual(larkmoor);
});

/** Every kind of edit there is of a ground. */
const edit = fc.oneof(
  fc
    .tuple(fc.nat(), fc.double({ min: -50, max: 50, noNaN: true }))
    .map(([n, by]) => (shoot: Shoot) => {
      const feature = shoot.features[n % Math.max(1, shoot.features.length)];
      return feature ? moveItem(shoot, { list: 'features', id: feature.id }, by, -by) : shoot;
    }),
  fc.nat().map((n) => (shoot: Shoot) => {
    const feature = shoot.features[n % Math.max(1, shoot.features.length)];
    return feature ? removeItem(shoot, { list: 'features', id: feature.id }) : shoot;
  }),
  fc.nat().map((n) => (shoot: Shoot) => {
    const position = shoot.positions[n % shoot.positions.length];
    return position ? removeItem(shoot, { list: 'positions', id: position.id }) : shoot;
  }),
  fc.nat({ max: 359 }).map((deg) => (shoot: Shoot) => turnGround(shoot, deg)),
  fc
    .string({ minLength: 1, maxLength: 9 })
    .map(
      (name) => (shoot: Shoot) =>
        changeItem(shoot, 'marks', 'attack', (mark) => ({ ...mark, name })),
    ),
  fc.constant((shoot: Shoot) => ({ ...shoot, atLocal: '2027-04-16T19:30' })),
);

test('any sequence of edits of a shoot, undone, gives the shoot it began with', () => {
  fc.assert(
    fc.property(fc.array(edit, { maxLength: 15 }), (edits) => {
      let history: History<Shoot> = noHistory();
      let shoot = larkmoor;
      for (const change of edits) {
        const after = change(shoot);
        if (!onlyLooksElsewhere(shoot, after)) {
          history = recorded(history, { before: shoot, after });
        }
        shoot = after;
      }
      while (history.past.length > 0) {
        const moved = undone(history, shoot);
        history = moved.history;
        shoot = broughtBack(moved.state, shoot);
      }
      expect({ ...shoot, atLocal: '' }).toEqual({ ...larkmoor, atLocal: '' });
    }),
  );
});

test('an edit can be undone and done again, and only what is there can be', () => {
  let open = larkmoor;
  const { edits, undoable } = openEdits((how) => {
    const before = open;
    open = how(before);
    return open === before ? undefined : { before, after: open };
  });
  const can = () => {
    const { canUndo, canRedo } = undoable.get();
    return [canUndo, canRedo];
  };
  expect(can()).toEqual([false, false]);
  edits.undo();
  expect(open).toBe(larkmoor);
  edits.update((shoot) => ({ ...shoot, title: 'One' }));
  edits.update((shoot) => ({ ...shoot, title: 'Two' }));
  expect(can()).toEqual([true, false]);
  edits.undo();
  expect([open.title, ...can()]).toEqual(['One', true, true]);
  edits.undo();
  expect([open.title, ...can()]).toEqual([larkmoor.title, false, true]);
  edits.redo();
  expect(open.title).toBe('One');
  // What is done now leaves nothing to do again.
  edits.update((shoot) => ({ ...shoot, title: 'Three' }));
  expect(can()).toEqual([true, false]);
});

test('changes under one name are one step, until it is let go of', () => {
  let open = larkmoor;
  const { edits, undoable } = openEdits((how) => {
    const before = open;
    open = how(before);
    return open === before ? undefined : { before, after: open };
  });
  edits.hold(true);
  expect(undoable.get().held).toBe(true);
  for (const title of ['a', 'b', 'c']) edits.update((shoot) => ({ ...shoot, title }), 'drag');
  edits.hold(false);
  expect(undoable.get().held).toBe(false);
  edits.update((shoot) => ({ ...shoot, title: 'd' }), 'drag');
  edits.undo();
  expect(open.title).toBe('c');
  edits.undo();
  expect(open.title).toBe(larkmoor.title);
});

test('a change that says what was guessed takes the guess away, and no other', () => {
  const guessing: Shoot = { ...larkmoor, guessed: ['bearing', 'lamps', 'kit'] };
  let open = guessing;
  const { edits } = openEdits((how) => {
    const before = open;
    open = how(before);
    return { before, after: open };
  });
  edits.update((shoot) => turnGround(shoot, shoot.ground.bearingDeg + 5));
  expect(open.guessed).toEqual(['lamps', 'kit']);
  edits.update((shoot) => ({ ...shoot, light: { ...shoot.light, lampLux: 300 } }));
  expect(open.guessed).toEqual(['kit']);
  edits.update((shoot) => ({ ...shoot, title: 'Other' }));
  expect(open.guessed).toEqual(['kit']);
  edits.update((shoot) => ({ ...shoot, kit: { ...shoot.kit, bodyId: 'full-frame-45' } }));
  expect(open.guessed).toEqual([]);
  edits.undo();
  expect(open.guessed).toEqual(['kit']);
});
