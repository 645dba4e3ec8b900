import { countedEntries } from './counted';
import type { Person, Shot } from '@/records/brief';
import type { DayEventRecord } from '@/records/day';
import type { Shoot } from '@/records/shoot';

/**
 * Pictures owed of people: how many keepers of whom, of which shot, how many are had, and which events could bring them.
 * The one answer to this question: planner, Day, Field and Log ask here.
 */

export interface PersonOwed {
  /** Of its own among those of a shoot. */
  readonly key: string;
  readonly person: Person;
  /** Only of this shot; of any when absent. */
  readonly shot?: Shot;
  readonly keepers: number;
  readonly delivered: number;
  /** Events of theirs that may bring it, in order. */
  readonly events: readonly DayEventRecord[];
}

type OwingShoot = Pick<Shoot, 'people' | 'events' | 'shots' | 'log' | 'place'>;

/** Everyone owed, in the order of the brief; those who do not start are let go of. */
export function peopleOwed(shoot: OwingShoot): readonly PersonOwed[] {
  const { people, events, shots } = shoot;
  if (people.every(({ owed }) => !owed)) return [];
  const keepers = countedEntries(shoot).flatMap(({ entry }) =>
    entry.kind === 'keeper' ? [entry] : [],
  );
  return people.flatMap((person): PersonOwed[] =>
    person.scratched
      ? []
      : (person.owed ?? []).map(({ keepers: count, shotId }, i) => {
          const shot = shots.find(({ id }) => id === shotId);
          return {
            ...{ key: `${person.id} ${i}`, person, keepers: count },
            ...(shot && { shot }),
            delivered: keepers.filter(
              (entry) =>
                entry.personIds?.includes(person.id) && (!shot || entry.shotId === shot.id),
            ).length,
            events: events.filter(
              (event) =>
                !event.cancelled &&
                (!shot || event.shotId === shot.id) &&
                event.entries.some(({ personId }) => personId === person.id),
            ),
          };
        }),
  );
}

/** Whether all is had of it. */
export const isMet = ({ keepers, delivered }: PersonOwed): boolean => delivered >= keepers;

/** Those of the brief who are in an event and start. */
export const peopleIn = (
  { entries }: Pick<DayEventRecord, 'entries'>,
  { people }: Pick<Shoot, 'people'>,
): readonly Person[] =>
  people.filter(
    ({ id, scratched }) => !scratched && entries.some(({ personId }) => personId === id),
  );

/** Whose pictures an event would bring: everyone of whom something is owed there yet. */
export const owedAt = (event: DayEventRecord, owed: readonly PersonOwed[]): readonly Person[] => [
  ...new Set(
    owed
      .filter((one) => !isMet(one) && one.events.some(({ id }) => id === event.id))
      .map(({ person }) => person),
  ),
];
