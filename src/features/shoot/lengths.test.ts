import { legWords, nearestTo } from './lengths';

const mark = { headingDeg: 0, facingDeg: 0, subjectId: 'field-player' };
const ground = {
  marks: [
    { ...mark, id: 'a', name: 'A', x: 0, y: 0 },
    { ...mark, id: 'b', name: 'B', x: 3, y: 4 },
    { ...mark, id: 'far', name: 'Far', x: 50, y: 0 },
  ],
  positions: [{ id: 'p', name: 'P', x: 0, y: -12, cameraHeightM: 1 }],
  features: [],
};

test('of what is moved, how far it is from the two things nearest to it is written between them', () => {
  const draft = nearestTo(ground, { list: 'marks', id: 'a' });
  expect(draft?.points).toEqual([
    { x: 3, y: 4 },
    { x: 0, y: 0 },
    { x: 0, y: -12 },
  ]);
  expect(draft?.words).toEqual([
    { at: { x: 1.5, y: 2 }, text: '5.0 m' },
    { at: { x: 0, y: -6 }, text: '12.0 m' },
  ]);
  expect(draft?.closed).toBe(false);
});

test('a perch near by counts, the middle of a path does not, nor what lies under it', () => {
  const points = [{ x: 1, y: 0 }];
  const perch = { id: 'stick', name: 'Stick', kind: 'perch' as const, points, heightM: 1 };
  const path = {
    id: 'way',
    name: 'Way',
    kind: 'path' as const,
    points: [...points, { x: 1, y: 2 }],
  };
  const under = { ...mark, id: 'under', name: 'Under', x: 0, y: 0.02 };
  const draft = nearestTo(
    { ...ground, marks: [...ground.marks, under], features: [perch, path] },
    { list: 'marks', id: 'a' },
  );
  expect(draft?.words.map(({ text }) => text)).toEqual(['1.0 m', '5.0 m']);
  // The path itself, held, has its lengths from its middle.
  const held = nearestTo({ ...ground, features: [path] }, { list: 'features', id: 'way' });
  expect(held?.words).toHaveLength(2);
});

test('alone on the ground it has no lengths', () => {
  const alone = { marks: ground.marks.slice(0, 1), positions: [], features: [] };
  expect(nearestTo(alone, { list: 'marks', id: 'a' })).toBeUndefined();
  expect(nearestTo(alone, { list: 'marks', id: 'gone' })).toBeUndefined();
  expect(legWords([{ x: 0, y: 0 }])).toEqual([]);
});
