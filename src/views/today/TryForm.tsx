/** @jsxImportSource preact */
import { useState } from 'preact/hooks';
import { call, failureInWords } from '@/contract/client';
import { addDays, dayOf } from '@/core/calendar/days';
import { CONTACT_TRIES, type ContactTry, recallKind } from '@/core/recall/kinds';
import type { RecallRowProps } from './RecallRow';

type Way = Exclude<ContactTry, 'written'>;
const WAYS = ['spoke', 'called', 'no-answer'] as const satisfies readonly Way[];
/** Days ahead that something is put off for unless another day is chosen. Ours. */
const USUAL_SNOOZE_DAYS = 7;

/** What was tried, or until when it is put off and why. */
export function TryForm({
  row,
  onChange,
  onProblem,
  onDone,
}: Pick<RecallRowProps, 'row' | 'onChange' | 'onProblem'> & { onDone: () => void }) {
  const [note, setNote] = useState('');
  const [until, setUntil] = useState(addDays(dayOf(new Date()), USUAL_SNOOZE_DAYS));
  const keep = async (way: Way) => {
    const answer = await call('noteTry', {
      params: { id: row.patient.id },
      body: { kind: row.kind, on: row.on, way, note, ...(way === 'snoozed' ? { until } : {}) },
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
            Put off until
            <input type="date" value={until} onChange={(event) => setUntil(event.currentTarget.value)} />
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
