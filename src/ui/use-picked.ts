import { useState } from 'react';

const picked = <T extends object, K extends keyof T>(thing: T, keys: readonly K[]): Pick<T, K> =>
  Object.fromEntries(keys.map((key) => [key, thing[key]])) as Pick<T, K>;

/** These parts of a thing: the same object for as long as none of them is another. The keys must stay the same. */
export function usePicked<T extends object, K extends keyof T>(
  thing: T,
  ...keys: readonly K[]
): Pick<T, K> {
  const [kept, keep] = useState(() => picked(thing, keys));
  if (keys.every((key) => Object.is(kept[key], thing[key]))) return kept;
  const now = picked(thing, keys);
  keep(now);
  return now;
}
