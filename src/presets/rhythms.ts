/** What repeats in a subject, and what falls past it. Every rate: common practice, no source. */
export interface Rhythm {
  readonly what: string;
  readonly perS: number;
}

/** By subject preset. */
export const RHYTHMS: Readonly<Record<string, Rhythm>> = {
  'field-player': { what: 'step', perS: 3.7 },
  walker: { what: 'step', perS: 2 },
  'distance-runner': { what: 'step', perS: 3 },
  sprinter: { what: 'step', perS: 4.5 },
  'galloping-horse': { what: 'stride', perS: 2.3 },
  'sprint-canoe': { what: 'stroke', perS: 2 },
  swimmer: { what: 'stroke', perS: 0.9 },
  'small-bird-flight': { what: 'wing beat', perS: 20 },
  duck: { what: 'wing beat', perS: 9 },
  gull: { what: 'wing beat', perS: 3 },
  heron: { what: 'wing beat', perS: 2.2 },
  'butterfly-flight': { what: 'wing beat', perS: 10 },
  'hockey-ball': { what: 'turn', perS: 15 },
  'spiked-ball': { what: 'turn', perS: 8 },
  'served-ball': { what: 'turn', perS: 40 },
};

/** Subjects that hang for a moment at the top of a jump. */
export const HANGS: ReadonlySet<string> = new Set([
  'court-jump',
  'high-jumper',
  'pole-vaulter',
  'diver',
]);

/** What falls through a picture: from the sky, or thrown up by those in the water. */
export const FALLING = [
  { name: 'snow', speedMs: 1.2, from: 'sky' },
  { name: 'rain', speedMs: 8, from: 'sky' },
  { name: 'thrown water', speedMs: 4, from: 'water' },
] as const;
