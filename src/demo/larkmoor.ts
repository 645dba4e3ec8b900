import { newShoot, turnGround } from '@/records/new-shoot';
import type { Shoot } from '@/records/shoot';

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

const mast = (id: string, x: number, y: number) => ({
  id,
  name: 'Lamp mast',
  kind: 'lamp' as const,
  line: [{ x, y }],
});

export const LARKMOOR: Shoot = turnGround(
  {
    ...upright,
    atLocal: '2027-04-16T18:50',
    obstacles: [
      {
        id: 'west-stand',
        name: 'West stand',
        kind: 'stand',
        footprint: [
          { x: -43, y: -34 },
          { x: -34, y: -34 },
          { x: -34, y: 26 },
          { x: -43, y: 26 },
        ],
        heightM: 9,
      },
    ],
    features: [
      {
        id: 'south-fence',
        name: 'Wire fence',
        kind: 'fence',
        line: [
          { x: -30, y: -50 },
          { x: 30, y: -50 },
        ],
      },
      mast('mast-nw', -31, 34),
      mast('mast-sw', -31, -40),
      mast('mast-ne', 31, 34),
      mast('mast-se', 31, -40),
    ],
    marks: upright.marks.map((mark) => ({ ...mark, subjectId: 'field-player-swing' })),
    light: { sky: 'clear', indoors: false, lampLux: 245, lampsFromLocal: '2027-04-16T20:00' },
  },
  BEARING_DEG,
);
