import type { Seed } from '@/records/queries';

/** The demo, fetched only where it is put in: on the first start, or when it is asked for back. */
export const demoShoots: Seed = async () => (await import('@/demo')).DEMO_SHOOTS;
