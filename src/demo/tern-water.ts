import { newShoot, turnGround } from '@/records/new-shoot';
import type { Shoot } from '@/records/shoot';

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
    line: [
      { x, y: -HALF_COURSE_M },
      { x, y: HALF_COURSE_M },
    ],
  };
};

export const TERN_WATER: Shoot = turnGround(
  {
    ...base,
    atLocal: '2027-06-19T12:20',
    ground: { template: 'blank', bearingDeg: 0, surface: 'water' },
    features: [
      ...Array.from({ length: LANES + 1 }, (_, index) => laneLine(index)),
      {
        id: 'finish-line',
        name: 'Finish',
        kind: 'lane',
        line: [
          { x: -27, y: HALF_COURSE_M },
          { x: 27, y: HALF_COURSE_M },
        ],
      },
      {
        id: 'towpath',
        name: 'Bank path',
        kind: 'path',
        line: [
          { x: 44, y: -HALF_COURSE_M },
          { x: 44, y: HALF_COURSE_M },
        ],
      },
    ],
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
    ],
    positions: [
      { id: 'bank', name: 'Bank, before the finish', x: 44, y: 214, cameraHeightM: 1.5 },
      { id: 'bridge', name: 'Footbridge past the finish', x: 4, y: 290, cameraHeightM: 6 },
    ],
    light: { sky: 'partly', indoors: false, lampLux: 0 },
    kit: {
      bodyId: 'full-frame-24',
      lensId: '200-600-6.3',
      focalMm: 600,
      converter: 1,
      support: 'monopod',
    },
    choice: { ...base.choice, markId: 'lane-4', positionId: 'bank' },
  },
  COURSE_DEG,
);
