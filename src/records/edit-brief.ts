import type { OwnSubject, Person, Shot } from './brief';
import { withValidEvents } from './edit-events';
import type { Shoot } from './shoot';

/** Changes of what was promised, who is to be found, and the subjects of one's own. */

interface Entries {
  readonly shots: Shot;
  readonly people: Person;
  readonly subjects: OwnSubject;
}
export type EntryList = keyof Entries;

/** The shoot with an entry put in place of the one of its id, or at the end. */
export function withEntry<L extends EntryList>(shoot: Shoot, list: L, entry: Entries[L]): Shoot {
  const entries: readonly { readonly id: string }[] = shoot[list];
  const known = entries.some(({ id }) => id === entry.id);
  return {
    ...shoot,
    [list]: known ? entries.map((old) => (old.id === entry.id ? entry : old)) : [...entries, entry],
  };
}

/** The shoot without an entry; whatever stood on it stands on something that is there. */
export function withoutEntry(shoot: Shoot, list: EntryList, id: string): Shoot {
  const entries: readonly { readonly id: string }[] = shoot[list];
  const gone = withValidEvents({ ...shoot, [list]: entries.filter((entry) => entry.id !== id) });
  if (list === 'shots' && shoot.choice.shotId === id) {
    const { shotId: _gone, ...choice } = shoot.choice;
    return { ...gone, choice };
  }
  if (list === 'subjects') {
    const basedOn = shoot.subjects.find((subject) => subject.id === id)?.basedOn;
    return {
      ...gone,
      marks: shoot.marks.map((mark) =>
        mark.subjectId === id && basedOn ? { ...mark, subjectId: basedOn } : mark,
      ),
    };
  }
  return gone;
}
