import { useLayoutEffect, useState } from 'react';

type Deeds = Readonly<Record<string, (...args: never[]) => unknown>>;

/** The same functions, whatever they do meanwhile. */
function steadied<T extends Deeds>(first: T) {
  let newest = first;
  const steady = Object.keys(first).map((name) => [
    name,
    (...args: never[]) => newest[name]?.(...args),
  ]);
  return {
    deeds: Object.fromEntries(steady) as T,
    renew: (now: T) => {
      newest = now;
    },
  };
}

/**
 * Functions that do what the newest drawing says, under the same names for as long as it stands: who is handed them
 * is not drawn again for their sake. The names must stay the same.
 */
export function useSteady<T extends Deeds>(now: T): T {
  const [{ deeds, renew }] = useState(() => steadied(now));
  useLayoutEffect(() => renew(now));
  return deeds;
}
