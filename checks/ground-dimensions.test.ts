/**
 * Grounds against the rule books named in each template, figures quoted from memory: IFAB Law 1,
 * FIH, World Rugby Law 1, World Lacrosse, NFHS and NCAA, Little League, FIBA, FIVB, ITF, IIHF,
 * World Athletics, World Aquatics, ICF.
 */
import { groundById, GROUND_TEMPLATES, type GroundTemplate } from '@/presets/grounds';
import { TRACK } from '@/presets/grounds/track';

const FOOT = 0.3048;
const YARD = 0.9144;

const linesOf = ({ lines }: GroundTemplate, name: string) =>
  lines.filter((line) => line.name === name).map(({ points }) => points);
const span = (points: readonly { x: number; y: number }[], axis: 'x' | 'y') =>
  Math.max(...points.map((p) => p[axis])) - Math.min(...points.map((p) => p[axis]));

/** id, line, its extent across and along, metres. */
test.each([
  ['field-hockey', 'boundary', 55, 91.4],
  ['association-pitch', 'boundary', 68, 105],
  ['association-pitch', 'penalty area', 40.32, 16.5],
  ['association-pitch', 'goal area', 18.32, 5.5],
  ['association-pitch', 'centre circle', 18.3, 18.3],
  ['association-pitch', 'goal', 7.32, 2],
  ['rugby-field', 'playing area', 70, 120],
  ['rugby-field', 'goal posts', 5.6, 0],
  ['lacrosse-field', 'boundary', 60 * YARD, 110 * YARD],
  ['lacrosse-field', 'crease', 18 * FOOT, 18 * FOOT],
  ['gridiron-nfhs', 'boundary', 160 * FOOT, 120 * YARD],
  ['gridiron-nfhs', 'goal posts', 23.333 * FOOT, 0],
  ['gridiron-ncaa', 'goal posts', 18.5 * FOOT, 0],
  ['baseball-little-league', 'base paths', 60 * FOOT * Math.SQRT2, 60 * FOOT * Math.SQRT2],
  ['baseball-high-school', 'base paths', 90 * FOOT * Math.SQRT2, 90 * FOOT * Math.SQRT2],
  ['basketball-fiba', 'boundary', 15, 28],
  ['basketball-fiba', 'key', 4.9, 5.8],
  ['basketball-nfhs', 'boundary', 50 * FOOT, 84 * FOOT],
  ['basketball-ncaa', 'boundary', 50 * FOOT, 94 * FOOT],
  ['basketball-ncaa', 'key', 12 * FOOT, 19 * FOOT],
  ['volleyball-court', 'boundary', 9, 18],
  ['beach-volleyball-court', 'boundary', 8, 16],
  ['tennis-court', 'boundary', 10.97, 23.77],
  ['tennis-court', 'service line', 8.23, 0],
  ['ice-rink', 'boards', 30, 60],
  ['ice-rink', 'face-off circle', 9, 9],
  ['pool-50', 'pool', 25, 50],
  ['pool-25', 'pool', 20, 25],
] as const)('%s: %s is %d by %d m', (id, name, acrossM, alongM) => {
  const [line = []] = linesOf(groundById(id), name);
  expect(span(line, 'x')).toBeCloseTo(acrossM, 2);
  expect(span(line, 'y')).toBeCloseTo(alongM, 2);
});

/** id, line, distance of it from the end or the side. */
test.each([
  ['association-pitch', 'penalty mark', 52.5 - 11],
  ['rugby-field', '22 m line', 50 - 22],
  ['rugby-field', '10 m line', 10],
  ['lacrosse-field', 'goal line', 40 * YARD],
  ['lacrosse-field', 'restraining line', 20 * YARD],
  ['baseball-little-league', 'pitching plate', 46 * FOOT],
  ['baseball-ncaa', 'pitching plate', 60.5 * FOOT],
  ['softball-little-league', 'pitching plate', 40 * FOOT],
  ['softball-high-school', 'pitching plate', 43 * FOOT],
  ['basketball-fiba', 'basket', 14 - 1.575],
  ['volleyball-court', 'attack line', 3],
  ['tennis-court', 'service line', 6.4],
  ['ice-rink', 'goal line', 26],
  ['ice-rink', 'blue line', 30 - 22.86],
  ['pool-50', 'backstroke flags', 20],
  ['pool-50', '15 m mark', 10],
] as const)('%s: the %s lies %d m from the origin', (id, name, distanceM) => {
  const [line = []] = linesOf(groundById(id), name);
  expect(Math.abs(line[0]?.y ?? NaN)).toBeCloseTo(distanceM, 6);
});

test.each([
  ['basketball-fiba', 6.75, 14 - 1.575],
  ['basketball-nfhs', 19.75 * FOOT, (42 - 5.25) * FOOT],
  ['basketball-ncaa', (22 + 1.75 / 12) * FOOT, (47 - 5.25) * FOOT],
] as const)('%s: the three-point arc is %d m from the basket', (id, radiusM, basketY) => {
  const [line = []] = linesOf(groundById(id), 'three-point line');
  for (const { x, y } of line.slice(1, -1)) {
    expect(Math.hypot(x, y - basketY)).toBeCloseTo(radiusM, 6);
  }
});

test('hash marks: 53 ft 4 in from the sides in high school, 60 ft in college', () => {
  const hash = (id: string) => Math.abs(linesOf(groundById(id), 'hash marks')[0]?.[0]?.x ?? NaN);
  expect(80 * FOOT - hash('gridiron-nfhs')).toBeCloseTo((53 + 4 / 12) * FOOT, 6);
  expect(80 * FOOT - hash('gridiron-ncaa')).toBeCloseTo(60 * FOOT, 6);
});

test('a lap 0.30 m out from the kerb is 400 m, and a hurdler has 14.02 m from the last to the line', () => {
  const { straightM, radiusM, measuredOutM } = TRACK;
  expect(2 * straightM + 2 * Math.PI * (radiusM + measuredOutM)).toBeCloseTo(400, 1);
  const track = groundById('athletics-track');
  const finish = linesOf(track, 'finish')[0]?.[0]?.y ?? NaN;
  const hurdles = linesOf(track, 'hurdle').map((line) => line[0]?.y ?? NaN);
  expect(hurdles).toHaveLength(10);
  expect(finish - (hurdles.at(-1) ?? NaN)).toBeCloseTo(14.02, 2);
  expect(linesOf(track, 'lane line')).toHaveLength(7);
});

test('a ten-lane pool is 25 m wide in lanes of 2.5 m', () => {
  expect(linesOf(groundById('pool-50'), 'lane rope')).toHaveLength(9);
});

test('the penalty arc keeps outside the penalty area and 9.15 m from its mark', () => {
  const [line = []] = linesOf(groundById('association-pitch'), 'penalty arc');
  for (const { x, y } of line) {
    expect(Math.hypot(x, y - 41.5)).toBeCloseTo(9.15, 6);
    expect(y).toBeLessThanOrEqual(52.5 - 16.5 + 0.01);
  }
});

test('every ground names its source', () => {
  for (const { source } of GROUND_TEMPLATES) expect(source.length).toBeGreaterThan(10);
});
