import { DEMO_SHOOTS } from '@/demo';
import { ev, motionSmear, GRADE_LIMIT_CIRCLES } from '@/core';
import { FIRST_PRACTICE } from '@/records/practice';
import { hoursOf, msOf } from '@/records/times';
import { BENCH_S, benchOff, benchScene, gradeAt, holds, loupeOn, questionOf } from './blur-bench';
import { homeShoot, HOME_AT_LOCAL } from './home-ground';
import { pictured, type Pictured } from './pictured';
import { HAPPENINGS, judgedStops, offBy, situationOf } from './stops-drill';

const home = (subjectId: string, distanceM: number, focalMm: number) => {
  const setup = homeShoot({ subjectId, distanceM, focalMm, lensId: '70-200-2.8' });
  const picture = pictured(setup, msOf(HOME_AT_LOCAL, 'UTC'));
  if (!picture) throw new Error('no picture');
  return { setup, picture };
};
const { picture: batter } = home('batter', 20, 135);
const circlesOf = ({ view }: Pictured, part: string, shutterS: number): number =>
  motionSmear({ ...view.running, shutterS }).find((one) => one.part === part)?.circles ?? NaN;

describe('the blur bench', () => {
  test('asks for the part that smears most, at a time at which it can be told', () => {
    for (let i = 0; i < 20; i += 1) {
      const asked = questionOf(batter, 'name', [i / 20, 0]);
      expect(asked?.part).toBe('bat tip');
      const circles = circlesOf(batter, 'bat tip', asked?.shutterS ?? 0);
      expect(circles).toBeGreaterThanOrEqual(1.5);
      expect(circles).toBeLessThanOrEqual(150);
    }
    expect(questionOf(batter, 'name', [0, 0])?.shutterS).toBeGreaterThan(
      questionOf(batter, 'name', [0.99, 0])?.shutterS ?? 1,
    );
  });
  test('the slowest time that holds does hold, and the next slower does not', () => {
    let asked = 0;
    for (let i = 0; i < 20; i += 1) {
      const question = questionOf(batter, 'hold', [i / 20, ((i * 7) % 20) / 20]);
      if (!question?.grade) continue;
      asked += 1;
      const { part, grade, shutterS } = question;
      const limit = GRADE_LIMIT_CIRCLES[grade === 'plain' ? 'slight' : grade];
      expect(circlesOf(batter, part, shutterS)).toBeLessThanOrEqual(limit);
      const slower = BENCH_S[BENCH_S.indexOf(shutterS) - 1] as number;
      expect(circlesOf(batter, part, slower)).toBeGreaterThan(limit);
      expect(holds(batter, part, grade, slower)).toBe(false);
    }
    expect(asked).toBeGreaterThan(5);
  });
  test('of what hardly moves nothing is asked', () => {
    const { picture } = home('climber', 150, 70);
    expect(questionOf(picture, 'name', [0.99, 0.5])?.shutterS ?? 1).toBeGreaterThan(1 / 130);
  });
  test('its frames differ in time alone: as light, and on a tripod', () => {
    const [slow, fast] = [benchScene(batter, 1 / 16), benchScene(batter, 1 / 1024)];
    expect({ ...slow.camera, shutterS: 0 }).toEqual({ ...fast.camera, shutterS: 0 });
    expect(slow.exposure).toEqual(fast.exposure);
    expect(slow.camera.shakeS).toBeGreaterThan(1e6);
    expect(slow.camera.pan).toBeUndefined();
    const near = loupeOn(slow, 'bat tip', { widthPx: 390, heightPx: 260 }, 36 / 2048);
    expect(near.camera.window?.widthShare).toBeCloseTo(390 / 2048, 9);
  });
  test('an answer is off in whole stops, slower above 0', () => {
    const question = { task: 'name', part: 'bat tip', shutterS: 1 / 512 } as const;
    expect([1 / 512, 1 / 128, 1 / 1024].map((s) => benchOff(question, s))).toEqual([0, 2, -1]);
    expect(gradeAt(batter, 'bat tip', 1 / 16)).toBe('plain');
    expect(gradeAt(batter, 'nothing', 1 / 16)).toBe('still');
  });
});

