import { DEMO_SHOOTS } from '@/demo';
import { carriedNames, seatedOn, withCarried } from './carried';
import { changeItem, moveItem, shifted } from './edit-site';
import { newShoot } from './new-shoot';
import { shootSchema, type Shoot } from './shoot';

const [, alder] = DEMO_SHOOTS as [Shoot, Shoot, Shoot];
const byId = <T extends { readonly id: string }>(entries: readonly T[], id: string): T => {
  const found = entries.find((entry) => entry.id === id);
  if (!found) throw new Error(`no ${id}`);
  return found;
};
const markOf = ({ marks }: Shoot, id: string) => byId(marks, id);
const placeOf = ({ positions }: Shoot, id: string) => byId(positions, id);
const HIDE = { list: 'features', id: 'hide' } as const;
const perchIdOf = (shoot: Shoot) => markOf(shoot, 'perch-a').carriedBy ?? '';

test('in the demo the hide carries its window and slot, and each perch its bird', () => {
  expect(carriedNames(alder, 'hide')).toEqual(['Hide window', 'Hide, side slot']);
  const perch = alder.features.find(({ id }) => id === perchIdOf(alder));
  expect(perch?.kind).toBe('perch');
  expect(carriedNames(alder, perchIdOf(alder))).toEqual(['Near perch']);
  // In the air over the pool it sits on nothing.
  expect(markOf(alder, 'dive-pool').carriedBy).toBeUndefined();
});

test('the hide moved, window and slot go with it, and nothing else does', () => {
  const moved = moveItem(alder, HIDE, 4, -2);
  for (const id of ['hide-window', 'hide-side']) {
    const [was, is] = [placeOf(alder, id), placeOf(moved, id)];
    expect([is.x - was.x, is.y - was.y]).toEqual([expect.closeTo(4, 9), expect.closeTo(-2, 9)]);
    expect(is.carriedBy).toBe('hide');
  }
  expect(moved.marks).toEqual(alder.marks);
  expect(shootSchema.safeParse(moved).success).toBe(true);
});

test('a perch dragged past another bird takes none along but its own', () => {
  const far = markOf(alder, 'perch-b');
  const near = markOf(alder, 'perch-a');
  const ref = { list: 'features', id: perchIdOf(alder) } as const;
  // In small steps, as a finger does, to the far bird and beyond.
  let now = alder;
  const steps = 40;
  for (let i = 0; i < steps; i += 1) {
    now = moveItem(now, ref, ((far.x - near.x) * 2) / steps, ((far.y - near.y) * 2) / steps);
  }
  expect(markOf(now, 'perch-b')).toEqual(far);
  expect(markOf(now, 'perch-a').x).toBeCloseTo(near.x + 2 * (far.x - near.x), 6);
});

test('moved by itself within the hide a place stays in it; moved out, it is its own', () => {
  const within = moveItem(alder, { list: 'positions', id: 'hide-window' }, 0, -0.2);
  expect(placeOf(within, 'hide-window').carriedBy).toBe('hide');
  const out = moveItem(alder, { list: 'positions', id: 'hide-window' }, 9, 0);
  expect('carriedBy' in placeOf(out, 'hide-window')).toBe(false);
  expect(placeOf(moveItem(out, HIDE, 5, 5), 'hide-window')).toEqual(placeOf(out, 'hide-window'));
  const flown = moveItem(alder, { list: 'marks', id: 'perch-a' }, 1, 0);
  expect('carriedBy' in markOf(flown, 'perch-a')).toBe(false);
});

test('a perch made higher lifts who sits on it; a hide made higher lifts nobody', () => {
  const id = perchIdOf(alder);
  const higher = (ref: string) =>
    seatedOn(
      changeItem(alder, 'features', ref, (entry) => ({ ...entry, heightM: 2.4 }) as typeof entry),
      ref,
    );
  expect(markOf(higher(id), 'perch-a')).toMatchObject({ feetM: 2.4 });
  expect(markOf(higher(id), 'perch-b')).toEqual(markOf(alder, 'perch-b'));
  expect(higher('hide').marks).toEqual(alder.marks);
});

test('a thing copied beside itself carries nothing', () => {
  const perch = alder.features.find(({ id }) => id === perchIdOf(alder));
  if (!perch) throw new Error('must be there');
  const copy = { ...shifted(perch, 3, -3), id: 'copy' };
  const added = { ...alder, features: [...alder.features, copy] };
  expect(moveItem(added, { list: 'features', id: 'copy' }, 5, 0).marks).toEqual(alder.marks);
});

test('a new hide on the river comes with its seat in it and the bird on its perch', () => {
  const fresh = newShoot(
    {
      ...{ title: 'A', template: 'river-hide', latitudeDeg: 52, longitudeDeg: -2 },
      ...{ timeZone: 'Europe/London', bearingDeg: 70 },
      ...{ startLocal: '2027-05-08T05:15', endLocal: '2027-05-08T08:30' },
    },
    'a',
    '2026-11-01T12:00:00Z',
  );
  expect(carriedNames(fresh, 'hide-walls')).toEqual(['In the hide']);
  expect(carriedNames(fresh, 'perch-stick')).toEqual(['Placed perch']);
});

test('what is not near is not joined: a wing’s breadth off the perch, a step from the hide', () => {
  const loose = (shoot: Shoot) => ({
    ...shoot,
    marks: shoot.marks.map(({ carriedBy: _, ...mark }) => mark),
    positions: shoot.positions.map(({ carriedBy: _, ...position }) => position),
  });
  const perch = alder.features.find(({ id }) => id === perchIdOf(alder));
  const [stick = { x: 0, y: 0 }] = perch?.points ?? [];
  const put = (eastM: number) =>
    withCarried({
      ...loose(alder),
      marks: [{ ...markOf(alder, 'perch-a'), x: stick.x + eastM, y: stick.y }],
    }).marks[0]?.carriedBy;
  expect(put(0.29)).toBe(perch?.id);
  const { carriedBy: _on, ...free } = markOf(alder, 'perch-a');
  const { marks } = withCarried<Shoot>({
    ...alder,
    marks: [{ ...free, x: stick.x + 0.57, y: stick.y }],
  });
  expect(marks[0]?.carriedBy).toBeUndefined();
});
