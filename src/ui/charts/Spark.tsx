import { line } from 'd3-shape';

interface Point {
  on: string;
  value: number;
}

interface Course {
  name: string;
  points: readonly Point[];
  dashed?: boolean;
}

interface Props {
  label: string;
  courses: readonly Course[];
  /** Half height of the band around the last value of the first course that is within the measurement’s error. */
  error?: number;
}

const WIDTH = 120;
const HEIGHT = 30;
const PAD = 4;

/** A small course over time; dashes and line tell the two apart, a band shows what is within error. */
export function Spark({ label, courses, error = 0 }: Props) {
  const all = courses.flatMap((course) => course.points);
  if (new Set(all.map((point) => point.on)).size < 2)
    return <span className="text-faint text-xs">one moment only</span>;
  const days = all.map((point) => Date.parse(point.on));
  const values = all.map((point) => point.value);
  const [from, to] = [Math.min(...days), Math.max(...days)];
  const [low, high] = [Math.min(...values) - error, Math.max(...values) + error];
  const x = (on: string) => PAD + ((Date.parse(on) - from) / (to - from)) * (WIDTH - 2 * PAD);
  const y = (value: number) =>
    HEIGHT - PAD - ((value - low) / Math.max(1e-9, high - low)) * (HEIGHT - 2 * PAD);
  const path = line<Point>()
    .x((point) => x(point.on))
    .y((point) => y(point.value));
  const last = courses[0]?.points.at(-1);
  return (
    <svg viewBox={`0 0 ${WIDTH} ${HEIGHT}`} className="w-30 h-8" role="img" aria-label={label}>
      {last && error > 0 && (
        <rect
          x={0}
          width={WIDTH}
          y={y(last.value + error)}
          height={Math.max(0.5, y(last.value - error) - y(last.value + error))}
          fill="var(--line)"
          opacity="0.5"
        />
      )}
      {courses.map((course) => {
        const colour = course.dashed ? 'var(--ink)' : 'var(--accent)';
        return (
          <g key={course.name}>
            <path
              d={path([...course.points]) ?? ''}
              fill="none"
              stroke={colour}
              strokeWidth="1.4"
              strokeDasharray={course.dashed ? '3 2' : undefined}
            />
            {course.points.map((point) => (
              <circle key={point.on} cx={x(point.on)} cy={y(point.value)} r="1.8" fill={colour} />
            ))}
          </g>
        );
      })}
    </svg>
  );
}
