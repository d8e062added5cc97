import {
  type ColumnDef,
  getCoreRowModel,
  getSortedRowModel,
  type SortingState,
  useReactTable,
} from '@tanstack/react-table';
import { type Key, useMemo, useState } from 'react';
import { Cell, type Column, type RowProps } from './DataTable';

export interface SortableColumn<Row> extends Column<Row> {
  /** What the column sorts by; unknown goes last. Without it the column does not sort. */
  sortBy?: (row: Row) => string | number | boolean | readonly string[] | undefined;
}

interface Props<Row> {
  columns: readonly SortableColumn<Row>[];
  rows: readonly Row[];
  keyOf: (row: Row) => Key;
  /** Rows that are drawn; the rest waits. */
  shown: number;
  className?: string;
  rowProps?: (row: Row) => RowProps;
}

const ARROW = { asc: ' ↑', desc: ' ↓' } as const;
const SPOKEN = { asc: 'ascending', desc: 'descending' } as const;

/** A table sorted by a press on a heading; a second press turns the order, a third brings the rows back as they were given. */
export function SortableTable<Row>({ columns, rows, keyOf, shown, className = '', rowProps }: Props<Row>) {
  const [sorting, setSorting] = useState<SortingState>([]);
  const data = useMemo(() => [...rows], [rows]);
  const definitions = useMemo(
    () =>
      columns.map(
        (column): ColumnDef<Row> => ({
          id: column.id,
          accessorFn: column.sortBy ?? (() => undefined),
          enableSorting: column.sortBy !== undefined,
          sortUndefined: 'last',
        }),
      ),
    [columns],
  );
  const table = useReactTable({
    data,
    columns: definitions,
    state: { sorting },
    onSortingChange: setSorting,
    getCoreRowModel: getCoreRowModel(),
    getSortedRowModel: getSortedRowModel(),
  });
  return (
    <table className={className} data-spacing="tight">
      <thead className="sticky top-0 bg-paper z-10">
        {table.getHeaderGroups().map((group) => (
          <tr key={group.id}>
            {group.headers.map((header, at) => {
              const sorted = header.column.getIsSorted();
              const { head, quiet } = columns[at]!;
              if (!header.column.getCanSort())
                return (
                  <th key={header.id} scope="col">
                    {quiet ? <span className="sr-only">{head}</span> : head}
                  </th>
                );
              return (
                <th key={header.id} scope="col" aria-sort={sorted ? SPOKEN[sorted] : 'none'}>
                  <button
                    type="button"
                    className="cursor-pointer font-medium text-left"
                    onClick={header.column.getToggleSortingHandler()}
                  >
                    {head}
                    {sorted && ARROW[sorted]}
                  </button>
                </th>
              );
            })}
          </tr>
        ))}
      </thead>
      <tbody>
        {table
          .getRowModel()
          .rows.slice(0, shown)
          .map(({ original: row, index }) => (
            <tr key={keyOf(row)} {...rowProps?.(row)}>
              {columns.map((column) => (
                <Cell key={column.id} column={column} row={row} index={index} />
              ))}
            </tr>
          ))}
      </tbody>
    </table>
  );
}
