import { atLeast } from '../check';

/** Mid-grey, as a share of white. ISO 2720: 0.157 to 0.18 by the constants taken; 0.18 is common practice. */
const MID_GREY = 0.18;
/** Pixels of the darkest and of the brightest quarter are left out: they are clipped first. No source. */
const LEFT_OUT = 0.25;
const LUMA = [0.2126, 0.7152, 0.0722] as const;
/** Half of the darkest step that eight bits tell from black. */
const DARKEST = 1 / 255 / 12.92 / 2;

/** Light of an sRGB value from 0 to 255, as a share of white: IEC 61966-2-1. */
const linearOf = (value: number): number => {
  const share = value / 255;
  return share <= 0.04045 ? share / 12.92 : ((share + 0.055) / 1.055) ** 2.4;
};
const LINEAR = Float64Array.from({ length: 256 }, (_, value) => linearOf(value));

/**
 * How bright a picture is, in stops over or under mid-grey: the mean of the middle half of its pixels' logarithms, so
 * that twice the light is a stop more whatever is in it, and a clipped sky says nothing. Cameras bend tones as they
 * write them: between neighbours it is good to about a quarter of what it says.
 * @param rgba four values a pixel from 0 to 255, sRGB (luminance by ITU-R BT.709)
 * @throws RangeError without pixels
 */
export function levelOf(rgba: ArrayLike<number>): number {
  const count = Math.floor(atLeast('rgba.length', rgba.length, 4) / 4);
  const stops = Float64Array.from({ length: count }, (_, i) => {
    const light = LUMA.reduce(
      (sum, share, channel) => sum + share * (LINEAR[rgba[4 * i + channel] ?? 0] ?? 0),
      0,
    );
    return Math.log2(Math.max(DARKEST, light) / MID_GREY);
  }).sort();
  const middle = stops.subarray(Math.floor(count * LEFT_OUT), Math.ceil(count * (1 - LEFT_OUT)));
  return middle.reduce((sum, value) => sum + value, 0) / middle.length;
}
