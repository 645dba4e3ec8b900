import { FIRST_EVENT, type DayEventRecord, type NatureTime, type Watch } from '@/records/day';

/** What the demo's evening and morning go by. All of it invented. */

const GAME = '2027-04-16';

const play = (
  id: string,
  name: string,
  at: string,
  durationMin: number,
  rest: Partial<DayEventRecord>,
): DayEventRecord => ({
  ...FIRST_EVENT,
  id,
  name,
  startLocal: `${GAME}T${at}`,
  durationMin,
  entries: [],
  calls: { first: 5, second: 2, third: 0 },
  ...rest,
});

export const LARKMOOR_ORDER: readonly DayEventRecord[] = [
  play('warm-up', 'Warm-up, corners practised', '18:40', 12, { shotId: 'corner-strike' }),
  play('first-quarter', 'First quarter', '19:00', 15, {
    worth: 'must',
    shotId: 'corner-strike',
    entries: [{ personId: 'nine', name: 'Number 9, home' }],
  }),
  play('second-quarter', 'Second quarter', '19:17', 15, { worth: 'must', shotId: 'save' }),
  play('half-time', 'Half time on the benches', '19:33', 8, { shotId: 'bench' }),
  play('third-quarter', 'Third quarter', '19:43', 15, { shotId: 'counter' }),
  play('last-quarter', 'Last quarter, under the lamps', '20:00', 15, { shotId: 'save' }),
  play('whistle', 'Final whistle, hands shaken', '20:16', 6, { shotId: 'bench' }),
];

const watch = (id: string, date: string, from: string, to: string, visits: string): Watch => ({
  id,
  markId: 'perch-a',
  fromLocal: `${date}T${from}`,
  toLocal: `${date}T${to}`,
  visitsLocal: visits ? visits.split(' ').map((at) => `${date}T${at}`) : [],
});

/** Three mornings in the hide before this one. */
export const ALDER_WATCHES: readonly Watch[] = [
  watch('w-1', '2027-04-24', '05:30', '09:00', '06:34 06:52 07:20 07:41 08:32'),
  watch('w-2', '2027-04-27', '05:30', '08:30', '06:28 07:02 07:09 07:36 07:58'),
  watch('w-3', '2027-05-01', '06:00', '09:30', '06:40 07:15 07:24 08:05 09:02'),
];

export const ALDER_TIMES: readonly NatureTime[] = [
  { id: 'weir', kind: 'other', name: 'Weir opened, the pool clouds', atLocal: '2027-05-08T08:00' },
];
