import { DEMO_SHOOTS } from '@/demo';
import { lackInWords, stateInWords } from '@/features/shoot/step-words';
import type { Shoot } from '@/records/shoot';
import { clockOf } from '@/records/times';
import { closerBy, mendOf, shotsServed } from './bag';
import { stepStates, unlitFromMs } from './step-states';

const [larkmoor, alder, tern] = DEMO_SHOOTS as [Shoot, Shoot, Shoot];
const clock = (ms: number) => clockOf(ms, larkmoor.place.timeZone);
const lackOf = (shoot: Shoot, step: keyof ReturnType<typeof stepStates>): string => {
  const state = stepStates(shoot)[step];
  return state.state === 'lacking' ? lackInWords(state.lack, clock) : state.state;
};

test('a demo shoot is settled but for what it does lack; field and log are not begun, practice is free', () => {
  expect(Object.values(stepStates(larkmoor)).map(({ state }) => state)).toEqual([
    ...['settled', 'settled', 'settled', 'settled', 'settled'],
    ...['open', 'open', 'free'],
  ]);
  expect(lackOf(alder, 'kit')).toBe('settled');
  const tight = alder.shots.map((shot, i) => (i === 0 ? { ...shot, fill: 1.5 } : shot));
  expect(lackOf({ ...alder, shots: tight }, 'kit')).toBe('1 of 3 shots out of reach');
});

test('each lack is told in words', () => {
  expect(lackOf({ ...larkmoor, shots: [] }, 'brief')).toBe('no shot promised yet');
  const [first] = larkmoor.positions;
  if (!first) throw new Error('must be there');
  const onPitch = { ...larkmoor, positions: [{ ...first, x: 0, y: 0 }] };
  expect(lackOf(onPitch, 'ground')).toMatch(/^Behind the back line stands .*the field of play/);
  expect(lackOf({ ...tern, events: [] }, 'day')).toMatch(/^\d+ to find, no running order$/);
  const begun: Shoot = {
    ...larkmoor,
    log: {
      ...larkmoor.log,
      entries: [
        { id: 'a', kind: 'keeper', atLocal: '2027-04-16T19:00:00', shotId: 'bench' },
      ] as never,
    },
  };
  expect(lackOf(begun, 'log')).toBe('0 of 5 shots delivered');
  expect(stateInWords(stepStates(begun).field, clock)).toBe('Settled');
  expect(stateInWords(stepStates(larkmoor).field, clock)).toBe('Not begun');
  expect(stateInWords(stepStates({ ...larkmoor, shots: [] }).brief, clock)).toBe(
    'Lacking: no shot promised yet',
  );
});

test('a shoot past sunset without lamps lacks them; under a roof, for wild subjects and by day it does not', () => {
  const dark = { ...larkmoor, light: { ...larkmoor.light, lampLux: 0 } };
  // Sunset at Larkmoor is at 20:08 by the almanac of the demo (see sun checks), the shoot ends at 20:45.
  expect(clock(unlitFromMs(dark) ?? 0)).toMatch(/^20:0\d$/);
  expect(lackOf(dark, 'light')).toMatch(/^sunset at 20:0\d, no lamps set$/);
  expect(unlitFromMs(larkmoor)).toBeUndefined();
  expect(unlitFromMs({ ...dark, light: { ...dark.light, indoors: true } })).toBeUndefined();
  expect(unlitFromMs({ ...dark, endLocal: '2027-04-16T20:00' })).toBeUndefined();
  const marks = dark.marks.map((mark) => ({ ...mark, subjectId: 'kingfisher-perched' }));
  expect(unlitFromMs({ ...dark, marks })).toBeUndefined();
});

test('what would serve a shot does: the position moved, or the lens packed', () => {
  const short: Shoot = {
    ...larkmoor,
    kit: {
      ...larkmoor.kit,
      bag: [],
      bodyId: 'full-frame-24',
      lensId: '70-200-2.8',
      focalMm: 200,
      converter: 1,
    },
    shots: larkmoor.shots.map((shot) => ({ ...shot, fill: 0.9 })),
  };
  const lacking = shotsServed(short).filter(({ served }) => !served);
  expect(lacking.length).toBeGreaterThan(0);
  for (const entry of lacking) {
    const mend = mendOf(short, entry);
    if (!mend) throw new Error(`${entry.shot.name} must be mended`);
    if (mend.kind === 'pack') {
      expect(mend.lens.focals.at(-1)?.focalMm).toBeGreaterThanOrEqual(entry.framed.wantedMm);
      continue;
    }
    const moved = closerBy(short, entry.position.id, entry.shot.markId, mend.closerM);
    const after = shotsServed({
      ...moved,
      positions: moved.positions.filter(({ id }) => id === entry.position.id),
    }).find(({ shot }) => shot.id === entry.shot.id);
    expect(after?.served).toBe(true);
    expect(after?.refusals).toEqual([]);
  }
});

test('a move along the line to the mark is as long as it says, and none from the mark itself', () => {
  const [position] = larkmoor.positions;
  const [mark] = larkmoor.marks;
  if (!position || !mark) throw new Error('must be there');
  const away = (shoot: Pick<Shoot, 'positions'>) => {
    const at = shoot.positions.find(({ id }) => id === position.id);
    return Math.hypot((at?.x ?? 0) - mark.x, (at?.y ?? 0) - mark.y);
  };
  const before = away(larkmoor);
  expect(away(closerBy(larkmoor, position.id, mark.id, 3))).toBeCloseTo(before - 3, 9);
  expect(away(closerBy(larkmoor, position.id, mark.id, -5))).toBeCloseTo(before + 5, 9);
  const on = { ...larkmoor, positions: [{ ...position, x: mark.x, y: mark.y }] };
  expect(away(closerBy(on, position.id, mark.id, 3))).toBe(0);
});

test('a pan is served from where it crosses, never from where it comes at one', () => {
  const pan = shotsServed(larkmoor).find(({ shot }) => shot.technique === 'pan');
  expect(pan?.served).toBe(true);
  expect(pan?.position.name).toBe('Sideline, level with the 23 m line');
});
