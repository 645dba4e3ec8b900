import { LAMP_LEVELS_LUX, WINDOW_SHARES } from '@/core';
import { arc, at, backdrop, closed, keepOut, line, rectangle, trees } from './shapes';
import type { GroundTemplate } from './types';

/** Roads, slopes, walls and steps: places without a rule book. Common practice, no source. */

const PRACTICE = 'common practice, no source';

export const ROAD_BEND: GroundTemplate = {
  id: 'road-bend',
  name: 'Road, straight and bend',
  source: PRACTICE,
  surface: 'clayTrack',
  lines: [
    line('road edge', [at(-3.5, -70), at(-3.5, 0), ...arc(at(-33.5, 0), 30, 90, 0)], 'boundary'),
    line('road edge', [at(3.5, -70), at(3.5, 0), ...arc(at(-33.5, 0), 37, 90, 0)], 'boundary'),
    line('centre line', [at(0, -70), at(0, 0), ...arc(at(-33.5, 0), 33.5, 90, 0)], 'broken'),
  ],
  fieldOfPlay: rectangle(-3.5, -70, 3.5, 0),
  marks: [
    {
      id: 'straight',
      name: 'Riders on the straight',
      ...at(0, -30),
      headingDeg: 0,
      facingDeg: 0,
      subjectId: 'cyclist',
    },
    {
      id: 'bend',
      name: 'Riders in the bend',
      ...at(-4, 15),
      headingDeg: 333,
      facingDeg: 333,
      subjectId: 'cyclist',
    },
  ],
  positions: [
    {
      id: 'pan',
      name: 'Beside the straight, well back',
      ...at(16, -24),
      cameraHeightM: 1.5,
      why: 'Pan from the outside with room both sides and no spectators in the swing.',
    },
    {
      id: 'head-on',
      name: 'Inside the bend, looking up the straight',
      ...at(-9, 22),
      cameraHeightM: 1.6,
      why: 'Head-on at eye height for faces, on the inside: riders who fall go outwards.',
    },
  ],
  features: [
    keepOut('bend-outside', 'Outside of the bend, where riders who fall go', [
      ...arc(at(-33.5, 0), 37, 90, 0),
      ...arc(at(-33.5, 0), 45, 0, 90),
    ]),
    {
      id: 'riders-line',
      name: 'Line of the riders',
      kind: 'course',
      points: [at(0, -70), at(0, 0), ...arc(at(-33.5, 0), 33.5, 90, 0)],
    },
    backdrop('far-hedge', 'Hedge, far side', [at(-14, -70), at(-14, -6)], 2, 'leaf'),
  ],
  cautions: ['road', 'panning', 'sun', 'heat'],
  lensId: '70-200-2.8',
  focalMm: 200,
};

export const TRAIL_RUN: GroundTemplate = {
  id: 'trail-run',
  name: 'Trail run, path and crossing',
  source: PRACTICE,
  surface: 'grass',
  lines: [
    line('path', [at(-2, -45), at(2, -20), at(-3, 0), at(1, 20), at(6, 45)], 'boundary'),
    line('stream', [at(-30, -22), at(0, -19), at(30, -24)], 'broken'),
  ],
  marks: [
    {
      id: 'climb',
      name: 'Coming up the path',
      ...at(0.4, 17),
      headingDeg: 190,
      facingDeg: 190,
      subjectId: 'distance-runner',
    },
    {
      id: 'ford',
      name: 'Through the stream',
      ...at(1.6, -20),
      headingDeg: 350,
      facingDeg: 350,
      subjectId: 'distance-runner',
    },
  ],
  positions: [
    {
      id: 'beside-path',
      name: 'Beside the path, below the runners',
      ...at(-7, -2),
      cameraHeightM: 0.8,
      why: 'Low, where the path turns towards you, two steps off it: runners look where they put their feet.',
    },
    {
      id: 'stream-bank',
      name: 'On the bank, across the light',
      ...at(-11, -13),
      cameraHeightM: 0.5,
      why: 'The splash shows against dark trees with the sun from the side.',
    },
  ],
  features: [
    {
      id: 'runners-line',
      name: 'Line of the runners',
      kind: 'course',
      points: [at(-2, -45), at(2, -20), at(-3, 0), at(1, 20), at(6, 45)],
    },
    trees('trees-east', 'Trees', rectangle(12, -40, 24, 40), 12),
  ],
  cautions: ['field', 'panning', 'sun'],
  lensId: '70-200-2.8',
  focalMm: 200,
};

