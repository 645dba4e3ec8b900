import { finishEnd, markAtFinish } from './pool-finish';

test.each([
  ['Girls 50 m Freestyle', 50, 'turn'],
  ['Girls 50 m Freestyle', 25, 'start'],
  ['Boys 100 Breaststroke', 50, 'start'],
  ['Boys 25 m Kick', 25, 'turn'],
  ['4x50 m Medley Relay', 50, 'start'],
  ['4 × 25 Free Relay', 25, 'start'],
  ['3 x 25 m Fun Relay', 25, 'turn'],
  ['1500 m Freestyle', 50, 'start'],
  ['Event 3 Girls 75 m', 25, 'turn'],
  ['Medal ceremony', 25, undefined],
  ['60 m Something', 25, undefined],
] as const)('%s in a pool of %d m ends at: %s', (name, lengthM, end) => {
  expect(finishEnd(name, lengthM)).toBe(end);
});

test('a reaction is where the race ends; every other mark, and every other ground, is itself', () => {
  expect(markAtFinish('reaction-start', '50 m Free', 'pool-50')).toBe('reaction-turn');
  expect(markAtFinish('reaction-turn', '100 m Free', 'pool-50')).toBe('reaction-start');
  expect(markAtFinish('reaction-turn', 'Ceremony', 'pool-50')).toBe('reaction-turn');
  expect(markAtFinish('freestyle', '50 m Free', 'pool-50')).toBe('freestyle');
  expect(markAtFinish('reaction-start', '50 m Free', 'sprint-course')).toBe('reaction-start');
});
