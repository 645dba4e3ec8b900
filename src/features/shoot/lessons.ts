import { percent, stops } from '@/features/shoot/words';
import { FIRST_PAN_SIGMA, type Shoot } from '@/records/shoot';
import { hoursOf } from '@/records/times';
import { itemsOf } from '@/records/kit';
import { isDemo } from '@/records/list';
import { othersHere } from '@/answers/nature';
import { matchedFrames, type MatchedFrame } from '@/answers/matched';
import { momentPractised, panPractised, panReckoned, type PanReckoned } from '@/answers/practised';
import { lightByPictures } from '@/answers/season';
import { deliveredOf, lightOffsets, panSkill, type HourlyOffset } from '@/answers/taught';
import { lessonOf, type Lesson } from './lesson';
import { floorLessons, tiredLesson } from './lessons-pressed';
import { FIRST_PRACTICE, type Practice } from '@/records/practice';

/** What earlier shoots and practice taught, as changes of a plan that can be seen, taken up and left out. */

/** The lesson that practice and panned frames teach. */
export const PAN_LESSON = 'pan-sigma';
/** Fewer panned frames than this teach nothing yet. No source. */
const FEWEST_PANNED = 8;
const FEWEST_READINGS = 2;
const FEWEST_FRAMES = 20;
/** One reading alone is unsure by this. Common practice, no source. */
const LONE_SIGMA_STOPS = 0.5;
const LEAST_SIGMA_STOPS = 0.2;

const range = ({ low, high }: { readonly low: number; readonly high: number }): string =>
  `${percent(low)} to ${percent(high)}`;

/** What a plan's even swing rests on. */
function panEvidence({ practised, field, fieldOverPractice }: PanReckoned): string {
  return [
    ...(field ? [`${field.frames} panned frames: ${range(field)}.`] : []),
    ...(practised
      ? [
          `${practised.count} swings practised: ${range(practised.hand.sigma)}${practised.lostShare > 0 ? `, and ${percent(practised.lostShare)} lost the subject` : ''}.`,
        ]
      : []),
    ...(fieldOverPractice !== undefined
      ? [`The field was ${fieldOverPractice.toFixed(1)} times what practice says.`]
      : practised
        ? ['Panned pictures that are read in will set it right.']
        : []),
    `A beginner’s is taken as ${percent(FIRST_PAN_SIGMA)}.`,
  ].join(' ');
}

function panLesson(shoot: Shoot, earlier: readonly Shoot[], practice: Practice): readonly Lesson[] {
  const skill = panSkill(earlier);
  const field = skill && skill.frames >= FEWEST_PANNED ? skill : undefined;
  const reckoned = panReckoned(panPractised(practice), field);
  if (!reckoned) return [];
  const sigma = Math.min(0.5, Math.max(0.01, Math.round(reckoned.sigma * 100) / 100));
  return [
    lessonOf<number>(shoot, {
      id: PAN_LESSON,
      about: 'swing',
      head: `Plan pans for a speed that varies by ${percent(sigma)}`,
      evidence: panEvidence(reckoned),
      stale: shoot.choice.panSigma !== sigma,
      read: ({ choice }) => choice.panSigma,
      write: (now, value) => ({
        ...now,
        choice: { ...now.choice, panSigma: value ? (value.before ?? FIRST_PAN_SIGMA) : sigma },
      }),
    }),
  ];
}

/** The lesson that presses at moments teach. */
export const PRESS_LESSON = 'presses';
/** Moments that a plan reckons with, as they are said in it. */
const PLANNED_MOMENTS = [
  ['jump', 'at the top of a jump'],
  ['leaving', 'when something leaves'],
] as const;

function pressLesson(shoot: Shoot, practice: Practice): readonly Lesson[] {
  const told = PLANNED_MOMENTS.flatMap(([kind, when]) => {
    const hand = momentPractised(practice, kind);
    return hand ? [{ when, hand }] : [];
  });
  if (told.length === 0) return [];
  const presses = told.reduce((sum, { hand }) => sum + hand.count, 0);
  const ms = (seconds: number) => Math.round(Math.abs(seconds) * 1000);
  return [
    lessonOf<number>(shoot, {
      id: PRESS_LESSON,
      about: 'presses',
      head: `Plan for your own presses: ${told
        .map(
          ({ when, hand: { bias } }) =>
            `${ms(bias.value)} ms ${bias.value < 0 ? 'early' : 'late'} ${when}`,
        )
        .join(', ')}`,
      evidence: `${presses} presses practised, the device’s own delay taken off: ${told
        .map(({ when, hand: { scatter } }) => `scattering by ${ms(scatter.value)} ms ${when}`)
        .join(', ')}. Settings say how early to press, and what a burst then has.`,
      // The plan asks for them where it needs them; nothing in it is written over.
      read: () => undefined,
      write: (now) => now,
    }),
  ];
}

