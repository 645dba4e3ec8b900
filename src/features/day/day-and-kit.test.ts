import { callTimes, dayRequestOf, lightTime, ownId, pictureKeyOf } from '@/answers/day-request';
import { limitsOn } from '@/answers/scored';
import { shotsServed } from '@/answers/bag';
import { refusals, type ScoreWhy } from '@/core';
import { LARKMOOR } from '@/demo/larkmoor';
import { TERN_WATER } from '@/demo/tern-water';
import type { Shoot } from '@/records/shoot';
import { dayService, qualityKey, type DayReply } from '@/workers/day-job';

/** Kit and Day give one answer to whether the bag can do a picture: they ask the same function. */

async function planned(shoot: Shoot): Promise<DayReply> {
  const request = dayRequestOf(shoot);
  if (!request) throw new Error('must have events');
  const reply = await dayService(() => Promise.resolve()).day({ ...request, id: 1 });
  if (reply.kind !== 'done') throw new Error(JSON.stringify(reply));
  return reply.value;
}

/** Places that are weak in Day for what gives a shot, or none for it. */
const weakFor = (
  shoot: Shoot,
  { weak, quality }: DayReply,
  shotId: string,
  kind?: ScoreWhy['kind'],
): readonly string[] =>
  shoot.events
    .filter((event) => event.shotId === shotId)
    .flatMap((event) => {
      const { startMs } = callTimes(event, shoot);
      return shoot.positions.flatMap(({ id: positionId }) => {
        const key = qualityKey({
          picture: pictureKeyOf(shoot, event),
          lightMs: lightTime(event, startMs),
          positionId,
          shooterId: ownId(shoot.choice),
        });
        const why = weak[key];
        const isWeak = kind ? why?.kind === kind : why || (quality[key] ?? 0) < 0.05;
        return isWeak ? [positionId] : [];
      });
    });

/** The demo with its shots wanted as large, and its lenses as short, as given. */
const wanting = (shoot: Shoot, fill: number): Shoot => ({
  ...shoot,
  shots: shoot.shots.map((shot) => ({ ...shot, fill })),
});

const regatta = (fill: number) => wanting(TERN_WATER, fill);
const hockey = (fill: number) => wanting(LARKMOOR, fill);

test.each([
  ...[0.2, 0.5, 0.7, 0.9, 1.2, 1.5].map((fill) => ['regatta', fill, regatta(fill)] as const),
  ...[0.5, 0.9, 1.5].map((fill) => ['hockey', fill, hockey(fill)] as const),
])(
  '%s with a fill of %d wanted: what Kit serves, Day is not too small in Day, and what it can’t is weak there',
  async (_name, _fill, shoot) => {
    const day = await planned(shoot);
    const given = new Set(shoot.events.map(({ shotId }) => shotId));
    const judged = shotsServed(shoot).filter(({ shot }) => given.has(shot.id));
    expect(judged.length).toBeGreaterThan(0);
    for (const { shot, served, position, refusals: refused } of judged) {
      const weakly = weakFor(shoot, day, shot.id);
      const fills = weakFor(shoot, day, shot.id, 'fills');
      if (served && refused.length === 0) expect(fills).not.toContain(position.id);
      const open = shoot.positions.filter((one) => refusals(one, limitsOn(shoot)).length === 0);
      if (!served) expect(weakly).toEqual(expect.arrayContaining(open.map(({ id }) => id)));
    }
  },
);
