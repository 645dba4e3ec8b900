import { filled, unknownField, type CaptionFields } from './caption-pattern';

const NOTHING: CaptionFields = {
  ...{ who: '', names: '', number: '', school: '', event: '', eventAlone: '', heat: '' },
  ...{ place: '', date: '', time: '', photographer: '', rights: '' },
};
const RACE = { event: '100 m, heat 1', eventAlone: '100 m', heat: 'heat 1' };
const read = (pattern: string, known: Partial<CaptionFields>, people = 0): string =>
  filled(pattern, { ...NOTHING, ...known }, people, ['paddles', 'paddle']);

test('what stands in brackets goes where a field in it is empty', () => {
  const known = { who: 'A {place}', place: 'Here' };
  // A name in braces is no field.
  expect(read('[{who}, ][{event}, ]{place}', known)).toBe('A {place}, Here');
  expect(read('{event} at {place} [not a field]', known)).toBe('at Here not a field');
});

test('of parts in brackets the first is taken whose fields are all known', () => {
  const pattern = '[{who} in {event}, |{who}, |{event}, ]{place}';
  const here = { place: 'Here' };
  expect(read(pattern, { ...here, ...RACE, who: 'Ada' })).toBe('Ada in 100 m, heat 1, Here');
  expect(read(pattern, { ...here, who: 'Ada' })).toBe('Ada, Here');
  expect(read(pattern, { ...here, ...RACE })).toBe('100 m, heat 1, Here');
  expect(read(pattern, here)).toBe('Here');
});

test('what they do is said of one and of several, by the subject or in own words, and of nobody not at all', () => {
  expect(read('{who} {does}', { who: 'Ada' }, 1)).toBe('Ada paddles');
  expect(read('{who} {does}', { who: 'Ada and Bea' }, 2)).toBe('Ada and Bea paddle');
  expect(read('[{who} {races|race} in |at ]{event}', { who: 'Ada', ...RACE }, 1)).toBe(
    'Ada races in 100 m, heat 1',
  );
  expect(read('{is seen|are seen}', {}, 3)).toBe('are seen');
  expect(read('[somebody {does}|nobody]', {})).toBe('nobody');
  expect(read('[somebody {races|race}|nobody]', {})).toBe('nobody');
});

test('the event says its heat too, unless the pattern has the heat', () => {
  expect(read('{event}', RACE)).toBe('100 m, heat 1');
  expect(read('{event} ({heat})', RACE)).toBe('100 m (heat 1)');
  expect(read('{event}[ ({heat})]', { ...RACE, heat: '' })).toBe('100 m');
});

test('what stands in braces and is no field is named', () => {
  expect(unknownField('{who} {whom}')).toBe('whom');
  expect(unknownField('{who} {race now} {whom}')).toBe('race now');
  expect(unknownField('{|race}')).toBe('|race');
  expect(unknownField('{a|b|c}')).toBe('a|b|c');
  expect(unknownField('{who} {races|race} [{place}|{does}]')).toBeUndefined();
});
