import { SIDES } from '@/core/findings/finding-kinds';
import type { SoleMark, SolePlace } from '@/core/wear/sole-marks';
import { SEVERITIES, type WearMap, ZONES, zoneInWords } from '@/core/wear/wear-map';

const ROWS = ['fore', 'mid', 'heel'] as const;

/** Both soles as they were graded, small and from below: darker is more worn. */
export function SmallSoles({ map, marks = [] }: { map: WearMap; marks?: readonly SoleMark[] }) {
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
          {marks
            .filter((mark) => mark.side === side)
            .map(({ id, at, to }) => {
              const spot = ({ across, along }: SolePlace) => ({
                x: (1 + across * (side === 'left' ? 1 : -1)) * 31,
                y: (1 - along) * 122,
              });
              const [a, b] = [spot(at), spot(to ?? at)];
              return to ? (
                <line key={id} x1={a.x} y1={a.y} x2={b.x} y2={b.y} stroke="var(--accent)" strokeWidth={2} />
              ) : (
                <circle key={id} cx={a.x} cy={a.y} r={3} fill="var(--accent)" />
              );
            })}
        </g>
      ))}
    </svg>
  );
}
