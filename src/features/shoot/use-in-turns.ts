import { useQuery } from '@tanstack/react-query';

/** Longest stretch of work before the page may answer again. */
const TURN_MS = 10;

/**
 * What some steps come to, worked out between other things; nothing until the last is done, or what they came to before.
 * @param key of all that the steps rest on @param make the steps, made when the first is due
 */
export function useInTurns<T>(
  name: string,
  key: string,
  make: () => readonly (() => T)[],
  keepsBefore = false,
): readonly T[] | undefined {
  const { data } = useQuery<readonly T[]>({
    queryKey: [name, key],
    queryKeyHashFn: () => `${name} ${key}`,
    queryFn: async ({ signal }) => {
      const found: T[] = [];
      let since = performance.now();
      for (const step of make()) {
        found.push(step());
        if (performance.now() - since < TURN_MS) continue;
        await new Promise((done) => setTimeout(done, 0));
        signal.throwIfAborted();
        since = performance.now();
      }
      return found;
    },
    staleTime: Infinity,
    gcTime: 30_000,
    placeholderData: (before) => (keepsBefore ? before : undefined),
  });
  return data;
}
