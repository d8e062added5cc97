/** @jsxImportSource preact */
import { useState } from 'preact/hooks';
import type { RecallItem } from '@/contract/records';
import { CONTACT_TRIES, recallKind } from '@/core/recall/kinds';
import { writtenDay } from '@/ui/formats';
import { TryForm } from './TryForm';

export interface RecallRowProps {
  row: RecallItem;
  /** Null where no letter is written about it. */
  chosen: boolean | null;
  onChoose: (on: boolean) => void;
  onChange: (row: RecallItem, to: RecallItem | null) => void;
  onProblem: (problem: string | undefined) => void;
}

/** One person and one thing; an open visit leads straight to its table. */
export function RecallRow({ row, chosen, onChoose, onChange, onProblem }: RecallRowProps) {
  const { kind, patient, what, on, visitId, tried } = row;
  const [isOpen, setOpen] = useState(false);
  const { title } = recallKind(kind);
  return (
    <li className="border-b border-line py-1">
      <div className="grid grid-cols-[minmax(0,1fr)_auto] md:grid-cols-[14rem_minmax(0,1fr)_13rem_6.5rem_3.5rem] gap-x-3 items-baseline">
        <span className="flex gap-2 items-baseline">
          {chosen !== null && (
            <input
              type="checkbox"
              aria-label={`Write to ${patient.name}: ${title}`}
              className="size-4 shrink-0 self-center"
              checked={chosen}
              onChange={(event) => onChoose(event.currentTarget.checked)}
            />
          )}
          <a href={visitId ? `/visits/${visitId}` : `/patients/${patient.id}`} className="font-medium">
            {patient.name}, {patient.age}
          </a>
        </span>
        <span className="max-md:col-span-2 max-md:row-start-2">
          {what}
          {tried && (
            <span className="block text-faint text-sm">
              {CONTACT_TRIES[tried.way]} {writtenDay(tried.at)}
              {tried.by && `, ${tried.by}`}
            </span>
          )}
        </span>
        <span className="text-faint max-md:row-start-3">{row.reach}</span>
        <time dateTime={on} className="text-right max-md:row-start-3">
          {writtenDay(on)}
        </time>
        {visitId === null && (
          <button
            type="button"
            className="press press-quiet max-md:row-start-1 max-md:col-start-2"
            aria-expanded={isOpen}
            aria-label={`Note what was tried: ${patient.name}, ${title}`}
            onClick={() => setOpen(!isOpen)}
          >
            Note
          </button>
        )}
      </div>
      {isOpen && (
        <TryForm row={row} onChange={onChange} onProblem={onProblem} onDone={() => setOpen(false)} />
      )}
    </li>
  );
}
