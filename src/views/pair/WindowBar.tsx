import type { PairRecord } from '@/contract/records';
import { writtenDay } from '@/ui/formats';

const at = (day: string): number => new Date(`${day}T12:00:00Z`).getTime();

/** The likely replacement window on the pair's own time line: thin is life so far, the block is 10 to 90 %, the notch half. */
export function WindowBar({
  pair,
  window,
  today,
}: {
  pair: Pick<PairRecord, 'startedOn'>;
  window: NonNullable<PairRecord['window']>;
  today: string;
}) {
  const start = at(pair.startedOn);
  const end = Math.max(at(window.to), at(today)) + 20 * 86_400_000;
  const x = (day: string) => Math.round(((at(day) - start) / (end - start)) * 380) + 10;
  return (
    <svg
      viewBox="0 0 400 50"
      className="w-full min-w-72 max-w-md"
      role="img"
      aria-label={`Likely used up between ${writtenDay(window.from)} and ${writtenDay(window.to)}, half by ${writtenDay(window.middle)}; start the next pair from ${writtenDay(window.startNextOn)}`}
    >
      <line x1={10} x2={390} y1={18} y2={18} stroke="var(--rule)" />
      <rect
        x={x(window.from)}
        width={Math.max(2, x(window.to) - x(window.from))}
        y={11}
        height={14}
        fill="var(--draw-foam)"
        stroke="var(--rule)"
      />
      <line
        x1={x(window.middle)}
        x2={x(window.middle)}
        y1={8}
        y2={28}
        stroke="var(--ink)"
        strokeWidth={1.5}
      />
      <path d={`M${x(today)} 16 l-5 -10 h10 z`} fill="var(--accent)" />
      <g fontSize="14.5" fill="var(--ink)">
        <text x={10} y={45}>
          {writtenDay(pair.startedOn)}
        </text>
        {x(window.from) > 140 && x(window.from) < 270 && (
          <text x={x(window.from) - 30} y={45} textAnchor="start">
            {writtenDay(window.from)}
          </text>
        )}
        <text x={Math.min(390, Math.max(x(window.to), x(window.from) + 152))} y={45} textAnchor="end">
          {writtenDay(window.to)}
        </text>
      </g>
    </svg>
  );
}