const hourWords = (hour: number): string => `${String(hour).padStart(2, '0')}:00`;

const hoursInWords = (offsets: readonly HourlyOffset[]): string =>
  offsets
    .map(
      ({ hour, mean, count }) =>
        `${hourWords(hour)} ${mean < 0 ? '−' : '+'}${Math.abs(mean).toFixed(1)} (${count})`,
    )
    .join(', ');

function lightLesson(shoot: Shoot, here: readonly Shoot[]): readonly Lesson[] {
  const measured = lightOffsets(here);
  const readings = measured.reduce((sum, { count }) => sum + count, 0);
  // Where an hour was measured, what pictures were exposed for is not asked.
  const pictured = lightByPictures(here).filter(
    ({ hour }) => !measured.some((one) => one.hour === hour),
  );
  if (readings < FEWEST_READINGS && pictured.length === 0) return [];
  const learnedAt = ({ hour, mean, low, high, count }: HourlyOffset, leastSigmaStops: number) => ({
    hour,
    // The middle of the hour, on the day that is planned.
    atLocal: `${shoot.startLocal.slice(0, 10)}T${hourWords(hour).slice(0, 2)}:30`,
    offsetStops: Math.min(6, Math.max(-6, Math.round(mean * 100) / 100)),
    sigmaStops:
      count === 1
        ? LONE_SIGMA_STOPS
        : Math.min(3, Math.max(leastSigmaStops, Math.round(((high - low) / 4) * 100) / 100)),
  });
  const learned = [
    ...measured.map((one) => learnedAt(one, LEAST_SIGMA_STOPS)),
    ...pictured.map((one) => learnedAt(one, LONE_SIGMA_STOPS)),
  ].sort((a, b) => a.hour - b.hour);
  const most = learned.reduce((a, b) =>
    Math.abs(b.offsetStops) > Math.abs(a.offsetStops) ? b : a,
  );
  return [
    lessonOf<string>(shoot, {
      id: 'light',
      about: 'light',
      head: `Take the light at ${hourWords(most.hour)} as ${stops(Math.abs(most.offsetStops))} ${most.offsetStops < 0 ? 'darker' : 'brighter'} than computed`,
      evidence: `${[
        ...(readings > 0
          ? [`${readings} readings at this place in earlier shoots: ${hoursInWords(measured)}`]
          : []),
        ...(pictured.length > 0
          ? [`by what kept pictures were exposed for: ${hoursInWords(pictured)}`]
          : []),
      ].join('; ')}. New readings speak before them.`,
      read: ({ light }) => (light.learned ? 'learned' : undefined),
      write: (now, value) => {
        const { learned: _old, ...light } = now.light;
        return {
          ...now,
          light: value
            ? light
            : { ...light, learned: learned.map(({ hour: _hour, ...offset }) => offset) },
        };
      },
    }),
  ];
}

function isoLesson(shoot: Shoot, frames: readonly MatchedFrame[]): readonly Lesson[] {
  const body = itemsOf(shoot.kit, 'body').find(({ id }) => id === shoot.kit.bodyId);
  const kept = frames.flatMap(({ kept: good, frame }) =>
    good && frame.iso !== undefined ? [frame.iso] : [],
  );
  const entry = shoot.log.lessons.find(({ id }) => id === 'iso');
  const highest = [...kept].sort((a, b) => b - a)[2];
  if (!body || highest === undefined) return [];
  if (!entry && highest <= body.isoUsable) return [];
  const iso = Math.min(409_600, Math.round(highest));
  return [
    lessonOf<number>(shoot, {
      id: 'iso',
      about: 'ISO',
      head: `Use up to ISO ${iso} on the ${body.name}`,
      evidence: `Three kept frames or more were taken there; the plan goes up to ISO ${entry?.before ?? body.isoUsable}.`,
      read: () => body.isoUsable,
      write: (now, value) => ({
        ...now,
        kit: {
          ...now.kit,
          bag: now.kit.bag.map((item) =>
            item.kind === 'body' && item.id === body.id
              ? { ...item, isoUsable: value ? (value.before ?? item.isoUsable) : iso }
              : item,
          ),
        },
      }),
    }),
  ];
}

