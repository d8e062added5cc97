import type { Drawing, NumberedPlace } from '@/core/shoe/drawing/part';
import type { FeatureId } from '@/core/shoe/features';

interface Props {
  drawing: Drawing;
  /** Features whose parts are lit. */
  lit?: ReadonlySet<FeatureId>;
  /** Millimetre ruler along the ground. */
  ruler?: boolean;
  /** Places with their numbers, in millimetres of the drawing as it is seen. */
  numbers?: readonly NumberedPlace[];
  /** A right shoe from above, seen as a left one. */
  mirrored?: boolean;
  className?: string;
}

/** Height of a figure as a share of the drawing’s width: 12 px on the narrowest that has figures, 250 px, whatever the length of the shoe. */
const FIGURE_SHARE = 0.048;

/** A computed drawing on the page: parts, measures and, for the profile, a ruler. */
export function ShoeDrawing({
  drawing,
  lit,
  ruler = false,
  numbers = [],
  mirrored = false,
  className = '',
}: Props) {
  const [x, y, width, height] = drawing.viewBox;
  const figure = FIGURE_SHARE * width;
  return (
    <svg
      direction="ltr"
      className={`shoe ${className}`}
      viewBox={`${x} ${mirrored ? -(y + height) : y} ${width} ${height}`}
      role="img"
      aria-label={drawing.summary}
    >
      <g transform={mirrored ? 'scale(1 -1)' : undefined}>
        {drawing.parts.map((part) => (
          <path
            key={part.id}
            d={part.d}
            data-kind={part.kind}
            data-part={part.id}
            data-lit={part.features.some((feature) => lit?.has(feature)) ? '' : undefined}
          />
        ))}
      </g>
      {ruler && <Ruler length={width - 74} />}
      {numbers.map(({ number, at: [cx, cy] }) => (
        <g key={number}>
          <circle cx={cx} cy={cy} r={7.5} fill="var(--paper)" stroke="var(--ink)" strokeWidth={1} />
          <text x={cx} y={cy + 3.6} textAnchor="middle" fontSize={11} fontWeight={600}>
            {number}
          </text>
        </g>
      ))}
      {drawing.dimensions.map(({ from, to, text, feature }) => (
        <g key={feature}>
          <line className="dimension" x1={from[0]} y1={from[1]} x2={to[0]} y2={to[1]} />
          {[from, to].map(([tx, ty], index) =>
            from[0] === to[0] ? (
              <line key={index} className="dimension" x1={tx - 2.5} x2={tx + 2.5} y1={ty} y2={ty} />
            ) : (
              <line key={index} className="dimension" x1={tx} x2={tx} y1={ty - 2.5} y2={ty + 2.5} />
            ),
          )}
          <text
            x={from[0]}
            y={feature === 'drop' ? to[1] - 0.9 * figure : (from[1] + to[1]) / 2 + 0.3 * figure}
            textAnchor="middle"
            fontSize={figure}
            fontWeight={lit?.has(feature) ? 600 : 400}
          >
            {text}
          </text>
        </g>
      ))}
    </svg>
  );
}

function Ruler({ length }: { length: number }) {
  const ticks = Array.from({ length: Math.floor(length / 10) + 1 }, (_, index) => index * 10);
  return (
    <g>
      {ticks.map((at) => (
        <line key={at} className="dimension" x1={at} x2={at} y1={17} y2={at % 50 === 0 ? 23 : 20} />
      ))}
      <line className="dimension" x1={0} x2={length} y1={17} y2={17} />
    </g>
  );
}
