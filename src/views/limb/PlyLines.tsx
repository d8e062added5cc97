interface Props {
  most: number;
  every: number;
  from: number;
  to: number;
  y: (ply: number) => number;
}

/** Level lines of a picture of plies, each with its number. */
export function PlyLines({ most, every, from, to, y }: Props) {
  return Array.from({ length: Math.floor(most / every) + 1 }, (_, at) => at * every).map((ply) => (
    <g key={ply}>
      <line x1={from} x2={to} y1={y(ply)} y2={y(ply)} stroke="var(--line)" />
      <text x={from - 8} y={y(ply) + 4} fontSize="13" textAnchor="end" fill="var(--ink)">
        {ply}
      </text>
    </g>
  ));
}
