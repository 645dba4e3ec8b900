import { CUES } from '@/presets/cues';
import { SUBJECTS } from '@/presets/subjects';
import type { LogEntry } from '@/records/log';
import { asSigns, followsIn, inPlace, mixed, runOf, signsFor } from './signs';

const logged = (name: string, atLocal: string, rehearsed = false): LogEntry => ({
  ...{ id: `${name}${atLocal}`, kind: 'behaviour', name, atLocal, markId: 'm', positionId: 'p' },
  ...(rehearsed && { rehearsed: true as const }),
});

/** Numbers of a chance that are told beforehand, over and over. */
const chances = (...values: readonly number[]) => {
  let i = 0;
  return () => values[i++ % values.length] as number;
};

describe('signs known', () => {
  test('come in the order of their times and end with the moment; each subject is one of ours', () => {
    const ids = new Set(SUBJECTS.map(({ id }) => id));
    for (const { signs, subjects } of CUES) {
      const befores = signs.map(({ beforeS }) => beforeS);
      expect(befores).toEqual([...befores].sort((a, b) => b - a));
      expect(new Set(befores).size).toBe(befores.length);
      expect(befores.at(-1)).toBe(0);
      expect(signs.length).toBeGreaterThanOrEqual(4);
      expect(subjects.filter((id) => !ids.has(id))).toEqual([]);
    }
  });
  test('are those of the subject, or of what one’s own was made of', () => {
    expect(signsFor(undefined)).toBe(CUES);
    expect(signsFor({ id: 'batter' }).map(({ id }) => id)).toEqual(['pitch']);
    expect(signsFor({ id: 'x1', basedOn: 'kingfisher-dive' }).map(({ id }) => id)).toEqual([
      'fishing',
    ]);
    expect(signsFor({ id: 'skier' })).toEqual([]);
  });
});

describe('an order', () => {
  test('is mixed, whatever chance says, and never the right one', () => {
    for (const values of [[0], [0.999], [0.5], [0.1, 0.9, 0.4]]) {
      const order = mixed(4, chances(...values));
      expect([...order].sort((a, b) => a - b)).toEqual([0, 1, 2, 3]);
      expect(order).not.toEqual([0, 1, 2, 3]);
    }
  });
  test('is judged by the places that are right', () => {
    expect(inPlace([0, 1, 2, 3])).toBe(4);
    expect(inPlace([1, 0, 2, 3])).toBe(2);
    expect(inPlace([1, 2, 3, 0])).toBe(0);
  });
});

describe('a run', () => {
  const signs = [
    { text: 'a', beforeS: 10 },
    { text: 'b', beforeS: 2 },
    { text: 'c', beforeS: 0.5 },
    { text: 'd', beforeS: 0 },
  ];
  test('keeps what is near the moment, and draws long waits together', () => {
    expect(runOf({ signs }, () => 0.5)).toEqual([-6, -2, -0.5, -0]);
    const short = signs.slice(1);
    expect(runOf({ signs: short }, () => 0.5)).toEqual([-2, -0.5, -0]);
  });
  test('is a fifth faster or slower by chance', () => {
    expect(runOf({ signs: signs.slice(2) }, () => 0)[0]).toBeCloseTo(-0.4, 9);
    expect(runOf({ signs: signs.slice(2) }, () => 1)[0]).toBeCloseTo(-0.6, 9);
  });
});

describe('what the log says', () => {
  const at = (minute: number, second: number) =>
    `2027-05-08T06:${String(minute).padStart(2, '0')}:${String(second).padStart(2, '0')}`;
  const three = [1, 5, 9].flatMap((minute, i) => [
    logged('hovers', at(minute, 0)),
    logged('dives', at(minute, 4 + i)),
  ]);
  test('three times the same makes a rule, with the middle of its times', () => {
    expect(followsIn([...three].reverse())).toEqual([
      { first: 'hovers', then: 'dives', afterS: 5, count: 3 },
    ]);
    expect(followsIn(three.slice(2))).toEqual([]);
    const [own] = followsIn(three).map(asSigns);
    expect(own?.signs).toEqual([
      { text: 'hovers', beforeS: 5 },
      { text: 'dives', beforeS: 0 },
    ]);
  });
  test('what comes two minutes later, twice in a row, or in a rehearsal does not count', () => {
    const late = [1, 5, 9].flatMap((minute) => [
      logged('calls', at(minute, 0)),
      logged('leaves', at(minute + 2, 1)),
    ]);
    expect(followsIn(late)).toEqual([]);
    expect(followsIn([1, 2, 3, 4].map((minute) => logged('calls', at(minute, 0))))).toEqual([]);
    expect(followsIn(three.map((entry) => ({ ...entry, rehearsed: true as const })))).toEqual([]);
  });
});
