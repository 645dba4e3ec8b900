import { finite } from '../check';

/** A polynomial's value by Horner's rule, coefficients from the constant up. */
const polynomial = (x: number, coefficients: readonly number[]): number =>
  coefficients.reduceRight((sum, coefficient) => sum * x + coefficient, 0);

/**
 * Bessel function of the first kind, order one.
 * Source: Abramowitz & Stegun 1964, 9.4.4 and 9.4.6; absolute error under 1e-7.
 */
export function besselJ1(x: number): number {
  finite('x', x);
  const size = Math.abs(x);
  if (size <= 3) {
    const t = (x / 3) ** 2;
    return (
      x *
      polynomial(
        t,
        [0.5, -0.56249985, 0.21093573, -0.03954289, 0.00443319, -0.00031761, 0.00001109],
      )
    );
  }
  const t = 3 / size;
  const amplitude = polynomial(
    t,
    [0.79788456, 0.00000156, 0.01659667, 0.00017105, -0.00249511, 0.00113653, -0.00020033],
  );
  const phase =
    size +
    polynomial(
      t,
      [-2.35619449, 0.12499612, 0.0000565, -0.00637879, 0.00074348, 0.00079824, -0.00029166],
    );
  return (Math.sign(x) * amplitude * Math.cos(phase)) / Math.sqrt(size);
}

/**
 * Error function. Source: Abramowitz & Stegun 1964, 7.1.5 (series) up to 2.5 and 7.1.14 (continued
 * fraction of erfc) beyond; relative error under 1e-12.
 */
export function erf(x: number): number {
  finite('x', x);
  const size = Math.abs(x);
  if (size > 6) return Math.sign(x);
  if (size > 2.5) {
    let fraction = 0;
    for (let k = 60; k >= 1; k -= 1) fraction = k / 2 / (size + fraction);
    return Math.sign(x) * (1 - Math.exp(-size * size) / Math.sqrt(Math.PI) / (size + fraction));
  }
  let term = size;
  let sum = size;
  for (let n = 1; Math.abs(term) > 1e-17 * sum; n += 1) {
    term *= (-size * size) / n;
    sum += term / (2 * n + 1);
  }
  return ((Math.sign(x) * 2) / Math.sqrt(Math.PI)) * sum;
}

/** sin(πx)/(πx), 1 at 0. */
export function sinc(x: number): number {
  const angle = Math.PI * finite('x', x);
  return Math.abs(angle) < 1e-9 ? 1 : Math.sin(angle) / angle;
}
