import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { useEdits, useShown } from '@/features/shoot/open-shoot';
import { columnKey, guessMeanings, type TableRead } from '@/formats/order-csv';
import type { CalendarEvent, CalendarRead } from '@/formats/order-ics';
import type { DateOrder } from '@/formats/written-time';
import { COLUMN_MEANINGS, MOST_COLUMNS, type ColumnMeaning } from '@/records/columns';
import { MOST_EVENTS } from '@/records/day';
import { newId } from '@/records/new-id';
import { COLUMNS } from '@/records/storage';
import { useSingle } from '@/records/use-single';
import { readFileApart } from '@/workers/files-client';
import { Button } from '@/ui/Button';
import { Choice } from '@/ui/Choice';
import { Picker } from '@/ui/Picker';
import { Sheet } from '@/ui/Sheet';
import { Text } from '@/ui/Text';
import { useToast } from '@/ui/Toast';
import { daysOf, goesOnInWords, merged, type Merged } from './import';

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
  heat: 'The heat or round',
  lane: 'The lane',
  who: 'Who is in it',
  worth: 'What it is worth: must, should, could',
};
const MEANINGS = COLUMN_MEANINGS.map((value) => ({ value, label: MEANING_WORDS[value] }));
const DATE_ORDERS = [
  { value: 'dayFirst', label: 'Day, month' },
  { value: 'monthFirst', label: 'Month, day' },
] as const;
const NONE = 'none';
const MOST_SHOWN = 8;

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
  const { data: read, error } = useQuery({
    queryKey: ['order-file', file.name, file.text.length, meanings, options],
    queryFn: ({ signal }) =>
      readFileApart((service) => service.order(file.text, { meanings, options }), signal),
    enabled: table.ok,
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
      ) : read.problems.length > 0 ? (
        <View role="alert" className="gap-1">
          <Text kind="strong">
            {`${read.problems.length} ${read.problems.length === 1 ? 'row' : 'rows'} can’t be read, so nothing is brought in. Mend the file and choose it again.`}
          </Text>
          {read.problems.slice(0, MOST_SHOWN).map(({ line, reason }) => (
            <Text key={line}>{`Row ${line}: ${reason}.`}</Text>
          ))}
          {read.problems.length > MOST_SHOWN ? (
            <Text>{`And ${read.problems.length - MOST_SHOWN} more.`}</Text>
          ) : null}
        </View>
      ) : (
        <Ready
          events={read.events}
          note={read.elsewhere > 0 ? `Left out: ${read.elsewhere} rows of other days.` : ''}
          onTaken={remember}
          onClose={onClose}
        />
      )}
    </>
  );
}

/** What is about to be taken, and what it gives. */
function Ready({
  events,
  note,
  onTaken,
  onClose,
}: {
  readonly events: readonly CalendarEvent[];
  readonly note: string;
  readonly onTaken?: () => void;
  readonly onClose: () => void;
}) {
  const { setup, shoot } = useShown('setup', 'shoot');
  const { update, undo } = useEdits();
  const say = useToast();
  const [shotId, setShotId] = useState(setup.shots[0]?.id ?? NONE);
  if (events.length === 0) {
    return <Refused reason={`it holds nothing for the days of this shoot. ${note}`.trim()} />;
  }
  const given = shotId === NONE ? {} : { shotId };
  const goesOn = goesOnInWords(events);
  const take = () => {
    let done: Merged = { shoot, added: 0, changed: 0 };
    update((current) => {
      done = merged(current, events, given, newId);
      return done.shoot;
    });
    const { added, changed } = done;
    if (added + changed === 0) {
      say({ text: `A day holds at most ${MOST_EVENTS} events: nothing was brought in` });
      return;
    }
    onTaken?.();
    say({
      text: `${added} added${changed > 0 ? `, ${changed} brought up to date` : ''}`,
      action: { label: 'Undo', onPress: undo },
    });
    onClose();
  };
  const count = `${events.length} ${events.length === 1 ? 'event' : 'events'}`;
  return (
    <>
      <Text kind="strong">{`${count}, from ${events[0]?.startLocal.slice(11) ?? ''}: ${events
        .slice(0, 3)
        .map(({ name }) => name)
        .join('; ')}${events.length > 3 ? ' …' : ''}`}</Text>
      {note ? <Text>{note}</Text> : null}
      {goesOn ? <Text>{goesOn}</Text> : null}
      <Picker
        label="New ones give the shot"
        value={shotId}
        options={[
          ...setup.shots.map(({ id, name }) => ({ value: id, label: name })),
          { value: NONE, label: 'None that was promised' },
        ]}
        onChange={setShotId}
      />
      <Button label={`Bring in ${count}`} kind="primary" onPress={take} />
    </>
  );
}
