import { lightSeries } from '@/core';
import { DEMO_SHOOTS } from '@/demo';
import { lightThroughInWords } from '@/features/shoot/light-words';
import { owedInWords, owedSign } from '@/features/shoot/owed-words';
import type { Shoot } from '@/records/shoot';
import { clockOf, hoursOf } from '@/records/times';
import { shotsServed } from './bag';
import { worstOf, type LightThrough } from './light-plan';
import { matchedFrames } from './matched';
import { owedLines, owedShots, takenUp } from './owed';
import { deliveredOf } from './taught';
import { viewOf } from './view';

const [larkmoor, alder] = DEMO_SHOOTS as [Shoot, Shoot, Shoot];
const clock = (shoot: Shoot) => (ms: number) => clockOf(ms, shoot.place.timeZone);

const hadOf = (shoot: Shoot) => deliveredOf(shoot, matchedFrames(shoot));

/** How a shoot's shots stand, each line with its own light. */
function owedOf(shoot: Shoot) {
  const hours = hoursOf(shoot);
  const served = shotsServed(shoot);
  const lines = owedLines(shoot, served).map(({ id, scene, heard }) => ({
    id,
    series: lightSeries({ scene, heard, fromMs: hours.fromMs, toMs: hours.toMs, stepS: 300 }),
  }));
  return owedShots(
    shoot,
    hadOf(shoot),
    served,
    (id) => lines.find((line) => line.id === id)?.series,
    hours,
  );
}

/** How they stand in one light for all, at even steps through the hours. */
function owedInLight(shoot: Shoot, ev: readonly number[]) {
  const hours = hoursOf(shoot);
  const { startMs, endMs } = hours;
  const timeMs = ev.map((_, i) => startMs + (i / (ev.length - 1)) * (endMs - startMs));
  const flat = ev.map(() => 0);
  const series = {
    ...{ timeMs, ev, low: ev, high: ev, sunAltitudeDeg: flat },
    sunlit: ev.map(() => false),
    lampsRule: ev.map(() => false),
  };
  return owedShots(shoot, hadOf(shoot), shotsServed(shoot), () => series, hours);
}

const lightOf = (owed: ReturnType<typeof owedOf>, id: string): LightThrough => {
  const state = owed.find(({ shot }) => shot.id === id)?.state;
  if (state?.kind !== 'light') throw new Error(`${id} is ${state?.kind}`);
  return state.light;
};

test('each promised shot ends when its light is under what it needs, or holds', () => {
  const hours = hoursOf(larkmoor);
  const owed = owedOf(larkmoor);
  expect(owed.map(({ shot }) => shot.id)).toEqual(larkmoor.shots.map(({ id }) => id));
  const said = (id: string) => lightThroughInWords(lightOf(owed, id), clock(larkmoor));
  expect(said('corner-strike')).toMatch(
    /^Good until \d\d:\d\d\. At 20:\d\d \d\.\d stops? short\.$/,
  );
  // Within the shoot's own hours, not in the half hour after it.
  expect(worstOf(lightOf(owed, 'corner-strike'))).toBeLessThanOrEqual(hours.endMs);
  expect(lightOf(owed, 'bench').kind).toBe('holds');
  expect(said('dusk')).toMatch(/sky behind/);
});

test('a line says until when, and what then saves it; its sign is half for a part of the hours', () => {
  const owed = owedOf(larkmoor);
  const strike = owed.find(({ shot }) => shot.id === 'corner-strike');
  if (!strike) throw new Error('must be there');
  expect(owedInWords(strike, clock(larkmoor))).toMatch(
    /^works until 20:\d\d; then (1\/\d+|ISO \d+|lift|no lift)/,
  );
  expect(owedSign(strike)).toBe('partly');
  const had = { ...strike, delivered: strike.quota };
  expect(owedInWords(had, clock(larkmoor))).toBe('delivered, 3 of 3');
  expect(owedSign(had)).toBe('had');
  expect(owedInWords({ ...strike, delivered: 1 }, clock(larkmoor))).toMatch(
    /^1 of 3 delivered; works until/,
  );
});

