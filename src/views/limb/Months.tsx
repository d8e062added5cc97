import { line } from 'd3-shape';
import type { LimbPage } from '@/contract/limb';
import { daysBetween } from '@/core/calendar/days';
import type { DayPly } from '@/core/prosthesis/limb-course';
import { writtenDay } from '@/ui/formats';
import { PlyLines } from './PlyLines';

const WIDTH = 900;
const HEIGHT = 260;
const LEFT = 40;
const TOP = 14;
const FOOT = 28;
/** Days of a month on the axis. */
const TICK_DAYS = 28;

/** Each day’s ply at noon over the months, with the step and the slope that are in it. */
export function Months({ page: { course, record } }: { page: LimbPage }) {
  const { days, change } = course;
  const [first, last] = [days[0], days.at(-1)];
  if (!first || !last || days.length < 2)
    return (
      <p className="text-faint">
        Fewer than two days are logged{record.socketOn ? ' with this socket' : ''}. After a week or two the
        limb’s course shows here.
      </p>
    );
  const span = Math.max(1, daysBetween(first.on, last.on));
  const most = Math.max(6, Math.ceil(Math.max(...days.map(({ ply }) => ply))) + 1);
  const x = (on: string) => LEFT + (daysBetween(first.on, on) / span) * (WIDTH - LEFT - 12);
  const y = (ply: number) => HEIGHT - FOOT - (ply / most) * (HEIGHT - FOOT - TOP);
  const path = line<DayPly>()
    .x(({ on }) => x(on))
    .y(({ ply }) => y(ply));
  const ticks = Array.from({ length: Math.floor(span / TICK_DAYS) + 1 }, (_, at) =>
    days.find(({ on }) => daysBetween(first.on, on) >= at * TICK_DAYS),
  ).flatMap((day) => day ?? []);
  return (
    <figure className="grid gap-2">
      <svg
        viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
        className="w-full max-w-[66rem]"
        role="img"
        aria-label={`Ply at noon of ${days.length} days, from ${first.ply.toFixed(1)} to ${last.ply.toFixed(1)}`}
      >
        <PlyLines most={most} every={2} from={LEFT} to={WIDTH - 12} y={y} />
        {ticks.map(({ on }) => (
          <text key={on} x={x(on)} y={HEIGHT - 8} fontSize="13" fill="var(--ink)">
            {writtenDay(on)}
          </text>
        ))}
        <path d={path(days) ?? ''} fill="none" stroke="var(--ink)" strokeWidth="1.4" />
        {days.map(({ on, ply }) => (
          <circle key={on} cx={x(on)} cy={y(ply)} r="2.4" fill="var(--ink)" />
        ))}
        {change && (
          <g stroke="var(--warn)" strokeWidth="2.5">
            <line x1={LEFT} x2={x(change.from)} y1={y(change.before)} y2={y(change.before)} />
            <line
              x1={x(change.from)}
              x2={x(change.from)}
              y1={y(change.before)}
              y2={y(change.since)}
              strokeDasharray="5 4"
            />
            <line x1={x(change.from)} x2={WIDTH - 12} y1={y(change.since)} y2={y(change.since)} />
          </g>
        )}
      </svg>
      <figcaption className="grid gap-1">
        <span>{courseInWords(course)}</span>
        <span className="text-faint">
          Ply at noon of each day. A limb that does not change shows a step in fewer than one year in twenty.
          Plies are counted, never turned into millimetres.
        </span>
      </figcaption>
    </figure>
  );
}

function courseInWords({ change, slope }: LimbPage['course']): string {
  if (change)
    return `From ${change.before.toFixed(1)} to ${change.since.toFixed(1)} ply since ${writtenDay(change.from)}.`;
  if (!slope) return 'No step in these weeks; too few for a slope.';
  const sign = slope.perMonth >= 0 ? '+' : '−';
  return `No step in these weeks. Slope ${sign}${Math.abs(slope.perMonth).toFixed(1)} ± ${slope.within.toFixed(1)} ply a month.`;
}
