import fc from 'fast-check';
import { deflateSync, strFromU8, strToU8 } from 'fflate';
import { frameChunkSchema, packFrames, unpackFrames, type Frame } from './frames';

const frame = fc.record(
  {
    name: fc.string({ maxLength: 40 }),
    cameraMs: fc.integer({ min: 1_700_000_000_000, max: 1_900_000_000_000 }),
    camera: fc.constantFrom('Body A', 'Body B', ''),
    shutterS: fc.constantFrom(1 / 1250, 1 / 60, 0.5),
    aperture: fc.constantFrom(2.8, 5.6),
    iso: fc.constantFrom(100, 6400),
    focalMm: fc.constantFrom(70, 400),
    rating: fc.integer({ min: -1, max: 5 }),
    kept: fc.boolean(),
    upright: fc.boolean(),
    latitudeDeg: fc.constantFrom(52.1, -89.5),
    longitudeDeg: fc.constantFrom(-1.3, 179.9),
    bearingDeg: fc.constantFrom(0, 359.5),
    rollDeg: fc.constantFrom(-1.2, 3),
    levelStops: fc.constantFrom(-2.31, 0, 1.5),
    eventId: fc.constantFrom(null, 'e1', 'e2'),
    who: fc.array(
      fc.oneof(
        fc.record({ personId: fc.constantFrom('p1', 'n2') }),
        fc.record({ name: fc.constantFrom('Ada', 'p1', ': & Holm') }),
      ),
      { maxLength: 3 },
    ),
  },
  { requiredKeys: ['name', 'cameraMs', 'camera'] },
) as fc.Arbitrary<Frame>;

test('frames come out as they went in, in order of time', () => {
  fc.assert(
    fc.property(fc.array(frame, { maxLength: 30 }), (frames) => {
      const sorted = [...frames].sort((a, b) => a.cameraMs - b.cameraMs);
      expect(unpackFrames(packFrames(frames))).toEqual(sorted);
    }),
  );
});

const uneven = (i: number, below: number) => Math.floor(Math.abs(Math.sin(i * 7.3)) * below);

/** A night as a body writes it: presses at uneven moments, zoomed and lit as it comes. */
const night = (game: number): Frame[] =>
  Array.from({ length: 1200 }, (_, i) => ({
    name: `LMR_${String((game * 1200 + i) % 10_000).padStart(4, '0')}.jpg`,
    cameraMs:
      1_807_900_000_000 +
      game * 604_800_000 +
      Math.floor(i / 6) * 31_777 +
      uneven(Math.floor(i / 6), 997) * 9 +
      (i % 6) * 83,
    camera: 'Full-frame body, 24 MP',
    shutterS: 1 / (i % 7 ? 1250 : 800),
    aperture: 2.8,
    iso: [1600, 2000, 2500, 3200][uneven(i, 4)] as number,
    focalMm: 70 + uneven(i, 130),
    ...(i % 37 === 0 && { rating: 4 }),
  }));

test('a season of forty games of 1200 frames takes less than a million characters', () => {
  const season = Array.from({ length: 40 }, (_, game) => packFrames(night(game)));
  const chars = season.flat().join('').length;
  expect(season[0]).toHaveLength(2);
  expect(unpackFrames(season[7] as string[])).toEqual(night(7));
  expect(chars).toBeLessThan(1_000_000);
});

const packed = (columns: object) =>
  btoa(strFromU8(deflateSync(strToU8(JSON.stringify(columns))), true));

const COLUMNS = { v: 1, cameras: ['A'], names: ['0a', '1b'], camera: [0, 0], ms: [1e12, 1000] };
const NULLS = Object.fromEntries(
  ['shutterS', 'aperture', 'iso', 'focalMm', 'rating', 'kept', 'upright'].map((key) => [
    key,
    [null, null],
  ]),
);

test('a chunk packed elsewhere by the book is read', () => {
  expect(unpackFrames([packed({ ...COLUMNS, ...NULLS })])).toEqual([
    { name: 'a', cameraMs: 1e12, camera: 'A' },
    { name: 'ab', cameraMs: 1e12 + 1000, camera: 'A' },
  ]);
});

