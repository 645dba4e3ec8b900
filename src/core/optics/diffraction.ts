import { above } from '../check';

const GREEN_NM = 550;

/**
 * Airy disc to its first dark ring, 2.44·λ·N, against the pixel.
 * @throws RangeError for values not above 0
 */
export function diffraction({
  aperture,
  pixelPitchMm,
  wavelengthNm = GREEN_NM,
}: {
  readonly aperture: number;
  readonly pixelPitchMm: number;
  readonly wavelengthNm?: number;
}): { readonly discMm: number; readonly discPx: number } {
  above('aperture', aperture, 0);
  above('pixelPitchMm', pixelPitchMm, 0);
  above('wavelengthNm', wavelengthNm, 0);
  const discMm = 2.44 * wavelengthNm * 1e-6 * aperture;
  return { discMm, discPx: discMm / pixelPitchMm };
}

/** A disc of this share of the circle of confusion is where closing further costs sharpness. */
const CAP_SHARE = 0.75;

/**
 * Smallest opening worth closing to: N = 0.75·c/(2.44·λ), about f/16 on full frame, f/10 on 1.5x,
 * f/8 on 2x. Common practice, no source.
 * @throws RangeError for a circle of confusion not above 0
 */
export const diffractionCap = (cocMm: number): number =>
  (CAP_SHARE * above('cocMm', cocMm, 0)) / (2.44 * GREEN_NM * 1e-6);
