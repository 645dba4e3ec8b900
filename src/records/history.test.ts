import fc from 'fast-check';
import { closed, MOST_STEPS, noHistory, recorded, redone, undone, type History } from './history';

interface Worked {
  readonly history: History<number>;
  readonly state: number;
}
const start: Worked = { history: noHistory<number>(), state: 0 };
const edit = ({ history, state }: Worked, next: number, group?: string): Worked => ({
  history: recorded(history, state, group),
  state: next,
});
const undo = ({ history, state }: Worked): Worked => undone(history, state);
const redo = ({ history, state }: Worked): Worked => redone(history, state);
const times = (count: number, step: (worked: Worked) => Worked, worked: Worked): Worked =>
  Array.from({ length: count }).reduce<Worked>((now) => step(now), worked);

/** Edits, some of them of one name, with undo and redo among them. */
const steps = fc.array(
  fc.oneof(
    {
      weight: 4,
      arbitrary: fc.record({ to: fc.integer(), group: fc.constantFrom(undefined, 'drag', 'key') }),
    },
    { weight: 1, arbitrary: fc.constant('undo' as const) },
    { weight: 1, arbitrary: fc.constant('redo' as const) },
    { weight: 1, arbitrary: fc.constant('end' as const) },
  ),
  { maxLength: 60 },
);
const run = (worked: Worked, step: unknown): Worked => {
  if (step === 'undo') return undo(worked);
  if (step === 'redo') return redo(worked);
  if (step === 'end') return { ...worked, history: closed(worked.history) };
  const { to, group } = step as { to: number; group?: string };
  return edit(worked, to, group);
};

test('any sequence, undone to the end, gives the start; done again, the state it had', () => {
  fc.assert(
    fc.property(steps, (list) => {
      const worked = list.reduce<Worked>(run, start);
      const back = times(worked.history.past.length, undo, worked);
      expect(back.state).toBe(0);
      expect(back.history.past).toHaveLength(0);
      const forth = times(worked.history.past.length, redo, back);
      expect(forth.state).toBe(worked.state);
      expect(forth.history.past).toEqual(worked.history.past);
    }),
  );
});

test('one undo and one redo change nothing', () => {
  fc.assert(
    fc.property(steps, (list) => {
      const worked = list.reduce<Worked>(run, start);
      fc.pre(worked.history.past.length > 0);
      expect(redo(undo(worked)).state).toBe(worked.state);
    }),
  );
});

test('a drag is one step, however many moves it has; a second drag is another', () => {
  const dragged = [1, 2, 3].reduce<Worked>((now, to) => edit(now, to, 'drag'), start);
  expect(dragged.history.past).toEqual([0]);
  const again = edit({ ...dragged, history: closed(dragged.history) }, 9, 'drag');
  expect(undo(again).state).toBe(3);
  expect(undo(undo(again)).state).toBe(0);
});

test('an edit after undo drops what could have been done again, within an open step too', () => {
  const worked = undo(edit(edit(start, 1), 2));
  expect(edit(worked, 5).history.future).toEqual([]);
  expect(redo(edit(worked, 5)).state).toBe(5);
});

test('with nothing to undo or redo, all stays as it is', () => {
  expect(undo(start)).toEqual(start);
  expect(redo(start)).toEqual(start);
});

test('only so many steps are kept, the newest', () => {
  const worked = Array.from({ length: MOST_STEPS + 50 }).reduce<Worked>(
    (now, _, i) => edit(now, i + 1),
    start,
  );
  expect(worked.history.past).toHaveLength(MOST_STEPS);
  expect(times(MOST_STEPS, undo, worked).state).toBe(50);
});
