/** @jsxImportSource preact */
import { useState } from 'preact/hooks';
import type { RecallItem } from '@/contract/records';
import { daysBetween } from '@/core/calendar/spans';
import { dayPart, whenInWords } from '@/core/recall/day';
import { CONTACT_TRIES, recallKind } from '@/core/recall/kinds';
import { writtenDay } from '@/ui/formats';
import { Later } from './Later';
import { nextAction } from './next-action';
import { VisitSteps } from './VisitSteps';

export interface RecallRowProps {
  row: RecallItem;
  today: string;
  /** Null where no letter is written about it. */
  chosen: boolean | null;
  onChoose: (on: boolean) => void;
  onChange: (row: RecallItem, to: RecallItem | null) => void;
  onProblem: (problem: string | undefined) => void;
}

/** One person and one thing, and what to do next about it. */
export function RecallRow({ row, today, chosen, onChoose, onChange, onProblem }: RecallRowProps) {
  const { kind, patient, what, on, steps, tried } = row;
  const [isOpen, setOpen] = useState(false);
  const { title, isWarning } = recallKind(kind);
  const { words, path } = nextAction(row);
  const isLate = dayPart(kind, on, today) === 'late';
  return (
    <li className="border-b border-line py-1.5">
      <div className="grid grid-cols-[minmax(0,1fr)_auto] md:grid-cols-[14.5rem_minmax(0,1fr)_7rem_10.5rem_3rem] gap-x-3 gap-y-1 items-center">
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
          <span>
            <a href={`/patients/${patient.id}`} className="font-medium">
              <bdi>{patient.name}</bdi>, {patient.age}
            </a>
            {row.reach && <span className="block text-faint text-sm">{row.reach}</span>}
          </span>
        </span>
        <span className="max-md:col-span-2 max-md:row-start-2">
          {steps ? <VisitSteps steps={steps} /> : what}
          {tried && (
            <span className="block text-faint text-sm">
              {CONTACT_TRIES[tried.way]} {writtenDay(tried.at)}
              {tried.by && `, ${tried.by}`}
            </span>
          )}
        </span>
        <time dateTime={on} className={`leading-tight max-md:text-right ${isLate ? 'font-semibold' : ''}`}>
          {whenInWords(kind, on, today)}
          {Math.abs(daysBetween(today, on)) > 1 && (
            <span className="block text-faint text-sm font-normal">{writtenDay(on)}</span>
          )}
        </time>
        <a
          className={`press justify-center max-md:row-start-3 ${isWarning ? 'press-main' : ''}`}
          href={path}
          aria-label={`${words}: ${patient.name}`}
        >
          {words}
        </a>
        {steps === null && (
          <button
            type="button"
            className="press press-quiet max-md:row-start-3"
            aria-expanded={isOpen}
            aria-label={`Note what was tried: ${patient.name}, ${title}`}
            onClick={() => setOpen(!isOpen)}
          >
            Note
          </button>
        )}
      </div>
      {isOpen && (
        <Later
          load={() => import('./TryForm').then(({ TryForm }) => TryForm)}
          props={{ row, onChange, onProblem, onDone: () => setOpen(false) }}
          onProblem={onProblem}
        />
      )}
    </li>
  );
}
