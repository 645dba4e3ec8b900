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
