import { LEG_REGIONS, type LegRegion } from '@/core/what-if/effects';
import type { RegionChange } from '@/core/what-if/what-if';

/**
 * Where each region lies on the leg, and where its arrow stands, in a box of 150 × 320: the longest arrow of the ground ends at 316;
 * the foot points right.
 */
const AT: Record<LegRegion, { x: number; y: number; arrow: number }> = {
  hip: { x: 62, y: 24, arrow: 118 },
  knee: { x: 72, y: 134, arrow: 118 },
  ankle: { x: 58, y: 232, arrow: 22 },
  forefoot: { x: 112, y: 268, arrow: 136 },
  ground: { x: 76, y: 292, arrow: 22 },
};

/** Length of an arrow in shares: by size where one is known, short where only the direction is. */
const lengthOf = (change: RegionChange): number => {
  if (!change.size) return 14;
  const largest = Math.max(Math.abs(change.size.low), Math.abs(change.size.high));
  return 14 + Math.min(26, largest * 0.7);
};

export const sizeInWords = ({ size, direction }: RegionChange): string => {
  const way = direction === 'mixed' ? 'pulled both ways' : direction === 'none' ? 'unchanged' : direction;
  if (!size) return direction === 'none' ? way : `${way}, size not known`;
  const [low, high] = [Math.round(size.low), Math.round(size.high)];
  const sign = (value: number) => `${value > 0 ? '+' : value < 0 ? '−' : ''}${Math.abs(value)}`;
  return `${way}, about ${low === high ? sign(low) : `${sign(low)} to ${sign(high)}`} %`;
};

interface Props {
  changes: readonly RegionChange[];
  label: string;
}

/** A leg from the outer side with an arrow at each region: up is more load, filled where a size is known. */
export function LegDrawing({ changes, label }: Props) {
  return (
    <svg
      viewBox="0 0 150 320"
      role="img"
      aria-label={summary(label, changes)}
      className="leg w-full max-h-96"
    >
      <path
        className="leg-skin"
        d="M40 8 C34 44 40 84 50 120 C54 132 54 140 50 150 C40 176 42 204 51 226 C53 236 46 244 45 254 C44 264 50 270 60 271 L118 272 C130 272 133 264 124 259 C108 251 88 246 78 230 C76 212 84 190 86 166 C87 152 86 142 88 130 C94 96 100 50 96 8 Z"
      />
      <path
        className="leg-bone"
        d="M66 22 C66 60 68 96 72 128 M70 140 C68 172 64 204 61 228 M60 238 L60 258 M66 248 C84 254 100 262 116 265"
      />
      <path className="leg-bone" d="M78 126 a7 8 0 1 1 -0.1 0" />
      <line x1="10" x2="144" y1="276" y2="276" className="leg-ground" />
      {changes.map((entry) => (
        <RegionArrow key={entry.region} change={entry} />
      ))}
    </svg>
  );
}

function RegionArrow({ change }: { change: RegionChange }) {
  const { x, y, arrow } = AT[change.region];
  const quiet = change.direction === 'none';
  // The ground is no part of the leg: it is shown only when something is known of it.
  if (quiet && change.region === 'ground') return null;
  const length = lengthOf(change);
  const [top, bottom] = [y - length / 2, y + length / 2];
  const head = (tip: number, back: number) => `M${arrow} ${tip} l-6 ${back} h12 Z`;
  return (
    <g className={quiet ? 'leg-quiet' : 'leg-changed'}>
      <circle cx={x} cy={y} r="5" className="leg-region" />
      <line x1={x} y1={y} x2={arrow} y2={y} className="leg-lead" />
      {!quiet && (
        <>
          <line x1={arrow} x2={arrow} y1={top} y2={bottom} className="leg-shaft" />
          {change.direction !== 'down' && (
            <path d={head(top - 4, 9)} data-known={change.size !== null || undefined} />
          )}
          {change.direction !== 'up' && (
            <path d={head(bottom + 4, -9)} data-known={change.size !== null || undefined} />
          )}
        </>
      )}
    </g>
  );
}

const summary = (label: string, changes: readonly RegionChange[]): string =>
  `${label}: ${changes.map((entry) => `${LEG_REGIONS[entry.region].toLowerCase()} ${sizeInWords(entry)}`).join('; ')}`;
