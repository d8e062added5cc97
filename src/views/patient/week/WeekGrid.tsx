import { useDrag } from '@use-gesture/react';
import { type KeyboardEvent, useState } from 'react';
import { FINDINGS } from '@/core/findings/findings';
import {
  clockOf,
  type PairToPlan,
  SESSION_KINDS,
  type Session,
  servesSession,
} from '@/core/wear/rotation/week';
import { DAY_NAMES } from '@/core/wear/rotation/week-notes';
import type { Week } from './use-week';

const UNIT = { km: 'km', hours: 'h', 'hours-on-feet': 'h', 'days-worn': 'd' } as const;

/** The week as a table of pairs and days; outings are dragged, or moved by arrow keys. */
export function WeekGrid({
  week,
  picked,
  onPick,
}: {
  week: Week;
  picked: string | null;
  onPick: (id: string) => void;
}) {
  const { record, sessions, plan } = week;
  const rows = record.pairs;
  const pairOf = (session: Session) => plan.assignment[session.id];
  const row = (pair: (typeof rows)[number] | null) => (
    <tr key={pair?.id ?? 'none'} className="border-t border-line">
      <th scope="row" className={`text-left font-normal pr-2 py-1 ${pair ? '' : 'text-hold'}`}>
        {pair?.title ?? 'no pair for it'}
      </th>
      {DAY_NAMES.map((name, day) => (
        <td
          key={name}
          data-pair={pair?.id}
          data-day={day}
          className="align-top py-1 pr-1 h-12 border-l border-line pl-1"
        >
          {sessions
            .filter((session) => session.day === day && pairOf(session) === pair?.id)
            .map((session) => (
              <Chip
                key={session.id}
                session={session}
                pair={pair}
                pairs={rows}
                week={week}
                picked={picked === session.id}
                onPick={onPick}
              />
            ))}
        </td>
      ))}
    </tr>
  );
  return (
    <table className="w-full min-w-[34rem] table-fixed border-collapse">
      <thead>
        <tr>
          <th scope="col" className="w-44 text-left font-normal text-faint">
            Pair
          </th>
          {DAY_NAMES.map((name) => (
            <th key={name} scope="col" className="text-left font-normal text-faint">
              {name}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {rows.map(row)}
        {plan.without.length > 0 && row(null)}
      </tbody>
    </table>
  );
}

/** One outing: dragged to another pair or day, or moved by the arrow keys. */
function Chip({
  session,
  pair,
  pairs,
  week,
  picked,
  onPick,
}: {
  session: Session;
  pair: PairToPlan | null;
  pairs: readonly PairToPlan[];
  week: Week;
  picked: boolean;
  onPick: (id: string) => void;
}) {
  const [offset, setOffset] = useState<readonly [number, number] | null>(null);
  const serving = pairs.filter((entry) => servesSession(entry, session) > 0);
  const bind = useDrag(
    ({ movement, last, xy: [x, y], tap }) => {
      if (tap) return onPick(session.id);
      setOffset(last ? null : movement);
      if (!last) return;
      const under = document
        .elementsFromPoint(x, y)
        .map((element) => element.closest<HTMLElement>('[data-pair]'))
        .find((found) => found !== null);
      if (under?.dataset.pair) week.move(session.id, under.dataset.pair, Number(under.dataset.day));
    },
    { filterTaps: true, keys: false },
  );
  const onKeyDown = (event: KeyboardEvent) => {
    const across = { ArrowLeft: -1, ArrowRight: 1 }[event.key];
    const along = { ArrowUp: -1, ArrowDown: 1 }[event.key];
    if (across === undefined && along === undefined) return;
    event.preventDefault();
    const at = serving.findIndex((entry) => entry.id === pair?.id);
    const to = along === undefined ? pair : serving[(at + along + serving.length) % serving.length];
    if (to) week.move(session.id, to.id, (session.day + (across ?? 0) + 7) % 7);
  };
  const unit = pair ? UNIT[clockOf(pair)] : '';
  const isSettled = week.settled[session.id] !== undefined;
  const words = `${session.amount} ${unit}${session.kind === 'other' ? '' : ` ${SESSION_KINDS[session.kind]}`}`;
  return (
    <button
      type="button"
      {...bind()}
      onKeyDown={onKeyDown}
      onClick={() => onPick(session.id)}
      aria-pressed={picked}
      aria-label={`${DAY_NAMES[session.day]}: ${FINDINGS.activities.options[session.activity]}, ${words}${isSettled ? ', settled by hand' : ''}; arrow keys move it`}
      className={`press text-sm px-1.5 py-0.5 touch-none cursor-grab w-full text-left ${picked ? 'press-main' : ''}`}
      ref={(element) => {
        if (element) element.style.translate = offset ? `${offset[0]}px ${offset[1]}px` : '';
      }}
    >
      {words}
      {isSettled && <span aria-hidden="true"> ●</span>}
    </button>
  );
}
