import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { eventTitle } from '@/records/day-said';
import { useEdits, useShown } from '@/features/shoot/open-shoot';
import { columnKey, guessMeanings } from '@/formats/order-csv';
import type { TableRead } from '@/formats/table';
import type { CalendarEvent, CalendarRead } from '@/formats/order-ics';
import type { DateOrder } from '@/formats/written-time';
import { COLUMN_MEANINGS, MOST_COLUMNS, type ColumnMeaning } from '@/records/columns';
import { MOST_EVENTS } from '@/records/day';
import { newId } from '@/records/new-id';
import { COLUMNS } from '@/records/singles';
import { useSingle } from '@/records/use-single';
import { readFileApart } from '@/workers/files-client';
import { Button } from '@/ui/Button';
import { Choice } from '@/ui/Choice';
import { Picker } from '@/ui/Picker';
import { Sheet } from '@/ui/Sheet';
import { Text } from '@/ui/Text';
import { useToast } from '@/ui/Toast';
import {
  changeInWords,
  compared,
  daysOf,
  givenByName,
  goesOnInWords,
  hoursWith,
  lessInWords,
  merged,
} from './import';

/** A file that was read: as a calendar, or as a table whose columns are still to be named. */
export type OrderFile = { readonly name: string; readonly text: string } & (
  | { readonly calendar: CalendarRead; readonly table?: never }
  | { readonly table: TableRead; readonly calendar?: never }
);

/** By what is in it; an empty one by its name. */
export const isCalendar = (name: string, text: string): boolean =>
  /^\uFEFF?\s*BEGIN:/i.test(text) || /\.ics$/i.test(name);

const MEANING_WORDS: Readonly<Record<ColumnMeaning, string>> = {
  skip: 'Nothing: leave it',
  name: 'What the event is',
  start: 'When it starts',
  date: 'The date',
  duration: 'How long it takes',
  end: 'When it ends',
  heat: 'The heat or round',
  lane: 'The lane',
  number: 'Bib or cap number',
  who: 'Who is in it',
  surname: 'Surname',
  given: 'First name',
  team: 'School or club',
  worth: 'What it is worth: must, should, could',
  visits: 'Visits to what goes on, such as 3 of 10 min',
};
const MEANINGS = COLUMN_MEANINGS.map((value) => ({ value, label: MEANING_WORDS[value] }));
const DATE_ORDERS = [
  { value: 'dayFirst', label: 'Day, month' },
  { value: 'monthFirst', label: 'Month, day' },
] as const;
const NONE = 'none';
const MOST_SHOWN = 8;
const LISTED = 4;

/** What a file holds, before anything of it is taken: all of it, or nothing. */
export function ImportSheet({
  file,
  onClose,
}: {
  readonly file: OrderFile;
  readonly onClose: () => void;
}) {
  return (
    <Sheet title={`Bring in ${file.name}`} open onClose={onClose}>
      {file.calendar ? (
        <CalendarPart read={file.calendar} onClose={onClose} />
      ) : (
        <TablePart file={file} table={file.table} onClose={onClose} />
      )}
    </Sheet>
  );
}

const Refused = ({ reason }: { readonly reason: string }) => (
  <Text role="alert">{`Nothing was brought in: ${reason}.`}</Text>
);

function CalendarPart({
  read,
  onClose,
}: {
  readonly read: CalendarRead;
  readonly onClose: () => void;
}) {
  if (!read.ok) return <Refused reason={read.reason} />;
  const left = [
    read.elsewhere > 0 ? `${read.elsewhere} on other days` : '',
    read.allDay > 0 ? `${read.allDay} without a time` : '',
  ].filter(Boolean);
  return (
    <Ready
      events={read.events}
      note={left.length > 0 ? `Left out: ${left.join(', ')}.` : ''}
      onClose={onClose}
    />
  );
}