test('what a person put to pictures is read from its lists; a place that is in none says nothing', () => {
  const hand = {
    events: ['', 'e1'],
    event: [0, 9],
    people: ['pada', 'nBea'],
    who: [[1, 0, 7], []],
  };
  expect(unpackFrames([packed({ ...COLUMNS, ...NULLS, hand })])).toEqual([
    {
      ...{ name: 'a', cameraMs: 1e12, camera: 'A', eventId: null },
      who: [{ name: 'Bea' }, { personId: 'ada' }],
    },
    { name: 'ab', cameraMs: 1e12 + 1000, camera: 'A', who: [] },
  ]);
});

const HAND = { events: [], event: [null, null], people: [], who: [null, null] };

test.each([
  ['people of fewer pictures', packed({ ...COLUMNS, ...NULLS, hand: { ...HAND, who: [null] } })],
  ['people by no place', packed({ ...COLUMNS, ...NULLS, hand: { ...HAND, who: [[-1], null] } })],
  ['a time that no calendar has', packed({ ...COLUMNS, ...NULLS, ms: [1e14, 1e14] })],
  ['a column too short', packed({ ...COLUMNS, ...NULLS, camera: [0] })],
  ['brightness of fewer pictures', packed({ ...COLUMNS, ...NULLS, levelStops: [0] })],
  ['brightness beyond white', packed({ ...COLUMNS, ...NULLS, levelStops: [0, 13] })],
  ['a camera that is not named', packed({ ...COLUMNS, ...NULLS, camera: [0, 3] })],
  ['no base64', '%%%'],
  ['no deflate', btoa('hello there')],
  ['no columns', packed({ v: 1 })],
  ['another version', packed({ v: 2 })],
  ['a text that unfolds beyond its room', packed({ v: 1, names: ['0'.repeat(5_000_000)] })],
] as const)('%s is refused with a reason', (_what, chunk) => {
  const checked = frameChunkSchema.safeParse(chunk);
  expect(checked.success).toBe(false);
  expect(checked.error?.issues[0]?.message.length).toBeGreaterThan(5);
});

test('more cameras than one chunk holds each keep their own name', () => {
  const frames = Array.from({ length: 90 }, (_, i) => ({
    name: `P${i}.jpg`,
    cameraMs: 1_800_000_000_000 + i,
    camera: `Body ${i % 45}`,
  }));
  const chunks = packFrames(frames);
  expect(chunks.every((chunk) => frameChunkSchema.safeParse(chunk).success)).toBe(true);
  expect(unpackFrames(chunks)).toEqual(frames);
});

test('names as long as file systems allow come back whole', () => {
  const frames = [0, 1].map((i) => ({
    name: `${String(i)}${'é'.repeat(250)}.jpg`,
    cameraMs: 1_800_000_000_000 + i,
    camera: '',
  }));
  const chunks = packFrames(frames);
  expect(frameChunkSchema.safeParse(chunks[0]).success).toBe(true);
  expect(unpackFrames(chunks)).toEqual(frames);
});

test('a full chunk of long names, all different, is one that can be read', () => {
  let state = 7;
  const letter = () => {
    state = (state * 1_103_515_245 + 12_345) % 2_147_483_648;
    return String.fromCharCode(97 + ((state >> 8) % 26));
  };
  const frames = Array.from({ length: 1000 }, (_, i) => ({
    name: Array.from({ length: 255 }, letter).join(''),
    cameraMs: 1_800_000_000_000 + i,
    camera: 'A',
  }));
  const chunks = packFrames(frames);
  expect(chunks.every((chunk) => frameChunkSchema.safeParse(chunk).success)).toBe(true);
  expect(unpackFrames(chunks)).toEqual(frames);
});

test('more than a shoot holds is refused, not cut', () => {
  const one = { name: 'a', cameraMs: 1_800_000_000_000, camera: '' };
  expect(() => packFrames(Array.from({ length: 50_001 }, () => one))).toThrow(
    'frames 50001: must be at most 50000',
  );
});
