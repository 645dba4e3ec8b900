import { FIRST_SHOT, type Brief, type Person, type Shot } from '@/records/brief';
import type { Shoot } from '@/records/shoot';

/** What was promised in the demo's shoots, to whom, and who is to be found. All of it invented. */

interface Promised {
  readonly brief: Brief;
  readonly shots: readonly Shot[];
  readonly people: readonly Person[];
}

/** A shoot with its promise. */
export const promising = (shoot: Shoot, { brief, shots, people }: Promised): Shoot => ({
  ...shoot,
  brief,
  shots: [...shots],
  people: [...people],
});

const shot = (id: string, name: string, markId: string, rest: Partial<Shot> = {}): Shot => ({
  ...FIRST_SHOT,
  id,
  name,
  markId,
  ...rest,
});

export const LARKMOOR_PROMISE: Promised = {
  brief: {
    client: 'Larkmoor club newsletter',
    deadlineLocal: '2027-04-16T23:00',
    fileForm: 'both',
    access: 'The club’s manager: both touchlines outside the limit, not the benches.',
    forbidden: ['flash', 'drone'],
  },
  shots: [
    shot('corner-strike', 'Strike at a penalty corner', 'penalty-corner', {
      priority: 'must',
      quota: 3,
      sharp: 'stick tip',
      light: 'front',
      background: 'washed',
    }),
    shot('save', 'The keeper at full stretch', 'keeper', { priority: 'must', quota: 2 }),
    shot('counter', 'Counter-attack, panned', 'midfield', {
      technique: 'pan',
      background: 'contrast',
      fill: 0.45,
    }),
    shot('dusk', 'Player against the last light', 'keeper', {
      technique: 'silhouette',
      light: 'back',
      background: 'sky',
      priority: 'could',
    }),
    shot('bench', 'Faces between the plays', 'penalty-corner', {
      technique: 'reaction',
      orientation: 'upright',
      fill: 0.9,
      roomToMove: false,
      quota: 4,
    }),
  ],
  people: [
    { id: 'nine', name: 'Number 9, home', number: '9', hand: 'right', habits: 'Takes the corners' },
    { id: 'keeper-home', name: 'Keeper, home', number: '1', habits: 'Comes far off the line' },
  ],
};

export const ALDER_PROMISE: Promised = {
  brief: {
    client: 'Alder Reach reserve, spring leaflet',
    fileForm: 'raw',
    access: 'The warden: the hide and the path only. The nest bank is closed by law.',
    forbidden: ['flash', 'playback', 'drone'],
  },
  shots: [
    shot('perched', 'On the near perch, eye sharp', 'perch-a', {
      technique: 'still',
      priority: 'must',
      quota: 5,
      sharp: 'head',
      fill: 0.5,
      background: 'washed',
      roomToMove: false,
    }),
    shot('dive', 'The dive, wings out', 'dive-pool', { sharp: 'body', fill: 0.35 }),
    shot('rings', 'The far perch in its river', 'perch-b', {
      technique: 'story',
      background: 'layered',
      fill: 0.2,
      priority: 'could',
      roomToMove: false,
    }),
  ],
  people: [
    {
      id: 'cock',
      name: 'The cock bird',
      habits: 'Near perch first, from half past six; bill all black',
    },
  ],
};

export const TERN_PROMISE: Promised = {
  brief: {
    client: 'Tern Water regatta committee',
    deadlineLocal: '2027-06-19T20:00',
    fileForm: 'jpeg',
    access: 'The umpire: banks and footbridge, not the finish tower.',
    forbidden: ['drone'],
  },
  shots: [
    shot('last-metres', 'Lane 4, last strokes', 'lane-4', {
      priority: 'must',
      quota: 2,
      sharp: 'head',
      light: 'side',
    }),
    shot('panned', 'A boat panned along the reeds', 'lane-2-half', {
      technique: 'pan',
      background: 'washed',
      fill: 0.3,
    }),
    shot('spray', 'Drops drawn out at the start', 'start', {
      technique: 'streak',
      priority: 'could',
    }),
  ],
  people: [
    { id: 'junior-4', name: 'Junior single, lane 4', lane: 4, number: '214' },
    { id: 'pair-2', name: 'Pair in lane 2', lane: 2, number: '87', hand: 'left' },
  ],
};