function TablePart({
  file,
  table,
  onClose,
}: {
  readonly file: OrderFile;
  readonly table: TableRead;
  readonly onClose: () => void;
}) {
  const { shoot } = useShown('shoot');
  const { startLocal, endLocal } = shoot;
  const { record: remembered, change } = useSingle(COLUMNS);
  const [own, setOwn] = useState<Readonly<Record<number, ColumnMeaning>>>({});
  const [order, setOrder] = useState<DateOrder>('dayFirst');
  const meanings = useMemo(() => {
    if (!table.ok) return [];
    const guessed = guessMeanings(table.table.columns, remembered?.byName ?? {});
    return guessed.map((meaning, i) => own[i] ?? meaning);
  }, [table, remembered, own]);
  const options = { days: daysOf({ startLocal, endLocal }), order };
  const {
    data: read,
    error,
    isPlaceholderData,
  } = useQuery({
    queryKey: ['order-file', file.name, file.text.length, meanings, options],
    queryFn: ({ signal }) =>
      readFileApart((service) => service.order(file.text, { meanings, options }), signal),
    enabled: table.ok && remembered !== undefined,
    placeholderData: keepPreviousData,
    gcTime: 0,
  });
  if (!table.ok) return <Refused reason={table.reason} />;
  if (error) return <Refused reason={error.message} />;
  if (!read) return <Text role="status">{`Reading ${file.name}`}</Text>;
  const { columns, rows } = table.table;
  const lacking = (['name', 'start'] as const).filter((meaning) => !meanings.includes(meaning));
  const remember = () =>
    change((now) => {
      const named = columns.map((column, i) => [columnKey(column), meanings[i] ?? 'skip'] as const);
      const all = [
        ...Object.entries(now.byName).filter(([key]) => !named.some(([name]) => name === key)),
        ...named.filter(([key]) => key !== '' && key !== '__proto__'),
      ];
      return { ...now, byName: Object.fromEntries(all.slice(-MOST_COLUMNS)) };
    });
  return (
    <>
      <Text>{`${rows.length} rows. Say what each column is; it is remembered for the next table.`}</Text>
      <View>
        {columns.map((column, i) => (
          <Picker
            key={i}
            label={`${column}: “${rows[0]?.cells[i] ?? ''}”`}
            value={meanings[i] ?? 'skip'}
            options={MEANINGS}
            onChange={(meaning) => setOwn((now) => ({ ...now, [i]: meaning }))}
          />
        ))}
      </View>
      {read.ambiguous ? (
        <Choice label="Dates are written" value={order} options={DATE_ORDERS} onChange={setOrder} />
      ) : null}
      {lacking.length > 0 ? (
        <Text role="alert">
          {`Change this: no column is read as ${lacking.map((meaning) => MEANING_WORDS[meaning].toLowerCase()).join(' nor as ')}.`}
        </Text>
      ) : (
        <>
          <Unread problems={read.problems} rows={rows.length} />
          <Ready
            events={read.events}
            stale={isPlaceholderData}
            unread={read.problems.length}
            note={[
              read.elsewhere > 0 ? `Left out: ${read.elsewhere} rows of other days.` : '',
              read.carried > 0
                ? `${read.carried} heats have no time of their own: each follows on the one before it.`
                : '',
            ]
              .filter(Boolean)
              .join(' ')}
            onTaken={remember}
            onClose={onClose}
          />
        </>
      )}
    </>
  );
}

/** Rows that can't be read, each with what it needs; the rest can be brought in without them. */
function Unread({
  problems,
  rows,
}: {
  readonly problems: readonly { readonly line: number; readonly reason: string }[];
  readonly rows: number;
}) {
  if (problems.length === 0) return null;
  return (
    <View role="alert" className="gap-1">
      <Text kind="strong">
        {`${problems.length} of ${rows} ${rows === 1 ? 'row' : 'rows'} can’t be read. Mend the file and choose it again, or bring in the rest without ${problems.length === 1 ? 'it' : 'them'}.`}
      </Text>
      {problems.slice(0, MOST_SHOWN).map(({ line, reason }) => (
        <Text key={line}>{`Row ${line}: ${reason}.`}</Text>
      ))}
      {problems.length > MOST_SHOWN ? (
        <Text>{`And ${problems.length - MOST_SHOWN} more.`}</Text>
      ) : null}
    </View>
  );
}

const BY_NAME = 'by name';
const ABSENT = [
  { value: 'keep', label: 'Keep them' },
  { value: 'drop', label: 'Take them away' },
] as const;

