import {
  createSortedRowModel,
  rowSortingFeature,
  sortFns,
  tableFeatures,
  useTable,
  type ColumnDef,
  type SortingState,
} from '@tanstack/react-table';
import { useMemo, useState } from 'react';

/** A column that rows are put in order by: its name, and what of a row it goes by. */
export interface SortColumn<T> {
  readonly id: string;
  readonly head: string;
  /** What is missing comes last, whichever way. */
  readonly by: (row: T) => string | number | undefined;
  readonly largestFirst?: boolean;
  /** Shown, but nothing to go by. */
  readonly fixed?: boolean;
}

/** The head of a column: what it is called, how the rows stand by it, and what a press does. */
export interface SortedHead {
  readonly id: string;
  readonly name: string;
  readonly sorted: 'ascending' | 'descending' | undefined;
  readonly onSort: (() => void) | undefined;
}

const FEATURES = tableFeatures({
  rowSortingFeature,
  sortedRowModel: createSortedRowModel(),
  sortFns,
});

/**
 * Rows in the order of one of their columns.
 * @param columns of the module, not made anew at each drawing
 * @param first the order they begin in; as they come when absent
 */
export function useSorted<T extends { readonly id: string }>(
  rows: readonly T[],
  columns: readonly SortColumn<T>[],
  first: SortingState = [],
) {
  const [sorting, setSorting] = useState(first);
  const data = useMemo(() => [...rows], [rows]);
  const defined = useMemo(
    () =>
      columns.map(
        ({ id, head, by, largestFirst = false, fixed = false }): ColumnDef<typeof FEATURES, T> => ({
          id,
          header: head,
          accessorFn: by,
          sortUndefined: 'last',
          sortDescFirst: largestFirst,
          enableSorting: !fixed,
        }),
      ),
    [columns],
  );
  const table = useTable({
    features: FEATURES,
    data,
    columns: defined,
    state: { sorting },
    onSortingChange: setSorting,
    getRowId: ({ id }) => id,
  });
  const order = sorting[0];
  return {
    rows: table.getRowModel().rows.map(({ original }) => original),
    order,
    sortBy: (id: string, largestFirst: boolean) => setSorting([{ id, desc: largestFirst }]),
    heads: table.getFlatHeaders().map(({ id, column }): SortedHead => {
      const sorted = order?.id === id ? (order.desc ? 'descending' : 'ascending') : undefined;
      return {
        id,
        name: String(column.columnDef.header),
        sorted,
        onSort: column.getCanSort() ? () => column.toggleSorting() : undefined,
      };
    }),
  };
}
