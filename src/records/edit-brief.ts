import type { OwnSubject, Person, Shot } from './brief';
import { withValidEvents } from './edit-events';
import { withPeopleLinked } from './names';
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
  const next = {
    ...shoot,
    [list]: known ? entries.map((old) => (old.id === entry.id ? entry : old)) : [...entries, entry],
  };
  // The order may have named them before.
  return list === 'people' ? withPeopleLinked(next) : next;
}

/** Someone of whom a picture of that shot was owed: of any shot then. */
function withoutShot({ owed, ...person }: Person, shotId: string): Person {
  if (!owed) return person;
  return {
    ...person,
    owed: owed.map(({ shotId: of, keepers }) =>
      of === undefined || of === shotId ? { keepers } : { keepers, shotId: of },
    ),
  };
}

/** The shoot without an entry; whatever stood on it stands on something that is there. */
export function withoutEntry(shoot: Shoot, list: EntryList, id: string): Shoot {
  const entries: readonly { readonly id: string }[] = shoot[list];
  const gone = withValidEvents({ ...shoot, [list]: entries.filter((entry) => entry.id !== id) });
  if (list === 'shots') {
    const { shotId, ...choice } = shoot.choice;
    return {
      ...gone,
      people: gone.people.map((person) => withoutShot(person, id)),
      choice: shotId === undefined || shotId === id ? choice : shoot.choice,
    };
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
