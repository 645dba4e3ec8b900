/** Short words that one thumb can log. Common practice, no source. */
export const BEHAVIOURS = {
  wild: ['calls', 'hovers', 'dives', 'has a catch', 'feeds', 'displays', 'leaves'],
  sport: ['start', 'finish', 'goal', 'save', 'tackle', 'celebration', 'fall'],
} as const;
