import {
  createColumnHelper,
  flexRender,
  getCoreRowModel,
  getSortedRowModel,
  useReactTable,
  type SortingState,
} from '@tanstack/react-table';
import { useMemo, useState } from 'react';
import { Pressable, View } from 'react-native';
import { useShootPage } from '@/features/plan/ShootContext';
import { SortHead } from '@/ui/SortHead';
import { Reorder } from '@/ui/Reorder';
import { Text } from '@/ui/Text';
import { eventTitle, whoInWords } from './day-lines';
import { cellInWords, STATUS_WORDS, type OrderProps, type OrderRow } from './OrderList';

const column = createColumnHelper<OrderRow>();
const WIDTHS: Readonly<Record<string, string>> = {
  start: 'w-[58px]',
  event: 'w-[200px]',
  status: 'w-[74px]',
  where: 'grow basis-0',
  leave: 'w-[58px]',
  light: 'w-[146px]',
};
const ORDER = { shoot: 0, missed: 1, leftOut: 2, unknown: 3 } as const;

/** The running order on a wide screen, sorted by any of its columns. */
export function OrderTable({ rows, atMs, onOpen, onMove }: OrderProps) {
  const { shoot, clock } = useShootPage().plan;
  const [sorting, setSorting] = useState<SortingState>([]);
  const columns = useMemo(
    () => [
      column.accessor(({ line }) => line.startMs, {
        id: 'start',
        header: 'Start',
        cell: ({ row: { original } }) => {
          const { event, startMs } = original.line;
          return (
            <>
              <Text kind="strong">{clock(startMs)}</Text>
              {event.lateMin ? (
                <Text kind="tiny" ink="quiet">{`prog. ${event.startLocal.slice(11)}`}</Text>
              ) : null}
            </>
          );
        },
      }),
      column.accessor(({ line }) => eventTitle(line.event), {
        id: 'event',
        header: 'Event',
        cell: ({ row: { original }, getValue }) => (
          <Pressable
            role="button"
            onPress={() => onOpen(original.line.event)}
            className="min-h-touch justify-center active:opacity-60"
          >
            <Text kind={original.line.status === 'shoot' ? 'strong' : 'body'}>{getValue()}</Text>
            {whoInWords(original.line.event, shoot).map((who) => (
              <Text key={who} kind="small" ink="quiet">
                {who}
              </Text>
            ))}
          </Pressable>
        ),
      }),
      column.accessor(({ line }) => ORDER[line.status], {
        id: 'status',
        header: 'Plan',
        cell: ({ row: { original } }) => {
          const { status, event } = original.line;
          return (
            <>
              <Text kind={status === 'shoot' ? 'strong' : 'body'}>{STATUS_WORDS[status]}</Text>
              <Text kind="tiny" ink="quiet">
                {[event.worth === 'must' ? 'promised' : '', event.pinnedTo ? 'pinned' : '']
                  .filter(Boolean)
                  .join(', ')}
              </Text>
            </>
          );
        },
      }),
      column.accessor(({ line }) => line.why, {
        id: 'where',
        header: 'Where',
        cell: ({ getValue }) => <Text kind="small">{getValue()}</Text>,
      }),
      column.accessor(({ line }) => line.leaveMs ?? 0, {
        id: 'leave',
        header: 'Leave',
        cell: ({ getValue }) => <Text kind="strong">{getValue() ? clock(getValue()) : ''}</Text>,
      }),
      column.accessor(({ cell }) => Number(cell?.ev ?? Number.NEGATIVE_INFINITY), {
        id: 'light',
        header: 'Light and settings',
        cell: ({ row: { original } }) =>
          original.cell ? (
            <>
              <Text kind="small">{cellInWords(original.cell)}</Text>
              <Text
                kind="tiny"
                ink="quiet"
              >{`EV ${original.cell.ev}, ${original.cell.side.toLowerCase()}`}</Text>
            </>
          ) : null,
      }),
    ],
    [clock, onOpen, shoot],
  );
  const data = useMemo(() => [...rows], [rows]);
  // eslint-disable-next-line react-hooks/incompatible-library -- asked anew at each drawing; the parts get rows and the order, not the table
  const table = useReactTable({
    data,
    columns,
    state: { sorting },
    onSortingChange: setSorting,
    getRowId: ({ id }) => id,
    getCoreRowModel: getCoreRowModel(),
    getSortedRowModel: getSortedRowModel(),
  });
  const byTime = sorting.length === 0;
  const body = table.getRowModel().rows;
  const cellsOf = (row: (typeof body)[number]) =>
    row.getVisibleCells().map((cell) => (
      <View key={cell.id} role="cell" className={`pr-2 ${WIDTHS[cell.column.id] ?? ''}`}>
        {flexRender(cell.column.columnDef.cell, cell.getContext())}
      </View>
    ));
  const going = ({ line }: OrderRow) => line.startMs <= atMs && line.endMs > atMs;
  const rowClass = (row: OrderRow) =>
    `flex-row items-center border-b border-line py-1 pl-2 ${going(row) ? 'border-l-4 border-l-signal' : row.line.status === 'shoot' ? 'border-l-4 border-l-ink' : 'border-l-4 border-l-transparent'}`;
  return (
    <View role="table" aria-label="Running order">
      <View role="row" className="flex-row border-b-2 border-ink pl-3 pr-12">
        {table.getHeaderGroups()[0]?.headers.map((header) => (
          <SortHead
            key={header.id}
            name={String(header.column.columnDef.header)}
            className={WIDTHS[header.column.id] ?? ''}
            sorted={
              header.column.getIsSorted() === false
                ? undefined
                : header.column.getIsSorted() === 'asc'
                  ? 'ascending'
                  : 'descending'
            }
            onSort={() => header.column.toggleSorting()}
          />
        ))}
      </View>
      {byTime ? (
        <Reorder
          label="Events by time"
          within="table"
          rows={rows}
          nameOf={({ line }) => eventTitle(line.event)}
          onMove={onMove}
        >
          {(row, grip) => {
            const shown = body.find(({ id }) => id === row.id);
            return (
              <View className={rowClass(row)}>
                {shown ? cellsOf(shown) : null}
                <View role="cell">{grip}</View>
              </View>
            );
          }}
        </Reorder>
      ) : (
        body.map((row) => (
          <View key={row.id} role="row" className={`pr-12 ${rowClass(row.original)}`}>
            {cellsOf(row)}
          </View>
        ))
      )}
    </View>
  );
}
