import type { WeekRecord } from '@/contract/answers/pairs';
import { addDays, daysBetween } from '@/core/calendar/days';
import { buyBy, LEAD_DAYS } from '@/core/wear/bring-in';
import { writtenDay } from '@/ui/formats';

const WIDTH = 640;
const NAME = 176;
const ROW = 30;
const DAYS = 365;

/** The year ahead: when each pair's window lies, and when to buy the next one. */
export function PairCalendar({ pairs, today }: { pairs: WeekRecord['pairs']; today: string }) {
  const x = (day: string) =>
    NAME + (Math.max(0, Math.min(DAYS, daysBetween(today, day))) / DAYS) * (WIDTH - NAME - 8);
  const months = Array.from({ length: 13 }, (_, at) => addDays(today, Math.round((at * DAYS) / 12)));
  const known = pairs.flatMap(({ id, title, window }) => (window ? [{ id, title, window }] : []));
  if (known.length === 0) return null;
  return (
    <section aria-label="The year ahead" className="grid gap-1">
      <div className="overflow-x-auto">
        <svg
          viewBox={`0 0 ${WIDTH} ${known.length * ROW + 26}`}
          className="w-full min-w-[30rem] max-w-3xl"
          role="img"
          aria-label={known
            .map(
              ({ title, window }) =>
                `${title}: likely used up ${writtenDay(window.from)} to ${writtenDay(window.to)}, buy the next by ${writtenDay(buyBy(window.startNextOn, today))}`,
            )
            .join('; ')}
        >
          {months.map((month, at) => (
            <g key={month}>
              <line x1={x(month)} x2={x(month)} y1={2} y2={known.length * ROW + 6} stroke="var(--line)" />
              {at % 2 === 0 && at < 12 && (
                <text x={x(month) + 2} y={known.length * ROW + 20} fontSize={12} fill="var(--faint)">
                  {writtenDay(month).replace(/ ?\d{4}$/, '')}
                </text>
              )}
            </g>
          ))}
          {known.map(({ id, title, window }, row) => {
            const y = row * ROW + 16;
            const buy = x(buyBy(window.startNextOn, today));
            return (
              <g key={id}>
                <text x={0} y={y + 4} fontSize={13} fill="var(--ink)">
                  {title}
                </text>
                <line x1={NAME} x2={x(window.to)} y1={y} y2={y} stroke="var(--rule)" />
                <rect
                  x={x(window.from)}
                  width={Math.max(2, x(window.to) - x(window.from))}
                  y={y - 6}
                  height={12}
                  fill="var(--draw-foam)"
                  stroke="var(--rule)"
                />
                <line
                  x1={x(window.middle)}
                  x2={x(window.middle)}
                  y1={y - 8}
                  y2={y + 8}
                  stroke="var(--ink)"
                  strokeWidth={1.5}
                />
                <path d={`M${buy} ${y + 3} l-5 9 h10 z`} fill="var(--accent)" />
              </g>
            );
          })}
        </svg>
      </div>
      <p className="text-faint text-xs">
        Triangle: buy the next pair by then, {LEAD_DAYS} days before it is brought in, so that it is fitted
        and broken in beside the old one. Block: 10 to 90 % of such pairs are used up; notch: half.
      </p>
    </section>
  );
}