const demos = DEMO_SHOOTS.flatMap((shoot) => {
  const { startMs, endMs } = hoursOf(shoot);
  return [0.1, 0.5, 0.9].map(
    (share) => [`${shoot.title}, ${share}`, shoot, startMs + share * (endMs - startMs)] as const,
  );
});

describe('stops under pressure', () => {
  test.each(demos)(
    '%s: what is asked can be answered, and the plan’s answer is right',
    (_, setup, atMs) => {
      const picture = pictured(setup, atMs);
      if (!picture) throw new Error('no picture');
      let asked = 0;
      for (const what of HAPPENINGS) {
        for (const chance of [0, 0.4, 0.99]) {
          const found = situationOf(setup, picture, what, chance);
          if (!found) continue;
          asked += 1;
          // The frame that came back is off, the way that what happened says.
          expect(Math.abs(found.offStops)).toBeGreaterThan(0.3);
          expect(Math.sign(found.offStops)).toBe(what === 'sunOut' ? 1 : -1);
          const plan = found.answer.exposure.settings;
          const judged = judgedStops(picture, found, plan);
          expect(judged.right).toBe(true);
          expect([judged.slower, judged.closed, judged.higher]).toEqual([0, 0, 0]);
          // As it came back it is not right.
          expect(judgedStops(picture, found, found.start).offStops).toBeCloseTo(found.offStops, 9);
        }
      }
      expect(asked).toBeGreaterThan(0);
    },
  );
  test('a stop of any lever is a stop, and what it costs is said', () => {
    const { setup, picture } = home('field-player', 30, 200);
    const found = situationOf(setup, picture, 'sunIn', 0.5);
    if (!found) throw new Error('nothing asked');
    const { shutterS, aperture, iso } = found.start;
    const dials = { ...found.start };
    expect(offBy(found, picture, { ...dials, iso: iso * 2 })).toBeCloseTo(found.offStops + 1, 9);
    expect(offBy(found, picture, { ...dials, shutterS: shutterS * 2 })).toBeCloseTo(
      found.offStops + 1,
      9,
    );
    expect(offBy(found, picture, { ...dials, aperture: aperture / Math.SQRT2 })).toBeCloseTo(
      found.offStops + 1,
      9,
    );
    // By hand: EV of the light less EV of the dials.
    const { expected } = found.answer.light.ev;
    expect(found.offStops).toBeCloseTo(
      expected - picture.view.lossStops - ev({ shutterS, aperture, iso }),
      9,
    );
    const plan = found.answer.exposure.settings;
    const slow = judgedStops(picture, found, {
      ...plan,
      shutterS: plan.shutterS * 8,
      iso: plan.iso / 8,
    });
    expect(slow.right).toBe(true);
    expect([slow.slower, slow.higher]).toEqual([expect.closeTo(3, 9), expect.closeTo(-3, 9)]);
    expect(slow.moved?.circles ?? 0).toBeGreaterThan(7 * (slow.planMoved?.circles ?? 1));
    const grainy = judgedStops(picture, found, { ...plan, iso: picture.view.body.iso.last });
    expect(grainy.beyondUsable).toBe(true);
    expect(grainy.right).toBe(false);
  });
  test('what cannot be answered is not asked: in the dark nothing more falls', () => {
    const { setup } = home('field-player', 30, 200);
    const picture = pictured(
      { ...setup, light: { ...setup.light, sky: 'clear' } },
      msOf('2027-06-12T23:30', 'UTC'),
    );
    if (!picture) throw new Error('no picture');
    expect(situationOf(setup, picture, 'falls', 0.5)).toBeUndefined();
  });
  test('at home there is something to answer', () => {
    const { setup, picture } = home(FIRST_PRACTICE.home.subjectId, 18, 135);
    for (const what of HAPPENINGS) {
      expect(situationOf(setup, picture, what, 0.5)?.what).toBe(what);
    }
  });
});
