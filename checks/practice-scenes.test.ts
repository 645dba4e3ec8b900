/**
 * Whole scenes with the settings that people report for them: the light is what those settings expose,
 * and the policy has to split it as they did. Common practice, no source. Nothing here is computed with
 * the code under test but the answer. Where practice and answer part, docs/where-we-differ.md says why.
 */
import { answerAsked, type Asked } from '@/features/quick/answer-file';
import { parseShutter } from '@/core';

type Scene = readonly [
  what: string,
  subjectId: Asked['subjectId'],
  runs: Asked['runs'],
  distanceM: number,
  bodyId: Asked['bodyId'],
  lens: readonly [id: Asked['lensId'], focalMm: number],
  more: Partial<Asked>,
  reported: readonly [shutter: string, aperture: number, iso: number],
];

const FF = 'full-frame-24';
const SEVENTY = ['70-200-2.8', 200] as const;
const AT_100 = ['70-200-2.8', 100] as const;
const AT_135 = ['70-200-2.8', 135] as const;
const WIDE = ['24-70-2.8', 70] as const;
const MONOPOD = { support: 'monopod' } as const;
const TRIPOD = { support: 'tripod' } as const;

const SCENES: readonly Scene[] = [
  ['sunny field', 'field-player', 'across', 40, FF, ['300-4', 300], MONOPOD, ['1/2000', 4, 200]],
  [
    'sunny field, slower school',
    'field-player',
    'diagonal',
    40,
    FF,
    ['300-4', 300],
    MONOPOD,
    ['1/1000', 4, 100],
  ],
  ['dusk kick-off', 'field-player', 'across', 30, FF, SEVENTY, {}, ['1/1000', 2.8, 500]],
  ['dusk kick-off, later', 'field-player', 'diagonal', 30, FF, SEVENTY, {}, ['1/1000', 2.8, 1000]],
  ['dusk, running at you', 'field-player', 'towards', 25, FF, SEVENTY, {}, ['1/1250', 3.2, 1000]],
  ['weak floodlights', 'field-player', 'across', 30, FF, SEVENTY, {}, ['1/1000', 2.8, 8000]],
  [
    'weak floodlights, dim corner',
    'field-player',
    'diagonal',
    25,
    FF,
    SEVENTY,
    {},
    ['1/1000', 2.8, 10_000],
  ],
  ['school hall', 'court-jump', 'across', 15, FF, AT_135, {}, ['1/1000', 2.8, 6400]],
  [
    'school hall, under the basket',
    'court-jump',
    'diagonal',
    12,
    FF,
    AT_100,
    {},
    ['1/1000', 2.8, 10_000],
  ],
  ['spike at the net', 'court-jump', 'towards', 14, FF, AT_135, {}, ['1/1000', 2.8, 6400]],
  [
    'sports hall at its darkest',
    'court-jump',
    'across',
    14,
    FF,
    AT_135,
    {},
    ['1/1000', 2.8, 12_800],
  ],
  [
    '1.5x body in a hall',
    'court-jump',
    'across',
    15,
    'crop-1.5-26',
    AT_100,
    {},
    ['1/800', 2.8, 6400],
  ],
  [
    '2x body in a hall',
    'court-jump',
    'diagonal',
    15,
    'two-x-20',
    ['70-200-2.8', 75],
    {},
    ['1/800', 2.8, 6400],
  ],
  ['night stadium', 'sprinter', 'diagonal', 50, FF, ['400-4', 400], MONOPOD, ['1/1600', 4, 5000]],
  ['sprint finish, cloudy', 'sprinter', 'across', 30, FF, SEVENTY, {}, ['1/1600', 2.8, 800]],
  [
    'hurdles head-on',
    'sprinter',
    'towards',
    40,
    FF,
    ['300-2.8', 300],
    MONOPOD,
    ['1/1600', 2.8, 500],
  ],
  [
    'distance runners, bend',
    'distance-runner',
    'diagonal',
    25,
    FF,
    SEVENTY,
    {},
    ['1/1000', 2.8, 400],
  ],
  ['batter, cloudy', 'batter', 'across', 35, FF, ['300-2.8', 300], MONOPOD, ['1/2000', 2.8, 800]],
  [
    'batter under weak lamps',
    'batter',
    'across',
    30,
    FF,
    ['300-2.8', 300],
    MONOPOD,
    ['1/1000', 2.8, 6400],
  ],
  [
    'stick strike at dusk',
    'field-player-swing',
    'across',
    30,
    FF,
    SEVENTY,
    {},
    ['1/1250', 2.8, 1600],
  ],
  [
    'coach’s reaction under lamps',
    'standing',
    'towards',
    20,
    FF,
    SEVENTY,
    { technique: 'reaction' },
    ['1/250', 2.8, 2000],
  ],
  [
    'bench between plays, dusk',
    'field-player',
    'towards',
    25,
    FF,
    SEVENTY,
    { technique: 'reaction' },
    ['1/500', 2.8, 800],
  ],
  [
    'portrait of an athlete, cloudy',
    'standing',
    'towards',
    6,
    FF,
    ['85-1.8', 85],
    { technique: 'portrait' },
    ['1/500', 1.8, 100],
  ],
  [
    'swimmer, indoor pool',
    'swimmer',
    'diagonal',
    15,
    FF,
    ['300-2.8', 300],
    MONOPOD,
    ['1/1000', 2.8, 3200],
  ],
  ['diver against the stands', 'diver', 'across', 20, FF, SEVENTY, {}, ['1/1250', 2.8, 3200]],
  ['cyclists head-on, cloudy', 'cyclist', 'towards', 25, FF, SEVENTY, {}, ['1/1000', 2.8, 200]],
  [
    'pan of a cyclist, bright',
    'cyclist',
    'across',
    10,
    FF,
    WIDE,
    { technique: 'pan' },
    ['1/60', 16, 100],
  ],
  [
    'pan of a runner, cloudy',
    'distance-runner',
    'across',
    12,
    FF,
    AT_100,
    { technique: 'pan' },
    ['1/30', 11, 100],
  ],
  [
    'pan of a sprint canoe',
    'sprint-canoe',
    'across',
    35,
    FF,
    SEVENTY,
    { technique: 'pan' },
    ['1/60', 11, 100],
  ],
  [
    'sprint canoe frozen',
    'sprint-canoe',
    'diagonal',
    40,
    FF,
    ['300-4', 300],
    MONOPOD,
    ['1/1600', 5.6, 250],
  ],
  ['gallop, cloudy', 'galloping-horse', 'across', 30, FF, SEVENTY, {}, ['1/1600', 2.8, 250]],
  ['skier in a turn', 'skier', 'diagonal', 40, FF, SEVENTY, {}, ['1/2000', 5.6, 100]],
  [
    'snow as streaks',
    'walker',
    'across',
    10,
    FF,
    ['85-1.8', 85],
    { technique: 'streak', ...TRIPOD },
    ['1/30', 5.6, 100],
  ],
  ['person walking, shade', 'walker', 'diagonal', 15, FF, SEVENTY, {}, ['1/500', 2.8, 400]],
  [
    'bird walk, perched in sun',
    'small-bird-perched',
    'across',
    10,
    FF,
    ['100-400-6.3', 400],
    {},
    ['1/1000', 6.3, 400],
  ],
  [
    'bird walk under cloud, a gull',
    'gull',
    'across',
    30,
    FF,
    ['100-400-6.3', 400],
    {},
    ['1/1000', 6.3, 1600],
  ],
  [
    'singing bird',
    'small-bird-perched',
    'across',
    8,
    FF,
    ['500-5.6', 500],
    TRIPOD,
    ['1/400', 5.6, 400],
  ],
  [
    'kingfisher on its perch, morning',
    'kingfisher-perched',
    'across',
    8,
    FF,
    ['600-4', 600],
    TRIPOD,
    ['1/500', 4, 400],
  ],
  [
    'kingfisher on its perch, dim',
    'kingfisher-perched',
    'across',
    8,
    FF,
    ['600-4', 600],
    TRIPOD,
    ['1/100', 4, 1600],
  ],
  [
    'kingfisher diving',
    'kingfisher-dive',
    'across',
    10,
    FF,
    ['400-2.8', 400],
    TRIPOD,
    ['1/3200', 2.8, 1600],
  ],
  ['duck under cloud', 'duck', 'across', 35, FF, ['500-5.6', 500], {}, ['1/2000', 5.6, 1600]],
  ['heron, bright', 'heron', 'diagonal', 60, FF, ['500-5.6', 500], MONOPOD, ['1/1600', 5.6, 500]],
  [
    'small bird in flight, cloudy',
    'small-bird-flight',
    'across',
    15,
    FF,
    ['400-2.8', 400],
    {},
    ['1/3200', 2.8, 1600],
  ],
  [
    'butterfly on a flower',
    'butterfly-flower',
    'across',
    0.8,
    FF,
    ['100-2.8', 100],
    {},
    ['1/400', 5.6, 400],
  ],
  ['hare at dusk', 'hare', 'across', 40, FF, ['600-4', 600], MONOPOD, ['1/1250', 4, 3200]],
  [
    'deep forest floor',
    'small-bird-perched',
    'across',
    10,
    FF,
    ['300-4', 300],
    TRIPOD,
    ['1/40', 4, 800],
  ],
];

