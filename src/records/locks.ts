const queues = new Map<string, Promise<unknown>>();

/**
 * Does some work while no other tab, and nothing else in this one, does any under the same name. Where the
 * browser has no locks (a page over plain http) only this tab waits for itself.
 */
export function underLock<T>(name: string, work: () => Promise<T>): Promise<T> {
  const locks = (globalThis as { readonly navigator?: Navigator }).navigator?.locks;
  // The types of the browser's locks lose that work answers with a promise.
  if (locks) return locks.request(name, work) as Promise<T>;
  const before = queues.get(name) ?? Promise.resolve();
  const mine = before.then(work, work);
  queues.set(name, mine);
  return mine;
}
