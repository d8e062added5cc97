import { type Key, useEffect, useMemo, useRef, useState } from 'react';
import { type SortKey, sortedBy } from '@/core/tables/sorted-by';
import { usePart } from '../use-part';
import { Cell, type Column, type RowProps } from './DataTable';
import type { DrawRow } from './SeenRows';

export interface SortableColumn<Row> extends Column<Row> {
  /** What the column sorts by; unknown goes last. Without it the column does not sort. */
  sortBy?: (row: Row) => SortKey;
  /** Class of its width: columns stay as they are while rows come and go. */
  width?: string;
}

interface Props<Row> {
  label: string;
  columns: readonly SortableColumn<Row>[];
  rows: readonly Row[];
  keyOf: (row: Row) => Key;
  className?: string;
  rowProps?: (row: Row) => RowProps;
}

interface Order {
  id: string;
  down: boolean;
}

/** Rows of a page that has not been measured yet. */
const UNMEASURED = 40;

/** What measures comes once the first rows stand. */
const loadSeenRows = () => import('./SeenRows').then((part) => part.SeenRows);

/** A press on a heading sorts, a second one turns the order, a third brings the rows back as they were given. */
const pressed = (order: Order | null, id: string): Order | null =>
  order?.id !== id ? { id, down: false } : order.down ? null : { id, down: true };

/** A table of any number of rows that sorts by its headings; only what is seen of it is drawn. */
export function LongTable<Row>({ label, columns, rows, keyOf, className = '', rowProps }: Props<Row>) {
  const [order, setOrder] = useState<Order | null>(null);
  const region = useRef<HTMLDivElement>(null);
  const SeenRows = usePart(loadSeenRows);
  const sortBy = columns.find(({ id }) => id === order?.id)?.sortBy;
  const sorted = useMemo(
    () => (sortBy && order ? sortedBy(rows, sortBy, order.down) : rows),
    [rows, sortBy, order],
  );
  // biome-ignore lint/correctness/useExhaustiveDependencies: other rows, or another order, are read from their top
  useEffect(() => {
    if (region.current) region.current.scrollTop = 0;
  }, [sorted]);
  const draw: DrawRow = (at, measured) => {
    const row = sorted[at];
    return (
      row !== undefined && (
        <tr key={keyOf(row)} ref={measured} data-index={at} aria-rowindex={at + 2} {...rowProps?.(row)}>
          {columns.map((column) => (
            <Cell key={column.id} column={column} row={row} index={at} />
          ))}
        </tr>
      )
    );
  };
  return (
    <div
      ref={region}
      className={`max-h-[64vh] overflow-y-auto ${className}`}
      tabIndex={0}
      role="region"
      aria-label={label}
    >
      <table className="table-fixed max-md:min-w-168" data-spacing="tight" aria-rowcount={sorted.length + 1}>
        <thead className="sticky top-0 bg-paper z-10">
          <tr aria-rowindex={1}>
            {columns.map((column) => (
              <Heading
                key={column.id}
                column={column}
                order={order}
                onPress={() => setOrder(pressed(order, column.id))}
              />
            ))}
          </tr>
        </thead>
        <tbody>
          {SeenRows ? (
            <SeenRows
              count={sorted.length}
              unmeasured={UNMEASURED}
              columns={columns.length}
              region={region}
              draw={draw}
            />
          ) : (
            sorted.slice(0, UNMEASURED).map((_, at) => draw(at))
          )}
        </tbody>
      </table>
    </div>
  );
}

const ARROW = { up: ' ↑', down: ' ↓' } as const;
const SPOKEN = { up: 'ascending', down: 'descending' } as const;

function Heading<Row>({
  column: { id, head, quiet, sortBy, width = '', figure = false },
  order,
  onPress,
}: {
  column: SortableColumn<Row>;
  order: Order | null;
  onPress: () => void;
}) {
  const className = figure ? `${width} figure` : width;
  if (!sortBy)
    return (
      <th scope="col" className={className}>
        {quiet ? <span className="sr-only">{head}</span> : head}
      </th>
    );
  const way = order?.id !== id ? null : order.down ? 'down' : 'up';
  return (
    <th scope="col" className={className} aria-sort={way ? SPOKEN[way] : 'none'}>
      <button
        type="button"
        className={`cursor-pointer font-medium ${figure ? 'text-right' : 'text-left'}`}
        onClick={onPress}
      >
        {head}
        {way && ARROW[way]}
      </button>
    </th>
  );
}
