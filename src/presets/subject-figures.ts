import type { FigureKind, Plumage } from '@/core';
import type { SubjectPreset } from './subjects';

/** Which figure a subject is drawn as. */
const FIGURES: Readonly<Record<string, FigureKind>> = {
  'field-player': 'running',
  'field-player-swing': 'swinging',
  standing: 'standing',
  'kingfisher-perched': 'perched',
  'kingfisher-dive': 'flying',
  'sprint-canoe': 'paddling',
  walker: 'running',
  'distance-runner': 'running',
  sprinter: 'running',
  cyclist: 'riding',
  'desk-fan': 'fan',
  'galloping-horse': 'horse',
  skier: 'skiing',
  swimmer: 'swimming',
  diver: 'diving',
  'court-jump': 'jumping',
  'high-jumper': 'jumping',
  'pole-vaulter': 'jumping',
  climber: 'climbing',
  batter: 'batting',
  thrower: 'throwing',
  pitcher: 'throwing',
  'hockey-ball': 'ball',
  'spiked-ball': 'ball',
  'served-ball': 'ball',
  'small-bird-perched': 'perched',
  'small-bird-flight': 'flying',
  duck: 'flying',
  gull: 'flying',
  heron: 'flying',
  'butterfly-flight': 'butterfly',
  'butterfly-flower': 'butterfly',
  hare: 'fourLegs',
  deer: 'fourLegs',
};

/** The figure of a subject, or of the preset that one's own was made of. */
export const figureOf = ({ id, basedOn }: Pick<SubjectPreset, 'id' | 'basedOn'>): FigureKind =>
  FIGURES[basedOn ?? id] ?? 'standing';

const PLUMAGES: Readonly<Record<string, Plumage>> = {
  'kingfisher-perched': 'blueAndRust',
  'kingfisher-dive': 'blueAndRust',
  gull: 'grey',
  heron: 'grey',
};

/** What a bird wears; brown unless said. */
export const plumageOf = ({ id, basedOn }: Pick<SubjectPreset, 'id' | 'basedOn'>): Plumage =>
  PLUMAGES[basedOn ?? id] ?? 'brown';
