import { above, within } from '../check';
import { besselJ1 } from '../quantity/special';

export type MeshLook = 'gone' | 'veil' | 'seen';

export interface MeshEffect {
  /** Width of the light cone where it crosses the fence. */
  readonly coneMm: number;
  /** Share of the light the wire takes, evenly over the frame once the pattern is gone. */
  readonly lossShare: number;
  readonly lossStops: number;
  /** Contrast of the mesh's own pattern in the picture, 0 to 1. */
  readonly patternContrast: number;
  readonly look: MeshLook;
}

/** Pattern contrast below which nobody sees it, and below which it is only a veil. No source. */
const GONE_BELOW = 0.01;
const VEIL_BELOW = 0.05;

/**
 * What a wire mesh between camera and subject does. The entrance pupil p = f/N narrows towards the
 * subject to a cone c = p·(1 − a/d) at the fence; the wire takes 1 − (1 − w/g)² of it on average;
 * its pattern is averaged over the cone's disc, contrast (w/g)·|2·J1(πc/g)/(πc/g)| (the Fourier
 * transform of a uniform disc at the mesh's own frequency).
 * @param fenceM from lens to fence, @param pitchMm mesh opening with its wire, @param wireMm wire
 * @throws RangeError unless the fence stands between lens and subject and the wire is thinner than the pitch
 */
export function meshThrough({
  focalMm,
  aperture,
  fenceM,
  subjectM,
  pitchMm,
  wireMm,
}: {
  readonly focalMm: number;
  readonly aperture: number;
  readonly fenceM: number;
  readonly subjectM: number;
  readonly pitchMm: number;
  readonly wireMm: number;
}): MeshEffect {
  above('focalMm', focalMm, 0);
  above('aperture', aperture, 0);
  above('subjectM', subjectM, 0);
  within('fenceM', fenceM, 0, subjectM);
  above('pitchMm', pitchMm, 0);
  above('wireMm', wireMm, 0);
  above('pitchMm', pitchMm, wireMm);
  const coneMm = (focalMm / aperture) * (1 - fenceM / subjectM);
  const wireShare = wireMm / pitchMm;
  const lossShare = 1 - (1 - wireShare) ** 2;
  const phase = (Math.PI * coneMm) / pitchMm;
  const patternContrast = wireShare * (phase > 1e-9 ? Math.abs((2 * besselJ1(phase)) / phase) : 1);
  return {
    coneMm,
    lossShare,
    lossStops: -Math.log2(1 - lossShare),
    patternContrast,
    look: patternContrast < GONE_BELOW ? 'gone' : patternContrast < VEIL_BELOW ? 'veil' : 'seen',
  };
}
