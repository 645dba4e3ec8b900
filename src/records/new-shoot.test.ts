import { viewOf } from '@/features/plan/view';
import { answerAt } from '@/features/plan/answer';
import { GROUND_TEMPLATES, onFieldOfPlay } from '@/presets/grounds';
import { newShoot } from './new-shoot';
import { shootSchema } from './shoot';
import { msOf } from './times';

const shootOn = (template: string, bearingDeg = 30) =>
  newShoot(
    {
      title: 'Trial',
      template,
      latitudeDeg: 51.2,
      longitudeDeg: 0.4,
      timeZone: 'Europe/London',
      bearingDeg,
      startLocal: '2027-05-08T14:00',
      endLocal: '2027-05-08T16:00',
    },
    'trial',
    '2026-11-24T12:00:00Z',
  );

const all = GROUND_TEMPLATES.map(({ id }) => id);

test('no two grounds share an id', () => {
  expect(new Set(all).size).toBe(all.length);
  expect(all.length).toBeGreaterThan(30);
});

test.each(all)('%s begins as a whole record', (id) => {
  const parsed = shootSchema.safeParse(JSON.parse(JSON.stringify(shootOn(id))));
  expect(parsed.error?.issues ?? []).toEqual([]);
});

test.each(all)('%s: its first position answers for its first mark, well framed', (id) => {
  const shoot = shootOn(id);
  const seen = viewOf(shoot);
  if (!seen.ok) throw new Error(seen.problem);
  expect(seen.view.fill).toBeGreaterThan(0.08);
  expect(seen.view.fill).toBeLessThan(1.3);
  expect(seen.view.faceOffDeg).toBeLessThan(110);
  const { exposure } = answerAt(seen.view, shoot.choice, msOf(shoot.startLocal, 'Europe/London'));
  expect(exposure.works).toBe(true);
});

test.each(all)('%s: nobody is sent on to the field of play or into a wall', (id) => {
  const shoot = shootOn(id);
  for (const position of shoot.positions) {
    expect({ at: position.name, on: onFieldOfPlay(id, 30, position) }).toEqual({
      at: position.name,
      on: false,
    });
    expect(position.why?.length).toBeGreaterThan(20);
  }
});