const stops = (a: number, b: number) => Math.log2(a / b);

const solved = SCENES.map(
  ([
    what,
    subjectId,
    runs,
    distanceM,
    bodyId,
    [lensId, focalMm],
    more,
    [shutter, aperture, iso],
  ]) => {
    const shutterS = parseShutter(shutter);
    const answer = answerAsked({
      subjectId,
      runs,
      distanceM,
      bodyId,
      lensId,
      focalMm,
      orientation: 'level',
      converter: 1,
      support: 'hand',
      technique: 'freeze',
      school: 'balanced',
      ...more,
      light: { triad: { shutterS, aperture, iso, stopsDark: 0 } },
    });
    const { settings, filterStops } = answer;
    return {
      what,
      shutterOff: stops(shutterS, settings.shutterS),
      // What a filter takes is not ISO that was missed.
      isoOff: stops(settings.iso, iso),
      filterStops,
      settings,
    };
  },
);

const missed = (limit: number, off: (scene: (typeof solved)[number]) => number) =>
  solved
    .filter((scene) => Math.abs(off(scene)) > limit)
    .map(({ what, ...scene }) => `${what} ${off({ what, ...scene }).toFixed(2)}`);

test('of over forty scenes 85 in 100 come within one stop of the shutter in use', () => {
  expect(SCENES.length).toBeGreaterThanOrEqual(40);
  const off = missed(1.01, ({ shutterOff }) => shutterOff);
  expect({ off, share: off.length / SCENES.length <= 0.15 }).toMatchObject({ share: true });
});

test('and 85 in 100 within 0.7 stop of the ISO in use', () => {
  const off = missed(0.71, ({ isoOff }) => isoOff);
  expect({ off, share: off.length / SCENES.length <= 0.15 }).toMatchObject({ share: true });
});
