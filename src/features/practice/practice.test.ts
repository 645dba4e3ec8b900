import { crossingOf } from '@/answers/crossing';
import { homeShoot, HOME_AT_LOCAL } from '@/answers/home-ground';
import { pictured } from '@/answers/pictured';
import { judgeSwing } from '@/core';
import { FIRST_PRACTICE } from '@/records/practice';
import { msOf } from '@/records/times';
import { BEAT_S, lateOnBeat } from './beat';
import { gradesInWords } from './bench-words';
import { burstInWords, lateInWords } from './moment-words';
import { oddsInWords, rateInWords, swingAdvice } from './pan-words';
import { beginRun, type Run } from './run';
import { countedInWords, shareInWords } from './so-far-words';
import { standInWords } from './stand-words';

const seen = pictured(homeShoot(FIRST_PRACTICE.home), msOf(HOME_AT_LOCAL, 'UTC'));
const found = seen && crossingOf(seen.view);
if (!found) throw new Error('nothing crosses');
const crossing = found;
const { subjectAt, fromS } = crossing;
const WIDE_PX = 390;
const FROM = { xPx: 60, yPx: 300 };

/** Plays a run: a reading of the hand every sixtieth of a second. */
function played(run: Run, at: (timeS: number, run: Run, nowMs: number) => void, pressS?: number) {
  let pressed = false;
  for (let nowMs = 1000; nowMs < 6000; nowMs += 1000 / 60) {
    const timeS = run.timeAt(nowMs);
    at(timeS, run, nowMs);
    run.aim(nowMs);
    if (pressS !== undefined && !pressed && timeS >= pressS) {
      run.press(nowMs);
      pressed = true;
    }
    const done = run.done(nowMs);
    if (done) return done;
  }
  throw new Error('it never ended');
}
/** A finger that goes as the subject does, so much too fast. */
const finger = (tooFast: number) => {
  const startDeg = subjectAt(fromS).turnDeg;
  const arcDeg = subjectAt(crossing.toS).turnDeg - startDeg;
  const pxPerDeg = (0.85 * (WIDE_PX - FROM.xPx)) / arcDeg;
  return (timeS: number, run: Run, nowMs: number) => {
    const turned = (subjectAt(timeS).turnDeg - startDeg) * (1 + tooFast);
    run.move(nowMs, FROM.xPx + turned * pxPerDeg, FROM.yPx);
  };
};
const begun = (by: 'pointer' | 'turn' | 'keys', chance = 0.5) =>
  beginRun({
    ...{ crossing, by, atMs: 1000, pageWidthPx: WIDE_PX, chance },
    ...(by === 'pointer' && { from: FROM }),
  });
const judged = ({ track, pressS }: ReturnType<typeof played>) =>
  judgeSwing({ track, subjectAt, pressS, shutterS: 1 / 60 });

describe('a run', () => {
  test('a finger that follows evenly is even, one a tenth too fast a tenth too fast', () => {
    expect(judged(played(begun('pointer'), finger(0), 0))?.rateError).toBeCloseTo(0, 3);
    expect(judged(played(begun('pointer'), finger(0.1), 0))?.rateError).toBeCloseTo(0.1, 2);
  });
  test('the whole arc fits into the room that is left of the page', () => {
    const run = begun('pointer');
    run.move(1100, WIDE_PX - 20, FROM.yPx);
    expect(run.aim(1100).turnDeg).toBeGreaterThan(subjectAt(crossing.toS).turnDeg);
  });
  test('without a press it is taken in the middle, and says so', () => {
    const swung = played(begun('pointer'), finger(0));
    expect(swung.pressed).toBe(false);
    expect(swung.pressS).toBe(0);
  });
  test('a hand that rests is where it is', () => {
    const swing = judged(played(begun('pointer'), () => undefined, 0));
    expect(swing?.rateError).toBeCloseTo(-1, 6);
  });
  test('the phone turned with it is even with it', () => {
    let lastDeg = subjectAt(fromS).turnDeg;
    const swung = played(
      begun('turn'),
      (timeS, run, nowMs) => {
        const { turnDeg } = subjectAt(timeS);
        run.turn(nowMs, { turnDeg: turnDeg - lastDeg, upDeg: 0 });
        lastDeg = turnDeg;
      },
      0,
    );
    expect(judged(swung)?.rateError).toBeCloseTo(0, 3);
    expect(judged(swung)?.off.turnDeg).toBeCloseTo(0, 1);
  });
  test('keys: it sets out too slow or too fast, and an arrow changes that', () => {
    const errorOf = (chance: number, nudges: number) => {
      const run = begun('keys', chance);
      for (let i = 0; i < Math.abs(nudges); i += 1) run.nudge(1000 + i, nudges > 0);
      return judged(played(run, () => undefined, 0))?.rateError ?? NaN;
    };
    expect(errorOf(0, 0)).toBeCloseTo(-0.12, 3);
    expect(errorOf(1, 0)).toBeCloseTo(0.12, 3);
    expect(errorOf(0, 4)).toBeCloseTo(0.04, 3);
    expect(errorOf(1, -4)).toBeCloseTo(-0.04, 3);
    // Drawn but twice a second it goes no otherwise.
    const seldom = begun('keys', 1);
    for (let nowMs = 1000; nowMs < 3200; nowMs += 500) seldom.aim(nowMs);
    seldom.press(3000);
    const late = seldom.done(6000);
    expect(late && judged(late)?.rateError).toBeCloseTo(0.12, 3);
    // Left alone the subject stays in a frame of 5° either way.
    const alone = played(begun('keys', 1), () => undefined, 0);
    const aside = alone.track.map(({ timeS, turnDeg }) => turnDeg - subjectAt(timeS).turnDeg);
    expect(Math.max(...aside.map(Math.abs))).toBeLessThan(5);
  });
  test('it goes on after the press, for what follows through', () => {
    const { track, pressS } = played(begun('pointer'), finger(0), -0.2);
    expect(pressS).toBeCloseTo(-0.2, 1);
    expect((track.at(-1)?.timeS ?? 0) - pressS).toBeGreaterThan(0.3);
  });
});

