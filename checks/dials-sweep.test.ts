/**
 * The policy of the dials, swept over subjects, lenses, bodies, light, techniques and schools: what no
 * answer may do. The limits are those of the policy as written (docs/how-the-numbers-work.md); the
 * arithmetic beside them is done here from the definition of EV (ISO 2720) and of the cap.
 */
import { answerAsked, type Answered, type Asked } from '@/features/quick/answer-file';
import { viewOf } from '../src/answers/view';
import { blankSetup } from '@/features/quick/quick';
import { EMPTY_BAG } from '@/records/kit';
import { SCHOOLS, TECHNIQUES } from '@/core';
import { BODIES } from '@/presets/bodies';
import { lensById, subjectById } from '@/presets/find';
import { LENSES } from '@/presets/lenses';
import { SUBJECTS } from '@/presets/subjects';

/** A reproducible chance: a linear congruence (Numerical Recipes, quoted from memory). */
function chance(seed: number) {
  let state = seed;
  const next = () => {
    state = (state * 1_664_525 + 1_013_904_223) % 2 ** 32;
    return state / 2 ** 32;
  };
  return { next, of: <T>(list: readonly T[]): T => list[Math.floor(next() * list.length)] as T };
}

const SAMPLES = 1000;
/** More examples of one fault help nobody. */
const TOLD = 3;
const { next, of } = chance(20_270_416);

function sample(): Asked {
  const lens = of(LENSES);
  const subject = of(SUBJECTS);
  const [first, last] = [lens.focals[0]?.focalMm ?? 0, lens.focals.at(-1)?.focalMm ?? 0];
  const focalMm = Math.round(first + next() * (last - first));
  const fill = 0.1 + 0.9 * next();
  return {
    subjectId: subject.id,
    runs: of(['across', 'diagonal', 'towards'] as const),
    distanceM: Math.max(lens.nearestFocusM * 1.05, (subject.heightM * focalMm) / (24 * fill)),
    orientation: of(['level', 'upright'] as const),
    bodyId: of(BODIES).id,
    lensId: lens.id,
    focalMm,
    converter: lens.takesConverter ? of([1, 1, 1.4, 2] as const) : 1,
    support: of(['hand', 'monopod', 'beanBag', 'tripod'] as const),
    // Half of them are frozen, as in life.
    technique: next() < 0.5 ? 'freeze' : of(TECHNIQUES),
    light: { ev: Math.round(10 * (1 + 15 * next())) / 10 },
    school: of(SCHOOLS),
  };
}

const evOf = ({ light }: Asked): number => ('ev' in light ? light.ev : NaN);
const bodyOf = ({ bodyId }: Asked) =>
  BODIES.find(({ id }) => id === bodyId) as (typeof BODIES)[number];
const stops = (a: number, b: number) => Math.log2(a / b);
/** Thin lens: image over subject. */
const magnification = ({ focalMm, converter, distanceM }: Asked) => {
  const f = (focalMm * converter) / 1000;
  return f / (distanceM - f);
};

const swept = Array.from({ length: SAMPLES }, () => {
  const asked = sample();
  const more = (change: Partial<Asked>) => answerAsked({ ...asked, ...change });
  return {
    asked,
    answer: answerAsked(asked),
    further: more({ distanceM: asked.distanceM * 1.02 }),
    brighter: more({ light: { ev: evOf(asked) + 0.1 } }),
  };
});
type Swept = (typeof swept)[number];

/** Those that break a rule, told so that one can be looked into. */
const broken = (breaks: (s: Swept) => boolean) =>
  swept
    .filter(breaks)
    .slice(0, TOLD)
    .map(({ asked, answer }) => JSON.stringify({ asked, settings: answer.settings }));

test('a frame that works is exposed right within a sixth of a stop, filter and lift counted', () => {
  expect(
    broken(({ asked, answer }) => {
      const { shutterS, aperture, iso, liftStops } = answer.settings;
      const exposed =
        Math.log2(aperture ** 2 / shutterS) - Math.log2(iso / 100) - liftStops + answer.filterStops;
      // A close-up loses light to its extension; that is checked by itself.
      const near = magnification(asked) > 0.1;
      return answer.works && !near && Math.abs(exposed - evOf(asked)) > 1 / 6 + 1e-4;
    }),
  ).toEqual([]);
});

