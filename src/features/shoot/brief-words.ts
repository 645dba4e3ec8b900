import type { Background, Technique } from '@/core';
import type { SubjectPreset } from '@/presets/subjects';
import type { FORBIDDABLE, Person, Shot } from '@/records/brief';

import { written } from '@/ui/units';

/** The brief in words. */

export const TECHNIQUE_NAMES: Readonly<Record<Technique, string>> = {
  freeze: 'Freeze',
  pan: 'Pan',
  streak: 'Streaks',
  still: 'Still',
  silhouette: 'Silhouette',
  story: 'Story',
  reaction: 'Reaction',
  portrait: 'Portrait',
};

export const TECHNIQUE_WHY: Readonly<Record<Technique, string>> = {
  freeze: 'every part sharp at full pace',
  pan: 'the camera follows, the background streaks',
  streak: 'snow, rain or water drawn out',
  still: 'at rest: held as still as can be',
  silhouette: 'exposed for the sky behind',
  story: 'subject and what is round it, in layers',
  reaction: 'faces between the plays, slower and cleaner',
  portrait: 'a face against a washed background',
};

export const BACKGROUND_NAMES: Readonly<Record<Background, string>> = {
  any: 'Any background',
  washed: 'Washed out',
  layered: 'Layers to read',
  sky: 'Sky',
  contrast: 'Colour contrast',
};

export const PRIORITY_NAMES = { must: 'Must', should: 'Should', could: 'Could' } as const;

export const FORBIDDEN_NAMES: Readonly<Record<(typeof FORBIDDABLE)[number], string>> = {
  flash: 'Flash',
  tripod: 'Tripods',
  drone: 'Drones',
  remote: 'Remotes',
  playback: 'Playback',
  children: 'Children without consent',
};

/** "Must · 3 owed · Freeze, stick tip sharp". */
export function shotInWords({ priority, quota, technique, sharp }: Shot): string {
  const owed = quota === 1 ? 'one owed' : `${quota} owed`;
  return `${PRIORITY_NAMES[priority]} · ${owed} · ${TECHNIQUE_NAMES[technique]}${sharp ? `, ${sharp} sharp` : ''}`;
}

/** "No. 9, lane 4, red cap, breathes left". */
export function personInWords({
  number,
  lane,
  cap,
  breathes,
  foot,
  hand,
}: Partial<Person>): string {
  return [
    number && `No. ${number}`,
    lane !== undefined && `lane ${lane}`,
    cap && `${cap} cap`,
    breathes && `breathes ${breathes === 'both' ? 'both sides' : `to the ${breathes}`}`,
    foot && `${foot} foot`,
    hand && `${hand} hand`,
  ]
    .filter(Boolean)
    .join(', ');
}

/** "1.75 m tall, 7.0 m/s; hand to 11.2 m/s, foot to 14.0 m/s". */
export function subjectInWords({ heightM, speedMs, parts }: SubjectPreset): string {
  const pace = (ms: number) => written(ms, 'm/s', 1);
  const faster = parts
    .map(({ name, bodyShare, swing }) => ({
      name,
      fastestMs: speedMs * bodyShare + (swing?.speedMs ?? 0),
    }))
    .filter(({ fastestMs }) => fastestMs > speedMs * 1.01)
    .map(({ name, fastestMs }) => `${name} to ${pace(fastestMs)}`);
  return [
    `${written(heightM, 'm', 2)} tall, ${pace(speedMs)}`,
    ...(faster.length ? [faster.join(', ')] : []),
  ].join('; ');
}
