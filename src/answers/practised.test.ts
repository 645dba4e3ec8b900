import { erf } from '@/core/quantity/special';
import { handOf, pan } from '@/core';
import { FIRST_PRACTICE, type PanTry, type Practice } from '@/records/practice';
import { crossingOf, judgedPan, rungsOf, swungScene } from './crossing';
import { homeShoot, HOME_AT_LOCAL } from './home-ground';
import { aimThen, burstFrom, figureThen, happening, offMoment, windowOf } from './moments';
import { pictured } from './pictured';
import {
  burstOdds,
  momentPractised,
  momentsFor,
  momentTries,
  nextRungS,
  oddsOf,
  panPractised,
  panReckoned,
  triesAt,
} from './practised';
import { msOf } from '@/records/times';

const AT_MS = msOf(HOME_AT_LOCAL, 'UTC');
const shown = (home: Partial<Practice['home']> = {}) => {
  const picture = pictured(homeShoot({ ...FIRST_PRACTICE.home, ...home }), AT_MS);
  if (!picture) throw new Error('no picture');
  return picture;
};
const crossed = (home: Partial<Practice['home']> = {}) => {
  const crossing = crossingOf(shown(home).view);
  if (!crossing) throw new Error('nothing crosses');
  return crossing;
};
const { view } = shown();

const swing = (rateError: number, more: Partial<PanTry> = {}): PanTry => ({
  ...{ kind: 'pan', id: 'x', at: '2027-06-12T12:00:00.000Z', by: 'pointer' },
  ...{ subject: view.subject.name, distanceM: view.sight.distanceM, speedMs: 12 },
  ...{ focalMm: view.focalMm, shutterS: 1 / 256, rateError, lost: false, sharp: true },
  ...more,
});
const practised = (tries: Practice['tries']): Practice => ({ ...FIRST_PRACTICE, tries });

describe('a crossing', () => {
  test('is seen to turn, in the middle, as fast as the core says', () => {
    const { subjectAt } = crossed();
    const { rateDegS } = pan({
      ...view.passing,
      ...{ speedMs: view.subject.speedMs, focalMm: view.focalMm, shutterS: 1, skillSigma: 0 },
    });
    const turnedDegS = (subjectAt(0.01).turnDeg - subjectAt(-0.01).turnDeg) / 0.02;
    expect(turnedDegS / rateDegS).toBeCloseTo(1, 3);
    expect(subjectAt(0)).toEqual({ turnDeg: expect.closeTo(0, 6), upDeg: expect.closeTo(0, 6) });
  });
  test('turns ahead whichever way it goes, and is no further aside than one can turn', () => {
    for (const id of ['cyclist', 'duck', 'skier', 'sprint-canoe'] as const) {
      const crossing = crossed({ subjectId: id, distanceM: 12 });
      expect(crossing.subjectAt(0.2).turnDeg).toBeGreaterThan(0);
      expect(crossing.fromS).toBeLessThan(-0.5);
      expect(Math.abs(crossing.subjectAt(crossing.fromS).turnDeg)).toBeLessThanOrEqual(70.1);
      expect(crossing.rightward).toBe(true);
    }
  });
  test('an aim turned to where the subject is looks at it', () => {
    const { subjectAt, aimAt, view: seen } = crossed();
    const looked = aimAt(subjectAt(-1));
    const run = 1 * seen.subject.speedMs;
    const bearing = (x: number, y: number) => Math.atan2(x - seen.camera.x, y - seen.camera.y);
    expect(bearing(looked.x, looked.y)).toBeCloseTo(bearing(seen.aim.x - run, seen.aim.y), 6);
  });
  test('there is none of what stands', () => {
    expect(crossingOf(shown({ subjectId: 'standing' }).view)).toBeUndefined();
  });
});

