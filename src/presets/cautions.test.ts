import { CAUTIONS, cautionsFor } from './cautions';
import { GROUND_TEMPLATES } from './grounds';

test('every caution has a name of its own, a place where it applies, words and a source', () => {
  expect(new Set(CAUTIONS.map(({ id }) => id)).size).toBe(CAUTIONS.length);
  for (const { tags, text, source } of CAUTIONS) {
    expect(tags.length).toBeGreaterThan(0);
    expect(text.length).toBeGreaterThan(20);
    expect(source.length).toBeGreaterThan(5);
  }
});

test('those for some tags are those with one of them, each once', () => {
  expect(cautionsFor(['storm']).map(({ id }) => id)).toEqual(['lightning']);
  expect(cautionsFor(['wildlife', 'nest']).map(({ id }) => id)).toEqual([
    'keep-distance',
    'park-distances',
    'nests',
    'no-flash',
  ]);
  expect(cautionsFor([])).toEqual([]);
});

test('every ground but the blank one has something to take care of', () => {
  const careless = GROUND_TEMPLATES.filter(({ cautions }) => cautionsFor(cautions).length === 0);
  expect(careless.map(({ id }) => id)).toEqual(['blank']);
});
