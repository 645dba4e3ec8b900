/**
 * Standard textbook optics: thin lens, depth of field (hyperfocal form), quoted from memory and
 * worked by hand. Small-bird fill and converter apertures: common practice, no source.
 */
import {
  apertureForBlur,
  apertureForDepth,
  backdropVerdict,
  backgroundBlur,
  circleOfConfusionMm,
  converterLossStops,
  cropFor,
  depthOfField,
  diffraction,
  distanceForFill,
  fieldOfView,
  focalForFill,
  frameFill,
  hazeContrast,
  imageSize,
  nearestMark,
  pixelsOnSubject,
  tiltTolerance,
  widestApertureAt,
  withConverter,
} from '@/core';

const FULL_FRAME = { widthMm: 36, heightMm: 24, widthPx: 6000, heightPx: 4000 };

test('50 mm f/8 at 5 m, c 0.030: 3.389 m to 9.527 m, hyperfocal 10.467 m', () => {
  const depth = depthOfField({ focalMm: 50, aperture: 8, distanceM: 5, cocMm: 0.03 });
  expect(depth.nearM).toBeCloseTo(3.389, 3);
  expect(depth.farM).toBeCloseTo(9.527, 3);
  expect(depth.hyperfocalM).toBeCloseTo(10.467, 3);
});

test('600 mm f/4 at 10 m: 9.969 m to 10.031 m', () => {
  // The published pair needs the diagonal's circle, 43.27/1500 mm.
  const depth = depthOfField({
    focalMm: 600,
    aperture: 4,
    distanceM: 10,
    cocMm: circleOfConfusionMm(FULL_FRAME),
  });
  expect(depth.nearM).toBeCloseTo(9.97, 2);
  expect(depth.farM).toBeCloseTo(10.03, 2);
});

test('from the hyperfocal distance on, depth has no far end', () => {
  const at = (distanceM: number) =>
    depthOfField({ focalMm: 50, aperture: 8, distanceM, cocMm: 0.03 });
  expect(at(10.5).farM).toBe(Infinity);
  expect(at(10.4).farM).toBeLessThan(Infinity);
});

test('the aperture for a depth gives that depth on its near side', () => {
  const aperture = apertureForDepth({ focalMm: 400, distanceM: 20, depthM: 0.6, cocMm: 0.0288 });
  expect(depthOfField({ focalMm: 400, aperture, distanceM: 20, cocMm: 0.0288 }).nearM).toBeCloseTo(
    19.7,
    6,
  );
});

test('a man of 1.8 m at 30 m on 400 mm is 24.32 mm tall: 101 % of a level frame', () => {
  const view = { sizeM: 1.8, distanceM: 30, focalMm: 400 };
  expect(imageSize(view)).toBeCloseTo((400 * 1800) / 29_600, 9);
  expect(frameFill({ ...view, sensor: FULL_FRAME })).toBeCloseTo(1.0135, 4);
  expect(frameFill({ ...view, sensor: FULL_FRAME, orientation: 'upright' })).toBeCloseTo(0.6757, 4);
  expect(pixelsOnSubject({ ...view, sensor: FULL_FRAME })).toBe(4000);
});

test('50 mm on full frame takes in 39.6° by 27.0°, 46.8° corner to corner', () => {
  const angles = fieldOfView({ sensor: FULL_FRAME, focalMm: 50 });
  expect(angles.horizontalDeg).toBeCloseTo(39.6, 1);
  expect(angles.verticalDeg).toBeCloseTo(27.0, 1);
  expect(angles.diagonalDeg).toBeCloseTo(46.8, 1);
});

test('a small bird of 15 cm on 600 mm fills a third to a half of the frame at 9 to 12 m', () => {
  const fillAt = (distanceM: number) =>
    frameFill({ sizeM: 0.15, distanceM, focalMm: 600, sensor: FULL_FRAME });
  expect(fillAt(9)).toBeGreaterThan(0.4);
  expect(fillAt(12)).toBeGreaterThan(0.3);
});

