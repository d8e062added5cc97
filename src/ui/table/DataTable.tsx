import type { HTMLAttributes, Key, ReactNode } from 'react';

export interface Column<Row> {
  id: string;
  head: ReactNode;
  cell: (row: Row, index: number) => ReactNode;
  /** The cell that names its row for a screen reader. */
  namesRow?: boolean;
  /** Figures stand under each other, by their last digit, with their heading. */
  figure?: boolean;
  /** The heading is spoken, not shown: a column of buttons. */
  quiet?: boolean;
  className?: string | ((row: Row) => string);
}

/** Classes of a row and what it does under the pointer. */
export type RowProps = Pick<
  HTMLAttributes<HTMLTableRowElement>,
  'className' | 'onMouseEnter' | 'onMouseLeave'
>;

/** Rows that stand under a heading of their own. */
export interface RowGroup<Row> {
  title: string;
  rows: readonly Row[];
}

interface Props<Row> {
  columns: readonly Column<Row>[];
  rows?: readonly Row[];
  groups?: readonly RowGroup<Row>[];
  keyOf: (row: Row, index: number) => Key;
  /** Lines close to each other: `close` for lists to read, `tight` for many figures. */
  spacing?: 'usual' | 'close' | 'tight';
  /** As wide as its content. */
  fitted?: boolean;
  label?: string;
  className?: string;
  rowProps?: (row: Row) => RowProps;
  /** The headings are spoken, not shown. */
  quietHeads?: boolean;
}

/** Every plain table of the application: headings with their scope, one cell that names each row, figures aligned. */
export function DataTable<Row>({
  columns,
  rows = [],
  groups,
  keyOf,
  spacing = 'usual',
  fitted = false,
  label,
  className = 'text-sm',
  rowProps,
  quietHeads = false,
}: Props<Row>) {
  return (
    <table className={`${className} ${fitted ? 'w-auto' : ''}`} data-spacing={spacing} aria-label={label}>
      <thead className={quietHeads ? 'sr-only' : undefined}>
        <tr>
          {columns.map((column) => (
            <th key={column.id} scope="col" className={column.figure ? 'figure' : undefined}>
              {column.quiet ? <span className="sr-only">{column.head}</span> : column.head}
            </th>
          ))}
        </tr>
      </thead>
      {(groups ?? [{ title: '', rows }]).map((group) => (
        <tbody key={group.title}>
          {group.title && (
            <tr>
              <th
                scope="rowgroup"
                colSpan={columns.length}
                className="pt-3 capitalize font-display text-ink text-base"
              >
                {group.title}
              </th>
            </tr>
          )}
          {group.rows.map((row, index) => (
            <tr key={keyOf(row, index)} {...rowProps?.(row)}>
              {columns.map((column) => (
                <Cell key={column.id} column={column} row={row} index={index} />
              ))}
            </tr>
          ))}
        </tbody>
      ))}
    </table>
  );
}

/** One cell; also used by the table that sorts. */
export function Cell<Row>({ column, row, index }: { column: Column<Row>; row: Row; index: number }) {
  const own = typeof column.className === 'function' ? column.className(row) : column.className;
  const className = [column.figure ? 'figure' : '', own ?? ''].join(' ').trim() || undefined;
  return column.namesRow ? (
    <th scope="row" className={className}>
      {column.cell(row, index)}
    </th>
  ) : (
    <td className={className}>{column.cell(row, index)}</td>
  );
}
