import { subjectById } from '@/presets/find';
import { presetOf, subjectOf, subjectOptions } from './own-subject';

const HERON = {
  id: 'own-stork',
  name: 'White stork',
  basedOn: 'heron',
  heightM: 2 * subjectById('heron').heightM,
  depthM: 1,
  speedMs: 11,
  habits: [],
};

test('a subject of one’s own has the preset’s parts at its own size and pace', () => {
  const base = subjectById('heron');
  const made = presetOf(HERON);
  expect(made).toMatchObject({ id: 'own-stork', speedMs: 11, depthM: 1 });
  made.parts.forEach((part, i) => {
    expect(part.upM).toBeCloseTo((base.parts[i]?.upM ?? NaN) * 2, 9);
    expect(part.swing?.speedMs).toBe(base.parts[i]?.swing?.speedMs);
  });
});

test('it is found by its id before the presets, and offered first', () => {
  const subjects = [HERON];
  expect(subjectOf({ subjects }, 'own-stork').name).toBe('White stork');
  expect(subjectOf({ subjects }, 'duck')).toBe(subjectById('duck'));
  expect(() => subjectOf({ subjects: [] }, 'own-stork')).toThrow('own-stork');
  expect(subjectOptions({ subjects })[0]).toEqual({ value: 'own-stork', label: 'White stork' });
});