test('no frozen mover is slower than 1/250 where the light does not force it', () => {
  expect(
    broken(({ asked, answer }) => {
      const { classId } = subjectById(asked.subjectId);
      const moves = classId !== 'rest' && classId !== 'standing';
      const forced = answer.stopsShort > 0;
      return moves && asked.technique === 'freeze' && !forced && answer.settings.shutterS > 1 / 250;
    }),
  ).toEqual([]);
});

test('nothing is slower than its must, but short of light, and then by a stop at most', () => {
  expect(
    broken(({ answer }) => {
      const past = stops(answer.settings.shutterS, answer.must.shutterS);
      return past > (answer.stopsShort > 0 ? 1 : 0) + 0.01;
    }),
  ).toEqual([]);
});

test('no lens is closed while ISO is above what is clean', () => {
  expect(
    broken(({ asked, answer }) => {
      const lens = lensById(asked.lensId);
      const widest =
        (lens.focals.find(({ focalMm }) => focalMm >= asked.focalMm)?.widestAperture ?? 0) *
        asked.converter;
      const { iso } = bodyOf(asked);
      return (
        answer.settings.iso > iso.good * 1.1 && 2 * stops(answer.settings.aperture, widest) > 0.3
      );
    }),
  ).toEqual([]);
});

test('no lens is closed past where diffraction costs more than depth gives', () => {
  expect(
    broken(({ asked, answer }) => {
      const { sensor } = bodyOf(asked);
      const cocMm = Math.hypot(sensor.widthMm, sensor.heightMm) / 1500;
      const cap = (0.75 * cocMm) / (2.44 * 0.55e-3);
      const lens = lensById(asked.lensId);
      const narrowest = (lens.focals.at(-1)?.widestAperture ?? 0) * asked.converter;
      return answer.settings.aperture > Math.max(cap, narrowest) * 1.07;
    }),
  ).toEqual([]);
});

test('2 % further or a tenth of a stop brighter moves no dial by more than half a stop', () => {
  const jumps = (a: Answered, b: Answered) =>
    a.filterStops === b.filterStops &&
    Math.max(
      Math.abs(stops(a.settings.shutterS, b.settings.shutterS)),
      Math.abs(2 * stops(a.settings.aperture, b.settings.aperture)),
      Math.abs(stops(a.settings.iso, b.settings.iso)),
    ) > 0.5;
  const near = ({ asked }: Swept) => magnification(asked) > 0.1;
  expect(broken((s) => !near(s) && jumps(s.answer, s.further))).toEqual([]);
  expect(broken(({ answer, brighter }) => jumps(answer, brighter))).toEqual([]);
});

test('more light never raises ISO nor slows the shutter', () => {
  expect(
    broken(
      ({ answer, brighter }) =>
        answer.filterStops === brighter.filterStops &&
        (brighter.settings.iso > answer.settings.iso * 1.001 ||
          brighter.settings.shutterS > answer.settings.shutterS * 1.001),
    ),
  ).toEqual([]);
});

describe('turning by 10°', () => {
  const turned = (asked: Asked, headingDeg: number) => {
    const { subjectId, distanceM, bodyId, lensId, focalMm, converter, support } = asked;
    const kit = { bodyId, lensId, focalMm, converter, support: support ?? 'hand', ...EMPTY_BAG };
    const seen = viewOf(
      blankSetup(
        { subjectId, headingDeg, distanceM },
        {
          kit,
          choice: {
            markId: 'mark',
            positionId: 'position',
            orientation: asked.orientation,
            school: 'balanced',
            liftStops: 1,
            panSigma: 0.1,
            held: {},
          },
        },
      ),
    );
    if (!seen.ok) throw new Error(seen.trouble.kind);
    return seen.view.timesOf({ technique: asked.technique ?? 'freeze' });
  };
  test('moves neither must nor wish by half a stop, whatever the subject and the lens', () => {
    const off: string[] = [];
    for (const { asked } of swept.slice(0, 300)) {
      // A pan ends where the subject comes at the camera: that is told apart.
      if (asked.technique === 'pan') continue;
      for (let headingDeg = 90; headingDeg < 270; headingDeg += 30) {
        const [a, b] = [turned(asked, headingDeg), turned(asked, headingDeg + 10)];
        if (Math.abs(stops(a.mustS, b.mustS)) > 0.5 || Math.abs(stops(a.wishS, b.wishS)) > 0.5) {
          off.push(JSON.stringify({ asked, headingDeg, a, b }));
        }
      }
    }
    expect(off).toEqual([]);
  });
});

