import { useState } from 'react';
import type { WeekRecord } from '@/contract/answers/pairs';
import { FINDINGS } from '@/core/findings/findings';
import { SESSION_KINDS, weeklyOf, weeksLeft } from '@/core/wear/rotation/week';
import { DAY_NAMES, weekNotes } from '@/core/wear/rotation/week-notes';
import { Select } from '@/ui/fields/Select';
import { amountInWords, STATE } from '../../pair/pair-words';
import { PairCalendar } from './PairCalendar';
import { useWeek, type Week } from './use-week';
import { WeekGrid } from './WeekGrid';

const DAYS: Readonly<Record<string, string>> = Object.fromEntries(
  DAY_NAMES.map((name, day) => [String(day), name]),
);

/** How long a pair lasts with such weeks, counted to the middle of its likely life. */
function leftInWords(weeks: number, isOverdue: boolean): string {
  if (weeks >= 1) return `about ${Math.round(weeks)} weeks left`;
  return isOverdue ? STATE.overdue : 'past half its likely life';
}

/** Which pair goes to which outing of the week, what that leaves of each, and when to buy the next. */
export function WeekPlan({
  patientId,
  given,
  today,
}: {
  patientId: string;
  given: WeekRecord;
  today: string;
}) {
  const week = useWeek(patientId, given);
  const { record, sessions, plan, problem, state } = week;
  const [picked, pick] = useState<string | null>(null);
  const weekly = weeklyOf(sessions, plan.assignment);
  const overdue = new Set(record.pairs.filter(({ isOverdue }) => isOverdue).map(({ id }) => id));
  const notes = weekNotes(sessions, record.pairs, plan.assignment);
  const session = sessions.find(({ id }) => id === picked);
  return (
    <div className="grid gap-3">
      {!record.isSaved && (
        <p className="text-faint">
          A first draft of the week, from what was said. Correct it, then keep it: each pair then has its own
          use.
        </p>
      )}
      <div className="overflow-x-auto">
        <WeekGrid week={week} picked={picked} onPick={pick} />
      </div>
      <div className="flex flex-wrap gap-3 items-end">
        {session && <Outing key={session.id} session={session} week={week} onGone={() => pick(null)} />}
        <button type="button" className="press" disabled={sessions.length >= 14} onClick={week.add}>
          Add an outing
        </button>
        <button
          type="button"
          className="press press-main"
          disabled={state === 'keeping' || (state === 'kept' && record.isSaved)}
          onClick={week.keep}
        >
          {state === 'keeping' ? 'Keeping …' : 'Keep the week'}
        </button>
        <span role="status" className="text-faint">
          {problem ||
            (state === 'changed' ? 'Not kept yet.' : record.isSaved ? 'Kept; the windows follow it.' : '')}
        </span>
      </div>
      <div className="grid md:grid-cols-2 gap-6">
        <ul aria-label="What each pair is used">
          {week.pairs.map((pair) => {
            const use = weekly.get(pair.id) ?? 0;
            const left = weeksLeft(pair, use);
            return (
              <li key={pair.id}>
                {pair.title}: {amountInWords(pair.clock, use)} a week
                {left !== null && `, ${leftInWords(left, overdue.has(pair.id))}`}
                {pair.racesLeft !== undefined && `, ${pair.racesLeft} races left`}
              </li>
            );
          })}
        </ul>
        <ul aria-label="What the week still lacks" className="text-hold">
          {notes.map((note) => (
            <li key={note}>{note}</li>
          ))}
        </ul>
      </div>
      <PairCalendar pairs={record.pairs} today={today} />
    </div>
  );
}

/** One outing under the hands. */
function Outing({
  session,
  week,
  onGone,
}: {
  session: Week['sessions'][number];
  week: Week;
  onGone: () => void;
}) {
  const { put, remove, free, settled } = week;
  const [text, setText] = useState(String(session.amount));
  const amount = Number(text.replace(',', '.'));
  const isWrong = text.trim() === '' || !(amount >= 0 && amount <= 400);
  return (
    <fieldset className="flex flex-wrap gap-3 items-end">
      <legend className="sr-only">The selected outing</legend>
      <Select
        label="What for"
        options={FINDINGS.activities.options}
        value={session.activity}
        onChange={(activity) => activity && put(session.id, { activity })}
      />
      <Select
        label="Kind"
        options={SESSION_KINDS}
        value={session.kind}
        onChange={(kind) => kind && put(session.id, { kind })}
      />
      <Select
        label="Day"
        options={DAYS}
        value={String(session.day)}
        onChange={(day) => day && put(session.id, { day: Number(day) })}
      />
      <label>
        <span className="block text-faint">How much</span>
        <input
          className="figure w-16 text-right"
          inputMode="decimal"
          value={text}
          aria-invalid={isWrong || undefined}
          onChange={({ target }) => {
            setText(target.value);
            const typed = Number(target.value.replace(',', '.'));
            if (target.value.trim() !== '' && typed >= 0 && typed <= 400) put(session.id, { amount: typed });
          }}
        />
        {isWrong && <span className="problem block">A number up to 400.</span>}
      </label>
      {settled[session.id] !== undefined && (
        <button type="button" className="press press-quiet" onClick={() => free(session.id)}>
          let the plan decide
        </button>
      )}
      <button
        type="button"
        className="press press-quiet"
        onClick={() => {
          remove(session.id);
          onGone();
        }}
      >
        remove
      </button>
    </fieldset>
  );
}
