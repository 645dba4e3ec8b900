import { newId } from './new-id';
import { id } from './shape';

test('ids are short, fit where ids go, and are not alike', () => {
  const all = Array.from({ length: 2000 }, newId);
  expect(new Set(all).size).toBe(2000);
  expect(new Set(all.map((one) => one.length))).toEqual(new Set([12]));
  expect(all.every((one) => id.safeParse(one).success)).toBe(true);
});