/** What is about to be taken, what it changes, and what it gives. */
function Ready({
  events,
  note,
  stale = false,
  unread = 0,
  onTaken,
  onClose,
}: {
  readonly events: readonly CalendarEvent[];
  /** They are still read by other columns than are said: not to be taken. */
  readonly stale?: boolean;
  readonly note: string;
  readonly unread?: number;
  readonly onTaken?: () => void;
  readonly onClose: () => void;
}) {
  const { setup, shoot } = useShown('setup', 'shoot');
  const { update, undo } = useEdits();
  const say = useToast();
  const merge = useMemo(() => compared(shoot, events), [shoot, events]);
  const named = useMemo(
    () => merge.fresh.filter(({ name }) => Object.keys(givenByName(name, setup)).length > 0),
    [merge, setup],
  );
  const [chosen, setChosen] = useState<string>();
  const [absent, setAbsent] = useState<'keep' | 'drop'>('keep');
  const shotId = chosen ?? (named.length > 0 ? BY_NAME : (setup.shots[0]?.id ?? NONE));
  if (events.length === 0) {
    if (unread > 0) return null;
    return <Refused reason={`it holds nothing for the days of this shoot. ${note}`.trim()} />;
  }
  const changed = merge.there.flatMap((entry) => {
    const what = changeInWords(entry);
    return what ? [`${eventTitle(entry.event)}: ${what}`] : [];
  });
  const goesOn = [goesOnInWords(merge.fresh), lessInWords(merge.fresh)].filter(Boolean).join(' ');
  const drop = absent === 'drop';
  const hours = hoursWith(shoot, events);
  const grows = hours.startLocal !== shoot.startLocal || hours.endLocal !== shoot.endLocal;
  const take = () => {
    const given = shotId === BY_NAME ? 'byName' : shotId === NONE ? {} : { shotId };
    const size = events.length + (drop ? 0 : merge.absent.length);
    if (size > MOST_EVENTS) {
      say({ text: `A day holds at most ${MOST_EVENTS} events: nothing was brought in` });
      return;
    }
    onTaken?.();
    onClose();
    const gone = drop ? merge.absent.length : 0;
    if (merge.fresh.length + changed.length + gone === 0) {
      say({ text: 'The order has all of it: nothing was changed' });
      return;
    }
    update((current) => merged(current, events, given, newId, drop));
    say({
      text: [
        merge.fresh.length > 0 ? `${merge.fresh.length} added` : '',
        changed.length > 0 ? `${changed.length} changed` : '',
        gone > 0 ? `${gone} taken away` : '',
      ]
        .filter(Boolean)
        .join(', '),
      action: { label: 'Undo', onPress: undo },
    });
  };
  const count = `${events.length} ${events.length === 1 ? 'event' : 'events'}`;
  return (
    <>
      <Text kind="strong">{`${count}, from ${events[0]?.startLocal.slice(11) ?? ''}: ${merge.fresh.length} new, ${changed.length} changed, ${merge.there.length - changed.length} as they are.`}</Text>
      <Listed
        name="New"
        entries={merge.fresh.map((event) => `${event.startLocal.slice(11)} ${eventTitle(event)}`)}
      />
      <Listed name="Changed" entries={changed} />
      {merge.absent.length > 0 ? (
        <>
          <Listed name="Not in this file" entries={merge.absent.map(eventTitle)} />
          <Choice
            label="What is not in this file"
            value={absent}
            options={ABSENT}
            onChange={setAbsent}
          />
        </>
      ) : null}
      {note ? <Text>{note}</Text> : null}
      {grows ? (
        <Text>{`The shoot’s hours grow with it: ${hours.startLocal.slice(11)} to ${hours.endLocal.slice(11)}.`}</Text>
      ) : null}
      {goesOn ? <Text>{goesOn}</Text> : null}
      {merge.fresh.length > 0 ? (
        <Picker
          label="New ones give the shot"
          value={shotId}
          options={[
            ...(named.length > 0
              ? [
                  {
                    value: BY_NAME,
                    label: `By their names: ${named.length} of ${merge.fresh.length} are known`,
                  },
                ]
              : []),
            ...setup.shots.map(({ id, name }) => ({ value: id, label: name })),
            { value: NONE, label: 'None that was promised' },
          ]}
          onChange={setChosen}
        />
      ) : null}
      <Button
        label={`Bring in ${count}${unread > 0 ? `, without ${unread} ${unread === 1 ? 'row' : 'rows'}` : ''}`}
        kind="primary"
        disabled={stale}
        onPress={take}
      />
    </>
  );
}

/** The first few of a list, and how many more there are. */
function Listed({ name, entries }: { readonly name: string; readonly entries: readonly string[] }) {
  if (entries.length === 0) return null;
  const more = entries.length - LISTED;
  return (
    <Text kind="small">
      <Text kind="label">{`${name}: `}</Text>
      {`${entries.slice(0, LISTED).join('; ')}${more > 0 ? `; and ${more} more` : ''}.`}
    </Text>
  );
}
