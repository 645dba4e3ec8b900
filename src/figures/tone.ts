import { scaleLinear } from 'd3-scale';
import type { Inks } from '@/ui/theme';

/** EV of a face in full sun, and of one under the weakest lamps: the two ends of the tone. */
const BRIGHT_EV = 15;
const DIM_EV = 3;

/** Tones between light and dark for an EV on the subject: the same stops, the same step. */
export function tonesOf(inks: Inks): (ev: number) => string {
  const [dark, light] = inks.paper < inks.ink ? [inks.paper, inks.ink] : [inks.ink, inks.paper];
  return scaleLinear<string>().domain([DIM_EV, BRIGHT_EV]).range([dark, light]).clamp(true);
}
