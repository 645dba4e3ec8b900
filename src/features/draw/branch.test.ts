import { alongBearing, comparePosition, monthOf, sunPosition, type FeatureOf } from '@/core';
import { alongSight } from '@/answers/along-sight';
import { answerAt } from '@/answers/answer';
import { shadedBy } from '@/answers/light-plan';
import { FIRST_WISH } from '@/answers/search';
import { shadeRequest } from '@/answers/shade';
import { shadesOn } from '@/answers/shades-on';
import { marksInSun } from '@/answers/sun-on-ground';
import { viewOf } from '@/answers/view';
import { ALDER_REACH } from '@/demo/alder-reach';
import {
  adviceInWords,
  compareRequestOf,
  followed,
  nameIn,
  otherConverters,
} from '@/features/ground/compare';
import { inTheWayInWords } from '@/features/shoot/hide-words';
import { shadeInWords } from '@/features/shoot/shade-words';
import { shootSchema, type Feature, type Shoot } from '@/records/shoot';
import { clockOf, hoursOf, msOf } from '@/records/times';
import { effectsOf } from './effects';
import { leafinessOf, LEAFINESS, leavesFor, leavesOf, withLeafiness, withLeaves } from './leaves';
import { putDown } from './put';

const AT_MS = msOf('2027-05-08T07:30', ALDER_REACH.place.timeZone);
const seenIn = (shoot: Shoot) => {
  const seen = viewOf(shoot);
  if (!seen.ok) throw new Error(seen.trouble.kind);
  return seen.view;
};
const VIEW = seenIn(ALDER_REACH);

/** Alder Reach with a branch a metre long across a line from the bird, so far along it. */
function hung(bearingDeg: number, upDeg: number, offM: number, more = {}): Shoot {
  const along = alongBearing(bearingDeg, upDeg);
  const [aside, from] = [alongBearing(bearingDeg + 90), VIEW.scene.target];
  const heightM = Math.max(0.1, from.z + along.z * offM);
  const at = (m: number) => ({
    x: from.x + along.x * offM + aside.x * m,
    y: from.y + along.y * offM + aside.y * m,
  });
  const { shoot } = putDown(ALDER_REACH, 'branch', 'new', [at(-0.5), at(0.5)]);
  return {
    ...shoot,
    features: shoot.features.map((feature) =>
      feature.kind === 'branch' ? { ...feature, heightM, tipM: heightM, ...more } : feature,
    ),
  };
}
const branchIn = (shoot: Shoot) =>
  shoot.features.find(({ kind }) => kind === 'branch') as FeatureOf<'branch'> & Feature;
const toCamera = VIEW.scene.faceAzimuthDeg;

function comparedIn(shoot: Shoot) {
  const view = seenIn(shoot);
  const request = compareRequestOf(shoot, view, FIRST_WISH, AT_MS, hoursOf(shoot));
  const here = request.positions.find(({ id }) => id === view.position.id);
  if (!here) throw new Error('must be a position');
  return { view, request, compared: comparePosition(here, request) };
}

test('a branch before the bird is named, counted, and cut by what is advised', () => {
  const shoot = hung(toCamera, VIEW.sight.elevationDeg * -1, 1);
  expect(shootSchema.safeParse(shoot).error?.issues ?? []).toEqual([]);
  const along = alongSight(seenIn(shoot), shoot.features, monthOf(AT_MS));
  expect(inTheWayInWords(along)).toMatch(/^Branch hides \d+ %\.$/);
  const hides = along.branches[0]?.hidesShare ?? 0;
  // Nearly straight through 60 cm of leaves that take 60 %, and a twig.
  expect(hides).toBeGreaterThan(0.4);
  const { compared } = comparedIn(shoot);
  const { view: open, compared: before } = comparedIn(ALDER_REACH);
  expect(compared.score.total).toBeCloseTo(before.score.total * (1 - hides), 6);
  const part = compared.score.parts.find(({ name }) => name === 'view');
  expect(part?.why).toMatchObject({ kind: 'branches' });

  const cut = compared.advice.find(({ lever }) => lever === 'cut');
  if (!cut) throw new Error('a cut must be advised');
  const words = {
    ...{ converters: otherConverters(shoot.kit), atMs: AT_MS, nameOf: nameIn(shoot) },
    clock: (ms: number) => clockOf(ms, 'UTC'),
  };
  expect(adviceInWords(cut, open.position, words)).toBe('Cut Branch');
  const after = followed(shoot, open.position.id, cut, words.converters);
  expect(after.features).toEqual(ALDER_REACH.features);
  expect(comparedIn(after).compared.score.total).toBeCloseTo(cut.total, 9);
});

test('a perch moved out from behind it takes its bird along, and scores as was said', () => {
  // Thick wood before the bird: a step aside is enough.
  const shoot = hung(toCamera, 0, 0.5, { thickMm: 120, leafTakes: 0 });
  const { view, compared } = comparedIn(shoot);
  const perch = compared.advice.find(({ lever }) => lever === 'perch');
  if (!perch?.shift) throw new Error('a step of the perch must be advised');
  const words = {
    ...{ converters: [], atMs: AT_MS, nameOf: nameIn(shoot) },
    clock: (ms: number) => clockOf(ms, 'UTC'),
  };
  expect(adviceInWords(perch, view.position, words)).toMatch(/^Move the perch \d+ cm [NESW]+$/);
  const after = followed(shoot, view.position.id, perch, []);
  const moved = comparedIn(after);
  expect(moved.view.mark.x - view.mark.x).toBeCloseTo(perch.shift.x, 9);
  expect(moved.view.mark.y - view.mark.y).toBeCloseTo(perch.shift.y, 9);
  expect(moved.view.mark.carriedBy).toBe(view.mark.carriedBy);
  expect(moved.compared.score.total).toBeCloseTo(perch.total, 9);
});

