/**
 * Closed forms against plain summing: the mesh's pattern averaged point by point over the pupil's
 * cone, and lamp light averaged moment by moment over the exposure.
 */
import fc from 'fast-check';
import { flicker, flickerFreeShutters, meshThrough } from '@/core';

/** Contrast of cos(2πx/g) averaged over a disc of diameter c, by strips. */
function averagedOverDisc(coneMm: number, pitchMm: number): number {
  const strips = 4000;
  let sum = 0;
  let area = 0;
  for (let i = 0; i < strips; i += 1) {
    const x = ((i + 0.5) / strips - 0.5) * coneMm;
    const chord = Math.sqrt(Math.max(0, (coneMm / 2) ** 2 - x * x));
    sum += chord * Math.cos((2 * Math.PI * x) / pitchMm);
    area += chord;
  }
  return Math.abs(sum / area);
}

test.each([
  [300, 2.8, 0.15],
  [200, 5.6, 0.15],
  [200, 5.6, 2],
  [200, 11, 1],
  [70, 8, 3],
])('%d mm at f/%d through a fence %d m away', (focalMm, aperture, fenceM) => {
  const mesh = { pitchMm: 50, wireMm: 3 };
  const effect = meshThrough({ focalMm, aperture, fenceM, subjectM: 12, ...mesh });
  expect(effect.patternContrast).toBeCloseTo(
    (3 / 50) * averagedOverDisc(effect.coneMm, mesh.pitchMm),
    5,
  );
  expect(effect.lossShare).toBeCloseTo(1 - 0.94 ** 2, 9);
});

test('near, wide and long hides a fence; stopped down brings it back', () => {
  const through = (focalMm: number, aperture: number, fenceM: number) =>
    meshThrough({ focalMm, aperture, fenceM, subjectM: 20, pitchMm: 50, wireMm: 3 });
  expect(through(300, 2.8, 0.15).look).toBe('gone');
  expect(through(300, 16, 0.15).look).toBe('seen');
  expect(through(70, 2.8, 0.15).patternContrast).toBeGreaterThan(
    through(200, 2.8, 0.15).patternContrast,
  );
  expect(through(200, 5.6, 8).patternContrast).toBeGreaterThan(
    through(200, 5.6, 0.15).patternContrast,
  );
});

function frameLight(startS: number, mainsHz: number, modulation: number, shutterS: number): number {
  const steps = 400;
  let sum = 0;
  for (let i = 0; i < steps; i += 1) {
    const t = startS + ((i + 0.5) / steps) * shutterS;
    sum += 1 + modulation * Math.cos(2 * Math.PI * 2 * mainsHz * t);
  }
  return sum / steps;
}

test('the worst pair of frames differs by what the closed form says', () => {
  fc.assert(
    fc.property(
      fc.constantFrom(50, 60),
      fc.double({ min: 0.05, max: 0.9, noNaN: true }),
      fc.double({ min: 1 / 4000, max: 1 / 40, noNaN: true }),
      (mainsHz, modulation, shutterS) => {
        const frames = Array.from({ length: 200 }, (_, i) =>
          frameLight(i / 200 / (2 * mainsHz), mainsHz, modulation, shutterS),
        );
        const summed = Math.log2(Math.max(...frames) / Math.min(...frames));
        expect(flicker({ mainsHz, modulation, shutterS }).spreadStops).toBeCloseTo(summed, 2);
      },
    ),
    { numRuns: 40 },
  );
});

test('whole half-cycles of the mains are immune: 1/100 and 1/50 at 50 Hz, 1/120 at 60 Hz', () => {
  expect(flickerFreeShutters({ mainsHz: 50, longestS: 0.02 })).toEqual([0.01, 0.02]);
  expect(flickerFreeShutters({ mainsHz: 60, longestS: 0.012 })).toEqual([1 / 120]);
  for (const shutterS of flickerFreeShutters({ mainsHz: 50, longestS: 0.1 })) {
    expect(flicker({ mainsHz: 50, modulation: 0.9, shutterS }).spreadStops).toBeLessThan(1e-9);
  }
});

test('bands: a 1/50 s readout under 50 Hz mains shows two', () => {
  expect(
    flicker({ mainsHz: 50, modulation: 0.3, shutterS: 1 / 2000, readoutS: 1 / 50 }).bands,
  ).toBeCloseTo(2, 12);
});
