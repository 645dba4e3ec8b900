import type { Background, Technique } from '@/core';

/** A picture that people want on a ground, in the words they use, with how it is usually taken. */
export interface ShotPhrase {
  readonly name: string;
  /** Marks of the ground's template that it happens at, the likeliest first. */
  readonly at: readonly string[];
  readonly technique: Technique;
  readonly fill: number;
  readonly orientation: 'level' | 'upright';
  readonly background: Background;
  readonly light: 'any' | 'front' | 'side' | 'back';
  /** The part that must be sharp. */
  readonly sharp?: string;
  readonly quota: number;
}

/** How a kind of picture is usually taken; a phrase says only what is its own. */
const usual = (
  name: string,
  at: readonly string[],
  own: Partial<Omit<ShotPhrase, 'name' | 'at'>> = {},
): ShotPhrase => ({
  name,
  at,
  technique: 'freeze',
  fill: 0.6,
  orientation: 'level',
  background: 'washed',
  light: 'front',
  quota: 2,
  ...own,
});
const pan = (name: string, at: readonly string[], fill = 0.5): ShotPhrase =>
  usual(name, at, { technique: 'pan', fill, background: 'any', light: 'any', quota: 1 });
const face = (name: string, at: readonly string[] = []): ShotPhrase =>
  usual(name, at, {
    technique: 'reaction',
    orientation: 'upright',
    fill: 0.8,
    light: 'any',
    quota: 3,
  });
const story = (name: string, at: readonly string[] = []): ShotPhrase =>
  usual(name, at, {
    technique: 'story',
    fill: 0.25,
    background: 'layered',
    light: 'any',
    quota: 1,
  });
const portrait = (name: string, at: readonly string[]): ShotPhrase =>
  usual(name, at, { technique: 'portrait', fill: 0.5, quota: 2 });
const against = (name: string, at: readonly string[]): ShotPhrase =>
  usual(name, at, {
    technique: 'silhouette',
    fill: 0.4,
    background: 'sky',
    light: 'back',
    quota: 1,
  });

const BENCH = face('Faces on the bench', ['bench']);
const CHEER = face('Celebration', []);

