import { median } from 'd3-array';
import FFT from 'fft.js';
import { handOf, turnDuring, type Hand } from '@/core';
import type { FanTry, Practice } from '@/records/practice';
import { BENCH_S } from './blur-bench';

/** A real fan before a real camera: its turns by its hum, what its blades smear over, and what pictures say of that. */

/** Fans hum between these, blade by blade; no source. */
const LOWEST_HZ = 15;
const HIGHEST_HZ = 600;
/** A tone stands out of the noise by this, in the middle of what is heard; no source. */
const STANDS_OUT = 8;
const MOST_TONES = 3;
const HARMONICS = 3;

export interface Tone {
  readonly hz: number;
  /** How much of all that was heard it is, with its overtones, against the strongest: 0 to 1. */
  readonly share: number;
}

/**
 * The tones of a hum, the strongest first: peaks of its spectrum under a Hann window, between bins by the parabola
 * through their logarithms (Gasior & Gonzalez 2004), each weighed together with its overtones.
 * @param samples as many as a power of two that fits are taken
 */
export function tonesOf(samples: ArrayLike<number>, sampleRateHz: number): readonly Tone[] {
  const size = 2 ** Math.floor(Math.log2(samples.length));
  if (size < 1024) return [];
  const fft = new FFT(size);
  const windowed = Array.from(
    { length: size },
    (_, i) => (samples[i] as number) * (0.5 - 0.5 * Math.cos((2 * Math.PI * i) / size)),
  );
  const spectrum = fft.createComplexArray() as number[];
  fft.realTransform(spectrum, windowed);
  const power = Array.from(
    { length: size / 2 },
    (_, i) => Math.hypot(spectrum[2 * i] as number, spectrum[2 * i + 1] as number) + 1e-12,
  );
  const binHz = sampleRateHz / size;
  const at = (hz: number) => Math.round(hz / binHz);
  const [from, to] = [Math.max(1, at(LOWEST_HZ)), Math.min(power.length - 2, at(HIGHEST_HZ))];
  const heard = power.slice(from, to + 1);
  const noise = median(heard) ?? 0;
  const nearest = (hz: number): number => {
    const i = at(hz);
    return Math.max(power[i - 1] ?? 0, power[i] ?? 0, power[i + 1] ?? 0);
  };
  const tones: { readonly hz: number; readonly strength: number }[] = [];
  for (let i = from; i <= to; i += 1) {
    const [before, here, after] = [power[i - 1], power[i], power[i + 1]] as [
      number,
      number,
      number,
    ];
    if (here < before || here <= after || here < STANDS_OUT * noise) continue;
    const [a, b, c] = [Math.log(before), Math.log(here), Math.log(after)];
    const hz = (i + (a - c) / (2 * (a - 2 * b + c))) * binHz;
    const overtones = Array.from({ length: HARMONICS - 1 }, (_, k) => nearest(hz * (k + 2)));
    tones.push({ hz, strength: overtones.reduce((sum, one) => sum + one, here) });
  }
  tones.sort((a, b) => b.strength - a.strength);
  return tones
    .slice(0, MOST_TONES)
    .map(({ hz, strength }) => ({ hz, share: strength / (tones[0]?.strength ?? 1) }));
}

/** Less cannot be read off a picture, and more is a whole round. Degrees; no source. */
const LEAST_DEG = 4;
const MOST_DEG = 330;

/** Times down the ladder at which a mark on one blade smears over an angle that can be read. */
export const fanLadder = (
  turnsPerS: number,
): readonly { readonly shutterS: number; readonly deg: number }[] =>
  BENCH_S.map((shutterS) => ({ shutterS, deg: turnDuring({ perS: turnsPerS, shutterS }) })).filter(
    ({ deg }) => readable(deg) === 'yes',
  );

/** Whether a smear over so many degrees can be read off a picture. */
export const readable = (deg: number): 'yes' | 'tooShort' | 'tooLong' =>
  deg < LEAST_DEG ? 'tooShort' : deg > MOST_DEG ? 'tooLong' : 'yes';

/** Pictures of one's own fan that were read back. */
export const fanTries = ({ tries }: Practice): readonly FanTry[] =>
  tries.flatMap((made) => (made.kind === 'fan' ? made : []));

/** How far an angle was from what was foretold: 0.1 is a tenth more. */
export const fanOff = ({ measuredDeg, predictedDeg }: FanTry): number =>
  measuredDeg / predictedDeg - 1;

/** Near enough to what was foretold: a tenth. No source. */
const NEAR_FORETOLD = 0.1;
export const asForetold = (made: FanTry): boolean => Math.abs(fanOff(made)) <= NEAR_FORETOLD;

/** Fewer pictures than this say nothing of the time that a shutter takes; no source. */
const FEWEST_READ = 3;

/** How measured smears stand to what was foretold, altogether; nothing for too few. */
export function fanAgrees(practice: Practice): Hand | undefined {
  const offs = fanTries(practice).slice(-20).map(fanOff);
  return offs.length < FEWEST_READ ? undefined : handOf(offs);
}
