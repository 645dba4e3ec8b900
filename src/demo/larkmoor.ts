import { turnGround } from '@/records/edit-ground';
import { newShoot } from '@/records/new-shoot';
import type { Feature, Shoot } from '@/records/shoot';
import { LARKMOOR_BAG } from './bags';
import { LARKMOOR_ORDER } from './days';
import { LARKMOOR_PROMISE, promising } from './promises';
import { rectangle } from './shapes';

/**
 * Evening field hockey at the invented ground Larkmoor: low sun through dusk into modest lamps, a
 * stand to the west, a wire fence at the south end.
 */
const BEARING_DEG = 12;
const NOW = '2026-11-01T12:00:00Z';

const upright = newShoot(
  {
    title: 'Larkmoor, evening hockey',
    template: 'field-hockey',
    latitudeDeg: 53.12,
    longitudeDeg: -1.87,
    timeZone: 'Europe/London',
    bearingDeg: 0,
    startLocal: '2027-04-16T18:30',
    endLocal: '2027-04-16T20:45',
  },
  'demo-larkmoor',
  NOW,
);

const mast = (id: string, x: number, y: number): Feature => ({
  id,
  name: 'Lamp mast',
  kind: 'lamp',
  points: [{ x, y }],
  heightM: 15,
});

const SITE: readonly Feature[] = [
  {
    id: 'west-stand',
    name: 'West stand',
    kind: 'stand',
    points: rectangle(-43, -34, -34, 26),
    heightM: 9,
  },
  {
    id: 'south-fence',
    name: 'Wire fence',
    kind: 'fence',
    points: [
      { x: -30, y: -50 },
      { x: 30, y: -50 },
    ],
    heightM: 3,
    meshPitchMm: 50,
    wireMm: 3,
    postSpacingM: 3,
    postWidthMm: 60,
  },
  mast('mast-nw', -31, 34),
  mast('mast-sw', -31, -40),
  mast('mast-ne', 31, 34),
  mast('mast-se', 31, -40),
  {
    id: 'clubhouse',
    name: 'Clubhouse',
    kind: 'stand',
    points: rectangle(37, 44, 53, 54),
    heightM: 6,
  },
  {
    id: 'dugout-home',
    name: 'Home dugout',
    kind: 'hide',
    points: rectangle(32, 8, 34, 16),
    heightM: 2.1,
  },
  {
    id: 'dugout-away',
    name: 'Away dugout',
    kind: 'hide',
    points: rectangle(32, -16, 34, -8),
    heightM: 2.1,
  },
  {
    id: 'poplars',
    name: 'Poplars',
    kind: 'trees',
    points: rectangle(-34, 64, 20, 68),
    heightM: 16,
  },
  {
    id: 'oak',
    name: 'Oak',
    kind: 'tree',
    points: [{ x: 30, y: 62 }],
    heightM: 12,
    crownM: 11,
  },
  {
    id: 'boards',
    name: 'Boards along the east side',
    kind: 'backdrop',
    points: [
      { x: 35.5, y: -42 },
      { x: 35.5, y: 40 },
    ],
    heightM: 1,
    detail: 'lettering',
  },
  {
    id: 'spectators',
    name: 'Spectators’ path',
    kind: 'path',
    points: [
      { x: 38, y: -48 },
      { x: 38, y: 40 },
      { x: 34, y: 56 },
      { x: -20, y: 58 },
    ],
  },
  {
    id: 'team-benches',
    name: 'Team benches and officials’ table',
    kind: 'keepOut',
    points: rectangle(29.5, -17, 34, 17),
  },
  {
    id: 'goal-north',
    name: 'Behind the goal, in the line of shots',
    kind: 'keepOut',
    points: rectangle(-6, 45.7, 6, 54),
  },
  {
    id: 'break-out',
    name: 'Run of the counter-attack',
    kind: 'course',
    points: [
      { x: -10, y: -10 },
      { x: -8, y: 8 },
      { x: -2, y: 24 },
      { x: 4, y: 36 },
    ],
  },
];

const laid = turnGround(
  {
    ...upright,
    atLocal: '2027-04-16T18:50',
    features: [...upright.features.filter(({ kind }) => kind === 'keepOut'), ...SITE],
    marks: [
      // Nobody is owed the bench that night.
      ...upright.marks.filter(({ id }) => id !== 'bench'),
      {
        id: 'penalty-corner',
        name: 'Penalty corner, top of the circle',
        x: -2,
        y: 31.4,
        headingDeg: 10,
        facingDeg: 20,
        subjectId: 'field-player',
      },
      {
        id: 'keeper',
        name: 'Goalkeeper',
        x: 0,
        y: 44.6,
        headingDeg: 180,
        facingDeg: 180,
        subjectId: 'field-player',
      },
    ].map((mark) => ({ ...mark, subjectId: 'field-player-swing' })),
    positions: [
      ...upright.positions,
      {
        id: 'east-side',
        name: 'East touchline, ahead of play',
        x: 30.6,
        y: 30,
        cameraHeightM: 1,
        why: 'The sun is behind you until it goes: front light on players who break from the left.',
      },
      {
        id: 'corner-low',
        name: 'North-west corner, low',
        x: -30.5,
        y: 49.6,
        cameraHeightM: 0.4,
        why: 'Low lifts the players over the boards and sets them against the evening sky.',
      },
      {
        id: 'stand-rail',
        name: 'Rail in front of the stand',
        x: -33,
        y: 4,
        cameraHeightM: 2.2,
        why: 'Over the players’ heads: the shape of the attack, with the turf as a clean background.',
      },
      {
        id: 'behind-fence',
        name: 'Behind the south fence',
        x: 9,
        y: -50.4,
        cameraHeightM: 1.5,
        why: 'The other keeper, through the wire: lens within 15 cm of it, in a post’s strip of shade.',
      },
    ],
    light: {
      sky: 'clear',
      indoors: false,
      lampLux: 245,
      lampsFromLocal: '2027-04-16T20:00',
      mainsHz: 50,
      skyFrom: 'hand',
    },
  },
  BEARING_DEG,
);

const whole: Shoot = {
  ...laid,
  kit: { ...laid.kit, bodyId: 'own-main', lensId: 'own-70-200', ...LARKMOOR_BAG },
  features: [
    ...laid.features,
    {
      id: 'moor-edge',
      name: 'Edge of the moor',
      kind: 'hill',
      points: [],
      fromDeg: 300,
      toDeg: 345,
      elevationDeg: 3,
    },
  ],
};

export const LARKMOOR: Shoot = {
  ...promising(whole, LARKMOOR_PROMISE),
  events: [...LARKMOOR_ORDER],
};