const HOUR_MS = 3_600_000;

function framesLesson(shoot: Shoot, here: readonly Shoot[]): readonly Lesson[] {
  const taken = here
    .map((other) => ({ frames: matchedFrames(other).length, ...hoursOf(other) }))
    .filter(({ frames }) => frames >= FEWEST_FRAMES);
  if (taken.length === 0) return [];
  const hours = taken.reduce((sum, { startMs, endMs }) => sum + (endMs - startMs) / HOUR_MS, 0);
  const frames = taken.reduce((sum, entry) => sum + entry.frames, 0);
  const { startMs, endMs } = hoursOf(shoot);
  const expected = Math.max(1, Math.round((frames / hours) * ((endMs - startMs) / HOUR_MS)));
  return [
    lessonOf<number>(shoot, {
      id: 'frames',
      about: 'frames',
      head: `Expect ${expected} frames`,
      evidence: `${frames} frames in ${hours.toFixed(1)} hours at this place: cards and batteries are reckoned by it.`,
      read: ({ kit }) => kit.frames,
      write: (now, value) => {
        const { frames: _old, ...kit } = now.kit;
        const wanted = value ? value.before : Math.min(100_000, expected);
        return { ...now, kit: { ...kit, ...(wanted !== undefined && { frames: wanted }) } };
      },
    }),
  ];
}

/** Shots of the same name that an earlier shoot here still owes. */
function owedLessons(shoot: Shoot, here: readonly Shoot[]): readonly Lesson[] {
  const last = [...here].sort((a, b) => (a.startLocal < b.startLocal ? 1 : -1))[0];
  if (!last || (last.log.entries.length === 0 && last.log.frames.length === 0)) return [];
  const missed = deliveredOf(last, matchedFrames(last)).filter(
    ({ delivered, quota }) => delivered < quota,
  );
  return missed.flatMap(({ shot, delivered, quota }): readonly Lesson[] => {
    const own = shoot.shots.find(({ name }) => name === shot.name);
    if (!own) return [];
    const id = `owed-${own.id}`;
    const entry = shoot.log.lessons.find((lesson) => lesson.id === id);
    if (own.priority === 'must' && !entry) return [];
    return [
      lessonOf<string>(shoot, {
        id,
        about: own.name,
        head: `Put “${own.name}” first: a must`,
        evidence: `The last time here ${delivered} of ${quota} came of it.`,
        read: (now) => now.shots.find((each) => each.id === own.id)?.priority,
        write: (now, value) => ({
          ...now,
          shots: now.shots.map((each) =>
            each.id === own.id
              ? {
                  ...each,
                  priority: value ? ((value.before as typeof each.priority) ?? 'should') : 'must',
                }
              : each,
          ),
        }),
      }),
    ];
  });
}

/** The shoots that one can learn from: what the demo teaches stays with the demo. */
export const teachersOf = (shoot: Shoot, all: readonly Shoot[]): readonly Shoot[] =>
  all.filter((other) => other.id !== shoot.id && isDemo(other) === isDemo(shoot));

/** Shoots before this one, which may teach it. */
export const earlierOf = (shoot: Shoot, all: readonly Shoot[]): readonly Shoot[] =>
  teachersOf(shoot, all).filter((other) => other.startLocal < shoot.startLocal);

/** What shoots before this one, and practice, teach it. */
export function lessonsFor(
  shoot: Shoot,
  all: readonly Shoot[],
  practice: Practice = FIRST_PRACTICE,
): readonly Lesson[] {
  const earlier = earlierOf(shoot, all);
  const here = othersHere(shoot, earlier);
  return [
    ...panLesson(shoot, earlier, practice),
    ...pressLesson(shoot, practice),
    ...lightLesson(shoot, here),
    ...floorLessons(shoot, earlier),
    ...tiredLesson(shoot, earlier),
    ...isoLesson(shoot, earlier.flatMap(matchedFrames)),
    ...framesLesson(shoot, here),
    ...owedLessons(shoot, here),
  ];
}

/** A new plan with all that earlier shoots and practice teach: each lesson stands in its brief and can be left out. */
export const taughtByEarlier = (
  shoot: Shoot,
  all: readonly Shoot[],
  practice: Practice = FIRST_PRACTICE,
): Shoot => lessonsFor(shoot, all, practice).reduce((plan, lesson) => lesson.apply(plan), shoot);
