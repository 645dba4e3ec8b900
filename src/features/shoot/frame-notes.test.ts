import type { View } from '@/answers/view';
import type { ExposurePlan } from '@/core';
import {
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
