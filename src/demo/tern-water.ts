import { turnGround } from '@/records/edit-ground';
import { newShoot } from '@/records/new-shoot';
import type { Feature, Shoot } from '@/records/shoot';
import { TERN_BAG } from './bags';
import { TERN_ORDER } from './regatta-order';
import { promising, TERN_PROMISE } from './promises';
import { rectangle, through } from './shapes';

/**
 * Sprint canoe regatta on the invented Tern Water: six lanes of 9 m over 500 m, a bank and a bridge
 * to shoot from, midday with cloud coming and going. The long axis runs from start to finish.
 */
const COURSE_DEG = 75;
const NOW = '2026-11-01T12:00:00Z';
const LANES = 6;
const LANE_WIDTH_M = 9;
const HALF_COURSE_M = 250;

const base = newShoot(
  {
    title: 'Tern Water, sprint regatta',
    template: 'blank',
    latitudeDeg: 51.63,
    longitudeDeg: -0.92,
    timeZone: 'Europe/London',
    bearingDeg: 0,
    startLocal: '2027-06-19T09:30',
    endLocal: '2027-06-19T15:30',
  },
  'demo-tern-water',
  NOW,
);

const laneLine = (index: number) => {
  const x = (index - LANES / 2) * LANE_WIDTH_M;
  return {
    id: `buoys-${index}`,
    name: index === 0 || index === LANES ? 'Course edge' : 'Lane buoys',
    kind: 'lane' as const,
    points: through([x, -HALF_COURSE_M], [x, HALF_COURSE_M]),
  };
};

const SITE: readonly Feature[] = [
  {
    id: 'finish-line',
    name: 'Finish',
    kind: 'lane',
    points: through([-27, HALF_COURSE_M], [27, HALF_COURSE_M]),
  },
  {
    id: 'start-line',
    name: 'Start',
    kind: 'lane',
    points: through([-27, -HALF_COURSE_M], [27, -HALF_COURSE_M]),
  },
  {
    id: 'towpath',
    name: 'Bank path',
    kind: 'path',
    points: through([44, -HALF_COURSE_M], [44, HALF_COURSE_M], [40, 288]),
  },
  {
    id: 'near-shore',
    name: 'Near shore',
    kind: 'water',
    points: through([38, -280], [39, -60], [37, 120], [39, 250], [34, 300]),
  },
  {
    id: 'far-shore',
    name: 'Far shore',
    kind: 'water',
    points: through([-42, -280], [-45, -40], [-41, 160], [-43, 300]),
  },
  {
    id: 'footbridge',
    name: 'Footbridge',
    kind: 'outline',
    points: through([-46, 289], [46, 289], [46, 292], [-46, 292], [-46, 289]),
  },
  {
    id: 'finish-tower',
    name: 'Finish tower',
    kind: 'stand',
    points: rectangle(40, 248, 45, 253),
    heightM: 9,
  },
  {
    id: 'boathouse',
    name: 'Boathouse',
    kind: 'stand',
    points: rectangle(54, 120, 78, 134),
    heightM: 7,
  },
  {
    id: 'pontoon',
    name: 'Boarding pontoon',
    kind: 'outline',
    points: through([37, 108], [31, 108], [31, 132], [37, 132]),
  },
  {
    id: 'far-trees',
    name: 'Poplars, far bank',
    kind: 'trees',
    points: rectangle(-62, -240, -54, 180),
    heightM: 18,
  },
  {
    id: 'grandstand',
    name: 'Spectators, far bank',
    kind: 'backdrop',
    points: through([-49, 185], [-49, 262]),
    heightM: 3,
    detail: 'face',
  },
  {
    id: 'near-oaks',
    name: 'Oaks on the bank',
    kind: 'trees',
    points: rectangle(47, -40, 56, 60),
    heightM: 11,
  },
  {
    id: 'lone-willow',
    name: 'Willow',
    kind: 'tree',
    points: through([41, 172]),
    heightM: 8,
    crownM: 7,
  },
  {
    id: 'judges',
    name: 'Finish judges’ line of sight',
    kind: 'keepOut',
    points: rectangle(27, 246, 46, 254),
  },
  {
    id: 'boarding',
    name: 'Boarding: boats and crews only',
    kind: 'keepOut',
    points: rectangle(30, 106, 44, 134),
  },
  {
    id: 'launches',
    name: 'Umpires’ launches',
    kind: 'course',
    points: through([33, -HALF_COURSE_M], [33, 90]),
  },
  {
    id: 'lane-4-line',
    name: 'Line of lane 4',
    kind: 'course',
    points: through([4.5, -HALF_COURSE_M], [4.5, HALF_COURSE_M]),
  },
  {
    id: 'scoreboard',
    name: 'Scoreboard',
    kind: 'backdrop',
    points: through([-40, 270], [-30, 274]),
    heightM: 5,
    detail: 'lettering',
  },
];

const whole: Shoot = turnGround(
  {
    ...base,
    atLocal: '2027-06-19T12:20',
    ground: { template: 'blank', bearingDeg: 0, thrown: [], surface: 'water' },
    features: [...Array.from({ length: LANES + 1 }, (_, index) => laneLine(index)), ...SITE],
    marks: [
      {
        id: 'lane-4',
        name: 'Lane 4, last 50 m',
        x: 4.5,
        y: 200,
        headingDeg: 0,
        facingDeg: 0,
        subjectId: 'sprint-canoe',
      },
      {
        id: 'lane-2-half',
        name: 'Lane 2, half way',
        x: -13.5,
        y: 0,
        headingDeg: 0,
        facingDeg: 0,
        subjectId: 'sprint-canoe',
      },
      {
        id: 'start',
        name: 'First strokes, lane 5',
        x: 13.5,
        y: -238,
        headingDeg: 0,
        facingDeg: 0,
        subjectId: 'sprint-canoe',
      },
    ],
    positions: [
      {
        id: 'bank',
        name: 'Bank, before the finish',
        x: 44,
        y: 214,
        cameraHeightM: 1.5,
        why: 'Ahead of the boats: faces, and room to pan both ways past the willow.',
      },
      {
        id: 'bridge',
        name: 'Footbridge past the finish',
        x: 4,
        y: 290,
        cameraHeightM: 6,
        why: 'Head-on over all lanes, and the reactions once they have crossed.',
      },
      {
        id: 'half-way',
        name: 'Bank, half way',
        x: 43,
        y: 66,
        cameraHeightM: 1.2,
        why: 'Between the oaks and the boarding: the field still side by side, poplars dark behind.',
      },
      {
        id: 'start-bank',
        name: 'Bank, past the start',
        x: 43,
        y: -226,
        cameraHeightM: 1,
        why: 'Low, just ahead of the line: spray of the first strokes against the light.',
      },
    ],
    light: { sky: 'partly', indoors: false, lampLux: 0, mainsHz: 50, skyFrom: 'hand' },
    kit: {
      bodyId: 'own-main',
      lensId: 'own-200-600',
      focalMm: 600,
      converter: 1,
      support: 'monopod',
      ...TERN_BAG,
    },
    choice: { ...base.choice, markId: 'lane-4', positionId: 'bank' },
  },
  COURSE_DEG,
);

export const TERN_WATER: Shoot = { ...promising(whole, TERN_PROMISE), events: [...TERN_ORDER] };