test('light that is not known yet is said to be computed, for no more shots than wait for it', () => {
  const hours = hoursOf(larkmoor);
  const owed = owedShots(larkmoor, hadOf(larkmoor), shotsServed(larkmoor), () => undefined, hours);
  expect(owed.map(({ state }) => state.kind)).toContain('asking');
  // A silhouette waits for no light on a face.
  expect(lightOf(owed, 'dusk').kind).toBe('sky');
});

test('a shot at dawn is told when it begins, one too fast for any light that it never does', () => {
  const perch = owedInLight(alder, [1, 5, 9, 12]).find(({ state }) => state.kind === 'light');
  if (!perch) throw new Error('must be promised');
  const dawn = clock(alder);
  expect(lightThroughInWords(lightOf([perch], perch.shot.id), dawn)).toMatch(
    /^Not before 0[567]:\d\d\. At 05:15 [\d.]+ stops short\.$/,
  );
  expect(owedInWords(perch, dawn)).toMatch(/^works from 0[567]:\d\d/);
  const fast = {
    ...alder,
    marks: alder.marks.map((mark) => ({ ...mark, subjectId: 'served-ball' })),
    shots: alder.shots.map((shot) => ({ ...shot, fill: 0.02 })),
  };
  const never = owedInLight(fast, [1, 2, 3, 4]).find(
    ({ state }) => state.kind === 'light' && state.light.kind === 'never',
  );
  if (!never) throw new Error('one must be too fast');
  expect(worstOf(lightOf([never], never.shot.id))).toBe(hoursOf(fast).endMs);
  expect(owedInWords(never, dawn)).toMatch(/^too dark by [\d.]+ stops? at the best, 08:30/);
  expect(owedSign(never)).toBe('not');
});

test('out of reach with the bag, and not allowed from the only place that reaches', () => {
  const wide = {
    ...larkmoor,
    kit: { ...larkmoor.kit, bag: [], bodyId: 'full-frame-24', lensId: '16-35-2.8', focalMm: 35 },
  };
  const strike = (shoot: Shoot) => {
    const found = owedOf(shoot).find(({ shot }) => shot.id === 'corner-strike');
    if (!found) throw new Error('must be there');
    return found;
  };
  expect(owedInWords(strike(wide), clock(wide))).toBe('out of reach with this bag');
  const mark = larkmoor.marks.find(({ id }) => id === strike(larkmoor).shot.markId);
  const [first] = larkmoor.positions;
  if (!mark || !first) throw new Error('must be there');
  // Twenty metres from the mark, on the pitch.
  const onPitch = {
    ...larkmoor,
    positions: [{ ...first, x: mark.x, y: mark.y - 20 * Math.sign(mark.y) }],
  };
  expect(owedInWords(strike(onPitch), clock(onPitch))).toMatch(
    /^not allowed: Behind the back line stands .*the field of play/,
  );
  expect(owedSign(strike(onPitch))).toBe('not');
});

test('where one may not stand is chosen only where no other place is left', () => {
  const [first, ...others] = larkmoor.positions;
  if (!first) throw new Error('must be there');
  const middle = { ...first, id: 'middle', name: 'Centre spot', x: 0, y: 0 };
  const served = shotsServed({ ...larkmoor, positions: [middle, first, ...others] });
  expect(served.some(({ position }) => position.id === 'middle')).toBe(false);
  const alone = shotsServed({ ...larkmoor, positions: [middle] });
  expect(alone.every(({ refusals }) => refusals.length > 0)).toBe(true);
});

test('taken up, a shot is seen from the place and with the lens that serve it, in its framing', () => {
  for (const served of shotsServed(larkmoor).filter((entry) => entry.served)) {
    const seen = viewOf(takenUp(larkmoor, served));
    if (!seen.ok) throw new Error(seen.trouble.kind);
    const { view } = seen;
    expect(view.position.id).toBe(served.position.id);
    expect(view.shot?.id).toBe(served.shot.id);
    expect(view.orientation).toBe(served.shot.orientation);
    // Whole millimetres of a zoom: within a few parts in a hundred.
    expect(Math.abs(Math.log2(view.fill / served.framed.fill))).toBeLessThan(0.15);
  }
});