/** Grounds by the beginning of their ids, first match. Common practice, no source. */
const PHRASES: readonly (readonly [ground: RegExp, phrases: readonly ShotPhrase[]])[] = [
  [
    /^field-hockey/,
    [
      usual('Strike at a penalty corner', ['penalty-corner', 'attack'], { quota: 3 }),
      usual('Keeper at full stretch', ['keeper', 'attack']),
      usual('Duel for the ball', ['midfield', 'attack']),
      pan('Counter-attack, panned', ['midfield']),
      BENCH,
      story('The ground with its spectators', ['midfield']),
    ],
  ],
  [
    /^association/,
    [
      usual('Header in the box', ['box'], { orientation: 'upright', background: 'washed' }),
      usual('Shot at goal', ['box']),
      usual('Winger at full pace', ['wing'], { orientation: 'upright' }),
      pan('Winger, panned', ['wing']),
      CHEER,
      BENCH,
    ],
  ],
  [
    /^rugby/,
    [
      usual('Run for the line', ['try-line'], { quota: 3 }),
      usual('Line-out at its height', ['line-out'], { orientation: 'upright', background: 'sky' }),
      usual('Tackle', ['try-line']),
      CHEER,
      BENCH,
    ],
  ],
  [
    /^lacrosse/,
    [
      usual('Shot on the crease', ['shot'], { quota: 3 }),
      usual('Duel at the restart', ['shot']),
      BENCH,
      CHEER,
    ],
  ],
  [
    /^gridiron/,
    [
      usual('Runner with the ball, coming at you', ['runner'], {
        orientation: 'upright',
        quota: 3,
      }),
      usual('Catch in the end zone', ['catch'], { orientation: 'upright' }),
      usual('Quarterback looking for a pass', ['runner']),
      face('Coach on the sideline', ['bench']),
      BENCH,
      CHEER,
    ],
  ],
  [
    /^(baseball|softball)/,
    [
      usual('Bat meets ball', ['batter'], { sharp: 'bat tip', quota: 3 }),
      usual('Pitcher releasing', ['pitcher']),
      usual('Slide at second, tag coming down', ['second', 'first'], { quota: 2 }),
      usual('Throw to first', ['first']),
      BENCH,
      CHEER,
    ],
  ],
  [
    /^basketball/,
    [
      usual('Lay-up, ball leaving the hand', ['lay-up'], { orientation: 'upright', quota: 3 }),
      usual('Block under the basket', ['lay-up'], { orientation: 'upright' }),
      usual('Fast break, coming at you', ['break'], { orientation: 'upright' }),
      usual('Bringing it over half court', ['half-court'], { orientation: 'upright' }),
      face('Coach and bench', ['bench']),
      CHEER,
    ],
  ],
  [
    /volleyball/,
    [
      usual('Spike over the net', ['spike'], { orientation: 'upright', quota: 3 }),
      usual('Block at the net', ['spike']),
      usual('Dig, body stretched', ['dig', 'serve']),
      usual('Server with the ball in the air', ['serve'], { orientation: 'upright' }),
      CHEER,
    ],
  ],
  [
    /^tennis/,
    [
      usual('Serve at full stretch', ['serve'], { orientation: 'upright', quota: 3 }),
      usual('Stroke on the baseline, ball in frame', ['baseline'], { quota: 3 }),
      face('Fist after the point', ['baseline']),
      pan('Run along the baseline, panned', ['baseline']),
    ],
  ],
  [
    /^ice-rink/,
    [
      usual('Shot from the slot', ['slot'], { quota: 3 }),
      usual('Keeper down', ['slot']),
      pan('Breakaway, panned', ['slot']),
      CHEER,
      BENCH,
    ],
  ],
  [
    /^athletics/,
    [
      usual('Sprint finish, chest on the line', ['finish'], { orientation: 'upright', quota: 3 }),
      usual('Over the hurdle', ['hurdle-five'], { orientation: 'upright' }),
      usual('Out of the blocks', ['blocks'], { quota: 2 }),
      usual('Baton changing hands', ['exchange']),
      usual('Runners off the last bend', ['bend']),
      usual('Over the bar, face seen', ['high-jump']),
      usual('Over the vault’s bar', ['vault']),
      usual('Sand flying at the pit', ['long-jump']),
      usual('Discus leaving the hand', ['discus']),
      pan('Runner, panned', ['bend']),
      face('At the finish, just after', ['finish']),
    ],
  ],
  [
    /^pool/,
    [
      usual('Freestyle, breathing to you', ['freestyle'], { fill: 0.5, quota: 3 }),
      usual('Breaststroke, head on', ['breaststroke'], { fill: 0.5, quota: 2 }),
      usual('Off the blocks', ['start']),
      face('Looking at the scoreboard', ['reaction-start', 'freestyle']),
      usual('Arms drawn out, backstroke', ['backstroke', 'freestyle'], {
        technique: 'streak',
        fill: 0.5,
        quota: 1,
      }),
    ],
  ],
  [
    /^sprint-course/,
    [
      usual('Last strokes before the line', ['lane-4', 'lane-7'], { quota: 3 }),
      pan('Boat, panned', ['lane-2-half', 'lane-4', 'lane-7']),
      usual('First strokes at the start', ['start', 'lane-7']),
      face('Faces after the line', ['lane-4', 'lane-7']),
      story('The field of boats and the bank', ['lane-2-half', 'lane-7']),
    ],
  ],
  [
    /^road/,
    [
      usual('Rider head on', ['straight'], { orientation: 'upright', quota: 3 }),
      usual('Leaning into the bend', ['bend']),
      pan('Riders, panned', ['straight']),
      story('The bunch in the landscape', ['straight']),
    ],
  ],
  [
    /^ski/,
    [
      usual('Turn with the snow flying', ['turn'], { quota: 3 }),
      pan('Skier, panned', ['turn']),
      against('Against the low sun', ['turn']),
      story('Skier in the slope', ['turn']),
    ],
  ],
  [
    /^climbing/,
    [
      usual('Reach for the hold', ['climber'], { orientation: 'upright', quota: 3 }),
      face('Face at the hard move', ['climber']),
      story('Climber and the whole wall', ['climber']),
    ],
  ],
  [
    /^skate-hall/,
    [
      usual('Top of the jump, body hanging', ['jump'], { orientation: 'upright', quota: 3 }),
      pan('Run-up, panned', ['jump']),
      usual('Dark shape before the windows', ['jump'], {
        technique: 'silhouette',
        fill: 0.4,
        background: 'any',
        light: 'back',
        quota: 1,
      }),
      face('Friends watching'),
    ],
  ],
  [
    /^skate/,
    [
      usual('Top of the jump, body hanging', ['jump'], { orientation: 'upright', quota: 3 }),
      pan('Run-up, panned', ['jump']),
      against('Jump against the sky', ['jump']),
      face('Friends watching'),
    ],
  ],
  [
    /^trail-run/,
    [
      usual('Runner coming up the path', ['climb'], { orientation: 'upright', quota: 3 }),
      usual('Splash at the crossing', ['ford'], { quota: 2 }),
      pan('Runner between the trees, panned', ['climb']),
      story('Runner small in the landscape', ['climb']),
      face('Faces at the top', ['climb']),
    ],
  ],
  [
    /^singing-path/,
    [
      usual('Singing, bill open', ['bush-a', 'bush-b', 'bush-c', 'bush-d'], {
        technique: 'still',
        fill: 0.4,
        quota: 3,
      }),
      portrait('Portrait on the twig', ['bush-b', 'bush-a']),
      against('Against the dawn', ['bush-d', 'bush-a']),
      story('Bird and bush', ['bush-c']),
    ],
  ],
  [
    /^reed-edge/,
    [
      portrait('At the water’s edge', ['edge']),
      usual('Strike at a fish', ['edge'], { fill: 0.4, quota: 2 }),
      usual('Out of the reeds, wings open', ['lift-off'], { fill: 0.4, quota: 2 }),
      against('Against the mist', ['edge']),
    ],
  ],
  [
    /^animal-clearing/,
    [
      portrait('Standing, head up', ['grazing']),
      usual('Trotting across', ['crossing'], { fill: 0.4, quota: 2 }),
      story('Animal and clearing', ['grazing']),
      against('Breath against the light', ['grazing']),
    ],
  ],
  [
    /^feeder/,
    [
      portrait('Bird on the last perch', ['perch']),
      usual('Arriving, wings open', ['arrival'], { fill: 0.4, quota: 3 }),
      usual('Two at once', ['perch'], { fill: 0.4 }),
      story('Bird and garden', ['perch']),
    ],
  ],
  [
    /^river-hide/,
    [
      portrait('Kingfisher on the perch', ['perch', 'perch-a', 'perch-b']),
      usual('The dive', ['dive', 'dive-pool'], { fill: 0.3, quota: 3 }),
      usual('With a catch', ['perch', 'perch-a'], { technique: 'still' }),
      against('Perch against the mist', ['perch', 'perch-a']),
    ],
  ],
  [
    /^singing-hedge/,
    [
      usual('Singing, bill open', ['post'], { technique: 'still', fill: 0.4, quota: 3 }),
      portrait('Portrait on the twig', ['post']),
      against('Against the dawn', ['post']),
    ],
  ],
  [
    /^butterfly/,
    [
      usual('From the side, wings closed', ['flower'], { technique: 'still', fill: 0.5, quota: 3 }),
      usual('From above, wings open', ['flower'], { technique: 'still', fill: 0.5 }),
      usual('Head on', ['flower'], { technique: 'still', fill: 0.5 }),
      story('Flower and meadow', ['flower']),
    ],
  ],
  [
    /^forest/,
    [
      usual('Feeding on the fruit', ['fruit'], { technique: 'still', fill: 0.3, quota: 3 }),
      portrait('Portrait in the clearing', ['fruit']),
      story('Bird and forest', ['fruit']),
    ],
  ],
];

const ANYWHERE: readonly ShotPhrase[] = [
  usual('The moment of action', []),
  pan('Passing, panned', []),
  portrait('Portrait', []),
  face('Faces between'),
  story('The place and what goes on', []),
];

/** Pictures that people want on a ground. */
export const phrasesOf = (template: string): readonly ShotPhrase[] =>
  PHRASES.find(([ground]) => ground.test(template))?.[1] ?? ANYWHERE;
