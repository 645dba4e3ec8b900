import demoSummaries from '@/demo/summaries.json';
import type { Summary } from '@/records/list';
import type { Seed } from '@/records/list-queries';

/** The demo, fetched only where it is put in: on the first start, or when it is asked for back. */
export const demoShoots: Seed = {
  shoots: async () => (await import('@/demo')).DEMO_SHOOTS,
  summaries: demoSummaries as readonly Summary[],
};
