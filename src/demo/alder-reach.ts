import { newShoot, turnGround } from '@/records/new-shoot';
import type { Shoot } from '@/records/shoot';

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

export const ALDER_REACH: Shoot = turnGround(
  {
    ...base,
    atLocal: '2027-05-08T06:40',
    ground: { template: 'blank', bearingDeg: 0, surface: 'water' },
    obstacles: [
      {
        id: 'far-trees',
        name: 'Alders, far bank',
        kind: 'trees',
        footprint: [
          { x: -30, y: 22 },
          { x: 30, y: 22 },
          { x: 30, y: 30 },
          { x: -30, y: 30 },
        ],
        heightM: 12,
      },
      {
        id: 'hide',
        name: 'Hide',
        kind: 'hide',
        footprint: [
          { x: -1.5, y: -2.4 },
          { x: 1.5, y: -2.4 },
          { x: 1.5, y: -0.2 },
          { x: -1.5, y: -0.2 },
        ],
        heightM: 2.2,
      },
    ],
    features: [
      {
        id: 'near-bank',
        name: 'Near bank',
        kind: 'water',
        line: [
          { x: -30, y: 5 },
          { x: -12, y: 4.2 },
          { x: 4, y: 4.8 },
          { x: 30, y: 6 },
        ],
      },
      {
        id: 'far-bank',
        name: 'Far bank',
        kind: 'water',
        line: [
          { x: -30, y: 19 },
          { x: -8, y: 18 },
          { x: 12, y: 18.6 },
          { x: 30, y: 20 },
        ],
      },
      {
        id: 'path',
        name: 'Path, other visitors',
        kind: 'path',
        line: [
          { x: -30, y: -9 },
          { x: 0, y: -7 },
          { x: 30, y: -8 },
        ],
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
      },
      {
        id: 'perch-b',
        name: 'Far perch',
        x: -4,
        y: 12,
        headingDeg: 150,
        facingDeg: 150,
        subjectId: 'kingfisher-perched',
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
    positions: [{ id: 'hide-window', name: 'Hide window', x: 0, y: 0, cameraHeightM: 1.1 }],
    light: { sky: 'partly', indoors: false, lampLux: 0 },
    kit: {
      bodyId: 'full-frame-24',
      lensId: '600-4',
      focalMm: 600,
      converter: 1,
      support: 'tripod',
    },
    choice: { ...base.choice, markId: 'perch-a', positionId: 'hide-window' },
  },
  LOOKS_DEG,
);
