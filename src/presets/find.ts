import { BODIES, type Body } from './bodies';
import { LENSES, type LensPreset } from './lenses';
import { SUBJECTS, type SubjectPreset } from './subjects';

function find<T extends { readonly id: string }>(list: readonly T[], what: string, id: string): T {
  const found = list.find((entry) => entry.id === id);
  if (!found)
    throw new RangeError(`${what} ${id}: must be one of ${list.map((e) => e.id).join(', ')}`);
  return found;
}

export const bodyById = (id: string): Body => find(BODIES, 'bodyId', id);
export const lensById = (id: string): LensPreset => find(LENSES, 'lensId', id);
export const subjectById = (id: string): SubjectPreset => find(SUBJECTS, 'subjectId', id);
