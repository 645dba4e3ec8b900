/** Short words that one thumb can log. Common practice, no source. */
const WILD = ['calls', 'hovers', 'dives', 'has a catch', 'feeds', 'displays', 'leaves'] as const;
const RACE = ['start', 'leads', 'finish', 'celebration', 'fall'] as const;
const GAME = ['goal', 'save', 'tackle', 'start', 'finish', 'celebration', 'fall'] as const;

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

/** What a subject may be seen to do. */
export const behavioursOf = (subject: {
  readonly id: string;
  readonly basedOn?: string;
  readonly cautions?: readonly string[];
}): readonly string[] => {
  if (subject.cautions?.includes('wildlife')) return WILD;
  return RACERS.has(subject.basedOn ?? subject.id) ? RACE : GAME;
};

/** What came, whatever it did: "Kingfisher" of "Kingfisher on the perch" and of "Kingfisher diving". */
export const creatureOf = (name: string): string =>
  name.split(/ (?:on|in|at) | \w+ing\b|, /)[0] ?? name;