test('a branch before the sun dapples the bird, by name, hours and share', () => {
  const sun = sunPosition({ time: AT_MS, ...ALDER_REACH.place });
  const shoot = hung(sun.azimuthDeg, sun.altitudeDeg, 2, { thickMm: 1, leafTakes: 0.4 });
  const view = seenIn(shoot);
  const answer = answerAt(view, shoot, AT_MS);
  expect(answer.light.sunShare).toBeGreaterThan(0.5);
  expect(answer.light.sunShare).toBeLessThan(0.7);
  const [before, after] = [ALDER_REACH, shoot].map((one) => answerAt(seenIn(one), one, AT_MS));
  expect(after?.light.ev.expected).toBeLessThan(before?.light.ev.expected ?? NaN);
  const [shade] = shadesOn(shadeRequest(shoot, view.scene, view.position)).filter(
    ({ name }) => name === 'Branch',
  );
  if (!shade) throw new Error('its shade must be told');
  const [span] = shade.spans;
  expect(span?.fromMs).toBeLessThan(AT_MS);
  expect(span?.toMs).toBeGreaterThan(AT_MS);
  // Over so few degrees of the sun's way: minutes, no hours.
  expect((span?.toMs ?? 0) - (span?.fromMs ?? 0)).toBeLessThan(3 * 3_600_000);
  expect(shade.leastShare).toBeCloseTo(0.6, 1);
  expect(shadeInWords(shade, hoursOf(shoot), (ms) => clockOf(ms, 'UTC'), '2027-05-08')).toMatch(
    /; dappled, (5\d|60) % of the sun at the least$/,
  );
  // Of its season alone: it has no leaf left to throw shade by when November is over.
  expect(shade.untilDate).toMatch(/^2027-/);
  const dense = hung(sun.azimuthDeg, sun.altitudeDeg, 2, { leafTakes: 0.9 });
  const lit = (one: Shoot) => marksInSun(one, one.features, sun, AT_MS);
  expect(lit(ALDER_REACH)).toContain(view.mark.id);
  expect(lit(dense)).not.toContain(view.mark.id);
  expect(effectsOf(branchIn(dense), { view, answer }, AT_MS).join(' ')).toMatch(
    /^In full leaf now\. It leaves \d+ % of the sun on Near perch now.*leave it while birds nest there\.$/,
  );
});

test('of two that keep the sun off, who takes most of it is named', () => {
  const sun = sunPosition({ time: AT_MS, ...ALDER_REACH.place });
  const shoot = hung(sun.azimuthDeg, sun.altitudeDeg, 2, { thickMm: 1, leafTakes: 0.4 });
  const { target } = VIEW.scene;
  const by = (features: Shoot['features']) => shadedBy(seenIn(shoot).scene, features, AT_MS);
  expect(by(shoot.features)).toBe('Branch');
  // The same ground and minute a quarter round the world: the sun is elsewhere.
  const { scene } = seenIn(shoot);
  const far = { ...scene, place: { ...scene.place, longitudeDeg: scene.place.longitudeDeg + 40 } };
  expect(shadedBy(far, shoot.features, AT_MS)).toBeUndefined();
  expect(by(shoot.features)).toBe('Branch');
  const toward = alongBearing(sun.azimuthDeg);
  const at = (aside: number) => ({
    x: target.x + toward.x * 4 + aside * toward.y,
    y: target.y + toward.y * 4 - aside * toward.x,
  });
  const wall = { id: 'wall', name: 'Wall', kind: 'wall', points: [at(-5), at(5)], heightM: 9 };
  expect(by([...shoot.features, wall as Feature])).toBe('Wall');
  expect(by(ALDER_REACH.features)).toBeUndefined();
});

test('a branch of no length says so', () => {
  const { shoot } = putDown(ALDER_REACH, 'branch', 'new', [
    { x: 3, y: 3 },
    { x: 3, y: 3 },
  ]);
  const answer = answerAt(VIEW, shoot, AT_MS);
  expect(effectsOf(branchIn(shoot), { view: VIEW, answer }, AT_MS)).toEqual([
    'Its points lie on each other: move its tip away from its stem.',
  ]);
});

test('leaves and their months are said as one says them, and a file’s own months are kept', () => {
  const { shoot } = putDown(ALDER_REACH, 'branch', 'new', [
    { x: 0, y: 0 },
    { x: 1, y: 0 },
  ]);
  const branch = branchIn(shoot);
  expect(leafinessOf(branch)).toBe('usual');
  for (const { value, takes } of LEAFINESS) {
    expect(withLeafiness(branch, value).leafTakes).toBe(takes);
    expect(leafinessOf(withLeafiness(branch, value))).toBe(value);
  }
  expect(leavesOf(branch)).toBe('north');
  expect(withLeaves(branch, 'south')).toMatchObject({ leafFrom: 11, leafTo: 4 });
  const own = { ...branch, leafFrom: 3, leafTo: 9 };
  expect(leavesOf(own)).toBe('own');
  expect(leavesFor(own).at(-1)).toEqual({ value: 'own', label: 'March to September' });
  expect(leavesFor(branch)).not.toContainEqual(expect.objectContaining({ value: 'own' }));
  expect(withLeaves(own, 'own')).toBe(own);
});
