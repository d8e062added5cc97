/** @jsxImportSource preact */
import type { RecallItem } from '@/contract/records';
import { DAY_PART_IDS, DAY_PARTS, type DayPart, dayPart } from '@/core/recall/day';
import type { RecallKindId } from '@/core/recall/kinds';

/** The day in numbers: each part leads to its rows, and once more to all of them. */
export function DayStrip({
  items,
  today,
  cutShort,
  part,
  onPart,
}: {
  items: readonly RecallItem[];
  today: string;
  /** Kinds of which there are more than are here. */
  cutShort: readonly RecallKindId[];
  part: DayPart | null;
  onPart: (part: DayPart | null) => void;
}) {
  return (
    <div
      role="group"
      aria-label="The day"
      className="flex flex-wrap border-y border-rule divide-x divide-line mb-4"
    >
      {DAY_PART_IDS.map((id) => {
        const rows = items.filter(({ kind, on }) => dayPart(kind, on, today) === id);
        const isMore = rows.some(({ kind }) => cutShort.includes(kind));
        return (
          <button
            key={id}
            type="button"
            aria-pressed={part === id}
            disabled={rows.length === 0}
            onClick={() => onPart(part === id ? null : id)}
            className="grow basis-28 px-4 py-2 text-left cursor-pointer hover:bg-desk disabled:text-faint disabled:cursor-default disabled:hover:bg-transparent aria-pressed:bg-accent aria-pressed:text-on-accent"
          >
            <span
              className={`figure font-display text-3xl leading-none ${id === 'first' && rows.length > 0 && part !== id ? 'text-warn' : ''}`}
            >
              {rows.length}
              {isMore && '+'}
            </span>{' '}
            <span>{DAY_PARTS[id]}</span>
          </button>
        );
      })}
    </div>
  );
}
