/** Short words that one thumb can log, by what is played. Common practice, no source. */
const WILD = [
  ...(['calls', 'hovers', 'dives', 'has a catch', 'feeds', 'displays'] as const),
  // What tells that one is too near.
  ...(['looks up', 'leaves'] as const),
];
const RACE = ['start', 'leads', 'finish', 'celebration', 'fall'] as const;
const GOALS = ['goal', 'save', 'tackle', 'start', 'finish', 'celebration', 'fall'] as const;

/** Games told by the name of their ground, first match. */
const GAMES: readonly (readonly [ground: RegExp, tags: readonly string[]])[] = [
  [/^gridiron/, ['touchdown', 'catch', 'tackle', 'sack', 'kick', 'celebration', 'bench']],
  [/^rugby/, ['try', 'tackle', 'line-out', 'scrum', 'kick', 'celebration', 'fall']],
  [/^(baseball|softball)/, ['hit', 'pitch', 'catch', 'slide', 'out', 'home run', 'celebration']],
  [/^basketball/, ['shot', 'dunk', 'block', 'rebound', 'break', 'celebration', 'bench']],
  [/volleyball/, ['serve', 'spike', 'block', 'dig', 'set', 'celebration', 'bench']],
  [/^tennis/, ['serve', 'return', 'volley', 'point', 'fist', 'celebration']],
  [/^(climbing|skate)/, ['start', 'top', 'trick', 'fall', 'celebration']],
];

/** Subjects that race: they score no goals. */
const RACERS: ReadonlySet<string> = new Set([
  'sprint-canoe',
  'distance-runner',
  'sprinter',
  'cyclist',
  'galloping-horse',
  'skier',
  'swimmer',
]);

/** What a subject may be seen to do on a ground. */
export const behavioursOf = (
  subject: {
    readonly id: string;
    readonly basedOn?: string;
    readonly cautions?: readonly string[];
  },
  template = '',
): readonly string[] => {
  if (subject.cautions?.includes('wildlife')) return WILD;
  if (RACERS.has(subject.basedOn ?? subject.id)) return RACE;
  return GAMES.find(([ground]) => ground.test(template))?.[1] ?? GOALS;
};

/** What came, whatever it did: "Kingfisher" of "Kingfisher on the perch" and of "Kingfisher diving". */
export const creatureOf = (name: string): string =>
  name.split(/ (?:on|in|at) | \w+ing\b|, /)[0] ?? name;
