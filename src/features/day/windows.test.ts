import { TERN_WATER } from '@/demo/tern-water';
import { dayLines, moreInWords, nextInWords, stayLines } from '@/features/shoot/day-lines';
import { legsOf } from '@/features/shoot/route-legs';
import type { CalendarEvent } from '@/formats/order-ics';
import { windowNamed } from '@/presets/event-strands';
import { FIRST_EVENT, type DayEventRecord } from '@/records/day';
import type { Shoot } from '@/records/shoot';
import { msOf } from '@/records/times';
import { clockIn, linesOf } from './fixtures/planned-day';
import { goesOnInWords, lessInWords, merged, noteFor } from './import';

describe('an event that goes on', () => {
  /** A long jump beside the finals of the afternoon, which begin at half past one. */
  const longJump: DayEventRecord = {
    ...FIRST_EVENT,
    ...{ id: 'jump', name: 'Long jump', startLocal: '2027-06-19T12:40', durationMin: 120 },
    ...{ entries: [], worth: 'must', pinnedTo: 'bank', window: { visitMin: 10, visits: 2 } },
  };
  const shoot: Shoot = { ...TERN_WATER, events: [...TERN_WATER.events, longJump] };

  test('is dropped into, and each visit is a stay of its own among the others', async () => {
    const lines = await linesOf(shoot);
    const jump = lines.find(({ event }) => event.id === 'jump');
    expect(jump?.status).toBe('shoot');
    expect(jump?.why).toMatch(/^1\d:\d\d to 1\d:\d\d(?:, again 1\d:\d\d to 1\d:\d\d)?\. From Bank/);
    const stays = stayLines(lines);
    const there = stays.filter(({ event }) => event.id === 'jump');
    // Two visits of ten minutes, apart or one after the other, and longer where nothing else asks for one.
    expect(
      there.reduce((sum, { startMs, endMs }) => sum + endMs - startMs, 0),
    ).toBeGreaterThanOrEqual(20 * 60_000);
    stays.forEach((stay, i) => {
      const before = stays[i - 1];
      if (!stay.event.window) {
        expect(stay.endMs - stay.startMs).toBe(stay.event.durationMin * 60_000);
      }
      if (before) expect(stay.startMs).toBeGreaterThanOrEqual(before.endMs);
    });
    // What is promised besides is had as before.
    const owed = (list: typeof lines) =>
      list.filter(({ event, status }) => event.worth === 'must' && status === 'shoot').length;
    expect(owed(lines)).toBe(owed(await linesOf(TERN_WATER)) + 1);
  });

  test('visits apart are told one after the other', () => {
    const visit = (local: string, walkMs = 0) => {
      const fromMs = msOf(local, 'Europe/London');
      return {
        ...{ eventId: 'jump', positionId: 'bank', fromMs, untilMs: fromMs + 600_000 },
        ...{ readyByMs: fromMs, walkM: 0, walkMs, slackMs: 0, value: 1 },
      };
    };
    const [line] = dayLines(
      { ...TERN_WATER, events: [longJump] },
      {
        ...{ value: 2, missed: [], mustHavesMissed: [], debtsMissed: [], prices: {} },
        stops: [visit('2027-06-19T12:45'), visit('2027-06-19T13:10', 120_000)],
      },
    );
    expect(line?.why).toMatch(/^12:45 to 12:55, again 13:10 to 13:20\. From Bank/);
    const stays = line ? stayLines([line]) : [];
    expect(stays).toHaveLength(2);
    // One is there for the first, and comes back two minutes on foot to the second.
    expect(stays.map(({ leaveMs }) => leaveMs)).toEqual([
      undefined,
      msOf('2027-06-19T13:08', 'Europe/London'),
    ]);
  });

  test('visits that follow each other at once are one stay', async () => {
    // Nothing else is on: one is there from the first visit to the end.
    const event = { ...longJump, window: { visitMin: 10, visits: 3 } };
    const lines = await linesOf({ ...TERN_WATER, events: [event] });
    const stays = stayLines(lines);
    expect(stays).toHaveLength(1);
    expect(lines[0]?.why).toMatch(/^12:40 to 14:40\. From Bank/);
    expect(stays.map(({ startMs, endMs }) => endMs - startMs)).toEqual([120 * 60_000]);
  });

  test('says when to come and until when it goes on, and has no calls', async () => {
    const lines = await linesOf(shoot);
    const [first] = stayLines(lines).filter(({ event }) => event.id === 'jump');
    if (!first) throw new Error('not visited');
    const words = nextInWords(lines, first.startMs, shoot, clockIn(shoot));
    expect(words.head).toBe('Now: Long jump');
    expect(words.lines.at(-1)).toBe(
      `Drop in until ${clockIn(shoot)(first.endMs)}; it goes on until 14:40.`,
    );
    expect(words.lines.join(' ')).not.toMatch(/call/);
    expect(noteFor(shoot, first, undefined, clockIn(shoot)).lines.join(' ')).not.toMatch(/call/);
    const legs = legsOf(lines, shoot.positions);
    expect(legs.flatMap(({ stays }) => stays.map(({ event }) => event.id))).toContain('jump');
  });

  test('how much better a day might be is said where not all could be tried', () => {
    expect(moreInWords({ value: 40 })).toBe('');
    expect(moreInWords({ value: 40, atMostMore: { promises: 0, value: 1 } })).toMatch(
      /might bring 3 % more, no more\.$/,
    );
    expect(moreInWords({ value: 40, atMostMore: { promises: 2, value: 1 } })).toMatch(
      /might bring 2 more of what is owed, no more\.$/,
    );
  });

  test('is guessed by its name when a table brings it, and lasts as such do', () => {
    const fresh = (name: string, durationMin: number): CalendarEvent => ({
      ...{ name, durationMin, startLocal: '2027-06-19T15:00', entries: [], worth: 'should' },
    });
    const bring = (...events: readonly CalendarEvent[]) => {
      let made = 0;
      const next = merged({ ...TERN_WATER, events: [] }, events, {}, () => `n${(made += 1)}`);
      return next.events.map(({ name, window }) => [name, window?.visits]);
    };
    expect(
      bring(fresh('Girls long jump', 90), fresh('100 m', 5), fresh('Boys shot put final', 70)),
    ).toEqual([
      ['Girls long jump', 3],
      ['100 m', undefined],
      ['Boys shot put final', 3],
    ]);
    const named = ['Long jump', 'High jump', '100 m', 'Discus', 'Javelin', 'Long jump'];
    expect(goesOnInWords(named.map((name) => ({ name, durationMin: 70 })))).toBe(
      'Taken to go on, and dropped into: Long jump; High jump; Discus and 1 more. Change that in the event.',
    );
    expect(goesOnInWords([{ name: '100 m', durationMin: 5 }])).toBe('');
    const rounds = ['100 m prelims', 'Warm-up', '100 m final'].map((name) => ({
      ...{ name, worth: 'should' as const },
    }));
    expect(lessInWords(rounds)).toBe(
      'Taken to be worth less, as rounds before the one that counts: 100 m prelims; Warm-up. Change that in the event.',
    );
    expect(lessInWords(rounds.slice(2))).toBe('');
    // As they are brought in; what a file says of itself stands.
    let made = 0;
    const brought = merged(
      { ...TERN_WATER, events: [] },
      [
        fresh('100 m prelims', 5),
        { ...fresh('200 m prelims', 5), worth: 'must' },
        { ...fresh('100 m', 5), heat: 'Semi-final 1' },
      ],
      {},
      () => `w${(made += 1)}`,
    );
    expect(brought.events.map(({ worth }) => worth)).toEqual(['could', 'must', 'could']);
    // What a file says of itself comes before its name.
    const own = { visits: 1, visitMin: 20 };
    expect(bring({ ...fresh('100 m', 60), window: own })).toEqual([['100 m', 1]]);
    // Too short to be dropped into.
    expect(bring(fresh('High jump, jump-off', 8))).toEqual([['High jump, jump-off', undefined]]);
    expect(windowNamed('Pole vault')?.durationMin).toBe(120);
    expect(windowNamed('Long distance')).toBeUndefined();
  });
});
