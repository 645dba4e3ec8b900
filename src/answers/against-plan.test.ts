import { setRight } from '@/demo/lived';
import { answerAt, exposedFor } from './answer';
import { plannedFor } from './against-plan';
import { matchedFrames, type MatchedFrame } from './matched';
import { viewFor } from './picture-view';

const larkmoor = setRight('demo-larkmoor');
const frames = matchedFrames(larkmoor);
const planned = plannedFor(larkmoor);
const named = (name: string) =>
  frames.find(({ frame }) => frame.name === `${name}.jpg`) as MatchedFrame;

/** What the settings step says of a picture at a minute, asked by itself. */
function answerOf({ stand }: MatchedFrame, at: string) {
  const shot = larkmoor.shots.find(({ id }) => id === stand.shotId);
  const { looking, seen } = viewFor(larkmoor, { shot, markId: stand.markId }, stand.positionId);
  if (!seen.ok) throw new Error('no view');
  const answer = answerAt(seen.view, looking, Date.parse(`2027-04-16T${at}:00Z`));
  return { ...answer, ev: exposedFor(seen.view, answer.light).expected - seen.view.lossStops };
}

// British summer time: 20:05:51 and 20:11:27 are a save under lamps, 19:35:20 is a bench.
test.each([
  ['LMR_0035', '19:05'],
  ['LMR_0039', '19:11'],
  ['LMR_0019', '18:35'],
])('%s is held against its own shot, place and minute', (name, at) => {
  const frame = named(name);
  const answer = answerOf(frame, at);
  const found = planned(frame);
  expect(found?.settings).toEqual(answer.exposure.settings);
  expect(found?.asked.expected).toBe(answer.ev);
  // A minute later the light is another.
  expect(planned({ ...frame, atMs: frame.atMs + 60_000 })?.asked.expected).not.toBe(answer.ev);
  expect(planned({ ...frame, atMs: Math.floor(frame.atMs / 60_000) * 60_000 })).toBe(found);
});

test('lamps are told as far as they light the picture', () => {
  expect(planned(named('LMR_0001'))?.lampShare).toBe(0);
  const { light } = answerOf(named('LMR_0039'), '19:11');
  expect(light.lampLux).toBeGreaterThan(0);
  expect(planned(named('LMR_0039'))?.lampShare).toBeCloseTo(
    light.lampLux / (light.lampLux + light.daylightLux),
    9,
  );
});

test('a forecast is as unsure as its kind of light; what was measured says so itself', () => {
  // Sun: 0.3 stop, by the table of kinds; a clear sky adds none of cloud.
  expect(planned(named('LMR_0001'))?.asked.sigmaStops).toBeCloseTo(0.3, 9);
  const readings = [1, 2].map((i) => ({
    ...{ id: `r${i}`, name: 'Goalkeeper', x: 9.3, y: 43.6, upM: 1.5, faceDeg: 290, ev: 13 },
    ...{ atLocal: '2027-04-16T19:20', by: 'meter' as const, simulated: false },
  }));
  const measured = plannedFor({ ...larkmoor, readings })(named('LMR_0012'));
  expect(measured?.asked.sigmaStops).toBeLessThan(0.3);
});

test('where the mark or the position is gone nothing is planned', () => {
  const frame = named('LMR_0001');
  const without = (list: 'marks' | 'positions', id: string) =>
    plannedFor({ ...larkmoor, [list]: larkmoor[list].filter((one) => one.id !== id) })(frame);
  expect(without('marks', frame.stand.markId)).toBeUndefined();
  expect(without('positions', frame.stand.positionId)).toBeUndefined();
});
