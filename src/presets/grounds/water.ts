import { LAMP_LEVELS_LUX } from '@/core';
import { at, backdrop, closed, keepOut, line, rectangle, trees } from './shapes';
import type { GroundTemplate } from './types';

/** Pools and courses. Figures of World Aquatics and the ICF quoted from memory. */

interface PoolRules {
  readonly id: string;
  readonly name: string;
  readonly source: string;
  readonly lengthM: number;
  readonly lanes: number;
}

const LANE_M = 2.5;
const DECK_M = 3;

/** Swimmers start at the near end (−y) and turn at the far one; the scoreboard is at the far end. */
function pool({ id, name, source, lengthM, lanes }: PoolRules): GroundTemplate {
  const halfLength = lengthM / 2;
  // The outer lanes keep 0.2 m and more from the walls.
  const halfWidth = (lanes * LANE_M) / 2;
  const across = (y: number) => [at(-halfWidth, y), at(halfWidth, y)];
  const laneX = (lane: number) => -halfWidth + (lane - 0.5) * LANE_M;
  return {
    id,
    name,
    source,
    surface: 'water',
    lines: [
      line('pool', closed(rectangle(-halfWidth, -halfLength, halfWidth, halfLength)), 'boundary'),
      ...Array.from({ length: lanes - 1 }, (_, i) =>
        line('lane rope', [
          at(laneX(i + 1) + LANE_M / 2, -halfLength),
          at(laneX(i + 1) + LANE_M / 2, halfLength),
        ]),
      ),
      ...[-1, 1].flatMap((end) => [
        line('backstroke flags', across(end * (halfLength - 5)), 'broken'),
        line('15 m mark', across(end * (halfLength - 15)), 'broken'),
      ]),
      line('starting blocks', across(-halfLength), 'boundary'),
    ],
    fieldOfPlay: rectangle(-halfWidth, -halfLength, halfWidth, halfLength),
    marks: [
      {
        id: 'freestyle',
        name: 'Freestyle, lane 4',
        ...at(laneX(4), halfLength - 12),
        headingDeg: 0,
        facingDeg: 70,
        subjectId: 'swimmer',
      },
      {
        id: 'freestyle-left',
        name: 'Freestyle, breathing to the left',
        ...at(laneX(2), halfLength - 12),
        headingDeg: 0,
        facingDeg: 290,
        subjectId: 'swimmer',
      },
      {
        id: 'breaststroke',
        name: 'Breaststroke or butterfly, lane 5',
        ...at(laneX(5), halfLength - 9),
        headingDeg: 0,
        facingDeg: 0,
        subjectId: 'swimmer',
      },
      {
        id: 'backstroke',
        name: 'Backstroke, lane 3',
        ...at(laneX(3), halfLength - 10),
        headingDeg: 0,
        // On the back, the face is seen from the side and above.
        facingDeg: 90,
        subjectId: 'swimmer',
      },
      {
        id: 'reaction-start',
        name: 'Looking at the scoreboard, start end',
        ...at(laneX(4), -halfLength + 0.6),
        headingDeg: 0,
        facingDeg: 0,
        subjectId: 'swimmer',
      },
      {
        id: 'reaction-turn',
        name: 'Looking at the scoreboard, turning end',
        ...at(laneX(4), halfLength - 0.6),
        headingDeg: 0,
        facingDeg: 0,
        subjectId: 'swimmer',
      },
      {
        id: 'start',
        name: 'Start from the blocks',
        ...at(laneX(4), -halfLength + 1.5),
        headingDeg: 0,
        facingDeg: 0,
        subjectId: 'diver',
        feetM: 0.7,
      },
    ],
    positions: [
      {
        id: 'side-right',
        name: 'Right side, slightly ahead',
        ...at(halfWidth + DECK_M, halfLength - 6),
        cameraHeightM: 0.5,
        why: 'Freestyle from the side they breathe to, slightly ahead. Low means wet; in depth only the face has to be sharp, the rest is splash.',
      },
      {
        id: 'side-left',
        name: 'Left side, slightly ahead',
        ...at(-halfWidth - DECK_M, halfLength - 6),
        cameraHeightM: 0.5,
        why: 'For those who breathe to the left.',
      },
      {
        id: 'head-on',
        name: 'Turning end, head-on',
        ...at(laneX(5), halfLength + DECK_M),
        cameraHeightM: 0.4,
        why: 'Breaststroke and butterfly head-on and low; splash steals focus: hold it where the head comes up.',
      },
      {
        id: 'stands-right',
        name: 'Stands on the right, above',
        ...at(halfWidth + DECK_M + 5, halfLength - 9),
        cameraHeightM: 5,
        why: 'Backstroke from above: face and arms against the water. Freestyle and butterfly from above and slightly ahead.',
      },
      {
        id: 'gallery',
        name: 'Gallery above the turning end',
        ...at(-4, halfLength + 8),
        cameraHeightM: 5,
        why: 'Under the scoreboard: whoever has touched looks up at it. Races of an odd number of lengths end below you, all others at the far wall.',
      },
    ],
    features: [
      keepOut(
        'start-end',
        'Starters and timekeepers behind the blocks',
        rectangle(-halfWidth, -halfLength - 4, halfWidth, -halfLength),
      ),
      keepOut(
        'turn-judges',
        'Turn judges’ strip',
        rectangle(-halfWidth, halfLength, halfWidth, halfLength + 1.5),
      ),
      backdrop(
        'scoreboard',
        'Scoreboard',
        [at(-halfWidth / 2, halfLength + 10), at(halfWidth / 2, halfLength + 10)],
        5,
        'lettering',
      ),
      backdrop(
        'far-gallery',
        'Gallery and banners, start end',
        [at(-halfWidth, -halfLength - 8), at(halfWidth, -halfLength - 8)],
        5,
        'lettering',
      ),
    ],
    switches: [
      {
        id: 'breathing-side',
        name: 'Freestyle swimmer breathes',
        options: [
          { label: 'To the right', positionId: 'side-right' },
          { label: 'To the left', positionId: 'side-left' },
        ],
        effects: [
          { id: 'freestyle', mirror: 'face' },
          { id: 'freestyle-left', mirror: 'face' },
        ],
        own: {
          trait: 'breathes',
          sides: ['right', 'left'],
          marks: ['freestyle', 'freestyle-left'],
        },
      },
    ],
    cautions: ['pool', 'flash', 'children'],
    indoorLux: LAMP_LEVELS_LUX.goodHall,
    lensId: '400-2.8',
    focalMm: 400,
  };
}

