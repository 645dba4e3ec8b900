import { DEMO_SHOOTS } from '@/demo';
import { FIRST_SHOT } from './brief';
import { withEntry, withoutEntry } from './edit-brief';
import { removeItem } from './edit-site';
import { shootSchema, type Shoot } from './shoot';

const [larkmoor] = DEMO_SHOOTS as [Shoot, ...Shoot[]];
const SHOT = { ...FIRST_SHOT, id: 'new', name: 'New one', markId: 'keeper' };
const OWN = {
  id: 'own-veteran',
  name: 'Veteran',
  basedOn: 'field-player',
  heightM: 1.7,
  depthM: 0.6,
  speedMs: 4,
  habits: [],
};

const whole = (shoot: Shoot) => shootSchema.safeParse(shoot).success;

test('an entry is added once and then changed in its place', () => {
  const added = withEntry(larkmoor, 'shots', SHOT);
  expect(added.shots.at(-1)).toEqual(SHOT);
  const changed = withEntry(added, 'shots', { ...SHOT, name: 'Renamed' });
  expect(changed.shots).toHaveLength(added.shots.length);
  expect(changed.shots.at(-1)?.name).toBe('Renamed');
  expect(whole(changed)).toBe(true);
});

test('a shot that was taken up is let go of when it is taken away', () => {
  const added = withEntry(larkmoor, 'shots', SHOT);
  const taken = { ...added, choice: { ...added.choice, shotId: 'new' } };
  const without = withoutEntry(taken, 'shots', 'new');
  expect(without.choice.shotId).toBeUndefined();
  expect(whole(without)).toBe(true);
  expect(withoutEntry(taken, 'shots', 'save').choice.shotId).toBe('new');
});

test('marks of a subject that is taken away go back to its preset', () => {
  const added = withEntry(larkmoor, 'subjects', OWN);
  const used = {
    ...added,
    marks: added.marks.map((mark) => ({ ...mark, subjectId: 'own-veteran' })),
  };
  expect(whole(used)).toBe(true);
  const without = withoutEntry(used, 'subjects', 'own-veteran');
  expect(new Set(without.marks.map(({ subjectId }) => subjectId))).toEqual(
    new Set(['field-player']),
  );
  expect(whole(without)).toBe(true);
});

test('what was promised at a mark stays promised when the mark is taken away', () => {
  const without = removeItem(larkmoor, { list: 'marks', id: 'keeper' });
  expect(without.shots).toHaveLength(larkmoor.shots.length);
  expect(whole(without)).toBe(true);
});