export const SKI_SLOPE: GroundTemplate = {
  id: 'ski-slope',
  name: 'Ski turn, slope section',
  source: PRACTICE,
  surface: 'snow',
  lines: [
    line('piste edge', [at(-15, -40), at(-15, 40)], 'boundary'),
    line('piste edge', [at(15, -40), at(15, 40)], 'boundary'),
  ],
  fieldOfPlay: rectangle(-15, -40, 15, 40),
  marks: [
    {
      id: 'turn',
      name: 'Where the turn will be',
      ...at(-6, 10),
      headingDeg: 160,
      facingDeg: 180,
      subjectId: 'skier',
    },
  ],
  positions: [
    {
      id: 'below',
      name: 'Below the turn, beside the piste',
      ...at(18, -18),
      cameraHeightM: 1.2,
      why: 'Pre-focus where the turn will be; bright kit against the dark trees.',
    },
  ],
  features: [
    trees('trees', 'Trees above the turn', rectangle(-40, 22, -18, 40), 14),
    {
      id: 'racing-line',
      name: 'Racing line',
      kind: 'course',
      points: [at(8, 38), at(2, 24), at(-6, 10), at(2, -6), at(8, -22)],
    },
    keepOut('spill-zone', 'Spill zone below the turn', [
      at(-15, 10),
      at(-24, -10),
      at(-24, -40),
      at(-15, -40),
    ]),
  ],
  cautions: ['snow', 'cold', 'sun'],
  lensId: '70-200-2.8',
  focalMm: 200,
};

export const CLIMBING_WALL: GroundTemplate = {
  id: 'climbing-wall',
  name: 'Climbing wall',
  source: PRACTICE,
  surface: 'hallWood',
  lines: [line('foot of the wall', [at(-8, 6), at(8, 6)], 'boundary')],
  fieldOfPlay: rectangle(-8, 2.5, 8, 6),
  marks: [
    {
      id: 'climber',
      name: 'Climber on the wall',
      ...at(1, 5.6),
      // Along the wall as it climbs, the face turned out to the next hold.
      headingDeg: 280,
      facingDeg: 240,
      subjectId: 'climber',
      feetM: 4,
    },
  ],
  positions: [
    {
      id: 'side',
      name: 'To the side, near the wall',
      ...at(-7, 1.5),
      cameraHeightM: 1.6,
      why: 'From the side the face shows; near windows the light does too.',
    },
    {
      id: 'balcony',
      name: 'Balcony opposite',
      ...at(2, -9),
      cameraHeightM: 4,
      why: 'Level with the climber: hands, face and the drop below.',
    },
  ],
  features: [
    {
      id: 'wall',
      name: 'Wall',
      kind: 'stand',
      points: rectangle(-8, 6, 8, 6.6),
      heightM: 12,
    },
  ],
  cautions: ['ladder'],
  indoorLux: LAMP_LEVELS_LUX.dimHall,
  windowShare: WINDOW_SHARES.oneSide,
  lensId: '70-200-2.8',
  focalMm: 85,
};

export const SKATE_SPOT: GroundTemplate = {
  id: 'skate-spot',
  name: 'Skate spot',
  source: PRACTICE,
  surface: 'clayTrack',
  lines: [
    line('steps', closed(rectangle(-3, -1, 3, 1))),
    line('run-up', [at(0, -20), at(0, -1)], 'broken'),
  ],
  marks: [
    {
      id: 'jump',
      name: 'Top of the jump',
      ...at(0, 0.5),
      headingDeg: 0,
      facingDeg: 30,
      subjectId: 'court-jump',
    },
  ],
  positions: [
    {
      id: 'low',
      name: 'Below the steps, low',
      ...at(2.6, 6.5),
      cameraHeightM: 0.4,
      why: 'Low and wide lifts the rider into the sky; out of the landing.',
    },
  ],
  features: [
    keepOut('landing', 'Landing and roll-out', rectangle(-2, 1, 2, 12)),
    { id: 'run-in', name: 'Run-in', kind: 'course', points: [at(0, -20), at(0, 1)] },
    { id: 'rail', name: 'Handrail', kind: 'outline', points: [at(-3, -1), at(-3, 1)] },
  ],
  cautions: ['children'],
  lensId: '24-70-2.8',
  focalMm: 35,
};

/** The same under a roof, its light through windows along one side. */
export const SKATE_HALL: GroundTemplate = {
  ...SKATE_SPOT,
  id: 'skate-hall',
  name: 'Skate hall',
  surface: 'hallWood',
  positions: [
    {
      id: 'low',
      name: 'Below the steps, low',
      ...at(2.6, 6.5),
      cameraHeightM: 0.4,
      why: 'Low and wide, out of the landing; with the windows behind you the rider is lit, against them a dark shape.',
    },
  ],
  indoorLux: LAMP_LEVELS_LUX.dimHall,
  windowShare: WINDOW_SHARES.oneSide,
};
