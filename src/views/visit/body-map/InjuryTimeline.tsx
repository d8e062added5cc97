import { INJURY_STATES, type InjuryMark, injuryTimeline } from '@/core/body-map/mark';
import { siteOf } from '@/core/body-map/sites';
import { FINDINGS } from '@/core/findings/findings';
import { printMonth } from '@/core/formats/formats';
import { useExamined } from '../visit-context';
import { useMarks } from './use-marks';

const WIDTH = 700;
const LEFT = 20;

const yearOf = (on: string): number => {
  const [year, month] = on.split('-').map(Number) as [number, number | undefined];
  return year + ((month ?? 7) - 1) / 12;
};

const nameOf = (mark: InjuryMark): string => {
  const what = mark.what && mark.what !== 'other' ? FINDINGS.injuries.options[mark.what] : 'injury';
  return `${what}, ${siteOf(mark.site)?.label ?? mark.site} ${mark.side}`;
};

/** Injuries in time: when, what, where, and how each is now. Undated ones stand at the end. */
export function InjuryTimeline() {
  const { visit } = useExamined();
  const { marks } = useMarks('injury');
  const ordered = injuryTimeline(marks);
  if (ordered.length === 0) return null;
  const dated = ordered.filter((mark) => mark.on !== undefined);
  const now = yearOf(visit.startedAt.slice(0, 7));
  const from = Math.min(Math.floor(now) - 2, ...dated.map((mark) => Math.floor(yearOf(mark.on!))));
  const x = (year: number) => LEFT + ((year - from) / Math.max(1, now - from)) * (WIDTH - 2 * LEFT);
  const years = Array.from({ length: Math.floor(now) - from + 1 }, (_, at) => from + at);
  const every = Math.ceil(years.length / 12);
  return (
    <section aria-label="Injuries in time">
      <svg viewBox={`0 0 ${WIDTH} 44`} className="w-full h-12" aria-hidden="true">
        <line x1={LEFT} x2={WIDTH - LEFT} y1={22} y2={22} stroke="var(--rule)" />
        {years
          .filter((year) => (year - from) % every === 0)
          .map((year) => (
            <g key={year}>
              <line x1={x(year)} x2={x(year)} y1={18} y2={26} stroke="var(--rule)" />
              <text x={x(year)} y={40} fontSize="13" textAnchor="middle" fill="var(--faint)">
                {year}
              </text>
            </g>
          ))}
        {dated.map((mark) => {
          const at = x(yearOf(mark.on!));
          const open = mark.state === 'healed';
          return (
            <g key={mark.id} stroke="var(--ink)" strokeWidth={open ? 1.2 : 2.4}>
              <path d={`M${at - 5} 12l10 10M${at + 5} 12l-10 10`} fill="none" />
            </g>
          );
        })}
      </svg>
      <ol className="text-sm columns-2">
        {ordered.map((mark) => (
          <li key={mark.id}>
            <span className="figure font-medium">
              {mark.on === undefined ? 'undated' : printMonth(mark.on)}
            </span>{' '}
            {nameOf(mark)}
            {mark.state && <span className="text-faint">, {INJURY_STATES[mark.state]}</span>}
          </li>
        ))}
      </ol>
    </section>
  );
}
