import { personFinder } from '@/records/names';
import type { Person } from '@/records/brief';
import type { DayEventRecord } from '@/records/day';

/** Who is in an event, as one writes it: a name a line, a lane after a comma. */

type Entries = DayEventRecord['entries'];

const MOST_ENTRIES = 40;
const MOST_NAME = 80;

export const entriesText = (entries: Entries): string =>
  entries
    .map(({ name, lane }) =>
      lane === undefined || / lane \d+$/i.test(name) ? name : `${name}, lane ${lane}`,
    )
    .join('\n');

/** People of the brief are found by their names. */
export function entriesOf(text: string, people: readonly Person[]): Entries {
  const find = personFinder(people);
  return text
    .split('\n')
    .map((line) => line.trim())
    .filter(Boolean)
    .slice(0, MOST_ENTRIES)
    .map((line) => {
      const whole = find({ name: line });
      const parts = /^(.*?)(?:,| -)? lane (\d{1,2})$/i.exec(line);
      const laneNumber = parts ? Number(parts[2]) : undefined;
      const name = (whole ? whole.name : (parts?.[1] ?? line)).trim() || line;
      const person = whole ?? find({ name });
      const lane = laneNumber !== undefined && laneNumber <= 40 ? laneNumber : person?.lane;
      return {
        ...(person && { personId: person.id }),
        name: (person?.name ?? name).slice(0, MOST_NAME),
        ...(lane !== undefined && { lane }),
      };
    });
}
