import { MOST_PROMISED, type Person } from './brief';
import { nameKey, withPeopleLinked } from './names';
import type { Shoot } from './shoot';

/** Changes of who is to be found, many at once. */

/** Someone as a list has them; what it does not say stays as it was. */
export type ListedPerson = Omit<Person, 'id'>;

const keyOf = ({ name, client = '' }: Pick<Person, 'name' | 'client'>): string =>
  `${nameKey(name)}|${client.toLowerCase()}`;

/** Those of a list who are there already, by name and client, or by a name that one alone has. */
export function knownAmong(
  people: readonly Person[],
  listed: readonly ListedPerson[],
): ReadonlyMap<ListedPerson, Person> {
  return new Map(
    listed.flatMap((entry) => {
      const same = people.filter((person) => keyOf(person) === keyOf(entry));
      const named = people.filter((person) => nameKey(person.name) === nameKey(entry.name));
      const [only, ...more] =
        same.length > 0 ? same : named.filter(({ client }) => !client || !entry.client);
      return only && more.length === 0 ? [[entry, only] as const] : [];
    }),
  );
}

/**
 * The shoot with the people of a list, put to the events that name them; those who are there take what it says. Nothing is
 * done when they are more than a shoot holds.
 */
export function withListed(
  shoot: Shoot,
  listed: readonly ListedPerson[],
  newId: () => string,
): Shoot {
  const known = knownAmong(shoot.people, listed);
  const byId = new Map([...known].map(([entry, { id }]) => [id, entry]));
  const people = [
    ...shoot.people.map((person): Person => ({
      ...person,
      ...byId.get(person.id),
      ...(person.owed && { owed: person.owed }),
    })),
    ...listed.filter((entry) => !known.has(entry)).map((entry) => ({ ...entry, id: newId() })),
  ];
  return people.length > MOST_PROMISED ? shoot : withPeopleLinked({ ...shoot, people });
}
