import { LARKMOOR } from '@/demo/larkmoor';
import type { LightSeries, SettingsCard } from '@/core';
import { SUBJECTS } from '@/presets/subjects';
import { behavioursOf, creatureOf } from '@/presets/field-tags';
import { dayLines } from '@/features/shoot/day-lines';
import { msOf } from '@/records/times';
import { linesOf } from '@/features/day/fixtures/planned-day';
import { TERN_WATER } from '@/demo/tern-water';
import { asPlanned, isInHand, lensToTake } from './as-planned';
import { countdown, nextCall, nextLight, runningLine } from './now-next';

const at = (time: string) => msOf(`2027-04-16T${time}`, 'Europe/London');
const lines = dayLines(LARKMOOR, undefined);

test('what runs at a minute, and nothing between two events', () => {
  expect(runningLine(lines, at('19:05'))?.event.id).toBe('first-quarter');
  expect(runningLine(lines, at('19:15'))).toBeUndefined();
  expect(runningLine(lines, at('19:17'))?.event.id).toBe('second-quarter');
});

test('the next call is the nearest of all calls and starts to come; after the last there is none', () => {
  expect(nextCall(lines, LARKMOOR, at('19:05'))).toEqual({
    what: 'First call, Second quarter',
    atMs: at('19:12'),
  });
  expect(nextCall(lines, LARKMOOR, at('19:13'))?.what).toBe('Second call, Second quarter');
  expect(nextCall(lines, LARKMOOR, at('19:16'))).toEqual({
    what: 'Second quarter',
    atMs: at('19:17'),
  });
  expect(nextCall(lines, LARKMOOR, at('20:30'))).toBeUndefined();
});

test('where the plan has another lens, leaving says with which; taken up it is in the hands', async () => {
  const shoot = TERN_WATER;
  const planned = (await linesOf(shoot)).filter(({ stop }) => stop);
  const walks = planned.filter((line) => line.leaveMs !== undefined && lensToTake(shoot, line));
  expect(walks.length).toBeGreaterThan(0);
  for (const line of walks) {
    const leaveMs = line.leaveMs ?? 0;
    const { name } = lensToTake(shoot, line) ?? {};
    const said = nextCall(planned, shoot, leaveMs - 1)?.what ?? '';
    if (said.startsWith('Leave')) expect(said).toContain(` with the ${name}: `);
    const taken = asPlanned(shoot, line);
    expect(isInHand(taken, line)).toBe(true);
    expect(lensToTake(taken, line)).toBeUndefined();
    expect(nextCall(planned, taken, leaveMs - 1)?.what).not.toContain(' with the ');
  }
});

test('the light’s next change: a dial to turn or the shade, whichever comes first; a lift is no turn', () => {
  const series = {
    timeMs: [0, 60_000, 120_000, 180_000],
    sunlit: [true, true, true, false],
    lampsRule: [false, false, false, false],
  } as unknown as LightSeries;
  const row = (fromMs: number, dial: string, clicks: number) => ({
    fromMs,
    turns: [{ dial, clicks }],
  });
  const card = {
    rows: [row(0, 'iso', 1), row(60_000, 'lift', 1), row(120_000, 'iso', 2)],
  } as unknown as SettingsCard;
  expect(nextLight(card, series, 0)).toEqual({ what: 'ISO up 2 clicks', atMs: 120_000 });
  expect(nextLight(card, series, 120_000)).toEqual({
    what: 'shade reaches the face',
    atMs: 180_000,
  });
  expect(nextLight(undefined, series, 180_000)).toBeUndefined();
});

test.each([
  [0, 'in 0:00'],
  [59_400, 'in 0:59'],
  [760_000, 'in 12:40'],
  [7_500_000, 'in 2 h 05'],
  [-5000, 'in 0:00'],
])('%d ms is said as %s', (ms, words) => {
  expect(countdown(ms)).toBe(words);
});

test('who races scores no goals, and what is wild neither starts nor finishes', () => {
  const of = (id: string) => behavioursOf(SUBJECTS.find((subject) => subject.id === id) ?? { id });
  expect(of('sprint-canoe')).not.toContain('goal');
  expect(of('field-player')).toContain('goal');
  expect(of('kingfisher-perched')).toContain('dives');
  expect(of('kingfisher-perched')).not.toContain('finish');
  // A subject of one's own goes by its preset.
  expect(behavioursOf({ id: 'own-x', basedOn: 'cyclist' })).not.toContain('goal');
  // What is played on the ground: no goals on a gridiron field, no serves on a pitch.
  const player = { id: 'field-player' };
  expect(behavioursOf(player, 'gridiron-nfhs')).toContain('touchdown');
  expect(behavioursOf(player, 'gridiron-nfhs')).not.toContain('goal');
  expect(behavioursOf(player, 'volleyball-court')).toContain('spike');
  expect(behavioursOf(player, 'field-hockey')).toContain('goal');
});

test.each([
  ['Kingfisher on the perch', 'Kingfisher'],
  ['Kingfisher diving', 'Kingfisher'],
  ['Small bird singing', 'Small bird'],
  ['Duck in flight', 'Duck'],
  ['Hen harrier, quartering', 'Hen harrier'],
  ['King eider', 'King eider'],
])('%s came: %s', (name, creature) => {
  expect(creatureOf(name)).toBe(creature);
});
