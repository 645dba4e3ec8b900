import type { Sky } from '@/core';
import type { Update } from '@/features/shoot/edits';
import type { Shoot } from '@/records/shoot';
import type { ShootHours } from '@/records/times';

/** What the controls of sky, forecast and lamps rest on. */

export interface SkyProps {
  readonly shoot: Pick<Shoot, 'light' | 'place' | 'startLocal' | 'endLocal' | 'air'>;
  readonly hours: ShootHours;
  readonly clock: (ms: number) => string;
  readonly atMs: number;
  readonly update: Update;
}

export const SKIES: readonly { readonly value: Sky; readonly label: string }[] = [
  { value: 'clear', label: 'Clear' },
  { value: 'partly', label: 'Partly' },
  { value: 'overcast', label: 'Overcast' },
];
