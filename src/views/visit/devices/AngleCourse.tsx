import { line } from 'd3-shape';

interface Props {
  /** Angle by frame; a frame without one is a gap. */
  angles: readonly (number | null)[];
  frame: number;
  onFrame: (frame: number) => void;
}

const WIDTH = 320;
const HEIGHT = 90;
/** Beside the course, for what its lines stand for. */
const LABELS = 30;
const EDGE = 9;
/** Labels that lie closer would touch. */
const APART = 13;

/** The angle through the clip, with the frame that is shown; pressing goes to a frame. */
export function AngleCourse({ angles, frame, onFrame }: Props) {
  const known = angles.filter((angle) => angle !== null);
  if (known.length < 2) return null;
  const low = Math.floor(Math.min(...known) - 1);
  const high = Math.ceil(Math.max(...known) + 1);
  const x = (at: number) => (at / Math.max(1, angles.length - 1)) * (WIDTH - LABELS);
  const y = (angle: number) => HEIGHT - EDGE - ((angle - low) / (high - low)) * (HEIGHT - 2 * EDGE);
  // Nought first: where two touch, the other gives way.
  const levels = [...new Set([0, high, low])].filter((level) => level >= low && level <= high);
  const labelled = levels.filter((level, at) =>
    levels.slice(0, at).every((other) => Math.abs(y(other) - y(level)) >= APART),
  );
  const path = line<number | null>()
    .defined((angle) => angle !== null)
    .x((_, at) => x(at))
    .y((angle) => y(angle!))(angles as (number | null)[]);
  const top = angles.indexOf(Math.max(...known));
  return (
    <figure>
      <svg
        viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
        className="w-full h-auto"
        role="img"
        aria-label={`Heel angle over ${angles.length} frames, from ${low}° to ${high}°, highest at frame ${top + 1}`}
      >
        {levels.map((level) => (
          <line
            key={level}
            x1={0}
            x2={WIDTH - LABELS}
            y1={y(level)}
            y2={y(level)}
            stroke={level === 0 ? 'var(--faint)' : 'var(--line)'}
          />
        ))}
        {labelled.map((level) => (
          <text
            key={level}
            x={WIDTH}
            y={y(level)}
            dy="0.35em"
            fontSize="12"
            textAnchor="end"
            fill="var(--faint)"
          >
            {`${level}°`.replace('-', '−')}
          </text>
        ))}
        <path d={path ?? ''} fill="none" stroke="var(--accent)" strokeWidth={1.6} />
        <line x1={x(frame)} x2={x(frame)} y1={0} y2={HEIGHT} stroke="var(--ink)" strokeDasharray="3 2" />
      </svg>
      <figcaption className="text-faint text-xs">
        Followed through the clip.{' '}
        <button type="button" className="press press-quiet min-h-0 py-0" onClick={() => onFrame(top)}>
          Go to the highest, frame {top + 1}
        </button>
      </figcaption>
    </figure>
  );
}
