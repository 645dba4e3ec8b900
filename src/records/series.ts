/**
 * Long series, such as pictures' figures packed, lie beside the text of the record that holds them: a tap then
 * writes the record without them. In the text stands what they are called, by their content; whoever reads a text
 * from the device gets it whole.
 */

/** What is packed and shorter stays where it is. */
const LONG_CHARACTERS = 4000;
const PACKED = new RegExp(`"([A-Za-z0-9+/=]{${LONG_CHARACTERS},})"`, 'g');
/** No text of a person begins like this: records hold no control characters. */
const CALLED = /"\\u0001series:([0-9a-z]+)"/g;

/** A name by content: two figures of 32 bits (murmur's mixing), and the length. */
function nameOf(series: string): string {
  let [one, two] = [0x9e3779b9, 0x85ebca6b];
  for (let i = 0; i < series.length; i++) {
    const code = series.charCodeAt(i);
    one = Math.imul(one ^ code, 0x9e3779b1);
    two = Math.imul(two ^ code, 0x5f356495);
    one ^= one >>> 15;
    two ^= two >>> 13;
  }
  return [one, two, series.length].map((part) => (part >>> 0).toString(36)).join('0');
}

/** A text without its long series, and these by their names. */
export function seriesApart(text: string): {
  readonly text: string;
  readonly series: ReadonlyMap<string, string>;
} {
  const series = new Map<string, string>();
  const short = text.replace(PACKED, (_, packed: string) => {
    const name = nameOf(packed);
    series.set(name, packed);
    return `"\\u0001series:${name}"`;
  });
  return { text: short, series };
}

/** What the series of a text are called. */
export const seriesIn = (text: string): readonly string[] =>
  [...text.matchAll(CALLED)].map(([, name]) => name as string);

/** A text with its series in it again. One that is not there is left by its name: the record's schema refuses that. */
export const withSeries = (text: string, series: ReadonlyMap<string, string>): string =>
  text.replace(CALLED, (called, name: string) => {
    const packed = series.get(name);
    return packed === undefined ? called : `"${packed}"`;
  });
