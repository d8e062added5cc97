import { useVirtualizer } from '@tanstack/react-virtual';
import type { ReactNode, RefCallback, RefObject } from 'react';

/** Draws the row of a place; `measured` gets its element, so that its height is known. */
export type DrawRow = (at: number, measured?: RefCallback<HTMLTableRowElement>) => ReactNode;

interface Props {
  count: number;
  /** How many are drawn before the region has been measured. */
  unmeasured: number;
  columns: number;
  /** What scrolls. */
  region: RefObject<HTMLElement | null>;
  draw: DrawRow;
}

const ROW_PX = 30;
/** Rows beyond the edges of what is seen. */
const BEYOND = 12;

/** Of any number of rows those that are seen, between the room of those that are not. */
export function SeenRows({ count, unmeasured, columns, region, draw }: Props) {
  const virtual = useVirtualizer({
    count,
    getScrollElement: () => region.current,
    estimateSize: () => ROW_PX,
    overscan: BEYOND,
  });
  const seen = virtual.getVirtualItems();
  const [first, last] = [seen[0], seen.at(-1)];
  if (!first || !last) return Array.from({ length: Math.min(count, unmeasured) }, (_, at) => draw(at));
  return (
    <>
      <Gap px={first.start} columns={columns} />
      {seen.map(({ index }) => draw(index, virtual.measureElement))}
      <Gap px={virtual.getTotalSize() - last.end} columns={columns} />
    </>
  );
}

/** The room of rows that are not drawn. */
const Gap = ({ px, columns }: { px: number; columns: number }) =>
  px > 0 && (
    <tr aria-hidden style={{ height: px }}>
      <td colSpan={columns} />
    </tr>
  );
