import { SIDES } from '@/core/findings/finding-kinds';
import { SEVERITIES, type WearMap, ZONES, zoneInWords } from '@/core/wear/wear-map';

const ROWS = ['fore', 'mid', 'heel'] as const;

/** Both soles as they were graded, small and from below: darker is more worn. */
export function SmallSoles({ map }: { map: WearMap }) {
  return (
    <svg
      viewBox="0 0 150 132"
      className="w-36"
      role="img"
      aria-label={SIDES.map((side) => {
        const sole = map[side] ?? {};
        const worn = ZONES.filter((zone) => (sole[zone] ?? 0) > 0);
        return `${side}: ${worn.map((zone) => `${zoneInWords(zone)} ${SEVERITIES[sole[zone] ?? 0]}`).join(', ') || 'not worn'}`;
      }).join('; ')}
    >
      {SIDES.map((side) => (
        <g key={side} transform={`translate(${side === 'left' ? 6 : 81} 4)`}>
          {ROWS.map((along, row) =>
            // From below the inner side of a left sole lies to its left.
            (side === 'left'
              ? (['inner', 'centre', 'outer'] as const)
              : (['outer', 'centre', 'inner'] as const)
            ).map((across, column) => {
              const grade = map[side]?.[`${along}-${across}`];
              return (
                <g key={across}>
                  <rect
                    x={column * 21}
                    y={row * 41}
                    width={20}
                    height={40}
                    rx={3}
                    fill="var(--ink)"
                    fillOpacity={grade === undefined ? 0 : 0.06 + grade * 0.2}
                    stroke="var(--line)"
                  />
                  {grade !== undefined && (
                    <text
                      x={column * 21 + 10}
                      y={row * 41 + 24}
                      textAnchor="middle"
                      fontSize={11}
                      fill="var(--ink)"
                      stroke="var(--paper)"
                      strokeWidth={3}
                      paintOrder="stroke"
                    >
                      {grade}
                    </text>
                  )}
                </g>
              );
            }),
          )}
        </g>
      ))}
    </svg>
  );
}
