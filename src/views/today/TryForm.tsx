/** @jsxImportSource preact */
import { useState } from 'preact/hooks';
import { failureInWords } from '@/contract/answer';
import { call } from '@/contract/client';
import { addDays, dayOf } from '@/core/calendar/days';
import { CONTACT_TRIES, type ContactTry, recallKind } from '@/core/recall/kinds';
import { writtenDay } from '@/ui/formats';
import type { RecallRowProps } from './RecallRow';

type Way = Exclude<ContactTry, 'written'>;
const WAYS = ['spoke', 'called', 'no-answer'] as const satisfies readonly Way[];
/** Weeks that something may be put off for. Ours. */
const WEEKS = [1, 2, 4, 8, 12, 16] as const;
const inWords = (weeks: number): string => (weeks === 1 ? '1 week' : `${weeks} weeks`);

/** What was tried, or until when it is put off and why. */
export function TryForm({
  row,
  onChange,
  onProblem,
  onDone,
}: Pick<RecallRowProps, 'row' | 'onChange' | 'onProblem'> & { onDone: () => void }) {
  const [note, setNote] = useState('');
  const [weeks, setWeeks] = useState<number>(WEEKS[0]);
  const until = (many: number) => addDays(dayOf(new Date()), 7 * many);
  const keep = async (way: Way) => {
    const answer = await call('noteTry', {
      params: { id: row.patient.id },
      body: { kind: row.kind, on: row.on, way, note, ...(way === 'snoozed' ? { until: until(weeks) } : {}) },
    });
    if (!answer.ok) return onProblem(failureInWords(answer));
    onProblem(undefined);
    onDone();
    onChange(
      row,
      way === 'snoozed' ? null : { ...row, tried: { way, at: new Date().toISOString(), by: '' } },
    );
  };
  return (
    <div className="flex flex-wrap gap-2 items-end mt-1 ps-6">
      <label className="grid grow min-w-48">
        Note
        <input value={note} maxLength={300} onInput={(event) => setNote(event.currentTarget.value)} />
      </label>
      {WAYS.map((way) => (
        <button key={way} type="button" className="press" onClick={() => void keep(way)}>
          {CONTACT_TRIES[way]}
        </button>
      ))}
      {!recallKind(row.kind).isWarning && (
        <>
          <label className="grid">
            Put off for
            <select value={weeks} onChange={(event) => setWeeks(Number(event.currentTarget.value))}>
              {WEEKS.map((many) => (
                <option key={many} value={many}>
                  {inWords(many)}, until {writtenDay(until(many))}
                </option>
              ))}
            </select>
          </label>
          <button
            type="button"
            className="press"
            disabled={note.trim() === ''}
            title={note.trim() === '' ? 'Write why it is put off.' : undefined}
            onClick={() => void keep('snoozed')}
          >
            put off
          </button>
        </>
      )}
    </div>
  );
}
