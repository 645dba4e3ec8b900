import { median } from 'd3-array';
import { atLeast, finite, nonEmpty } from '../check';
import { CLICKS_PER_STOP } from '../quantity/scales';

/**
 * How a run of frames is made to look alike afterwards: what each is to be lifted by, and which lie beside each other
 * in different light though nothing was changed.
 */

/** A click of the dial: less than this between two frames is not seen. Common practice, no source. */
export const SEEN_STOPS = 1 / CLICKS_PER_STOP.third;
/** Rounding of a difference that is just a click. */
const TIE = 1e-6;

/** One frame of a press. */
export interface ExposedFrame {
  readonly atMs: number;
  /** Light that its time, opening and ISO expose right, as EV at ISO 100. */
  readonly ev: number;
  /** How bright the picture itself came out, in stops over or under any one level, where that is known. */
  readonly levelStops?: number;
}

/** What was asked of a press's exposure there and then: EV at ISO 100, and how far off it may be, in stops. */
export interface AskedEv {
  readonly expected: number;
  readonly sigmaStops: number;
}

const isSeen = (stops: number): boolean => Math.abs(stops) >= SEEN_STOPS - TIE;

/** Brightness of each frame as it came out: measured where all of them are, else by its dials, in light that holds for so long. */
function cameOut(press: readonly ExposedFrame[]): readonly number[] {
  const levels = press.flatMap(({ levelStops }) => levelStops ?? []);
  return levels.length === press.length ? levels : press.map(({ ev }) => -ev);
}

/**
 * Stops to lift each frame of a press by; negative to bring it down, 0 where nothing would be seen. The press as a
 * whole is held against what was asked, as far as that is known; each frame against the middle of its neighbours.
 * @param press frames of one press, in order of time
 * @returns as many as there are frames
 * @throws RangeError without frames, for an EV that is no number, or a negative sigma
 */
export function liftsFor(press: readonly ExposedFrame[], asked?: AskedEv): readonly number[] {
  nonEmpty('press', press);
  press.forEach(({ ev }, i) => finite(`press[${i}].ev`, ev));
  const under = asked
    ? (median(press, ({ ev }) => ev) as number) - finite('asked.expected', asked.expected)
    : 0;
  const isKnown = asked && Math.abs(under) >= atLeast('asked.sigmaStops', asked.sigmaStops, 0);
  const whole = isKnown && isSeen(under) ? under : 0;
  const levels = cameOut(press);
  const middle = median(levels) as number;
  return levels.map((level) => {
    const own = isSeen(middle - level) ? middle - level : 0;
    return whole + own;
  });
}

/** Two frames one after the other in different light, as places in their press. */
export interface FlickerPair {
  readonly brighter: number;
  readonly darker: number;
  readonly stops: number;
}

/** Two frames further apart than this may be in other light for other reasons. No source. */
const BESIDE_MS = 400;

/**
 * Neighbours that caught lamps at different moments: frames within {@link BESIDE_MS} whose light differs by a click or
 * more. The light that a frame caught is how bright it came out times what its dials let through; where no picture
 * was measured, the dials themselves say so, turned by a meter that saw the lamps flicker. Each frame is in one pair.
 * @param press frames of one press under lamps, in order of time
 */
export function flickerPairs(press: readonly ExposedFrame[]): readonly FlickerPair[] {
  const isMeasured = press.every(({ levelStops }) => levelStops !== undefined);
  const caught = press.map(({ ev, levelStops = 0 }) => (isMeasured ? ev + levelStops : ev));
  const pairs: FlickerPair[] = [];
  for (let i = 1; i < press.length; i += 1) {
    const [a, b] = [press[i - 1], press[i]] as [ExposedFrame, ExposedFrame];
    const stops = (caught[i - 1] as number) - (caught[i] as number);
    if (b.atMs - a.atMs > BESIDE_MS || !isSeen(stops)) continue;
    const [brighter, darker] = stops > 0 ? [i - 1, i] : [i, i - 1];
    pairs.push({ brighter, darker, stops: Math.abs(stops) });
    i += 1;
  }
  return pairs;
}