test('400 f/4 becomes 560 f/5.6 or 800 f/8', () => {
  const lens = {
    focals: [{ focalMm: 400, widestAperture: 4 }],
    smallestAperture: 22,
    nearestFocusM: 2.5,
  };
  const with14 = withConverter(lens, 1.4);
  const with2 = withConverter(lens, 2);
  expect(with14.focals[0]?.focalMm).toBeCloseTo(560, 9);
  expect(nearestMark('aperture', widestApertureAt(with14, 560)).label).toBe('f/5.6');
  expect(with2.focals[0]).toEqual({ focalMm: 800, widestAperture: 8 });
  expect(converterLossStops(2)).toBe(2);
  expect(Math.round(converterLossStops(1.4))).toBe(1);
});

test('distance and focal length for a fill are the inverses of the fill', () => {
  const framing = { sizeM: 1.75, sensor: FULL_FRAME, fill: 0.8 };
  const distanceM = distanceForFill({ ...framing, focalMm: 300 });
  expect(frameFill({ ...framing, distanceM, focalMm: 300 })).toBeCloseTo(0.8, 9);
  const focalMm = focalForFill({ ...framing, distanceM: 25 });
  expect(frameFill({ ...framing, distanceM: 25, focalMm })).toBeCloseTo(0.8, 9);
});

test('cropping to twice the fill keeps a quarter of the pixels', () => {
  expect(cropFor({ fill: 0.4, wantedFill: 0.8, sensor: FULL_FRAME })).toEqual({
    keptFraction: 0.5,
    megapixels: 6,
  });
  expect(cropFor({ fill: 0.9, wantedFill: 0.8, sensor: FULL_FRAME }).keptFraction).toBe(1);
});

describe('blur of what lies behind', () => {
  const view = { focalMm: 600, aperture: 4, subjectM: 10, backgroundM: 20 };
  test('600 mm f/4, subject at 10 m, background at 20 m: a disc of 4.787 mm', () => {
    expect(backgroundBlur(view).discMm).toBeCloseTo(4.787, 3);
    expect(backgroundBlur(view).shareOfFrame).toBeCloseTo(4.787 / 36, 4);
  });
  test('the sky behind is twice as blurred as twice the distance; the subject not at all', () => {
    const disc = (backgroundM: number) => backgroundBlur({ ...view, backgroundM }).discMm;
    expect(disc(Infinity)).toBeCloseTo(2 * disc(20), 9);
    expect(disc(10)).toBe(0);
  });
  test('the aperture that just gives a disc gives it', () => {
    const aperture = apertureForBlur({ focalMm: 200, subjectM: 12, backgroundM: 30, discMm: 0.5 });
    expect(
      backgroundBlur({ focalMm: 200, aperture, subjectM: 12, backgroundM: 30 }).discMm,
    ).toBeCloseTo(0.5, 12);
  });
  test('leaves at twice the distance wash out on 600 mm and stay readable on 50 mm f/8', () => {
    expect(backdropVerdict({ ...view, detailM: 0.05 }).look).toBe('washed');
    expect(
      backdropVerdict({ ...view, focalMm: 50, aperture: 8, subjectM: 10, detailM: 0.05 }).look,
    ).toBe('readable');
    expect(backdropVerdict({ ...view, backgroundM: Infinity, detailM: 1 }).ratio).toBe(Infinity);
  });
});

test('wings 5 cm long within 5 mm of depth may lie 5.74° off', () => {
  expect(tiltTolerance({ depthM: 0.005, subjectLengthM: 0.05 })).toBeCloseTo(5.739, 3);
  expect(tiltTolerance({ depthM: 1, subjectLengthM: 0.05 })).toBe(90);
});

test('Airy disc at f/8 in green light: 10.7 µm, over two pixels of 4.36 µm', () => {
  const { discMm, discPx } = diffraction({ aperture: 8, pixelPitchMm: 0.00436 });
  expect(discMm * 1000).toBeCloseTo(10.74, 2);
  expect(discPx).toBeCloseTo(2.46, 2);
});

test('Koschmieder: two per cent of contrast is left at the visibility', () => {
  expect(hazeContrast({ distanceM: 8000, visibilityM: 8000 })).toBeCloseTo(0.02, 4);
  expect(hazeContrast({ distanceM: 0, visibilityM: 8000 })).toBe(1);
});
