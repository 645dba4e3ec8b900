import { marksNamed, OTHER_STRAND, strandNamed, windowNamed, worthNamed } from './event-strands';
import { groundById } from './grounds';

test.each([
  ['Girls 100 Meter Dash', 'Sprints', 'finish'],
  ['Boys 400m', 'Sprints', 'finish'],
  ['Mixed 4x400 m Relay', 'Relays', 'exchange'],
  ['4 × 100', 'Relays', 'exchange'],
  ['110mH', 'Hurdles', 'hurdle-five'],
  ['300 m Hurdles', 'Hurdles', 'hurdle-five'],
  ['1600 m Run', 'Distance', 'bend'],
  ['3000 m Steeplechase', 'Distance', 'bend'],
  ['Women Long Jump', 'Horizontal jumps', 'long-jump'],
  ['High Jump', 'High jump', 'high-jump'],
  ['Pole Vault', 'Vault', 'vault'],
  ['Shot Put', 'Throws', 'discus'],
  ['Boys 100 Breast', 'Breaststroke and butterfly', 'breaststroke'],
  ['Girls 50 Fly', 'Breaststroke and butterfly', 'breaststroke'],
  ['200 IM', 'Freestyle and medley', 'freestyle'],
  ['50 Free', 'Freestyle and medley', 'freestyle'],
  ['100 Back', 'Backstroke', 'backstroke'],
  ['Girls 1500 Free', 'Freestyle and medley', 'freestyle'],
  ['10,000 m', 'Distance', 'bend'],
  ['Boys match, court 2', 'Matches', undefined],
  ['Prize giving', OTHER_STRAND, undefined],
  ['Junior single 500 m', OTHER_STRAND, undefined],
])('“%s” belongs to %s and happens at %s', (name, strand, mark) => {
  expect([strandNamed(name), marksNamed(name)[0]]).toEqual([strand, mark]);
});

test('marks that names tell of are on the grounds', () => {
  const marks = new Set(
    ['athletics-track', 'pool-25'].flatMap((id) => groundById(id).marks.map((mark) => mark.id)),
  );
  const told = [
    'Long jump',
    'High jump',
    'Discus',
    '100 m',
    '800 m',
    '4x100',
    '100 m hurdles',
    '50 free',
    '50 fly',
  ];
  for (const name of told) expect(marksNamed(name).some((id) => marks.has(id))).toBe(true);
});

test('what goes on lasts as such events do, and a race does not go on', () => {
  expect(windowNamed('Triple jump')).toEqual({
    durationMin: 90,
    window: { visitMin: 10, visits: 3 },
  });
  expect(windowNamed('Warm-up')?.durationMin).toBe(45);
  expect(windowNamed('100 m')).toBeUndefined();
  expect(windowNamed('800 m')).toBeUndefined();
});

test.each([
  ['1500 m', 6],
  ['Mile', 6],
  ['3000 m steeplechase', 12],
  ['5000 m', 18],
  ['10 000 m', 38],
  ['1650 Free', 15],
])('of a %s any two passings are had, within %d minutes', (name, durationMin) => {
  expect(windowNamed(name)).toEqual({ durationMin, window: { visitMin: 2, visits: 2 } });
});

test('a match has two halves', () => {
  expect(windowNamed('U16 match')).toEqual({
    durationMin: 90,
    window: { visitMin: 20, visits: 2 },
  });
});

test.each([
  ['100 m prelims', 'could'],
  ['Discus qualifying', 'could'],
  ['200 m semi-final', 'could'],
  ['Warm-up', 'could'],
  ['100 m final', 'should'],
  ['Long jump', 'should'],
])('“%s” is taken for worth “%s”', (name, worth) => {
  expect(worthNamed(name)).toBe(worth);
});
