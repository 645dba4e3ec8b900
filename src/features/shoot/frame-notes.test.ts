import type { View } from '@/answers/view';
import type { ExposurePlan } from '@/core';
import {
  depthInWords,
  diffractionInWords,
  extensionInWords,
  flickerInWords,
  notesOf,
  overfilledInWords,
} from './frame-notes';

/** What is said of a frame reads no more of it than this. */
const view = (change: Partial<View>): View =>
  ({ capAperture: 8, focalMm: 200, fill: 0.7, extensionStops: 0, ...change }) as View;
const plan = (aperture: number, flicker?: ExposurePlan['flicker']): ExposurePlan =>
  ({
    ...{ settings: { shutterS: 0.001, aperture, iso: 100 }, conflicts: [] },
    ...(flicker && { flicker }),
  }) as unknown as ExposurePlan;

test('a frame filled past its edge asks for the focal length that holds it whole', () => {
  expect(overfilledInWords(view({ fill: 1.25 }))).toBe(
    'The subject overfills the frame, 125 % of its height: 160 mm holds it whole.',
  );
  expect(overfilledInWords(view({ fill: 1 }))).toBeUndefined();
});

test('closed past what diffraction allows, it is told by how many stops', () => {
  expect(diffractionInWords(view({}), plan(16))).toBe(
    'Past f/8 the whole picture softens by diffraction: 2.0 stops too far closed.',
  );
  // A third of a stop on is nothing one sees.
  expect(diffractionInWords(view({}), plan(9))).toBeUndefined();
});

test('lamps that differ between frames ask for a time that is immune', () => {
  const flicker = { spreadStops: 0.6, immuneShutterS: 1 / 100 } as ExposurePlan['flicker'];
  expect(flickerInWords(plan(4, flicker))).toBe(
    'Lamps differ by 0.6 stop between frames: anti-flicker on, or 1/100.',
  );
  const faint = { spreadStops: 0.1, immuneShutterS: 1 / 100 } as ExposurePlan['flicker'];
  expect(flickerInWords(plan(4, faint))).toBeUndefined();
});

test('focused so near that light is lost, it is told; all notes of a frame come in order', () => {
  expect(extensionInWords(view({ extensionStops: 0.05 }))).toBeUndefined();
  const notes = notesOf(view({ extensionStops: 0.5 }), plan(16));
  expect(notes.map((note) => note.split(' ')[0])).toEqual(['Past', 'Focusing']);
  expect(notes[1]).toMatch(/costs 0\.5 stops? of light/);
});

test.each([
  [12.4, 19.8, '12.4 m to 19.8 m'],
  [7.98, 8.03, '7.98 to 8.03 m (5 cm)'],
  [7.5, 8.49, '7.50 to 8.49 m (99 cm)'],
  // To the millimetre where the whole of it is less than two centimetres.
  [1.204, 1.216, '1.204 to 1.216 m (12 mm)'],
  [5.2, Infinity, '5.2 m to the horizon'],
])('sharp from %d to %d m is told as %s', (nearM, farM, words) => {
  expect(depthInWords({ nearM, farM })).toBe(words);
});
