import { Pressable, View } from 'react-native';
import { useShown } from '@/features/shoot/open-shoot';
import { Reorder } from '@/ui/Reorder';
import { SortHead } from '@/ui/SortHead';
import { Text } from '@/ui/Text';
import { useSorted, type SortColumn } from '@/ui/use-sorted';
import { whoInWords } from '@/features/shoot/day-lines';
import { eventTitle } from '@/records/day-said';
import { cellInWords } from './light-column';
import { STATUS_WORDS, type OrderProps, type OrderRow } from './OrderList';

const ORDER = { shoot: 0, others: 1, missed: 2, leftOut: 3, cancelled: 4, unknown: 5 } as const;

const COLUMNS: readonly SortColumn<OrderRow>[] = [
  { id: 'start', head: 'Start', by: ({ line }) => line.startMs },
  { id: 'event', head: 'Event', by: ({ line }) => eventTitle(line.event) },
  { id: 'status', head: 'Plan', by: ({ line }) => ORDER[line.status] },
  { id: 'where', head: 'Where', by: ({ line }) => line.why },
  { id: 'leave', head: 'Leave', by: ({ line }) => line.leaveMs },
  {
    id: 'light',
    head: 'Light and settings',
    by: ({ cell }) => cell && Number(cell.ev),
    largestFirst: true,
  },
];

const WIDTHS: Readonly<Record<string, string>> = {
  start: 'w-[58px]',
  event: 'w-[200px]',
  status: 'w-[74px]',
  where: 'grow basis-0',
  leave: 'w-[58px]',
  light: 'w-[146px]',
};

/** The running order on a wide screen, sorted by any of its columns. */
export function OrderTable({ rows, atMs, onOpen, onMove }: OrderProps) {
  const sorted = useSorted(rows, COLUMNS);
  const going = ({ line }: OrderRow) => line.startMs <= atMs && line.endMs > atMs;
  const rowClass = (row: OrderRow) =>
    `flex-row items-center border-b border-line py-1 pl-2 ${going(row) ? 'border-l-4 border-l-signal' : row.line.status === 'shoot' ? 'border-l-4 border-l-ink' : 'border-l-4 border-l-transparent'}`;
  return (
    <View role="table" aria-label="Running order">
      <View role="row" className="flex-row border-b-2 border-ink pl-3 pr-12">
        {sorted.heads.map(({ id, ...head }) => (
          <SortHead key={id} className={WIDTHS[id] ?? ''} {...head} />
        ))}
      </View>
      {sorted.order === undefined ? (
        <Reorder
          label="Events by time"
          within="table"
          rows={rows}
          nameOf={({ line }) => eventTitle(line.event)}
          onMove={onMove}
        >
          {(row, grip) => (
            <View className={rowClass(row)}>
              <Cells row={row} onOpen={onOpen} />
              <View role="cell">{grip}</View>
            </View>
          )}
        </Reorder>
      ) : (
        sorted.rows.map((row) => (
          <View key={row.id} role="row" className={`pr-12 ${rowClass(row)}`}>
            <Cells row={row} onOpen={onOpen} />
          </View>
        ))
      )}
    </View>
  );
}

/** What each column says of an event. */
function Cells({
  row: { line, cell },
  onOpen,
}: {
  readonly row: OrderRow;
  readonly onOpen: OrderProps['onOpen'];
}) {
  const { shoot, clock } = useShown('shoot', 'clock');
  const { event, startMs, status, by, why, leaveMs, weak } = line;
  const said = {
    start: (
      <>
        <Text kind="strong">{clock(startMs)}</Text>
        {event.lateMin ? (
          <Text kind="tiny" ink="quiet">{`prog. ${event.startLocal.slice(11)}`}</Text>
        ) : null}
      </>
    ),
    event: (
      <Pressable
        role="button"
        onPress={() => onOpen(event)}
        className="min-h-touch justify-center active:opacity-60"
      >
        <Text kind={status === 'shoot' ? 'strong' : 'body'}>{eventTitle(event)}</Text>
        {whoInWords(event, shoot).map((who) => (
          <Text key={who} kind="small" ink="quiet">
            {who}
          </Text>
        ))}
      </Pressable>
    ),
    status: (
      <>
        <Text kind={status === 'shoot' ? 'strong' : 'body'}>
          {status === 'others' ? by : STATUS_WORDS[status]}
        </Text>
        <Text kind="tiny" ink="quiet">
          {[event.worth === 'must' ? 'promised' : '', event.pinnedTo ? 'pinned' : '']
            .filter(Boolean)
            .join(', ')}
        </Text>
      </>
    ),
    where: (
      <Text kind="small">
        {[why, weak ? `Weak from there: ${weak}.` : ''].filter(Boolean).join(' ')}
      </Text>
    ),
    leave: <Text kind="strong">{leaveMs === undefined ? '' : clock(leaveMs)}</Text>,
    light: cell ? (
      <>
        {cell.lens ? <Text kind="tiny">{cell.lens}</Text> : null}
        <Text kind="small">{cellInWords(cell)}</Text>
        <Text kind="tiny" ink="quiet">{`EV ${cell.ev}, ${cell.side.toLowerCase()}`}</Text>
      </>
    ) : null,
  };
  return Object.entries(said).map(([id, words]) => (
    <View key={id} role="cell" className={`pr-2 ${WIDTHS[id] ?? ''}`}>
      {words}
    </View>
  ));
}