describe('a swing judged', () => {
  const on = { turnDeg: 0, upDeg: 0 };
  test('is sharp within two circles of confusion, as pans are', () => {
    const crossing = crossed();
    const { streakMm } = judgedPan(crossing, { rateError: 0, off: on }, 1 / 64);
    const limit = (2 * view.cocMm) / streakMm;
    expect(judgedPan(crossing, { rateError: limit * 0.99, off: on }, 1 / 64).sharp).toBe(true);
    expect(judgedPan(crossing, { rateError: -limit * 1.01, off: on }, 1 / 64).sharp).toBe(false);
  });
  test('is lost where the subject left the frame, or was not followed', () => {
    const crossing = crossed();
    // Half of 36 mm at 200 mm is 5.1°, half of 24 mm 3.4°.
    const off = (turnDeg: number, upDeg = 0) =>
      judgedPan(crossing, { rateError: 0, off: { turnDeg, upDeg } }, 1 / 64).lost;
    expect([off(5), off(5.4), off(0, 3.2), off(0, -3.7), off(-100)]).toEqual([
      false,
      true,
      false,
      true,
      true,
    ]);
    expect(judgedPan(crossing, { rateError: -1, off: on }, 1 / 64).lost).toBe(true);
  });
  test('its frame is the plan’s, turned with the hand', () => {
    const crossing = crossed();
    const { scene } = shown();
    const made = swungScene(crossing, scene, { rateError: 0.2, off: { turnDeg: 2, upDeg: 0 } });
    expect(made.camera.pan).toEqual({ part: crossing.part, rateError: 0.2 });
    // It looks two degrees ahead of the subject, which goes east.
    const turned = Math.atan2(made.camera.aim.x - view.camera.x, made.camera.aim.y - view.camera.y);
    expect((turned * 180) / Math.PI).toBeCloseTo(2, 6);
    expect(made.solids).toBe(scene.solids);
  });
});

describe('what practice says of pans', () => {
  const eight = [0.1, -0.1, 0.1, -0.1, 0.1, -0.1, 0.1, -0.1].map((error) => swing(error));
  test('nothing below eight swings; keys and lost subjects are not of the hand', () => {
    expect(panPractised(practised(eight.slice(1)))).toBeUndefined();
    expect(
      panPractised(practised([...eight.slice(1), swing(0.3, { by: 'keys' })])),
    ).toBeUndefined();
    const told = panPractised(practised([...eight, swing(-0.9, { lost: true, sharp: false })]));
    expect(told?.hand.sigma.value).toBeCloseTo(0.1, 9);
    expect(told?.lostShare).toBeCloseTo(1 / 9, 9);
    expect(told?.count).toBe(9);
  });
  test('the last forty count', () => {
    const older = Array.from({ length: 30 }, () => swing(0.5));
    const newer = Array.from({ length: 40 }, (_, i) => swing(i % 2 ? 0.05 : -0.05));
    expect(panPractised(practised([...older, ...newer]))?.hand.sigma.value).toBeCloseTo(0.05, 9);
  });
  test('the ladder goes on from tries at the same subject, distance and lens alone', () => {
    const rungs = rungsOf(view);
    const sure = Array.from({ length: 5 }, () => swing(0.01, { shutterS: rungs[0] as number }));
    expect(nextRungS(practised([]), view)).toBe(rungs[0]);
    expect(nextRungS(practised(sure), view)).toBe(rungs[1]);
    const far = sure.map((made) => ({ ...made, distanceM: made.distanceM * 3 }));
    expect(triesAt(practised(far), view)).toEqual([]);
    expect(nextRungS(practised(far), view)).toBe(rungs[0]);
  });
  test('odds of a rung: erf of two circles over the streak, less what is lost', () => {
    const told = panPractised(practised(eight));
    if (!told) throw new Error('not told');
    const odds = oddsOf({ ...told, lostShare: 0.25 }, view);
    const [rung] = odds;
    const { streakMm } = judgedPan(
      crossed(),
      { rateError: 0, off: { turnDeg: 0, upDeg: 0 } },
      rung?.shutterS ?? 0,
    );
    expect(rung?.chance).toBeCloseTo(
      0.75 * erf((2 * view.cocMm) / (streakMm * 0.1 * Math.SQRT2)),
      6,
    );
    const chances = odds.map(({ chance }) => chance);
    expect([...chances].sort((a, b) => b - a)).toEqual(chances);
  });
});

