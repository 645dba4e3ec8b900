import { subjectPoints } from '.';

test('a subject on the ground is aimed at half-way up and lit at the face; on a perch all is higher by as much', () => {
  // Half of 1.8 m, and 0.85 of it: common practice, no source.
  expect(subjectPoints({ x: 3, y: -2 }, 1.8)).toEqual({
    feet: { x: 3, y: -2, z: 0 },
    aim: { x: 3, y: -2, z: 0.9 },
    face: { x: 3, y: -2, z: 1.53 },
  });
  const perched = subjectPoints({ x: 0, y: 0, feetM: 1.2 }, 0.2);
  expect(perched.feet.z).toBe(1.2);
  expect(perched.aim.z).toBeCloseTo(1.3, 9);
  expect(perched.face.z).toBeCloseTo(1.37, 9);
});
