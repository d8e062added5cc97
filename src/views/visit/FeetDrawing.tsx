import { SIDES } from '@/core/findings/finding-kinds';
import { numberAt } from '@/core/findings/picture';
import { footPath } from '@/core/shoe/drawing/foot-outline';
import { useExamined } from './visit-context';

/** Both feet from above, drawn to one scale from what was measured; unmeasured feet are not drawn. */
export function FeetDrawing() {
  const { picture } = useExamined();
  const measured = SIDES.map((side) => ({ side, lengthMm: numberAt(picture, 'footLength', side) }));
  if (measured.every(({ lengthMm }) => lengthMm === null))
    return <p className="text-center text-faint">Enter a length and the foot is drawn to scale.</p>;
  return (
    <svg
      viewBox="-150 -340 300 350"
      className="h-64 justify-self-center"
      role="img"
      aria-label="Both feet from above, to scale"
    >
      {measured.map(({ side, lengthMm }) => {
        if (lengthMm === null) return null;
        const foot = {
          lengthMm,
          ballWidthMm: numberAt(picture, 'ballWidth', side),
          heelBallMm: numberAt(picture, 'heelBallLength', side),
        };
        const place = side === 'left' ? 'translate(-66 0) rotate(-90)' : 'translate(66 0) rotate(-90)';
        const mirror = side === 'left' ? 'scale(1 -1)' : '';
        return (
          <g key={side}>
            <g transform={`${place} ${mirror}`}>
              <path d={footPath(foot)} fill="var(--draw-upper)" stroke="var(--draw-line)" strokeWidth="1.6" />
              {foot.heelBallMm !== null && (
                <line
                  x1={foot.heelBallMm}
                  x2={foot.heelBallMm - 18}
                  y1={-55}
                  y2={55}
                  stroke="var(--accent)"
                  strokeDasharray="5 4"
                  strokeWidth="1.4"
                />
              )}
            </g>
            <text
              x={side === 'left' ? -66 : 66}
              y={-lengthMm - 14}
              textAnchor="middle"
              fontSize="20"
              fill="var(--ink)"
            >
              {Math.round(lengthMm * 10) / 10}
            </text>
          </g>
        );
      })}
    </svg>
  );
}
