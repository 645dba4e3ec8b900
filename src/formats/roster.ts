import type { Person } from '@/records/brief';
import type { Table } from './table';
import { personName } from './written-names';

/** Rosters: a table of people, a row each, with what they are known by. */

/** Someone of a roster, before they are one of the shoot's. */
export type RosterPerson = Omit<Person, 'id' | 'owed'> & {
  /** Keepers owed of them, where the roster says so. */
  readonly keepers?: number;
};

export interface RosterRead {
  readonly people: readonly RosterPerson[];
  readonly problems: readonly { readonly line: number; readonly reason: string }[];
  /** What was read, by the names of its columns; and what was left. */
  readonly read: readonly string[];
  readonly left: readonly string[];
}

const SIDES = { left: /^l(?:eft|inks)?$/i, right: /^r(?:ight|echts)?$/i, both: /^b(?:oth)?$/i };
type Side = keyof typeof SIDES;

const sideOf = (written: string): Side | undefined =>
  (Object.keys(SIDES) as Side[]).find((side) => SIDES[side].test(written));

type Column =
  | 'surname'
  | 'given'
  | 'name'
  | 'number'
  | 'client'
  | 'lane'
  | 'cap'
  | 'foot'
  | 'hand'
  | 'breathes'
  | 'keepers'
  | 'habits';

const NAMES: readonly (readonly [RegExp, Column])[] = [
  [/^(?:sur|last|family)[ -]?names?$/i, 'surname'],
  [/^(?:first|given|fore)[ -]?names?$/i, 'given'],
  [/^(?:school|club|team|client|affiliation)$/i, 'client'],
  [/^(?:bib|number|no\.?|#|hip)(?: ?(?:no\.?|number|#))?$/i, 'number'],
  [/^lane$/i, 'lane'],
  [/^(?:cap|kit|colou?rs?)$/i, 'cap'],
  [/(?:foot|leg)$/i, 'foot'],
  [/hand$/i, 'hand'],
  [/breath/i, 'breathes'],
  [/^(?:owed|keepers?|pictures?|wanted)$/i, 'keepers'],
  [/^(?:notes?|habits?|remarks?)$/i, 'habits'],
  [/^(?:name|athlete|swimmer|runner|player|person|competitor|who)s?$/i, 'name'],
];

/** The people of a table; a row that can't be read is named. Someone who stands twice is one. */
export function readRoster({ columns, rows }: Table): RosterRead {
  const meant = columns.map((column) => NAMES.find(([named]) => named.test(column.trim()))?.[1]);
  // A single column of names needs no heading.
  if (!meant.includes('name') && !meant.includes('surname')) {
    const free = meant.indexOf(undefined);
    if (free >= 0) meant[free] = 'name';
  }
  const problems: { line: number; reason: string }[] = [];
  const people = new Map<string, RosterPerson>();
  for (const { line, cells } of rows) {
    const of = (column: Column, most: number): string =>
      (cells[meant.indexOf(column)] ?? '').trim().slice(0, most);
    const both = [of('surname', 60), of('given', 60)].filter(Boolean).join(', ');
    const name = personName(both || of('name', 80)).slice(0, 80);
    const [lane, keepers] = (['lane', 'keepers'] as const).map((column) => {
      const written = of(column, 12);
      return written === '' ? undefined : Number(/^\D*(\d{1,3})$/.exec(written)?.[1] ?? Number.NaN);
    });
    const wrong = !name
      ? 'there is no name'
      : lane !== undefined && !(lane <= 20)
        ? `lane “${of('lane', 12)}” is no number up to 20`
        : keepers !== undefined && !(keepers <= 100)
          ? `“${of('keepers', 12)}” owed is no number up to 100`
          : (['foot', 'hand', 'breathes'] as const)
              .filter((column) => of(column, 12) && !sideOf(of(column, 12)))
              .map((column) => `${column} “${of(column, 12)}” must be left, right or both`)[0];
    if (wrong) {
      problems.push({ line, reason: wrong });
      continue;
    }
    const text = (['number', 'client', 'cap', 'habits'] as const).map(
      (column) =>
        [column, of(column, column === 'number' ? 12 : column === 'cap' ? 40 : 80)] as const,
    );
    const sides = (['foot', 'hand', 'breathes'] as const).map(
      (column) => [column, sideOf(of(column, 12))] as const,
    );
    people.set(`${name.toLowerCase()} ${of('client', 80).toLowerCase()}`, {
      name,
      ...Object.fromEntries([...text, ...sides].filter(([, value]) => value)),
      ...(lane !== undefined && { lane }),
      ...(keepers !== undefined && { keepers }),
    });
  }
  const named = (known: boolean) => columns.filter((_, i) => (meant[i] !== undefined) === known);
  return { people: [...people.values()], problems, read: named(true), left: named(false) };
}
