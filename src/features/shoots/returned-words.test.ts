import type { Returned } from '@/records/merge-returned';
import { newsInWords, planInWords } from './returned-words';

const about = { atLocal: '2027-06-19T10:00:00', markId: 'm', positionId: 'p' };
const none: Returned = {
  ...{ entries: [], readings: [], frames: 0, watches: [], late: [], off: [], scratched: [] },
  ...{ people: [], plan: [] },
};

test('what happened is counted by its kind, one or more', () => {
  expect(newsInWords(none)).toEqual([]);
  expect(
    newsInWords({
      ...none,
      entries: [
        { id: 'a', kind: 'keeper', ...about },
        { id: 'b', kind: 'keeper', ...about },
        { id: 'c', kind: 'note', text: 'x', ...about },
      ],
      frames: 1,
      scratched: [
        { id: 'x', name: 'Ash Lock' },
        { id: 'y', name: 'Sam Reed' },
      ],
    }),
  ).toEqual(['2 keepers', '1 note', '1 picture’s figures', 'scratched: Ash Lock and Sam Reed']);
});

test('what of the plan differs is named, and that it stays', () => {
  expect(planInWords(none)).toBe('');
  expect(planInWords({ plan: ['kit', 'events'] })).toBe(
    'The plan there is another in kit and running order. It stays as it is here.',
  );
});
