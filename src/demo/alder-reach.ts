import { withCarried } from '@/records/carried';
import { turnGround } from '@/records/edit-ground';
import { newShoot } from '@/records/new-shoot';
import type { Shoot } from '@/records/shoot';
import { ALDER_BAG } from './bags';
import { ALDER_TIMES, ALDER_WATCHES } from './days';
import { ALDER_PROMISE, promising } from './promises';
import { rectangle, through } from './shapes';

/**
 * Kingfisher from a river hide at the invented Alder Reach: two placed perches, a dive pool, trees
 * on the far bank, a path with other visitors behind. The hide looks along the ground's long axis.
 */
const LOOKS_DEG = 250;
const NOW = '2026-11-01T12:00:00Z';

const base = newShoot(
  {
    title: 'Alder Reach, kingfisher hide',
    template: 'blank',
    latitudeDeg: 52.41,
    longitudeDeg: -2.94,
    timeZone: 'Europe/London',
    bearingDeg: 0,
    startLocal: '2027-05-08T05:15',
    endLocal: '2027-05-08T08:30',
  },
  'demo-alder-reach',
  NOW,
);

const laid = turnGround(
  withCarried({
    ...base,
    atLocal: '2027-05-08T06:40',
    ground: { template: 'blank', bearingDeg: 0, thrown: [], surface: 'water' },
    features: [
      {
        id: 'far-trees',
        name: 'Alders, far bank',
        kind: 'trees',
        points: rectangle(-30, 22, 30, 30),
        heightM: 12,
      },
      {
        id: 'hide',
        name: 'Hide',
        kind: 'hide',
        points: rectangle(-1.5, -2.4, 1.5, -0.2),
        heightM: 2.2,
        // Both in the wall towards the river: one to sit at, one to stand at, by its left end.
        windows: [
          { wall: 2, asideM: 0.2, widthM: 1.6, sillM: 0.9, heightM: 0.4, pane: 'open' },
          { wall: 2, asideM: -1.15, widthM: 0.5, sillM: 1.3, heightM: 0.4, pane: 'open' },
        ],
      },
      {
        id: 'near-bank',
        name: 'Near bank',
        kind: 'water',
        points: through([-30, 5], [-12, 4.2], [4, 4.8], [30, 6]),
      },
      {
        id: 'far-bank',
        name: 'Far bank',
        kind: 'water',
        points: through([-30, 19], [-8, 18], [12, 18.6], [30, 20]),
      },
      {
        id: 'path',
        name: 'Path, other visitors',
        kind: 'path',
        points: through([-30, -9], [0, -7], [30, -8]),
      },
      {
        id: 'way-in',
        name: 'Way in',
        kind: 'path',
        points: through([0.8, -7], [0.8, -1.6]),
      },
      {
        id: 'screen',
        name: 'Screen to the hide',
        kind: 'wall',
        points: through([-9, -3.2], [-1.5, -2.4]),
        heightM: 1.9,
      },
      {
        id: 'stick-a',
        name: 'Placed branch, near',
        kind: 'perch',
        points: through([2.6, 9]),
        heightM: 1.1,
        stick: { lengthM: 0.5, towardDeg: 90 },
      },
      {
        id: 'stick-b',
        name: 'Placed branch, far',
        kind: 'perch',
        points: through([-4, 12]),
        heightM: 0.9,
      },
      {
        id: 'pool',
        name: 'Dive pool',
        kind: 'outline',
        points: through([-1, 9.6], [1, 9.2], [2.2, 10.4], [1.2, 11.8], [-0.8, 11.6], [-1, 9.6]),
      },
      {
        id: 'flight-line',
        name: 'Flight line along the river',
        kind: 'course',
        points: through([28, 14], [10, 12.5], [0.5, 10.5], [-14, 13], [-28, 13.5]),
      },
      {
        id: 'reeds',
        name: 'Reeds, far bank',
        kind: 'backdrop',
        points: through([-22, 19.4], [-8, 18.8], [14, 19.4], [24, 20.2]),
        heightM: 1.6,
        detail: 'leaf',
      },
      {
        id: 'willow',
        name: 'Willow',
        kind: 'tree',
        points: through([16, 4]),
        heightM: 7,
        crownM: 6,
      },
      {
        id: 'crack-willow',
        name: 'Old alder',
        kind: 'tree',
        points: through([-18, 2.5]),
        heightM: 9,
        crownM: 5,
      },
      {
        id: 'nest-bank',
        name: 'Nest bank: keep off, by law',
        kind: 'keepOut',
        points: rectangle(12, 15, 27, 21),
      },
      {
        id: 'soft-edge',
        name: 'Undercut edge of the bank',
        kind: 'keepOut',
        points: through(
          [-30, 3.4],
          [-12, 2.6],
          [4, 3.2],
          [30, 4.4],
          [30, 6],
          [4, 4.8],
          [-12, 4.2],
          [-30, 5],
        ),
      },
      {
        id: 'gate',
        name: 'Reserve gate and rail',
        kind: 'outline',
        points: through([24, -12], [24, -8.2]),
      },
    ],
    marks: [
      {
        id: 'perch-a',
        name: 'Near perch',
        x: 2.6,
        y: 9,
        headingDeg: 205,
        facingDeg: 205,
        subjectId: 'kingfisher-perched',
        feetM: 1.1,
      },
      {
        id: 'perch-b',
        name: 'Far perch',
        x: -4,
        y: 12,
        headingDeg: 150,
        facingDeg: 150,
        subjectId: 'kingfisher-perched',
        feetM: 0.9,
      },
      {
        id: 'dive-pool',
        name: 'Dive pool',
        x: 0.5,
        y: 10.5,
        headingDeg: 90,
        facingDeg: 90,
        subjectId: 'kingfisher-dive',
      },
    ],
    positions: [
      {
        id: 'hide-window',
        name: 'Hide window',
        x: 0,
        y: -0.5,
        cameraHeightM: 1.1,
        why: 'Birds accept the accustomed hide; low puts the far bank well behind the perch.',
      },
      {
        id: 'hide-side',
        name: 'Hide, side slot',
        x: -1.15,
        y: -0.5,
        cameraHeightM: 1.5,
        why: 'For the far perch: a step sideways takes the near branch out of its background.',
      },
      {
        id: 'path-bend',
        name: 'On the path, by the willow',
        x: 11,
        y: -7.4,
        cameraHeightM: 1.6,
        why: 'Without the hide: far enough that the bird goes on fishing, down the line of its flight.',
      },
    ],
    light: { sky: 'partly', indoors: false, lampLux: 0, mainsHz: 50, skyFrom: 'hand' },
    kit: {
      bodyId: 'own-main',
      lensId: 'own-600',
      focalMm: 600,
      converter: 1,
      support: 'tripod',
      ...ALDER_BAG,
    },
    choice: { ...base.choice, markId: 'perch-a', positionId: 'hide-window' },
  }),
  LOOKS_DEG,
);

const whole: Shoot = {
  ...laid,
  features: [
    ...laid.features,
    {
      id: 'valley-side',
      name: 'Valley side',
      kind: 'hill',
      points: [],
      fromDeg: 25,
      toDeg: 82,
      elevationDeg: 5,
    },
  ],
};

export const ALDER_REACH: Shoot = {
  ...promising(whole, ALDER_PROMISE),
  watches: [...ALDER_WATCHES],
  nature: [...ALDER_TIMES],
};
