/**
 * Clouds as a sheet overhead that repeats: what share of the sky they take is known, where they are is made up.
 * Value noise summed over octaves (K. Perlin, "An image synthesizer", 1985, has the idea), each place then ranked
 * among all, so that what lies above 1 − cloud is the very share of the sheet that is asked for.
 */

/** Places along each side of the sheet. */
export const CLOUDS_SIDE = 256;
/** Cells along the sheet, the largest clouds first; each next half as strong. */
const OCTAVES = [16, 32, 64, 128] as const;

/** A number from 0 to below 1 for a corner of a cell. */
function chanceAt(x: number, y: number, octave: number): number {
  let mixed = Math.imul(x + 1, 0x9e3779b1) ^ Math.imul(y + 1, 0x85ebca6b);
  mixed = Math.imul(mixed ^ Math.imul(octave + 1, 0xc2b2ae35), 0x27d4eb2f);
  mixed = Math.imul(mixed ^ (mixed >>> 15), 0x2c1b3c6d);
  return ((mixed ^ (mixed >>> 13)) >>> 0) / 2 ** 32;
}

const eased = (share: number): number => share * share * (3 - 2 * share);

function addOctave(sums: Float32Array, cells: number, octave: number): void {
  const corners = Float32Array.from({ length: cells * cells }, (_, i) =>
    chanceAt(i % cells, Math.floor(i / cells), octave),
  );
  const size = CLOUDS_SIDE / cells;
  for (let y = 0; y < CLOUDS_SIDE; y += 1) {
    const row = Math.floor(y / size);
    const next = (row + 1) % cells;
    const down = eased((y % size) / size);
    for (let x = 0; x < CLOUDS_SIDE; x += 1) {
      const left = Math.floor(x / size);
      const right = (left + 1) % cells;
      const along = eased((x % size) / size);
      const at = (r: number, c: number) => corners[r * cells + c] as number;
      const upper = at(row, left) * (1 - along) + at(row, right) * along;
      const lower = at(next, left) * (1 - along) + at(next, right) * along;
      const i = y * CLOUDS_SIDE + x;
      sums[i] = (sums[i] as number) + (upper * (1 - down) + lower * down) / 2 ** octave;
    }
  }
}

const BINS = 8192;

/** What share of all values is lower than each. */
function ranked(values: Float32Array): Float32Array {
  let most = 0;
  for (const value of values) most = Math.max(most, value);
  const binOf = (value: number) => Math.min(BINS - 1, Math.floor((value / most) * BINS));
  const counts = new Uint32Array(BINS + 1);
  for (const value of values) counts[binOf(value) + 1] = (counts[binOf(value) + 1] as number) + 1;
  for (let i = 1; i <= BINS; i += 1) {
    counts[i] = (counts[i] as number) + (counts[i - 1] as number);
  }
  return values.map((value) => (counts[binOf(value)] as number) / values.length);
}

/**
 * The sheet, row by row: what share of all its places are thinner than each, 0 to 1. What is at one edge goes on at
 * the other.
 */
export function cloudSheet(): Float32Array {
  const sums = new Float32Array(CLOUDS_SIDE * CLOUDS_SIDE);
  OCTAVES.forEach((cells, octave) => addOctave(sums, cells, octave));
  return ranked(sums);
}
