import { pictureOf } from '@/answers/day-request';
import { FIRST_EVENT, type DayEventRecord } from '@/records/day';
import { throwSwitch } from '@/records/edit-ground';
import { trialShoot } from '@/records/fixtures/trial-shoot';
import type { Shoot } from '@/records/shoot';
import { linesOf } from './fixtures/planned-day';

test('a swimmer is met from the side they breathe to, whatever side the ground shows', async () => {
  const laid = {
    ...trialShoot('pool-50', 0),
    startLocal: '2027-03-06T09:00',
    endLocal: '2027-03-06T12:00',
  };
  const swimmers = (['left', 'right'] as const).map((breathes) => ({
    ...{ id: `to-${breathes}`, name: `Swimmer ${breathes}`, breathes },
    owed: [{ keepers: 1 }],
  }));
  const events = swimmers.map(({ id: personId, name }, i) => ({
    ...FIRST_EVENT,
    ...{ id: personId, name: `Heat ${i}`, markId: 'freestyle' },
    startLocal: `2027-03-06T1${i}:00`,
    entries: [{ name, personId }],
  }));
  // The deck alone: head-on and the gallery see either side.
  const positions = laid.positions.filter(({ id }) => id.startsWith('side-'));
  const day = { ...laid, positions, people: swimmers, events };
  const placeOf = async (shoot: Shoot) =>
    Object.fromEntries(
      (await linesOf(shoot)).map(({ event, stop }) => [event.id, stop?.positionId]),
    );
  const met = await placeOf(day);
  expect(met).toEqual({ 'to-left': 'side-left', 'to-right': 'side-right' });
  expect(await placeOf(throwSwitch(day, 'breathing-side'))).toEqual(met);
  expect(pictureOf(day, events[0] as DayEventRecord)).toMatchObject({
    markId: 'freestyle-left',
    by: 'side',
  });
});
