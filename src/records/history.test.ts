import fc from 'fast-check';
import { closed, MOST_STEPS, noHistory, recorded, redone, undone, type History } from './history';

interface State {
  readonly at: number;
  readonly elsewhere?: string;
}
interface Worked {
  readonly history: History<State>;
  readonly state: State;
}
const start: Worked = { history: noHistory<State>(), state: { at: 0 } };
const edit = ({ history, state }: Worked, at: number, group?: string): Worked => {
  const after = { ...state, at };
  return { history: recorded(history, { before: state, after }, group), state: after };
};
/** Another tab's change comes in between. */
const otherTab = ({ history, state }: Worked, elsewhere: string): Worked => ({
  history,
  state: { ...state, elsewhere },
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
      expect(back.state).toEqual({ at: 0 });
      expect(back.history.past).toHaveLength(0);
      const forth = times(worked.history.past.length, redo, back);
      expect(forth.state).toEqual(worked.state);
      expect(forth.history.past).toEqual(worked.history.past);
    }),
  );
});

test('one undo and one redo change nothing', () => {
  fc.assert(
    fc.property(steps, (list) => {
      const worked = list.reduce<Worked>(run, start);
      fc.pre(worked.history.past.length > 0);
      expect(redo(undo(worked)).state).toEqual(worked.state);
    }),
  );
});

test('a drag is one step, however many moves it has; a second drag is another', () => {
  const dragged = [1, 2, 3].reduce<Worked>((now, to) => edit(now, to, 'drag'), start);
  expect(dragged.history.past).toEqual([{ before: { at: 0 }, after: { at: 3 } }]);
  const again = edit({ ...dragged, history: closed(dragged.history) }, 9, 'drag');
  expect(undo(again).state).toEqual({ at: 3 });
  expect(undo(undo(again)).state).toEqual({ at: 0 });
});

test('an edit after undo drops what could have been done again, within an open step too', () => {
  const worked = undo(edit(edit(start, 1), 2));
  expect(edit(worked, 5).history.future).toEqual([]);
  expect(redo(edit(worked, 5)).state).toEqual({ at: 5 });
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
  expect(times(MOST_STEPS, undo, worked).state).toEqual({ at: 50 });
});

test('undo takes back its own step and leaves what another tab did, before and after it', () => {
  const worked = otherTab(edit(otherTab(edit(start, 1), 'before'), 2), 'after');
  expect(undo(worked).state).toEqual({ at: 1, elsewhere: 'after' });
  expect(undo(undo(worked)).state).toEqual({ at: 0, elsewhere: 'after' });
  expect(redo(undo(worked)).state).toEqual({ at: 2, elsewhere: 'after' });
});

test('what another tab does in the midst of a drag is in none of its steps', () => {
  const worked = edit(otherTab(edit(start, 1, 'drag'), 'theirs'), 2, 'drag');
  expect(worked.history.past).toHaveLength(2);
  expect(undo(undo(worked)).state).toEqual({ at: 0, elsewhere: 'theirs' });
});
