import type { OutcomeChange } from '@/core/outcomes/outcome';

const WIDTH = 220;
const HEIGHT = 26;
const MIDDLE = 13;

/** Ends of what is drawn: the scale where there is one, else a little beyond what is on it. */
function endsOf({ scale, baseline, now, same }: OutcomeChange): readonly [number, number] {
  if (scale) return scale;
  const values = [baseline, now, ...(same ?? [])];
  const [least, most] = [Math.min(...values), Math.max(...values)];
  const beyond = (most - least || 1) * 0.1;
  return [least - beyond, most + beyond];
}

/** Then and now on one scale, with the band in which a difference means nothing. */
export function ChangeBand({ change }: { change: OutcomeChange }) {
  const [from, to] = endsOf(change);
  const at = (value: number): number =>
    6 + ((Math.min(to, Math.max(from, value)) - from) / (to - from)) * (WIDTH - 12);
  const { same, baseline, now, reading } = change;
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      className="w-56"
      role="img"
      aria-label={`${change.measure}: ${baseline} then, ${now} now, ${reading}`}
    >
      {same && (
        <rect
          x={at(same[0])}
          y={MIDDLE - 8}
          width={Math.max(1, at(same[1]) - at(same[0]))}
          height={16}
          fill="var(--line)"
        />
      )}
      <line x1={6} x2={WIDTH - 6} y1={MIDDLE} y2={MIDDLE} stroke="var(--rule)" strokeWidth={1} />
      <line
        x1={at(baseline)}
        x2={at(baseline)}
        y1={MIDDLE - 9}
        y2={MIDDLE + 9}
        stroke="var(--ink)"
        strokeWidth={1.6}
      />
      <line x1={at(baseline)} x2={at(now)} y1={MIDDLE} y2={MIDDLE} stroke="var(--ink)" strokeWidth={2.4} />
      <circle cx={at(now)} cy={MIDDLE} r={5} fill={reading === 'worse' ? 'var(--warn)' : 'var(--accent)'} />
    </svg>
  );
}
