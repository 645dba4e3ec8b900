import { WINDOW_SHARES } from '@/core';
import { newShoot } from '@/records/new-shoot';
import { msOf } from '@/records/times';
import { shootSchema, type Shoot } from '@/records/shoot';
import { answerAt } from './answer';
import { measuredIn } from './heard';
import { scoredSite } from './scored';
import { viewOf } from './view';

const WALL = newShoot(
  {
    ...{ title: 'Wall', template: 'climbing-wall', latitudeDeg: 53, longitudeDeg: -2 },
    ...{ timeZone: 'Europe/London', bearingDeg: 0 },
    ...{ startLocal: '2027-03-20T12:00', endLocal: '2027-03-20T20:00' },
  },
  'wall',
  '2027-01-01T00:00:00.000Z',
);
const { windowShare: _windows, ...lampsAlone } = WALL.light;
const WINDOWLESS: Shoot = { ...WALL, light: lampsAlone };

const evAt = (shoot: Shoot, clock: string) => {
  const result = viewOf(shoot);
  if (!result.ok) throw new Error('must be seen');
  return answerAt(result.view, shoot, msOf(`2027-03-20T${clock}`, 'Europe/London')).light.ev
    .expected;
};

test('a climbing wall begins with windows along one side; a hall is lit by them at noon and not at night', () => {
  expect(WALL.light.windowShare).toBe(WINDOW_SHARES.oneSide);
  expect(evAt(WALL, '12:00') - evAt(WINDOWLESS, '12:00')).toBeGreaterThan(0.5);
  expect(evAt(WALL, '20:00') - evAt(WINDOWLESS, '20:00')).toBeLessThan(0.01);
});

test('search and readings have the same windows as the answer', () => {
  expect(scoredSite(WALL)).toMatchObject({ indoors: true, windowShare: WINDOW_SHARES.oneSide });
  expect('windowShare' in scoredSite(WINDOWLESS)).toBe(false);
  const reading = {
    ...{ id: 'r', name: 'Wall', atLocal: '2027-03-20T12:00', x: 0, y: 0, upM: 1.5, faceDeg: 180 },
    ...{ by: 'meter' as const, ev: 7, simulated: false },
  };
  const read = shootSchema.parse({ ...WALL, readings: [reading] });
  expect(measuredIn(read)[0]?.scene).toMatchObject({ windowShare: WINDOW_SHARES.oneSide });
});