describe('practice and field together', () => {
  const told = panPractised(
    practised(Array.from({ length: 40 }, (_, i) => swing(i % 2 ? 0.08 : -0.08))),
  );
  const field = { rate: 0.16, low: 0.13, high: 0.2, frames: 60 };
  test('each alone is taken as it is; of neither there is none', () => {
    expect(panReckoned(told, undefined)?.sigma).toBeCloseTo(0.08, 9);
    expect(panReckoned(undefined, field)?.sigma).toBeCloseTo(0.16, 9);
    expect(panReckoned(undefined, undefined)).toBeUndefined();
  });
  test('together the field counts for more, and says how far practice was from it', () => {
    const both = panReckoned(told, field);
    expect(both?.fieldOverPractice).toBeCloseTo(2, 6);
    expect(both?.sigma).toBeGreaterThan(0.13);
    expect(both?.sigma).toBeLessThan(0.16);
  });
  test('a field that is hardly known leaves practice nearly as it is', () => {
    const hardly = panReckoned(told, { ...field, low: 0.03, high: 0.8 });
    expect(hardly?.sigma).toBeLessThan(0.11);
  });
});

describe('moments', () => {
  const jumper = shown({ subjectId: 'court-jump', distanceM: 14, focalMm: 85 });
  test('a jump is highest at its moment: six tenths of a metre, and nothing falls faster than it must', () => {
    const { movedAt } = happening('jump', jumper.view, 0.5);
    expect(movedAt(0).z).toBeCloseTo(0.6, 9);
    // Half a second of fall from the top would be 1.23 m: it has landed long before.
    expect(movedAt(0.5).z).toBe(0);
    expect(movedAt(0.2).z).toBeCloseTo(0.6 - (9.80665 * 0.04) / 2, 9);
    // It hangs while slower than half a metre a second: a tenth of a second.
    const { goodFromS, goodToS } = windowOf('jump');
    expect(goodToS - goodFromS).toBeCloseTo(0.102, 3);
  });
  test('a thrown ball is at the bat at its moment, and comes at thirty metres a second', () => {
    const { ballsAt } = happening('bat', jumper.view, 0);
    const [at, before] = [ballsAt(0)[0]?.middle, ballsAt(-0.1)[0]?.middle];
    expect(Math.hypot((at?.x ?? 9) - 0.6, at?.y ?? 9)).toBeCloseTo(0, 6);
    expect(
      Math.hypot((before?.x ?? 0) - (at?.x ?? 0), (before?.y ?? 0) - (at?.y ?? 0)),
    ).toBeCloseTo(3, 6);
    expect(ballsAt(-1)).toEqual([]);
  });
  test('a bird dips before it leaves, and is gone the way it faces after', () => {
    const bird = shown({
      subjectId: 'small-bird-perched',
      distanceM: 9,
      lensId: '600-4',
      focalMm: 600,
    });
    const what = happening('leaving', bird.view, 1);
    expect(what.movedAt(-0.17).z).toBeLessThan(-0.01);
    expect(what.movedAt(-1).z).toBeCloseTo(0, 9);
    expect(what.movedAt(0.3).x).toBeCloseTo((18 * 0.09) / 2, 6);
    expect(figureThen(bird.scene, what, 0.3).path.position.x).toBeCloseTo((18 * 0.09) / 2, 6);
  });
  test('one waits between 1.3 and 3.1 seconds', () => {
    expect(happening('jump', jumper.view, 0).fromS).toBeCloseTo(-1.3);
    expect(happening('jump', jumper.view, 1).fromS).toBeCloseTo(-3.1);
  });
  test('a burst takes its frames from the press, and back from it where it keeps them', () => {
    const what = { goodFromS: -0.05, goodToS: 0.05 };
    const ask = { pressS: 0.1, fps: 10, burstS: 0.2, preCaptureS: 0 };
    expect(burstFrom(what, ask).map(({ timeS }) => timeS)).toEqual([
      0.1,
      expect.closeTo(0.2),
      expect.closeTo(0.3),
    ]);
    expect(burstFrom(what, ask).some(({ good }) => good)).toBe(false);
    const kept = burstFrom(what, { ...ask, preCaptureS: 0.2 });
    expect(kept).toHaveLength(5);
    expect(kept.filter(({ good }) => good)).toEqual([{ timeS: expect.closeTo(0), good: true }]);
  });
  test('a hand is told from eight presses on, of that moment', () => {
    const press = (lateS: number): Practice['tries'][number] => ({
      ...{ kind: 'moment', id: 'm', at: '2027-06-12T12:00:00.000Z', moment: 'jump', lateS },
    });
    const lates = [0.02, 0.1, 0.06, 0.04, 0.08, 0.06, 0.03, 0.09];
    const practice = practised(lates.map(press));
    expect(momentPractised(practised(lates.slice(1).map(press)), 'jump')).toBeUndefined();
    expect(momentPractised(practice, 'bat')).toBeUndefined();
    expect(momentPractised(practice, 'jump')?.bias.value).toBeCloseTo(0.06, 9);
    // Within half of a tenth of a second of the top.
    expect(momentTries(practice, 'jump').map(({ good }) => good)).toEqual(
      lates.map((s) => s <= 0.051),
    );
    const hand = momentPractised(practice, 'jump');
    if (!hand) throw new Error('not told');
    const [single, half, , before] = burstOdds(windowOf('jump'), hand, 20);
    expect(single?.earlyS).toBeCloseTo(0.06, 1);
    expect(half?.chance).toBeGreaterThan(single?.chance ?? 1);
    expect(before?.chance).toBeGreaterThan(0.99);
  });
  test('a burst has what comes again wherever it began', () => {
    const what = { goodFromS: -0.06, goodToS: 0.06, everyS: 0.3 };
    const ask = { pressS: 0.15, fps: 20, burstS: 0.5, preCaptureS: 0 };
    const good = burstFrom(what, ask).filter((frame) => frame.good);
    expect(good.map(({ timeS }) => timeS)).toEqual(
      [0.25, 0.3, 0.35, 0.55, 0.6, 0.65].map((s) => expect.closeTo(s)),
    );
    const hand = handOf([0.02, -0.05, 0.04, 0, 0.03, -0.02, 0.06, -0.04]);
    expect(burstOdds(what, hand, 20).map(({ how }) => how)).toEqual(['single']);
  });
  test('the nearest step or beat counts', () => {
    expect(offMoment({ everyS: 1 / 3 }, 0.4)).toBeCloseTo(0.4 - 1 / 3, 9);
    expect(offMoment({ everyS: 1 / 3 }, -0.2)).toBeCloseTo(-0.2 + 1 / 3, 9);
    expect(offMoment({}, 0.4)).toBe(0.4);
  });
  test('a runner’s knee rises with each step, left and right by turns, and the camera goes along', () => {
    const runner = shown({ subjectId: 'distance-runner', distanceM: 20, focalMm: 135 });
    const what = happening('stride', runner.view, 0);
    // Three steps a second.
    expect(what.everyS).toBeCloseTo(1 / 3, 9);
    const kneesAt = (timeS: number) => {
      const knees = figureThen(runner.scene, what, timeS)
        .pieces.filter(({ material, shape }) => material === 'cloth' && shape === 'limb')
        .map(({ to }) => to);
      return [knees.find(({ leftM }) => leftM > 0), knees.find(({ leftM }) => leftM < 0)].map(
        (knee) => knee?.upM ?? 0,
      );
    };
    const [left = 0, right = 0] = kneesAt(0);
    expect(left).toBeGreaterThan(right + 0.1);
    const [leftNext = 0, rightNext = 0] = kneesAt(1 / 3);
    expect(rightNext).toBeCloseTo(left, 6);
    expect(leftNext).toBeCloseTo(right, 6);
    // No knee is higher than at the moment by more than a twentieth of the runner.
    const all = Array.from({ length: 40 }, (_, i) => Math.max(...kneesAt(i / 60)));
    expect(Math.max(...all)).toBeLessThan(left + 0.09);
    // Five metres a second.
    const [aim, start] = [aimThen(runner.scene, what, 0.2), runner.scene.camera.aim];
    expect(Math.hypot(aim.x - start.x, aim.y - start.y)).toBeCloseTo(1, 6);
  });
  test('wings are up at their moment, hang half a beat later, and keep their length', () => {
    const gull = shown({ subjectId: 'gull', distanceM: 14, lensId: '600-4', focalMm: 300 });
    const what = happening('wings', gull.view, 0);
    expect(what.everyS).toBeCloseTo(1 / 3, 9);
    const wingAt = (timeS: number) => {
      const wing = figureThen(gull.scene, what, timeS)
        .pieces.filter(({ from, to }) => from.leftM > 0 && to.leftM > from.leftM)
        .at(0);
      if (!wing) throw new Error('no wing');
      const [across, up] = [wing.to.leftM - wing.from.leftM, wing.to.upM - wing.from.upM];
      return { deg: (Math.atan2(up, across) * 180) / Math.PI, lengthM: Math.hypot(across, up) };
    };
    expect(wingAt(0).deg).toBeCloseTo(45, 6);
    expect(wingAt(1 / 6).deg).toBeCloseTo(-25, 6);
    expect(wingAt(1 / 3).deg).toBeCloseTo(45, 6);
    expect(wingAt(1 / 6).lengthM).toBeCloseTo(wingAt(0).lengthM, 9);
  });
  test('a head looks away, and at its moment at the lens for half a second', () => {
    const bird = shown({ subjectId: 'small-bird-perched', distanceM: 9, focalMm: 600 });
    const what = happening('turn', bird.view, 0);
    const billAt = (timeS: number) => {
      const bill = figureThen(bird.scene, what, timeS)
        .pieces.filter(({ shape, toRadiusM }) => shape === 'limb' && toRadiusM < 0.001)
        .at(0);
      if (!bill) throw new Error('no bill');
      const { from, to } = bill;
      return (Math.atan2(to.leftM - from.leftM, to.aheadM - from.aheadM) * 180) / Math.PI;
    };
    // At home it sits square to the lens, which is to its right: three quarters of the way round is 67.5° there.
    for (const timeS of [0, 0.2, 0.499]) expect(billAt(timeS)).toBeCloseTo(-67.5, 6);
    expect(billAt(-1)).toBeCloseTo(12.5, 6);
    expect(billAt(-0.075)).toBeCloseTo(-27.5, 6);
    expect(billAt(0.8)).toBeCloseTo(12.5, 6);
    // What is no head stays: tail and breast.
    const tail = (timeS: number) => figureThen(bird.scene, what, timeS).pieces[2];
    expect(tail(-1)).toEqual(tail(0));
  });
  test('each subject has its own moments', () => {
    expect(momentsFor(undefined)).toEqual(['jump', 'bat', 'stride', 'wings', 'leaving', 'turn']);
    // Nine beats a second: no hand times one.
    expect(momentsFor(shown({ subjectId: 'duck' }).view)).toEqual(['leaving']);
    expect(momentsFor(shown({ subjectId: 'gull' }).view)).toEqual(['wings']);
    const perched = shown({ subjectId: 'small-bird-perched' });
    expect(momentsFor(perched.view)).toEqual(['leaving', 'turn']);
    expect(momentsFor(shown({ subjectId: 'batter' }).view)).toEqual(['jump', 'bat']);
    expect(momentsFor(shown({ subjectId: 'distance-runner' }).view)).toEqual(['stride', 'jump']);
    expect(momentsFor(view)).toEqual(['jump']);
  });
});
