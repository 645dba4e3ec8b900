/** What a job in pieces comes to. */
export type Reply<T> =
  | { readonly kind: 'done'; readonly value: T }
  | { readonly kind: 'cancelled' }
  | { readonly kind: 'failed'; readonly reason: string };

export const reasonOf = (error: unknown): string =>
  error instanceof Error ? error.message : String(error);

/**
 * Jobs of a worker that can be cancelled by id while they run. A job goes on in pieces; between
 * two of them waiting messages are heard.
 * @param nextTurn resolves when waiting messages have been heard
 */
export function runningJobs(nextTurn: () => Promise<void>) {
  const running = new Set<number>();
  return {
    cancel: (id: number): void => void running.delete(id),
    /**
     * Runs `begin` and then its pieces until one says it was the last.
     * @param begin makes the job; what it throws is the reason of the failure
     */
    run: async <T>(
      id: number,
      begin: () => { readonly piece: () => boolean | Promise<boolean>; readonly value: () => T },
    ): Promise<Reply<T>> => {
      running.add(id);
      try {
        const { piece, value } = begin();
        for (let more = true; more; more = await piece()) {
          await nextTurn();
          if (!running.has(id)) return { kind: 'cancelled' };
        }
        return { kind: 'done', value: value() };
      } catch (error) {
        return { kind: 'failed', reason: reasonOf(error) };
      } finally {
        running.delete(id);
      }
    },
  };
}
