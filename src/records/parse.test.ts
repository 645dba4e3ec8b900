import { z } from 'zod';
import { firstProblem } from './parse';

const schema = z.object({
  title: z.string().min(1).max(12),
  marks: z.array(z.object({ headingDeg: z.number().gte(0).lt(360) })).max(2),
  sky: z.enum(['clear', 'overcast']),
  seats: z.number().int().positive().optional(),
  start: z.string().regex(/^\d+$/, 'must be a whole minute').optional(),
});
const good = { title: 'Larkmoor', marks: [{ headingDeg: 10 }], sky: 'clear' };
const problem = (more: object): string => {
  const read = schema.safeParse({ ...good, ...more });
  return read.success ? 'none' : firstProblem(read.error);
};

test('what is wrong in a file is said by what to change, in plain words', () => {
  expect(problem({})).toBe('none');
  expect(problem({ title: 'A very long title' })).toBe('title: must be at most 12 characters');
  expect(problem({ title: '' })).toBe('title: must be at least 1 characters');
  expect(problem({ title: 5 })).toBe('title: must be text');
  expect(problem({ marks: [{ headingDeg: 360 }] })).toBe('marks[0].headingDeg: must be under 360');
  expect(problem({ marks: [{ headingDeg: -1 }] })).toBe('marks[0].headingDeg: must be at least 0');
  expect(problem({ marks: [{ headingDeg: 'north' }] })).toBe(
    'marks[0].headingDeg: must be a number',
  );
  expect(problem({ marks: [1, 2, 3].map((headingDeg) => ({ headingDeg })) })).toBe(
    'marks: must be at most 2 entries',
  );
  expect(problem({ marks: 'none' })).toBe('marks: must be a list');
  expect(problem({ sky: 'blue' })).toBe('sky: must be "clear" or "overcast"');
  expect(problem({ seats: 0 })).toBe('seats: must be over 0');
  expect(problem({ seats: 1.5 })).toBe('seats: must be a whole number');
  // A schema's own words stay.
  expect(problem({ start: 'noon' })).toBe('start: must be a whole minute');
});
