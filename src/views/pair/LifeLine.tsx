import type { PairRecord } from '@/contract/records';
import { LIFE_SCHOOLS } from '@/core/wear/life-schools';
import { amountInWords } from './pair-words';

const WIDTH = 660;
const LEFT = 8;
const RIGHT = 392;
const ROW = 19;

/** How long this pair lasts, in its own clock, with what every school says beside it and where it stands now. */
export function LifeLine({ pair }: { pair: Pick<PairRecord, 'forecast' | 'schools'> }) {
  const { forecast, schools } = pair;
  const { life, used, inspected } = forecast;
  const rows = schools.length + (inspected ? 1 : 0);
  const most =
    Math.max(life.q90, inspected?.before.q90 ?? 0, used ?? 0, ...schools.map(({ q90 }) => q90)) * 1.06;
  const x = (amount: number) => LEFT + (amount / most) * (RIGHT - LEFT);
  const words = (amount: number) => amountInWords(life.clock, amount);
  const top = 34;
  const height = top + 24 + rows * ROW;
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${height}`}
      className="w-full max-w-3xl"
      role="img"
      aria-label={`Life: 10 % of such pairs are used up at ${words(life.q10)}, half at ${words(life.q50)}, 90 % at ${words(life.q90)}${used === null ? '' : `; used ${words(used)}`}`}
    >
      <line x1={LEFT} x2={RIGHT} y1={top} y2={top} stroke="var(--rule)" />
      <rect
        x={x(life.q10)}
        width={Math.max(2, x(life.q90) - x(life.q10))}
        y={top - 7}
        height={14}
        fill="var(--draw-foam)"
        stroke="var(--rule)"
      />
      <line
        x1={x(life.q50)}
        x2={x(life.q50)}
        y1={top - 10}
        y2={top + 10}
        stroke="var(--ink)"
        strokeWidth={1.5}
      />
      {used !== null && (
        <>
          <path d={`M${x(used)} ${top - 3} l-5 -9 h10 z`} fill="var(--accent)" />
          <text
            x={Math.min(RIGHT - 60, Math.max(LEFT, x(used) - 24))}
            y={top - 17}
            fontSize={18}
            fill="var(--accent)"
          >
            now {words(used)}
          </text>
        </>
      )}
      <text x={RIGHT + 8} y={top + 4} fontSize={18} fontWeight={600} fill="var(--ink)">
        this pair, half by {words(life.q50)}
      </text>
      {inspected && (
        <Range
          label="before the last inspection"
          y={top + 24}
          from={x(inspected.before.q10)}
          to={x(inspected.before.q90)}
          dashed
        />
      )}
      {schools.map(({ school, q10, q90 }, at) => (
        <Range
          key={school}
          label={LIFE_SCHOOLS[school].label}
          y={top + 24 + (at + (inspected ? 1 : 0)) * ROW}
          from={x(q10)}
          to={x(q90)}
        />
      ))}
    </svg>
  );
}

function Range({
  label,
  y,
  from,
  to,
  dashed = false,
}: {
  label: string;
  y: number;
  from: number;
  to: number;
  dashed?: boolean;
}) {
  return (
    <g>
      <line
        x1={from}
        x2={to}
        y1={y}
        y2={y}
        stroke="var(--faint)"
        strokeWidth={dashed ? 1.5 : 3}
        strokeDasharray={dashed ? '3 3' : undefined}
      />
      <text x={RIGHT + 8} y={y + 5} fontSize={18} fill="var(--faint)">
        {label}
      </text>
    </g>
  );
}
