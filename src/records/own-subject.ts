import { subjectById } from '@/presets/find';
import { SUBJECTS, type SubjectPreset } from '@/presets/subjects';
import type { OwnSubject } from './brief';
import type { Shoot } from './shoot';

/** A subject of one's own as the figures take it: the preset's parts at its own size and pace. */
export function presetOf(own: OwnSubject): SubjectPreset {
  const base = subjectById(own.basedOn);
  const size = own.heightM / base.heightM;
  return {
    ...base,
    id: own.id,
    name: own.name,
    basedOn: own.basedOn,
    heightM: own.heightM,
    depthM: own.depthM,
    speedMs: own.speedMs,
    parts: base.parts.map((part) => ({
      ...part,
      aheadM: part.aheadM * size,
      leftM: part.leftM * size,
      upM: part.upM * size,
      // A wing or a stick keeps its own speed: what was timed is the body's.
      ...(part.swing && { swing: { ...part.swing, radiusM: part.swing.radiusM * size } }),
    })),
  };
}

/** A shoot's subject by its id. @throws RangeError for one there is none of */
export function subjectOf({ subjects }: Pick<Shoot, 'subjects'>, id: string): SubjectPreset {
  const own = subjects.find((subject) => subject.id === id);
  return own ? presetOf(own) : subjectById(id);
}

/** Every subject that a mark of the shoot can have, one's own first. */
export const subjectOptions = ({ subjects }: Pick<Shoot, 'subjects'>) =>
  [...subjects, ...SUBJECTS].map(({ id, name }) => ({ value: id, label: name }));
