import { inOrder } from '@/records/edit-log';
import type { Shoot } from '@/records/shoot';
import { msOf } from '@/records/times';

/** Entries that count, with their moment, in order. */
export const countedEntries = ({ log, place }: Pick<Shoot, 'log' | 'place'>) =>
  inOrder(log.entries)
    .filter(({ rehearsed }) => !rehearsed)
    .map((entry) => ({ entry, atMs: msOf(entry.atLocal, place.timeZone) }));