export const POOLS: readonly GroundTemplate[] = [
  pool({
    id: 'pool-50',
    name: '50 m pool',
    source:
      'World Aquatics: 50 by 25 m, ten lanes of 2.5 m, flags 5 m and marks 15 m from the ends',
    lengthM: 50,
    lanes: 10,
  }),
  pool({
    id: 'pool-25',
    name: '25 m pool',
    source: 'World Aquatics: 25 m, eight lanes of 2.5 m, flags 5 m and marks 15 m from the ends',
    lengthM: 25,
    lanes: 8,
  }),
];

const COURSE_LANE_M = 9;
const COURSE_LANES = 9;
const SHOWN_M = 200;

/** Origin at the middle of the last 200 m; boats come along +y. */
export const SPRINT_COURSE: GroundTemplate = {
  id: 'sprint-course',
  name: 'Sprint-canoe or rowing course, last 200 m',
  source: 'ICF Canoe Sprint: nine lanes of 9 m; rowing lanes are 13.5 m',
  surface: 'water',
  lines: [
    ...Array.from({ length: COURSE_LANES + 1 }, (_, i) =>
      line(
        i === 0 || i === COURSE_LANES ? 'edge of the course' : 'lane buoys',
        [
          at((i - COURSE_LANES / 2) * COURSE_LANE_M, -SHOWN_M / 2),
          at((i - COURSE_LANES / 2) * COURSE_LANE_M, SHOWN_M / 2),
        ],
        i === 0 || i === COURSE_LANES ? 'boundary' : 'broken',
      ),
    ),
    line(
      'finish',
      [
        at((-COURSE_LANES * COURSE_LANE_M) / 2, SHOWN_M / 2),
        at((COURSE_LANES * COURSE_LANE_M) / 2, SHOWN_M / 2),
      ],
      'boundary',
    ),
  ],
  fieldOfPlay: rectangle(
    (-COURSE_LANES * COURSE_LANE_M) / 2,
    -SHOWN_M / 2,
    (COURSE_LANES * COURSE_LANE_M) / 2,
    SHOWN_M / 2,
  ),
  marks: [
    {
      id: 'lane-7',
      name: 'Lane 7, last 50 m',
      ...at(22.5, 60),
      headingDeg: 0,
      facingDeg: 0,
      subjectId: 'sprint-canoe',
    },
  ],
  positions: [
    {
      id: 'bank',
      name: 'Bank, before the finish',
      ...at(48, 84),
      cameraHeightM: 1.5,
      why: 'Ahead of the boats and on the near bank: faces, and room to pan both ways.',
    },
    {
      id: 'beyond',
      name: 'Beyond the finish',
      ...at(20, 135),
      cameraHeightM: 2,
      why: 'Head-on: all lanes stacked, the effort in the last strokes, and the reactions.',
    },
  ],
  features: [
    backdrop('far-bank', 'Trees, far bank', [at(-75, -100), at(-75, 120)], 9, 'leaf'),
    {
      id: 'launch-lane',
      name: 'Umpires’ launches and boats going to the start',
      kind: 'lane',
      points: [at(44, -100), at(44, 100)],
    },
  ],
  cautions: ['water', 'sun', 'panning'],
  lensId: '400-2.8',
  focalMm: 400,
};

export const RIVER_HIDE: GroundTemplate = {
  id: 'river-hide',
  name: 'River or shore hide',
  source: 'common practice, no source',
  surface: 'water',
  lines: [
    line('near bank', [at(-30, 1.5), at(-8, 2), at(8, 1.2), at(30, 2.2)]),
    line('far bank', [at(-30, 18), at(0, 17), at(30, 19)]),
  ],
  marks: [
    {
      id: 'perch',
      name: 'Placed perch',
      ...at(1.5, 9),
      headingDeg: 150,
      facingDeg: 150,
      subjectId: 'kingfisher-perched',
      feetM: 1,
    },
    {
      id: 'dive',
      name: 'Dive pool',
      ...at(3, 8),
      headingDeg: 120,
      facingDeg: 120,
      subjectId: 'kingfisher-dive',
    },
  ],
  positions: [
    {
      id: 'hide',
      name: 'In the hide',
      ...at(0, 0),
      cameraHeightM: 0.9,
      why: 'Birds accept the accustomed; low puts the far bank well behind the perch.',
    },
  ],
  features: [
    trees('far-trees', 'Trees, far bank', rectangle(-30, 22, 30, 30), 12),
    {
      id: 'hide-walls',
      name: 'Hide',
      kind: 'hide',
      points: rectangle(-1.5, -2.4, 1.5, -0.2),
      heightM: 2.2,
    },
    { id: 'perch-stick', name: 'Placed stick', kind: 'perch', points: [at(1.5, 9)], heightM: 1 },
  ],
  cautions: ['wildlife', 'nest', 'water', 'field'],
  lensId: '600-4',
  focalMm: 600,
};
