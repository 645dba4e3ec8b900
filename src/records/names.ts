import type { Person } from './brief';
import type { DayEventRecord } from './day';
import type { Shoot } from './shoot';

/** People's names as different lists write them, and events put to those of the brief. */

/** What two spellings of one name have in common: "LOCK, Ash", "Ash Lock" and "ash  lock" are one. */
export const nameKey = (name: string): string =>
  name
    .normalize('NFKD')
    .replace(/\p{M}/gu, '')
    .toLowerCase()
    .replace(/ß/g, 'ss')
    .split(/[^\p{L}\p{N}]+/u)
    .filter(Boolean)
    .sort()
    .join(' ');

/**
 * Looks people of a brief up by their names, or where a list has a number for a name by the one who alone wears it. A bib
 * beside another name tells nobody: other schools wear the same.
 */
export function personFinder(
  people: readonly Person[],
): (written: { readonly name: string }) => Person | undefined {
  const byName = new Map<string, Person | undefined>();
  const byNumber = new Map<string, Person | undefined>();
  // What two share tells neither.
  const put = (map: Map<string, Person | undefined>, key: string, person: Person) =>
    map.set(key, map.has(key) ? undefined : person);
  for (const person of people) {
    put(byName, nameKey(person.name), person);
    if (person.number) put(byNumber, person.number.toLowerCase(), person);
  }
  return ({ name }) => byName.get(nameKey(name)) ?? byNumber.get(name.trim().toLowerCase());
}

/** The shoot with entries of its events put to people of the brief who are named there. */
export function withPeopleLinked(shoot: Shoot): Shoot {
  const { people, events } = shoot;
  if (people.length === 0) return shoot;
  const find = personFinder(people);
  let changed = false;
  const linked = events.map((event): DayEventRecord => {
    if (event.entries.every(({ personId, name }) => personId || !find({ name }))) return event;
    changed = true;
    return {
      ...event,
      entries: event.entries.map((entry) => {
        const person = entry.personId ? undefined : find(entry);
        return person ? { ...entry, personId: person.id, name: person.name } : entry;
      }),
    };
  });
  return changed ? { ...shoot, events: linked } : shoot;
}