describe('words', () => {
  const sound = {
    ...{ rateError: 0, handDegS: 40, subjectDegS: 40, off: { turnDeg: 0, upDeg: 0 } },
    ...{ wobbleDeg: 0, beforeS: 1, afterS: 0.3, jerk: 0 },
  };
  test('a rate is said as one would', () => {
    expect(rateInWords(0.08)).toBe('8 % too fast');
    expect(rateInWords(-0.3)).toBe('30 % too slow');
    expect(rateInWords(0.01)).toBe('even with the subject');
  });
  test('a sound swing wants no advice; each fault has its own', () => {
    expect(swingAdvice(sound, 10, true)).toEqual([]);
    const said = (more: Partial<typeof sound>, pressed = true) =>
      swingAdvice({ ...sound, ...more }, 10, pressed).join(' ');
    expect(said({}, false)).toMatch(/Not pressed/);
    expect(said({ beforeS: 0.1 })).toMatch(/Picked up late/);
    expect(said({ afterS: 0.05 })).toMatch(/follow through/);
    expect(said({ jerk: 0.5 })).toMatch(/jerked/);
    expect(said({ wobbleDeg: 0.5 })).toMatch(/Up and down by 0.5°/);
    expect(said({ off: { turnDeg: 3, upDeg: 0 } })).toMatch(/3.0° behind the middle/);
  });
  test('odds that nobody would plan on are said to be', () => {
    expect(oddsInWords({ shutterS: 1 / 64, chance: 0.4, frames: 5 })).toBe(
      '1/60: 40 % sharp, 5 frames for nine chances in ten',
    );
    expect(oddsInWords({ shutterS: 1 / 8, chance: 0.01, frames: 230 })).toBe(
      '1/8: too rare to plan on',
    );
  });
  test('a place is set against the best, and one that is off limits says why', () => {
    expect(standInWords({ total: 0.62, refusals: [] }, { total: 0.88 })).toBe(
      'Yours 62 of 100, the best 88.',
    );
    expect(standInWords({ total: 0.9, refusals: [] }, { total: 0.88 })).toBe(
      'Yours 90 of 100: none better was found.',
    );
    expect(
      standInWords(
        { total: 0, refusals: [{ kind: 'inside', name: 'the coach’s box' }] },
        { total: 0.8 },
      ),
    ).toMatch(/^Off limits: inside the coach’s box, the best 80\.$/);
  });
  test('a press is on it, early or late; a burst says what it would have had', () => {
    const what = { goodFromS: -0.05, goodToS: 0.05 };
    expect(lateInWords(0.03, what)).toBe('On it: 30 ms after');
    expect(lateInWords(-0.08, what)).toBe('80 ms early');
    expect(lateInWords(0.2, what)).toBe('200 ms late');
    expect(
      burstInWords(
        [
          { timeS: 0, good: true },
          { timeS: 0.1, good: false },
        ],
        0.1,
        10,
      ),
    ).toMatch(/at 10 a second from there has no frame of it; .* before the press, 1 frame\.$/);
  });
});

describe('an even beat', () => {
  const on = (lateS: number) => [1, 2, 3, 4, 5, 6].map((beat) => beat * BEAT_S + lateS);
  test('tells how late a device is, one wild press apart', () => {
    expect(lateOnBeat(on(0.07))).toBeCloseTo(0.07, 9);
    expect(lateOnBeat(on(-0.03))).toBeCloseTo(-0.03, 9);
    expect(lateOnBeat([...on(0.07), 7 * BEAT_S + 0.4])).toBeCloseTo(0.07, 9);
  });
  test('needs five presses, and does not take the first one, which begins', () => {
    expect(lateOnBeat([0, ...on(0.1).slice(0, 4)])).toBeUndefined();
    expect(lateOnBeat([0, ...on(0.1)])).toBeCloseTo(0.1, 9);
  });
});

describe('so far', () => {
  const counted = { one: 'answer', many: 'answers', good: 'right' };
  test('few are counted', () => {
    expect(countedInWords(1, 1, counted)).toBe('1 answer: 1 right');
    expect(shareInWords(3, 7, counted)).toBe('7 answers: 3 right.');
  });
  // Wilson's interval by hand at 90 %: (0.4 + 0.1353 ± 0.2885) / 1.2706.
  test('many say what their share may be', () => {
    expect(shareInWords(4, 10, counted)).toBe(
      '10 answers: 4 right; of all yours that may be 19 % to 65 %.',
    );
  });
});

test('grades of two times are told apart where they differ', () => {
  const question = { shutterS: 1 / 125, part: 'foot' };
  expect(gradesInWords(question, 1 / 125, () => 'plain')).toMatch(/^At 1\/125 the foot comes out /);
  expect(gradesInWords(question, 1 / 250, () => 'plain')).toMatch(/^At either time the foot /);
  expect(gradesInWords(question, 1 / 500, (s) => (s < 1 / 300 ? 'crisp' : 'plain'))).toMatch(
    /^At 1\/125 the foot comes out .+, at 1\/500 .+\.$/,
  );
});
