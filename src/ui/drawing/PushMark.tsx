import type { EvidenceGrade, Strength } from '@/core/knowledge/rule';
import type { PullDirection } from '@/core/prescribe/explain/board';

/** Shapes in a box of 16, pointing where a push points from a usual shoe. */
const SHAPE: Record<PullDirection, string> = {
  up: 'M8 2 L14 9.5 H10.4 V14 H5.6 V9.5 H2 Z',
  down: 'M8 14 L2 6.5 H5.6 V2 H10.4 V6.5 H14 Z',
  toward: 'M2.5 4.5 H7 V2 L14 8 L7 14 V11.5 H2.5 Z',
  away: 'M2.5 2.5 L13.5 13.5 M13.5 2.5 L2.5 13.5',
  holds: 'M2.5 6 H13.5 V10 H2.5 Z',
};

const SIZE: Record<Strength, number> = { limit: 0.72, strong: 1, moderate: 0.78, slight: 0.56 };
const WEIGHT: Record<EvidenceGrade, { fill: number; line: number }> = {
  A: { fill: 1, line: 1 },
  B: { fill: 0.35, line: 1.4 },
  C: { fill: 0, line: 1.1 },
};

export const WAY_WORD: Record<PullDirection, string> = {
  up: 'more than usual',
  down: 'less than usual',
  toward: 'toward an option',
  away: 'away from an option',
  holds: 'as usual',
};

interface Props {
  way: PullDirection;
  strength: Strength;
  evidence: EvidenceGrade;
  contested?: boolean;
  aside?: boolean;
  size?: number;
}

/**
 * One push: direction by shape, strength by size, two posts for a limit, evidence by how full it is; a ring for
 * contested, a bar through what was set aside.
 */
export function PushMark({ way, strength, evidence, contested = false, aside = false, size = 16 }: Props) {
  const scale = SIZE[strength];
  const { fill, line } = WEIGHT[evidence];
  return (
    <svg viewBox="0 0 16 16" width={size} height={size} aria-hidden="true" className="block shrink-0">
      <g transform={`translate(8 8) scale(${scale}) translate(-8 -8)`}>
        <path
          d={SHAPE[way]}
          fill={way === 'away' ? 'none' : 'currentColor'}
          fillOpacity={fill}
          stroke="currentColor"
          strokeWidth={(way === 'away' ? 1 + fill * 1.6 : line) / scale}
          strokeLinejoin="round"
        />
      </g>
      {strength === 'limit' && <path d="M1 1 V15 M15 1 V15" stroke="currentColor" strokeWidth="1.8" />}
      {contested && (
        <circle
          cx="8"
          cy="8"
          r="7.2"
          fill="none"
          stroke="currentColor"
          strokeWidth="0.8"
          strokeDasharray="2 1.6"
        />
      )}
      {aside && <path d="M1 13 L15 3" stroke="currentColor" strokeWidth="1.6" />}
    </svg>
  );
}
