import type { Side } from '@/core/findings/finding-kinds';
import { LACE_WIDTH, lacingDrawing } from '@/core/lacing/drawing';
import type { ShoeEyelets } from '@/core/lacing/eyelets';
import type { SideLacing } from '@/core/lacing/plan';

interface Props {
  side: Side;
  eyelets: ShoeEyelets;
  lacing: SideLacing;
  /** What the two sides of the foot are called. */
  words: { inner: string; outer: string };
  /** What a person who cannot see it is told: the steps. */
  summary: string;
  className?: string;
}

/**
 * How a shoe is laced, seen as one looks down on it. Both ends differ without colour: one is solid, the other is drawn as an
 * outline, so that it can be followed on paper.
 */
export function LacingDiagram({ side, eyelets, lacing, words, summary, className = '' }: Props) {
  const drawing = lacingDrawing(side, eyelets, lacing);
  const { width, height } = drawing;
  return (
    <svg
      viewBox={`0 0 ${width} ${height}`}
      direction="ltr"
      role="img"
      aria-label={summary}
      className={className}
    >
      <path d={drawing.tongue} fill="var(--draw-upper)" stroke="var(--draw-line)" strokeWidth={1} />
      {drawing.laces.map(({ from, to, end, d, tension }) => (
        <g key={`${from.side} ${from.row} ${to.side} ${to.row}`} fill="none" strokeLinecap="round">
          <path d={d} stroke="var(--paper)" strokeWidth={LACE_WIDTH[tension] + 2.6} />
          <path d={d} stroke="var(--ink)" strokeWidth={LACE_WIDTH[tension]} />
          {end === 1 && <path d={d} stroke="var(--paper)" strokeWidth={LACE_WIDTH[tension] - 1.6} />}
        </g>
      ))}
      {drawing.extras.map(({ d, kind }) => (
        <path
          key={d}
          d={d}
          fill="none"
          stroke="var(--ink)"
          strokeWidth={kind === 'through-loop' ? 2.2 : 1.6}
          strokeDasharray={kind === 'through-loop' ? '4 2' : undefined}
        />
      ))}
      {drawing.twists.map(({ x, y }) => (
        <g key={`${x} ${y}`}>
          <circle cx={x} cy={y} r={8} fill="var(--paper)" stroke="var(--ink)" strokeWidth={1.4} />
          <text x={x} y={y + 3.7} textAnchor="middle" fontSize={10.5} fontWeight={600} fill="var(--ink)">
            2×
          </text>
        </g>
      ))}
      {drawing.eyelets.map(({ at, x, y, label, isUsed }) => (
        <g key={`${at.side} ${at.row}`}>
          <circle
            cx={x}
            cy={y}
            r={3.4}
            fill={isUsed ? 'var(--ink)' : 'var(--paper)'}
            stroke="var(--ink)"
            strokeWidth={1}
          />
          <text
            x={x + Math.sign(x - width / 2) * 12}
            y={y + 3.7}
            textAnchor="middle"
            fontSize={10.5}
            fill="var(--ink)"
          >
            {label}
          </text>
        </g>
      ))}
      {(['inner', 'outer'] as const).map((of) => (
        <text
          key={of}
          x={drawing.sides[of].x}
          y={drawing.sides[of].y}
          textAnchor="middle"
          fontSize={10.5}
          fill="var(--faint)"
        >
          {words[of]}
        </text>
      ))}
    </svg>
  );
}
