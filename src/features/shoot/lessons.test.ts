import { LARKMOOR } from '@/demo/larkmoor';
import { FIRST_PRACTICE, type Practice } from '@/records/practice';
import type { Shoot } from '@/records/shoot';
import { lessonsFor, PRESS_LESSON } from './lessons';

const shoot: Shoot = { ...LARKMOOR, id: 'mine' };

const press = (
  moment: 'jump' | 'leaving',
  lateS: number,
  i: number,
): Practice['tries'][number] => ({
  ...{ kind: 'moment', id: `${moment}${i}`, at: '2026-11-20T12:00:00.000Z', moment, lateS },
});
const LATES = [0.02, 0.1, 0.06, 0.04, 0.08, 0.06, 0.03, 0.09];
const practice: Practice = {
  ...FIRST_PRACTICE,
  tries: [
    ...LATES.map((lateS, i) => press('jump', lateS, i)),
    ...LATES.map((lateS, i) => press('leaving', lateS + 0.14, i)),
  ],
};
const find = (of: Shoot, practised = practice) =>
  lessonsFor(of, [], practised).find(({ id }) => id === PRESS_LESSON);

test('presses practised are offered to the plan, and used only when it says so', () => {
  // The mean of the eight is 60 ms, their standard deviation 29 ms.
  expect(find(shoot)?.head).toBe(
    'Plan for your own presses: 60 ms late at the top of a jump, 200 ms late when something leaves',
  );
  expect(find(shoot)?.evidence).toMatch(/^16 presses practised.+scattering by 29 ms at the top/);
  expect(find(shoot)?.use).toBeUndefined();
  const used = find(shoot)?.apply(shoot) as Shoot;
  expect(find(used)?.use).toBe(true);
  const left = find(used)?.leave(used) as Shoot;
  expect(find(left)?.use).toBe(false);
  // Nothing of the plan itself is written over.
  expect({ ...left, log: shoot.log }).toEqual(shoot);
});

test('seven presses at a moment teach nothing of it', () => {
  const few = { ...practice, tries: practice.tries.slice(1) };
  expect(find(shoot, few)?.head).toBe(
    'Plan for your own presses: 200 ms late when something leaves',
  );
  expect(find(shoot, FIRST_PRACTICE)).toBeUndefined();
});
