import { WINDOW_SHARES } from '@/core';
import { newShoot } from '@/records/new-shoot';
import { msOf } from '@/records/times';
import { shootSchema, type Shoot } from '@/records/shoot';
import { answerAt } from './answer';
import { measuredIn } from './heard';
import { scoredSite } from './scored';
import { viewOf } from './view';

const begun = (template: string) =>
  newShoot(
    {
      ...{ title: 'Inside', template, latitudeDeg: 53, longitudeDeg: -2 },
      ...{ timeZone: 'Europe/London', bearingDeg: 0 },
      ...{ startLocal: '2027-03-20T12:00', endLocal: '2027-03-20T20:00' },
    },
    'inside',
    '2027-01-01T00:00:00.000Z',
  );
const withoutWindows = (shoot: Shoot): Shoot => {
  const { windowShare: _windows, ...lampsAlone } = shoot.light;
  return { ...shoot, light: lampsAlone };
};
const WALL = begun('climbing-wall');
const WINDOWLESS = withoutWindows(WALL);

const evAt = (shoot: Shoot, clock: string) => {
  const result = viewOf(shoot);
  if (!result.ok) throw new Error('must be seen');
  return answerAt(result.view, shoot, msOf(`2027-03-20T${clock}`, 'Europe/London')).light.ev
    .expected;
};

test.each(['climbing-wall', 'skate-hall'])(
  'a %s begins with windows along one side; it is lit by them at noon and not at night',
  (template) => {
    const hall = begun(template);
    const windowless = withoutWindows(hall);
    expect(hall.light.windowShare).toBe(WINDOW_SHARES.oneSide);
    expect(evAt(hall, '12:00') - evAt(windowless, '12:00')).toBeGreaterThan(0.5);
    expect(evAt(hall, '20:00') - evAt(windowless, '20:00')).toBeLessThan(0.01);
  },
);

test('a climber is in motion: 1/250 at the least in a hall, and the reaching hand smears most', () => {
  const result = viewOf(WALL);
  if (!result.ok) throw new Error('must be seen');
  const { exposure } = answerAt(result.view, WALL, msOf('2027-03-20T12:00', 'Europe/London'));
  // 1/250 to 1/500 for people who move without running: common practice, no source.
  expect(exposure.settings.shutterS).toBeLessThanOrEqual(1 / 250);
  expect(exposure.settings.shutterS).toBeGreaterThanOrEqual(1 / 640);
  const most = [...(exposure.smear ?? [])].sort((a, b) => b.deliveredPx - a.deliveredPx)[0];
  expect(most?.part).toBe('hand');
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
