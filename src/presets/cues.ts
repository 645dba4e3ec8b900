/** Signs before a moment, in their order, for those who know their game and their animal. Common practice, no source. */

export interface Sign {
  readonly text: string;
  /** How long before the moment, about; the moment itself is 0. */
  readonly beforeS: number;
}

export interface Signs {
  readonly id: string;
  readonly name: string;
  /** Presets whose signs they are. */
  readonly subjects: readonly string[];
  /** The first comes first; the last is the moment. */
  readonly signs: readonly Sign[];
}

const signs = (...rows: readonly (readonly [text: string, beforeS: number])[]): readonly Sign[] =>
  rows.map(([text, beforeS]) => ({ text, beforeS }));

export const CUES: readonly Signs[] = [
  {
    id: 'corner',
    name: 'Penalty corner',
    subjects: ['field-player', 'field-player-swing', 'hockey-ball'],
    signs: signs(
      ['The ball is pushed out', 2.4],
      ['It is stopped at the top of the circle', 1.2],
      ['The stick goes back', 0.5],
      ['Strike', 0],
    ),
  },
  {
    id: 'pitch',
    name: 'A pitch',
    subjects: ['batter'],
    signs: signs(
      ['The pitcher comes set', 3],
      ['A leg is lifted', 1.4],
      ['The arm comes over', 0.5],
      ['Ball on the bat', 0],
    ),
  },
  {
    id: 'spike',
    name: 'An attack at the net',
    subjects: ['court-jump', 'spiked-ball', 'served-ball'],
    signs: signs(
      ['The serve is received', 3],
      ['The ball is set', 1.5],
      ['The last two steps', 0.8],
      ['Arms thrown up', 0.35],
      ['Hit', 0],
    ),
  },
  {
    id: 'sprint-start',
    name: 'A sprint start',
    subjects: ['sprinter', 'distance-runner', 'walker'],
    signs: signs(
      ['“On your marks”', 12],
      ['Hands on the line', 6],
      ['“Set”: hips rise', 1.8],
      ['The gun', 0.15],
      ['First step', 0],
    ),
  },
  {
    id: 'canoe-start',
    name: 'A start on the water',
    subjects: ['sprint-canoe'],
    signs: signs(
      ['Bows in line', 10],
      ['“Ready”', 3],
      ['“Set”: blades in', 1.5],
      ['“Go”', 0.2],
      ['First stroke', 0],
    ),
  },
  {
    id: 'swim-start',
    name: 'A start from the block',
    subjects: ['swimmer', 'diver'],
    signs: signs(
      ['The long whistle', 8],
      ['“Take your marks”', 2.5],
      ['Still on the block', 1],
      ['The signal', 0.2],
      ['Off the block', 0],
    ),
  },
  {
    id: 'fishing',
    name: 'A kingfisher fishing',
    subjects: ['kingfisher-perched', 'kingfisher-dive'],
    signs: signs(
      ['It looks down and stays so', 6],
      ['The head bobs', 2.5],
      ['It leans forward', 0.6],
      ['It drops', 0],
    ),
  },
  {
    id: 'leaving',
    name: 'A small bird leaving',
    subjects: ['small-bird-perched', 'small-bird-flight'],
    signs: signs(
      ['The song stops', 4],
      ['It turns the way it will go', 2],
      ['It crouches, feathers flat', 0.4],
      ['Wings open', 0],
    ),
  },
  {
    id: 'large-off',
    name: 'A large bird taking off',
    subjects: ['duck', 'gull', 'heron'],
    signs: signs(
      ['It turns into the wind', 6],
      ['The neck is stretched', 2],
      ['It crouches', 0.6],
      ['Wings up', 0],
    ),
  },
  {
    id: 'bolt',
    name: 'A deer or hare bolting',
    subjects: ['deer', 'hare'],
    signs: signs(
      ['The head comes up', 8],
      ['Both ears turn one way', 4],
      ['It stands stiff', 1.5],
      ['Off', 0],
    ),
  },
];
