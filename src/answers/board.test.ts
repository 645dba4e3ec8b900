import { GROUND_TEMPLATES } from '@/presets/grounds';
import { GROUND_KINDS, kindOf } from '@/presets/grounds/board';
import { groupsFor } from './board';

const found = (text: string) => groupsFor(text).flatMap(({ kinds }) => kinds.map(({ id }) => id));

test('every ground stands on the board, once', () => {
  expect(GROUND_KINDS.map(({ id }) => id).sort()).toEqual(
    GROUND_TEMPLATES.map(({ id }) => id).sort(),
  );
  expect(kindOf('tennis-court').short).toBe('Tennis');
  expect(() => kindOf('moon')).toThrow(/template moon/);
});

test.each([
  ['soccer', ['association-pitch']],
  ['football', ['association-pitch', 'gridiron-nfhs', 'gridiron-ncaa']],
  ['high jump', ['athletics-track']],
  ['feeder', ['feeder-garden']],
  ['wren', ['singing-hedge', 'singing-path']],
  ['deer', ['animal-clearing']],
  ['trail run', ['trail-run']],
  ['penalty', ['field-hockey']],
  ['marathon', ['road-bend']],
  ['gym basket', ['basketball-nfhs', 'basketball-ncaa']],
  ['Kingfisher', ['river-hide']],
  ['zzz', []],
])('by "%s" one finds what people mean', (text, ids) => {
  expect(found(text).sort()).toEqual([...ids].sort());
});

test('with nothing asked for all of it is there, in groups', () => {
  expect(found('  ')).toHaveLength(GROUND_KINDS.length);
  expect(groupsFor('').map(({ name }) => name)).toEqual([
    'Field and court',
    'Track, water, road, snow',
    'Wildlife',
    'Anything else',
  ]);
});