describe('words', () => {
  const said = ({ answer }: Swept) => answer.sentences.join(' ');
  test('short is said with ways out that do it, and each of them exposes the frame', () => {
    expect(
      broken(({ asked, answer }) =>
        answer.waysOut.some(({ settings, label }) => {
          const { shutterS, aperture, iso, liftStops, filterStops } = settings;
          const exposed =
            Math.log2(aperture ** 2 / shutterS) - Math.log2(iso / 100) - liftStops + filterStops;
          const near = magnification(asked) > 0.1;
          return label === '' || (!near && Math.abs(exposed - evOf(asked)) > 1 / 3);
        }),
      ),
    ).toEqual([]);
  });
  test('no way out offers what the settings have, nor what the body has not', () => {
    expect(
      broken(({ asked, answer }) =>
        answer.waysOut.some(
          ({ settings }) =>
            JSON.stringify(settings) === JSON.stringify(answer.settings) ||
            settings.iso > bodyOf(asked).iso.last * 1.02 ||
            settings.liftStops > 3 + 1e-6,
        ),
      ),
    ).toEqual([]);
  });
  test('stops in hand are those the ISO dial has', () => {
    expect(
      broken(({ asked, answer }) => {
        const { usable } = bodyOf(asked).iso;
        return (
          Math.abs(answer.stopsInHand - Math.max(0, stops(usable, answer.settings.iso))) > 0.02 ||
          (answer.stopsInHand > 0.4 && answer.stopsShort > 0)
        );
      }),
    ).toEqual([]);
  });
  test('nothing is called short that is not, nor in hand that is short', () => {
    expect(
      broken((s) => s.answer.stopsShort > 0 !== /stops? short of/.test(said(s)) && s.answer.works),
    ).toEqual([]);
    expect(broken((s) => s.answer.stopsShort > 0 && /in hand/.test(said(s)))).toEqual([]);
  });
  test('a time that rules is the time that is set', () => {
    expect(
      broken(({ answer }) => {
        const { ruledBy, settings, must } = answer;
        return (
          ruledBy === '' ||
          (ruledBy.startsWith('the least for') &&
            Math.abs(stops(settings.shutterS, must.shutterS)) > 0.1)
        );
      }),
    ).toEqual([]);
  });
  test('what is advised in ISO, time or lift is said in figures that are on a dial', () => {
    expect(broken((s) => /NaN|undefined|Infinity|-0\.0/.test(said(s)))).toEqual([]);
  });
});

describe('what moves of itself', () => {
  const asked: Asked = {
    subjectId: 'butterfly-flower',
    runs: 'across',
    distanceM: 0.8,
    orientation: 'level',
    bodyId: 'full-frame-24',
    lensId: '100-2.8',
    focalMm: 100,
    converter: 1,
    support: 'hand',
    technique: 'freeze',
    school: 'balanced',
    light: { ev: 14 },
  };
  test('wind sways a flower: a wish for a faster time, and no must', () => {
    const [calm, windy] = [0, 9].map((windMs) => answerAsked({ ...asked, windMs }));
    expect(windy?.wish.shutterS).toBeLessThan(calm?.wish.shutterS ?? 0);
    expect(windy?.must.shutterS).toBe(calm?.must.shutterS);
    const [still, gale] = [0, 9].map((windMs) =>
      answerAsked({ ...asked, subjectId: 'standing', distanceM: 8, windMs }),
    );
    expect(gale?.wish).toEqual(still?.wish);
  });
  test('arms and legs of a runner, and an arm at the net, are seen head-on too', () => {
    for (const [subjectId, distanceM] of [
      ['distance-runner', 3],
      ['court-jump', 4],
    ] as const) {
      const at = (runs: Asked['runs']) => answerAsked({ ...asked, subjectId, distanceM, runs });
      const slower = Math.log2(at('towards').wish.shutterS / at('across').wish.shutterS);
      expect(slower).toBeLessThan(1);
      expect(1 / at('towards').wish.shutterS).toBeGreaterThan(1000);
    }
  });
});
