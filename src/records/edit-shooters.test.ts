import { TERN_WATER } from '@/demo/tern-water';
import { onDay } from './edit-day';
import { withValidEvents } from './edit-events';
import { asShooter, withoutShooter, withShooter, withShooterChanged } from './edit-shooters';
import { duplicateShoot } from './new-shoot';
import { shootSchema, type Shoot } from './shoot';

/** Two shoot together: the one of now, with the shoot's own bag, and another. */
let made = 0;
const newId = () => `s${(made += 1)}`;
beforeEach(() => {
  made = 0;
});
const two = (): Shoot => withShooter(TERN_WATER, { own: 'Ash', name: 'Mara' }, newId);
const problems = (shoot: unknown): readonly string[] => {
  const read = shootSchema.safeParse(shoot);
  return read.success
    ? []
    : read.error.issues.map(({ path, message }) => `${path.join('.')}: ${message}`);
};

test('a second shooter makes two, the one of now among them; a third only joins', () => {
  const shoot = two();
  expect(shoot.shooters.map(({ id, name }) => ({ id, name }))).toEqual([
    { id: 's2', name: 'Ash' },
    { id: 's1', name: 'Mara' },
  ]);
  expect(shoot.choice.shooterId).toBe('s2');
  expect(shoot.shooters[0]?.kit).toBeUndefined();
  expect(shoot.shooters[1]?.kit).toEqual({ ...TERN_WATER.kit, packed: [] });
  const three = withShooter(shoot, { own: '', name: 'Ben' }, newId);
  expect(three.shooters.map(({ name }) => name)).toEqual(['Ash', 'Mara', 'Ben']);
  const full = withShooter(
    withShooter(three, { own: '', name: 'Four' }, newId),
    { own: '', name: 'Five' },
    newId,
  );
  expect(full.shooters).toHaveLength(4);
  [shoot, three, full].forEach((each) => expect(problems(each)).toEqual([]));
});

test('working as another takes up their bag and puts one’s own away; and back again', () => {
  const shoot = two();
  const other = withShooterChanged(shoot, 's1', (mara) => ({
    ...mara,
    kit: { ...TERN_WATER.kit, converter: 1.4 },
  }));
  const mara = asShooter(other, 's1');
  expect(mara.kit.converter).toBe(1.4);
  expect(mara.choice.shooterId).toBe('s1');
  expect(mara.shooters.map(({ id, kit }) => [id, kit?.converter])).toEqual([
    ['s2', TERN_WATER.kit.converter],
    ['s1', undefined],
  ]);
  expect(problems(mara)).toEqual([]);
  expect(asShooter(mara, 's2')).toEqual(other);
  expect(asShooter(shoot, 's2')).toBe(shoot);
});

test('of three two stay; of two one shoots alone, with their own bag, and anyone may shoot what was another’s', () => {
  const event = (shooterId: string, i: number) => ({ ...TERN_WATER.events[i], shooterId });
  const three = withShooter(two(), { own: '', name: 'Ben' }, newId);
  const pinned = { ...three, events: [event('s1', 0), event('s3', 1)] } as Shoot;
  const left = withoutShooter(pinned, 's3');
  expect(left.shooters.map(({ name }) => name)).toEqual(['Ash', 'Mara']);
  expect(left.events.map(({ shooterId }) => shooterId)).toEqual(['s1', undefined]);
  // Whose bag is in hand leaves: the next one's is taken up.
  const alone = withoutShooter(
    withShooterChanged(left, 's1', (mara) => ({
      ...mara,
      kit: { ...TERN_WATER.kit, converter: 2 },
    })),
    's2',
  );
  expect(alone.shooters).toEqual([]);
  expect(alone.choice.shooterId).toBeUndefined();
  expect(alone.kit.converter).toBe(2);
  expect(alone.events.map(({ shooterId }) => shooterId)).toEqual([undefined, undefined]);
  [left, alone].forEach((each) => expect(problems(each)).toEqual([]));
  expect(withoutShooter(left, 'nobody')).toBe(left);
});

test('what is no company is refused, with what it must be', () => {
  const shoot = two();
  const [ash, mara] = shoot.shooters;
  const { shooterId: _none, ...choice } = shoot.choice;
  expect(problems({ ...TERN_WATER, shooters: [mara] })).toEqual([
    'shooters: must be none, or two or more',
    'choice.shooterId: must be the id of a shooter',
  ]);
  expect(problems({ ...shoot, choice })).toContain('choice.shooterId: must be the id of a shooter');
  expect(problems({ ...TERN_WATER, choice: shoot.choice })).toContain(
    'choice.shooterId: must be the id of a shooter',
  );
  expect(problems({ ...shoot, shooters: [ash, { id: 's1', name: 'Mara' }] })).toEqual([
    'shooters.1.kit: must be there',
  ]);
  expect(problems({ ...shoot, shooters: [{ ...ash, kit: shoot.kit }, mara] })).toEqual([
    'shooters.0.kit: must be absent: it is the shoot’s own',
  ]);
  expect(problems({ ...shoot, shooters: [ash, { ...mara, id: 's2' }] })).toContain(
    'shooters.1.id: must not stand twice',
  );
  expect(problems({ ...shoot, shooters: [ash, { ...mara, atPositionId: 'moon' }] })).toEqual([
    'shooters.1.atPositionId: must be the id of a position',
  ]);
  expect(problems({ ...shoot, events: [{ ...shoot.events[0], shooterId: 'x' }] })).toEqual([
    'events.0.shooterId: must be the id of a shooter',
  ]);
});

test('a start follows its day, and lets go of a place that is no more; a copy packs anew', () => {
  const [place] = TERN_WATER.positions;
  const shoot = withShooterChanged(two(), 's1', (mara) => ({
    ...mara,
    fromLocal: '2027-06-19T12:30',
    ...(place && { atPositionId: place.id }),
  }));
  const next = onDay(shoot, '2027-06-21');
  expect(next.shooters.map(({ fromLocal }) => fromLocal)).toEqual([undefined, '2027-06-21T12:30']);
  const gone = withValidEvents({
    ...shoot,
    positions: shoot.positions.filter(({ id }) => id !== place?.id),
  });
  expect(gone.shooters[1]).not.toHaveProperty('atPositionId');
  expect(gone.shooters[1]?.fromLocal).toBe('2027-06-19T12:30');
  expect(withValidEvents(shoot).shooters).toEqual(shoot.shooters);
  const packed = withShooterChanged(shoot, 's1', (mara) => ({
    ...mara,
    kit: { ...TERN_WATER.kit, packed: ['body'] },
  }));
  const copy = duplicateShoot(packed, 'copy', '2026-11-02T12:00:00Z');
  expect(copy.shooters[1]?.kit?.packed).toEqual([]);
  expect(problems(copy)).toEqual([]);
});
